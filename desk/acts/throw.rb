# frozen_string_literal: true

require_relative "../act"
require_relative "../looking_back/ways_out"
require_relative "../taking"
require_relative "../refusal"

module NutShelf
  module Desk
    # Something leaves without being eaten: binned, composted, given away or fed to animals, and why.
    class Throw < Act
      WORDS = {
        "binned" => "Threw away", "composted" => "Composted", "given_away" => "Gave away",
        "animals" => "Fed to animals"
      }.freeze

      private

      # @param input [Hash] :lot_id, :amount or nil for all, :outcome, :why
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        amount = input[:amount] ? work.still_there(lot, input[:amount].to_r) : lot.on_hand
        raise Refusal.of(:nothing_left) unless amount.positive?

        LookingBack::WaysOut.new(work).check(work.food(lot.food_id), input[:outcome])

        thrown =
          entry(
            "throw",
            "#{WORDS.fetch(input[:outcome])} #{work.part_words(lot, amount)} #{work.food(lot.food_id).name}"
          )
        value = Taking.new(work, thrown).take(lot, amount, input[:outcome], why: input[:why].to_s)
        done(thrown, lot_id: lot.id, value_minor: value)
      end
    end
  end
end
