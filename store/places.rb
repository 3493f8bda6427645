# frozen_string_literal: true

require_relative "table"
require_relative "../core/rotation/place"

module NutShelf
  module Store
    # Where things stand.
    class Places < Table
      # SELECT * FROM places WHERE household_id = 7 AND archived_at IS NULL ORDER BY position, id
      # @return [Array<Core::Place>]
      def all = rows(:places).where(archived_at: nil).order(:position, :id).all

      # @return [Core::Place]
      # @raise [Missing]
      def find(id) = found(rows(:places).where(id: id).first, "place")

      # Archived ones too: old stacks remember where they stood.
      # @return [Hash{Integer=>Core::Place}]
      def by_id = rows(:places).order(:position, :id).to_h { |row| [row.id, row] }

      # Puts a place away that holds nothing.
      # @return [Boolean] false when something stands there, or in a place within it
      def archive(id)
        inner = rows(:places).where(parent_id: id, archived_at: nil)
        return false unless rows(:lots).where(place_id: id).where { on_hand > 0 }.empty? && inner.empty?

        rows(:places).where(id: id).update(archived_at: Sequel::CURRENT_TIMESTAMP)
        true
      end

      # A place and everything within it, in the order people walk: the place, then each inner one.
      # @return [Array<Integer>]
      def within(id)
        children = all.group_by(&:parent_id)
        walk = ->(one) { [one, *children.fetch(one, []).flat_map { |place| walk.(place.id) }] }
        walk.(id)
      end

      # @return [Rows::Photo, nil] the latest picture of a place
      def photo(place_id)
        rows(:place_photos).where(place_id: place_id, archived_at: nil).order(Sequel.desc(:id)).first
      end

      # SELECT count(*) FROM place_photos WHERE household_id = 7 AND place_id = 3 AND archived_at IS NULL
      def photo_count(place_id) = rows(:place_photos).where(place_id: place_id, archived_at: nil).count

      # SELECT place_id, max(id) FROM place_photos WHERE household_id = 7 AND archived_at IS NULL GROUP BY place_id
      def photo_ids
        rows(:place_photos)
          .where(archived_at: nil)
          .group(:place_id)
          .select_hash(:place_id, Sequel.function(:max, :id).as(:id))
      end

      # @return [Integer] id
      def add_photo(place_id:, media_type:, bytes:)
        insert(:place_photos, place_id: place_id, media_type: media_type, bytes: Sequel.blob(bytes))
      end

      # @param more [Hash] further columns, as Core::Place names them
      # @return [Integer] id
      def add(name:, kind:, tier: "working", low_c: nil, high_c: nil, parent_id: nil, **more)
        insert(
          :places,
          name: name,
          kind: kind,
          tier: tier,
          low_c: low_c,
          high_c: high_c,
          parent_id: parent_id,
          **more,
          position: (rows(:places).max(:position) || 0) + 1
        )
      end
    end
  end
end
