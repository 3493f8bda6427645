# frozen_string_literal: true

require_relative "../act"
require_relative "../new_stack"
require_relative "../../core/counting/difference"
require_relative "../refusal"

module NutShelf
  module Desk
    # Answers "still there?": as expected, another amount, or gone. What is missing was most likely used.
    class Seen < Act
      private

      # @param input [Hash] :lot_id, :amount in base units or nil when it is as expected
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        delta = input[:amount] ? input[:amount].to_r - lot.on_hand : 0r
        raise Refusal.of(:amount_out_of_range, at: "/amount") unless input[:amount].to_r.between?(0, NewStack::MAX)

        seen =
          entry(
            "seen",
            "#{delta.zero? ? "Still there" : "Looked again"}: #{work.named(lot, work.food(lot.food_id).name,
              amount: lot.on_hand + delta)}"
          )
        house.ledger.seen_many(seen.act_id, [lot], work.on, house.usage.seen_on([lot.id]))
        house.lots.seen_many([lot.id], work.on)
        post(seen, lot, delta) unless delta.zero?
        done(seen, lot_id: lot.id)
      end

      def post(seen, lot, delta)
        difference =
          Core::Difference.new(
            delta: delta,
            on_hand: lot.on_hand,
            stack_value_minor: lot.value_minor,
            stopped: lot.stopped
          )
        seen.move(lot, delta, delta.negative? ? -difference.value_minor : difference.value_minor, difference.likely)
      end
    end
  end
end
