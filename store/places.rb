# frozen_string_literal: true

require_relative "table"
require_relative "../core/dating/story"

module NutShelf
  module Store
    # Where things stand.
    class Places < Table
      # SELECT * FROM places WHERE household_id = 7 AND archived_at IS NULL ORDER BY position, id
      def all = rows(:places).where(archived_at: nil).order(:position, :id).all

      def find(id) = found(rows(:places).where(id: id).first, "place")

      # Archived ones too: old stacks remember where they stood.
      def by_id = rows(:places).order(:position, :id).to_hash(:id)

      # Puts a place away that holds nothing.
      # @return [Boolean] false when something stands there, or in a place within it
      def archive(id)
        inner = rows(:places).where(parent_id: id, archived_at: nil)
        return false unless rows(:lots).where(place_id: id).where { on_hand > 0 }.empty? && inner.empty?

        rows(:places).where(id: id).update(archived_at: Sequel::CURRENT_TIMESTAMP)
        true
      end

      # @return [Integer] id
      def add(name:, kind:, tier: "working", low_c: nil, high_c: nil, parent_id: nil)
        insert(:places, name: name, kind: kind, tier: tier, low_c: low_c, high_c: high_c, parent_id: parent_id,
                        position: (rows(:places).max(:position) || 0) + 1)
      end

      # @return [Integer] rows changed: 0 when the version is stale
      def change(id, version, changes) = rows(:places).where(id: id, version: version).update(**changes, version: version + 1)

      # @return [Core::Standing]
      def self.standing(row) = Core::Standing.new(name: row[:name].to_s, kind: row[:kind], low_c: row[:low_c], high_c: row[:high_c])
    end
  end
end
