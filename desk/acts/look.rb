# frozen_string_literal: true

require_relative "../act"

module NutShelf
  module Desk
    # A person looks at a stack, by the short list for its kind of pack, and says whether it is good, turning or bad.
    class Look < Act
      private

      # @param input [Hash] :lot_id, :result "good", "turning" or "bad", :signs what was seen
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        signs = Array(input[:signs])
        looked = entry("look", "Looked at #{room.food(lot[:food_id]).name}: #{input[:result]}#{" (#{signs.join(', ')})" if signs.any?}")
        looked.happen(lot, { kind: "looked", on: room.today.iso8601, result: input[:result], signs: signs }.compact)
        done(looked, lot_id: lot[:id])
      end
    end
  end
end
