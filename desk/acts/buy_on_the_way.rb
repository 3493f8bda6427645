# frozen_string_literal: true

require_relative "../act"
require_relative "../new_stack"
require_relative "../refusal"
require_relative "../trips/along"

module NutShelf
  module Desk
    # Something is bought on the way: it goes into the bag it travels in and is set apart for the trip, as if it had
    # been packed at home.
    class BuyOnTheWay < Act
      private

      # @param input [Hash] :trip_id, what NewStack takes
      def perform(input)
        trip = house.trips.find(input[:trip_id])
        raise Refusal.of(:nothing_packed) unless %w[packed away].include?(trip.status)

        Trips::Along.refuse_cold([work.place_in_use(input[:place_id])])
        stack = NewStack.new(work, input.except(:trip_id))
        bought = entry("buy_on_the_way", "Bought on the way: #{stack.words}", on: stack.occurred_on)
        lot = stack.write(bought)
        Trips::Along.set_apart(bought, trip, lot)
        done(bought, trip_id: trip.id, lot_id: lot.id)
      end
    end
  end
end
