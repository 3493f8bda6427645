# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Somebody looked and lets a stack back onto the shelf.
    class Clear < Act
      keeper_only

      private

      # @param input [Hash] :lot_id
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        raise Refusal.of(:not_quarantined) unless lot.quarantined

        cleared = entry("clear", "Back on the shelf: #{work.food(lot.food_id).name}")
        cleared.change(lot, "cleared", { quarantined: false, quarantine_reason: nil })
        done(cleared, lot_id: lot.id)
      end
    end
  end
end
