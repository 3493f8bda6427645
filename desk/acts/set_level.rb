# frozen_string_literal: true

require_relative "../act"

module NutShelf
  module Desk
    # Says by eye how much is there of what nobody weighs: plenty, half, low or out.
    class SetLevel < Act
      private

      # @param input [Hash] :lot_id, :level
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        set = entry("level", "#{work.food(lot.food_id).name}: #{input[:level]}")
        set.change(lot, "level", { level: input[:level] })
        done(set, lot_id: lot.id)
      end
    end
  end
end
