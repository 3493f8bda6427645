# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Somebody looks through a place, a box of a kit above all: each stack good, turning or bad, in one act, and whether
    # it is dry in there. Where it is damp, a task says to dry it out.
    class CheckPlace < Act
      private

      # @param input [Hash] :place_id, :found as [{ lot_id:, result: "good", "turning" or "bad" }], :damp
      def perform(input)
        place = house.records.lock("place", input[:place_id])
        found = input[:found].to_h { |one| one.values_at(:lot_id, :result) }
        lots = house.lots.lock(found.keys)
        found.each_key { |id| refuse_elsewhere(lots[id], place) }
        checked = entry("check_place", "Looked through #{place.name}#{told(found.values, input[:damp])}")
        found.sort.each { |id, result| checked.happen(lots.fetch(id), work.happening("looked", result: result)) }
        checked.alter("place", place, { checked_on: work.on })
        dry_out(checked, place) if input[:damp]
        done(checked, place_id: place.id)
      end

      def refuse_elsewhere(lot, place)
        raise Store::Missing, "There is no such stack here." unless lot
        return if lot.place_id == place.id && !lot.gone?

        raise Refusal.of(:not_in_this_place, food: lot.name(work.food(lot.food_id)), place: place.name)
      end

      def told(results, damp)
        counts = %w[good turning bad].filter_map { |one| "#{results.count(one)} #{one}" if results.include?(one) }
        parts = [*counts, *("damp" if damp)]
        parts.empty? ? "" : ": #{parts.join(", ")}"
      end

      def dry_out(checked, place)
        checked.make(
          "care",
          title: "Dry out #{place.name}, and look at what stands in it in paper and card",
          place_id: place.id, first_on: work.today, next_on: work.today
        )
      end
    end
  end
end
