# frozen_string_literal: true

require_relative "../act"
require_relative "../parting"
require_relative "../refusal"

module NutShelf
  module Desk
    # What hands do to food before it is eaten: found ripe, cut, cooked. All of a stack or a part of it, which then
    # becomes a stack of its own; what belongs in the fridge afterwards can go there in the same act.
    class Prepare < Act
      WORDS = { "ripened" => "Found ripe:", "cut" => "Cut", "cooked" => "Cooked" }.freeze

      private

      # @param input [Hash] :lot_id, :how "ripened", "cut" or "cooked", :amount in base units or nil for all, :place_id
      #   or nil
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        work.in_the_dark.guard([lot.id])
        amount = checked(lot, input)
        prepared =
          entry(
            "prepare",
            "#{WORDS.fetch(input[:how])} #{work.part_words(lot, amount)} #{work.food(lot.food_id).name}"
          )
        part = Parting.new(work, prepared).part(lot, amount)
        carry(prepared, part, input[:place_id])
        opened = input[:how] == "ripened" ? {} : { open: true, noun: part.noun }
        prepared.happen(part, work.happening(input[:how]), **opened)
        done(prepared, lot_id: part.id)
      end

      def carry(prepared, part, place_id)
        return if place_id.nil? || place_id == part.place_id

        prepared.happen(part, work.happening("moved", place_id: work.place_in_use(place_id).id), place_id: place_id)
      end

      def checked(lot, input)
        raise Refusal.of(:not_unripe) if input[:how] == "ripened" && lot.situation != "ripening"

        Parting.amount(work, lot, input[:amount])
      end
    end
  end
end
