# frozen_string_literal: true

require_relative "table"
require_relative "../core/reference/keeping_row"

module NutShelf
  module Store
    # The household's own keeping times.
    class Rules < Table
      # SELECT * FROM keeping_rules WHERE household_id = 7
      # @return [Hash{Array=>Core::KeepingRow}] by [scope, place, state]
      def own
        rows(:keeping_rules).all.to_h do |row|
          [row.values_at(:scope, :place, :state), Core::KeepingRow.new(**row.slice(:scope, :place, :state, :low, :high), kind: row[:kind].to_sym, own_reason: row[:reason],
                                                                                                                         signs_to_discard: "", method: "", caution: "")]
        end
      end
    end
  end
end
