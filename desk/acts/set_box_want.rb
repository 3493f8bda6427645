# frozen_string_literal: true

require_relative "../act"

module NutShelf
  module Desk
    # Says how many packs of a food are to stand in a box.
    class SetBoxWant < Act
      private

      # @param input [Hash] :place_id, :food_id, :packs (0: none any more)
      def perform(input)
        place = work.place_in_use(house.places.find(input[:place_id]).id)
        food = work.food(input[:food_id])
        row = house.trips.box_wants(place.id).find { |one| one.food_id == input[:food_id] }
        set = entry("set_box_want", "#{place.name}: #{input[:packs]} of #{food.name}")
        write(set, row, input)
        done(set, place_id: place.id)
      end

      def write(set, row, input)
        return set.alter("box_want", row, { archived_at: Time.now.utc.iso8601 }) if row && input[:packs].zero?
        return set.alter("box_want", row, { packs: input[:packs] }) if row

        set.make("box_want", input.slice(:place_id, :food_id, :packs)) if input[:packs].positive?
      end
    end
  end
end
