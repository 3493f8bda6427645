# frozen_string_literal: true

require_relative "../refusal"

module NutShelf
  module Desk
    module Trips
      # What goes along on a trip is set apart for it until everybody is back, and stands in no fridge.
      module Along
        COLD = %w[fridge freezer].freeze

        module_function

        # @param places [Array<Core::Place>] it travels in
        # @raise [Invalid] dates count from the warm it travels in
        def refuse_cold(places)
          cold = places.find { |one| COLD.include?(one.kind) } or return
          raise Refusal.of(:travels_in_no_fridge, at: "/place_id", place: cold.name)
        end

        # @param entry [Entry]
        # @param trip [Store::Rows::Trip]
        # @param lot [Store::Rows::Lot]
        # @return [Integer] id of the reservation
        def set_apart(entry, trip, lot)
          facts = {
            lot_id: lot.id, amount: entry.now(lot).on_hand, holder: trip.name, trip_id: trip.id, until_on: trip.back_on
          }
          entry.tell(lot, "set_apart", facts.slice(:lot_id, :amount, :holder, :until_on))
          entry.make("reservation", facts)
        end
      end
    end
  end
end
