# frozen_string_literal: true

require_relative "../act"

module NutShelf
  module Desk
    # A person looks at a stack and says whether it is good.
    class Look < Act
      private

      # @param input [Hash] :lot_id, :result "good" or "bad"
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        looked = entry("look", "Looked at #{room.food(lot[:food_id]).name}: #{input[:result]}")
        looked.happen(lot, { kind: "looked", on: room.today.iso8601, result: input[:result] })
        done(looked, lot_id: lot[:id])
      end
    end
  end
end
