# frozen_string_literal: true

require_relative "../act"

module NutShelf
  module Desk
    # Another way of storing: in a bag, a jar, standing in water, in paper, without air. It is part of the rule.
    class StoreAs < Act
      private

      # @param input [Hash] :lot_id, :method
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        stored =
          entry("store_as", "#{work.food(lot.food_id).name}: #{Core::KeepingRow::STORAGE.fetch(input[:method])}")
        stored.happen(lot, work.happening("stored", method: input[:method]))
        done(stored, lot_id: lot.id)
      end
    end
  end
end
