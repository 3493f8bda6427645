# frozen_string_literal: true

require_relative "../act"
require_relative "../pests_nearby"
require_relative "../refusal"

module NutShelf
  module Desk
    # Sets stacks apart as not to eat: pests were found in them, or they are recalled. After pests whatever else in
    # that place they could reach is looked at first, and a task says so.
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

      # @return [Integer] stacks that pests could reach
      def follow(apart, lots)
        nearby = PestsNearby.new(work, apart)
        lots.map(&:place_id).uniq.sum { |place_id| nearby.call(place_id, besides: lots.map(&:id)) }
      end
    end
  end
end
