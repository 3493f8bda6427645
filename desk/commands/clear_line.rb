# frozen_string_literal: true

require_relative "enter_line"

module NutShelf
  module Desk
    # Takes a line back, as if nothing had been said.
    class ClearLine < EnterLine
      private

      # @param input [Hash] :count_id, :line_id
      def perform(input)
        count = open_count(input[:count_id])
        raise Store::Missing, "There is no such line here." if house.counts.clear(count.id, input[:line_id]).zero?

        { count_id: count.id, line_id: input[:line_id] }
      end
    end
  end
end
