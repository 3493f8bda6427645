# frozen_string_literal: true

require_relative "../act"
require_relative "../at_risk"
require_relative "../refusal"

module NutShelf
  module Desk
    # Sets stacks apart as not to eat: pests were found in them, or they are recalled. After pests a task follows to
    # inspect or freeze whatever else in that place pests could reach.
    class Quarantine < Act
      private

      # @param input [Hash] :lot_ids (one or many), :reason "pest" or "recall", :note
      def perform(input)
        lots = house.lots.lock(input[:lot_ids].uniq)
        missing = input[:lot_ids] - lots.keys
        raise Store::Missing, "There is no such stack here." if missing.any?

        fresh = lots.values.reject(&:quarantined)
        raise Refusal.of(:quarantined_already) if fresh.empty?

        apart = entry("quarantine", "Set apart as not to eat: #{named(fresh)}")
        fresh.each { |lot| apart.change(lot, "quarantined", { quarantined: true, quarantine_reason: words(input) }) }
        followed = input[:reason] == "pest" ? follow(apart, fresh) : 0
        done(apart, lot_id: fresh.first.id, stacks: fresh.size, at_risk: followed)
      end

      def named(lots)
        names = lots.map { |lot| work.food(lot.food_id).name }.uniq
        names.size > 3 ? "#{names.first(3).join("; ")} and #{names.size - 3} more" : names.join("; ")
      end

      def words(input)
        [{ "pest" => "pests", "recall" => "recalled" }.fetch(input[:reason]), input[:note].to_s.strip].reject(
          &:empty?
        ).join(", ")
      end

      # @return [Integer] packs that pests could reach
      def follow(apart, lots)
        lots.map(&:place_id).uniq.sum do |place_id|
          reach = AtRisk.new(work).in_place(place_id).size
          next 0 if reach.zero?

          apart.make(
            "care",
            title: "Inspect or freeze #{reach} packs in #{work.place(place_id).name} that pests could reach",
            place_id: place_id,
            first_on: work.today,
            next_on: work.today
          )
          reach
        end
      end
    end
  end
end
