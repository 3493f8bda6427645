# frozen_string_literal: true

require_relative "../act"
require_relative "../new_stack"
require_relative "../../core/counting/difference"
require_relative "../refusal"

module NutShelf
  module Desk
    # The amount was noted wrong: a further movement puts it right. Nothing is overwritten.
    class Correct < Act
      private

      # @param input [Hash] :lot_id, :amount what is really there in base units, :why in a person's words
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        delta = input[:amount].to_r - lot.on_hand
        raise Refusal.of(:amount_below_zero, at: "/amount") if input[:amount].to_r.negative?
        raise Refusal.of(:too_much_for_a_house, at: "/amount") if input[:amount].to_r > NewStack::MAX
        raise Refusal.of(:says_that_already) if delta.zero?

        corrected =
          entry(
            "correct",
            "Corrected #{work.food(lot.food_id).name}: #{work.wording(lot)} is really #{work.wording(lot,
              amount: input[:amount].to_r)}"
          )
        difference =
          Core::Difference.new(delta: delta, on_hand: lot.on_hand, stack_value_minor: lot.value_minor)
        value = difference.value_minor
        corrected.move(lot, delta, delta.negative? ? -value : value, "corrected", why: input[:why].to_s)
        done(corrected, lot_id: lot.id, value_minor: value)
      end
    end
  end
end
