# frozen_string_literal: true

require_relative "../act"
require_relative "../kits/floor"
require_relative "../taking"
require_relative "../refusal"

module NutShelf
  module Desk
    # Opens a pack: it becomes a stack of its own with its own date.
    class Open < Act
      private

      # @param input [Hash] :lot_id; :despite why, see Take
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        refuse(lot)
        despite = Kits::Floor.new(work).guard({ lot.id => lot.pack_amount || lot.on_hand }, input[:despite])
        goes_to = Taking.new(work, nil).where_opened(lot)
        opened =
          entry(
            "open",
            "Opened #{work.food(lot.food_id).name}" \
            "#{", now in #{work.place(goes_to).name}" unless goes_to == lot.place_id}#{despite}"
          )
        child = Taking.new(work, opened).open_one(lot)
        done(opened, lot_id: child.id)
      end

      def refuse(lot)
        raise Refusal.of(:open_already) if lot.open
        return if lot.on_hand.positive?

        raise Refusal.of(:nothing_left)
      end
    end
  end
end
