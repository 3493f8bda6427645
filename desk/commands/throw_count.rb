# frozen_string_literal: true

require_relative "enter_line"

module NutShelf
  module Desk
    # The count is not wanted: the stock stays as it is.
    class ThrowCount < EnterLine
      private

      # @param input [Hash] :count_id
      def perform(input)
        count = open_count(input[:count_id])
        house.counts.set_status(count.id, "thrown")
        { count_id: count.id }
      end
    end
  end
end
