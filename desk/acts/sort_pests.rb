# frozen_string_literal: true

require_relative "../act"
require_relative "../kits/stocks"
require_relative "../pests_nearby"
require_relative "../refusal"

module NutShelf
  module Desk
    # Packs were found gnawed or with insects in them. The outer pack is binned with what is not sound; sound packs
    # inside are wiped and kept, as somebody looked at them. What stands beside is looked at first from now on.
    class SortPests < Act
      # Amounts are stored to a millionth.
      QUANTUM = 6

      private

      # @param input [Hash] :lot_id, :packs that were found so, :inner sealed packs in each (0: none), :kept sound ones
      #   of those, in all
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        raise Refusal.of(:nothing_left) if lot.gone?
        raise Refusal.of(:not_to_keep) if lot.quarantined || lot.stopped

        found, kept = amounts(lot, input)
        sorted = entry("sort_pests", summary(lot, found, kept, input[:kept]))
        inner = keep(sorted, lot, kept, input)
        sorted.draw(lot, found - kept, "binned", why: "pest") if found > kept
        reached = PestsNearby.new(work, sorted).call(lot.place_id, besides: [inner&.id].compact)
        done(sorted, lot_id: (inner || lot).id, at_risk: reached)
      end

      # @return [Array(Rational, Rational)] what was found so, and what of it is kept, in the stack's own units
      def amounts(lot, input)
        unit = Kits::Stocks.unit(lot)
        found = work.still_there(lot, [unit * input[:packs], lot.on_hand].min)
        inside = input.fetch(:inner, 0) * (found / unit).ceil
        sound = input.fetch(:kept, 0)
        raise Refusal.of(:more_kept_than_there, at: "/kept", packs: inside) if sound > inside
        return [found, found] if sound.positive? && sound == inside

        [found, sound.zero? ? 0r : inner_size(unit, input[:inner]) * sound]
      end

      def inner_size(unit, inner) = (unit / inner).floor(QUANTUM)

      # Sealed packs inside are packs of their own from now on, looked at today.
      # @return [Store::Rows::Lot, nil]
      def keep(sorted, lot, kept, input)
        return unless kept.positive?

        wiped = work.happening("looked", result: "good", wiped: true)
        smaller = smaller(lot, input[:inner])
        return sorted.happen(lot, wiped, **smaller) if kept == lot.on_hand

        sorted.split(lot, kept, **smaller, history: [*lot.history, wiped])
      end

      # What is told by the piece has no smaller pack.
      def smaller(lot, inner)
        lot.dimension == "count" ? {} : { pack_amount: inner_size(Kits::Stocks.unit(lot), inner) }
      end

      def summary(lot, found, kept, sound)
        name = lot.name(work.food(lot.food_id))
        binned = found - kept
        parts = [
          (binned.zero? ? "outer pack binned" : "#{work.part_words(lot, binned)} binned"),
          ("#{sound} sound inner #{sound == 1 ? "pack" : "packs"} wiped and kept" if kept.positive?)
        ]
        "Found pests in #{name}: #{parts.compact.join(", ")}"
      end
    end
  end
end
