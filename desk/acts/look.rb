# frozen_string_literal: true

require_relative "../act"
require_relative "../signs"
require_relative "../refusal"

module NutShelf
  module Desk
    # A person looks at a stack, by the short list for its kind of pack, and says whether it is good, turning or bad.
    class Look < Act
      private

      # @param input [Hash] :lot_id, :signs what was seen, :result "good", "turning" or "bad", or what the signs say
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        signs = Array(input[:signs])
        worst = worst(lot, signs)
        result = input[:result] || worst.last.to_s
        refuse_kinder(worst, result)
        seen = " (#{signs.join(", ")})" if signs.any?
        looked = entry("look", "Looked at #{work.food(lot.food_id).name}: #{result}#{seen}")
        looked.happen(lot, work.happening("looked", result: result, signs: signs))
        done(looked, lot_id: lot.id)
      end

      # @return [Array(String, Symbol)] the worst sign that was seen, nil when there is none, and what it means
      def worst(lot, signs)
        known = Signs.of(work, lot).to_h { |one| [one.sign, one.means] }
        means = Core::LookList.verdict(signs.filter_map { |sign| known[sign] })
        [signs.find { |sign| known[sign] == means }, means]
      end

      # The signs speak: what bulges is not good, whatever the button says.
      def refuse_kinder((sign, means), result)
        return if Core::LookList::RESULTS.index(result.to_sym) >= Core::LookList::RESULTS.index(means)

        raise Refusal.of(:sign_speaks, at: "/result", sign: sign, means: means, result: result)
      end
    end
  end
end
