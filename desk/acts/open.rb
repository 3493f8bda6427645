# frozen_string_literal: true

require_relative "../act"
require_relative "../taking"

module NutShelf
  module Desk
    # Opens a pack: it becomes a stack of its own with its own date.
    class Open < Act
      private

      # @param input [Hash] :lot_id
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        refuse(lot)
        goes_to = Taking.new(work, nil).where_opened(lot)
        opened =
          entry(
            "open",
            "Opened #{work.food(lot.food_id).name}" \
            "#{", now in #{work.place(goes_to).name}" unless goes_to == lot.place_id}"
          )
        child = Taking.new(work, opened).open_one(lot)
        done(opened, lot_id: child.id)
      end

      def refuse(lot)
        if lot.open
          raise Conflict.new("That one is open already.", code: "already_open", remedy: "Take from it instead.")
        end
        return if lot.on_hand.positive?

        raise Conflict.new("Nothing of it is left.", code: "not_enough", remedy: "Somebody took the last one.")
      end
    end
  end
end
