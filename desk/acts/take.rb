# frozen_string_literal: true

require_relative "../act"
require_relative "../kits/floor"
require_relative "../taking"
require_relative "../refusal"

module NutShelf
  module Desk
    # Somebody eats or uses some of a stack.
    class Take < Act
      private

      # @param input [Hash] :lot_id, :amount in base units (decimal text); nil takes one pack; :despite why, where that
      #   leaves less than a deep pantry must hold
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        amount = work.still_there(lot, wanted(lot, input[:amount]))
        work.in_the_dark.guard([lot.id])
        despite = Kits::Floor.new(work).guard({ lot.id => amount }, input[:despite])
        taken = entry("take", "Took #{work.part_words(lot, amount)} #{name(lot)}#{despite}")
        Taking.new(work, taken).take(lot, amount, "eaten")
        done(taken, lot_id: lot.id, **last(lot))
      end

      def wanted(lot, text)
        amount =
          if text
            text.to_r
          else
            lot.open ? lot.on_hand : lot.one_pack
          end
        return amount if amount.positive?
        raise Refusal.of(:nothing_left) if text.nil?

        raise Refusal.of(:taken_not_above_zero, at: "/amount")
      end

      # That was the last: it may go on the list.
      def last(lot)
        house.lots.any_of?(lot.food_id) ? {} : { last: { food_id: lot.food_id, food: work.food(lot.food_id).name } }
      end

      def name(lot) = lot.name(work.food(lot.food_id))
    end
  end
end
