# frozen_string_literal: true

require_relative "../act"
require_relative "../parting"
require_relative "../refusal"

module NutShelf
  module Desk
    # Carries a stack, or some packs of it, to another place. Into a freezer is freezing, out of it thawing.
    class Move < Act
      private

      # @param input [Hash] :lot_id, :place_id, :amount in base units or nil for all of it
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        place = work.place_in_use(input[:place_id])
        amount = checked(lot, place, input[:amount])
        moved = entry("move", "Moved #{work.part_words(lot, amount)} #{work.food(lot.food_id).name} to #{place.name}")
        part = Parting.new(work, moved).part(lot, amount)
        moved.happen(part, work.happening("moved", place_id: place.id), place_id: place.id)
        done(moved, lot_id: part.id)
      end

      def checked(lot, place, text)
        raise Refusal.of(:stands_there_already) if lot.place_id == place.id

        Parting.amount(work, lot, text)
      end
    end
  end
end
