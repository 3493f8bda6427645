# frozen_string_literal: true

require_relative "../act"
require_relative "../new_stack"

module NutShelf
  module Desk
    # Puts something on the shelf: a new stack, its pack, its price, its dates.
    class PutAway < Act
      private

      # @param input [Hash] :food_id, :place_id, :count, :amount and :unit (or :noun), dates, :state, :price_minor,
      #   :label, :occurred_on
      def perform(input)
        stack = NewStack.new(work, input)
        made = entry("put_away", "Put away #{stack.words}", on: stack.occurred_on)
        lot = stack.write(made)
        done(made, lot_id: lot.id)
      end
    end
  end
end
