# frozen_string_literal: true

require_relative "../act"
require_relative "../signs"

module NutShelf
  module Desk
    # A person looks at a stack, by the short list for its kind of pack, and says whether it is good, turning or bad.
    class Look < Act
      private

      # @param input [Hash] :lot_id, :result "good", "turning" or "bad", :signs what was seen
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        signs = Array(input[:signs])
        refuse_kinder(lot, signs, input[:result])
        looked =
          entry(
            "look",
            "Looked at #{work.food(lot.food_id).name}: #{input[:result]}#{" (#{signs.join(", ")})" if signs.any?}"
          )
        looked.happen(lot, work.happening("looked", result: input[:result], signs: signs))
        done(looked, lot_id: lot.id)
      end

      # The signs speak: what bulges is not good, whatever the button says.
      def refuse_kinder(lot, signs, result)
        known = Signs.of(work, lot).to_h { |one| [one.sign, one.means] }
        worst = Core::LookList.verdict(signs.filter_map { |sign| known[sign] })
        return if Core::LookList::RESULTS.index(result.to_sym) >= Core::LookList::RESULTS.index(worst)

        raise Invalid.new(
          "#{signs.find { |sign| known[sign] == worst }} means it is #{worst}, not #{result}.",
          code: "invalid",
          pointer: "/result",
          remedy: "Say #{worst}, or leave that sign out if it is not there."
        )
      end
    end
  end
end
