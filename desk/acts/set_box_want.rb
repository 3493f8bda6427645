# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Says how many packs of a food are to stand in a box; some of them instead of another food, if it says so.
    class SetBoxWant < Act
      private

      # @param input [Hash] :place_id, :food_id, :packs (0: none any more), :instead_of another food: so many packs
      #   fewer of that, and more of this
      def perform(input)
        place = work.place_in_use(house.places.find(input[:place_id]).id)
        @wants = house.trips.box_wants(place.id).to_h { |one| [one.food_id, one] }
        food = work.food(input[:food_id])
        set = entry("set_box_want", "#{place.name}: #{input[:packs]} of #{food.name}#{instead(input)}")
        input[:instead_of] ? swap(set, input) : write(set, input[:food_id], input[:packs], place.id)
        done(set, place_id: place.id)
      end

      def instead(input) = input[:instead_of] ? " instead of #{work.food(input[:instead_of]).name}" : ""

      def swap(set, input)
        before = @wants[input[:instead_of]]
        none = before.nil? || before.packs < input[:packs] || input[:packs].zero?
        raise Refusal.of(:fewer_wanted, at: "/instead_of") if none || input[:instead_of] == input[:food_id]

        write(set, input[:instead_of], before.packs - input[:packs], before.place_id)
        write(set, input[:food_id], (@wants[input[:food_id]]&.packs || 0) + input[:packs], before.place_id)
      end

      def write(set, food_id, packs, place_id)
        row = @wants[food_id]
        return set.alter("box_want", row, { archived_at: Time.now.utc.iso8601 }) if row && packs.zero?
        return set.alter("box_want", row, { packs: packs }) if row

        set.make("box_want", { place_id: place_id, food_id: food_id, packs: packs }) if packs.positive?
      end
    end
  end
end
