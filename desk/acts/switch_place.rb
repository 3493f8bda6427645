# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"
require_relative "../switching"

module NutShelf
  module Desk
    # Switches a fridge or freezer off or on: see Switching.
    class SwitchPlace < Act
      private

      # @param input [Hash] :place_id, :off
      def perform(input)
        place = house.records.lock("place", work.place_in_use(house.places.find(input[:place_id]).id).id)
        refuse_senseless(place, input[:off])
        switched = entry("switch_place", "Switched #{input[:off] ? "off" : "on"} #{place.name}")
        done(switched, place_id: place.id, redated: Switching.new(work, switched).call(place, input[:off]))
      end

      def refuse_senseless(place, off)
        raise Refusal.of(:says_that_already) if off == place.off?
        return if off == false || Switching::COLD.include?(place.kind)

        raise Refusal.of(:nothing_to_switch, at: "/place_id", place: place.name)
      end
    end
  end
end
