# frozen_string_literal: true

require_relative "table"
require_relative "../core/reference/keeping_row"

module NutShelf
  module Store
    # The household's own keeping times.
    class Rules < Table
      # SELECT * FROM keeping_rules WHERE household_id = 7 AND NOT removed
      # @return [Hash{Array=>Core::KeepingRow}] by [scope, place, state] or [scope, place, state, storage]
      def own
        all.to_h do |row|
          storage = row.storage.empty? ? nil : row.storage
          [
            [row.scope, row.place, row.state, *storage],
            Core::KeepingRow.new(
              **row.slice(:scope, :place, :state, :low, :high),
              kind: row.kind.to_sym,
              own_reason: row.reason,
              storage: storage,
              signs_to_discard: "",
              method: "",
              caution: ""
            )
          ]
        end
      end

      # SELECT * FROM keeping_rules WHERE household_id = 7 AND NOT removed ORDER BY id
      def all = rows(:keeping_rules).where(removed: false).order(:id).all

      # The row of this question, removed or not: a household has one answer to it at most.
      def at(scope:, place:, state:, storage: "")
        rows(:keeping_rules).where(scope: scope, place: place, state: state, storage: storage).first
      end
    end
  end
end
