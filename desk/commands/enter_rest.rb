# frozen_string_literal: true

require_relative "enter_line"

module NutShelf
  module Desk
    # Everything nobody has said a word about is as expected, or gone.
    class EnterRest < EnterLine
      private

      # @param input [Hash] :count_id, :found "as_expected" or "gone"
      def perform(input)
        count = open_count(input[:count_id])
        counting = Counting.new(work, count)
        said = counting.lines.filter_map(&:lot_id)
        rest = counting.expected.reject { |stack| said.include?(stack.id) || stack.level }
        house.counts.enter_many(
          rest.map do |stack|
            { count_id: count.id, account_id: work.caller.account_id, lot_id: stack.id, **found(stack, input) }
          end
        )
        { count_id: count.id, lines: rest.size }
      end
    end
  end
end
