# frozen_string_literal: true

require_relative "../act"
require_relative "../new_stack"
require_relative "../refusal"

module NutShelf
  module Desk
    # Something is bought on the way: it goes into the bag it travels in and is set apart for the trip, as if it had
    # been packed at home.
    class BuyOnTheWay < Act
      COLD = %w[fridge freezer].freeze

      private

      # @param input [Hash] :trip_id, what NewStack takes
      def perform(input)
        trip = house.trips.find(input[:trip_id])
        raise Refusal.of(:nothing_packed) unless %w[packed away].include?(trip.status)

        place = work.place_in_use(input[:place_id])
        raise Refusal.of(:travels_in_no_fridge, at: "/place_id", place: place.name) if COLD.include?(place.kind)

        stack = NewStack.new(work, input.except(:trip_id))
        bought = entry("buy_on_the_way", "Bought on the way: #{stack.words}", on: stack.occurred_on)
        lot = stack.write(bought)
        facts = {
          lot_id: lot.id, amount: bought.now(lot).on_hand, holder: trip.name, trip_id: trip.id, until_on: trip.back_on
        }
        bought.tell(lot, "set_apart", facts.slice(:lot_id, :amount, :holder, :until_on))
        bought.make("reservation", facts)
        done(bought, trip_id: trip.id, lot_id: lot.id)
      end
    end
  end
end
