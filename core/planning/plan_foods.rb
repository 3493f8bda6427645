# frozen_string_literal: true

require_relative "../planner/problem"
require_relative "pack_plan"

module NutShelf
  module Core
    # A household's foods as the planner sees them: what a gram costs, what is there until when, how it is packed.
    class PlanFoods
      # Coins are of a hundred minor units.
      MINOR = 100r
      # What can be frozen in time is not lost, but it is work and takes room: it counts for so much of what is lost.
      FROZEN = 3/4r
      # Days ahead for what has no date.
      FAR = 10_000

      # @param shelf [Shelf]
      # @param prices [PriceBook]
      # @param packs [PackPlan]
      # @param from [Date] first day
      # @param rules [Hash] strict:, looks:, see MealProblem; waste: what a coin lost counts; freezer:
      def initialize(shelf, prices, packs, from, **rules)
        @shelf = shelf
        @prices = prices
        @packs = packs
        @from = from
        @rules = rules
      end

      # @param key [String]
      # @return [Planner::Food]
      def of(key)
        price = @shelf.free?(key) ? 0r : @prices.cost(key, 1000r).first / (1000 * MINOR)
        packing = @packs.of(key)
        Planner::Food.new(
          price: price, opened_days: packing.opened_days, shop: packing.shop, lots: lots(key, packing.opened_days),
          waste_weight: (@rules[:waste] * FROZEN if @rules[:freezer] && @shelf.foods[key].freezes_well?)
        )
      end

      # @param stack [Stack]
      # @return [Integer, nil] days from the first one that it may be eaten, nil where it may not at all
      def last_good(stack)
        return unless stack.eligible?(@from, allow_look: @rules[:looks], strict: @rules[:strict])

        last = [stack.until_on(strict: @rules[:strict]), (stack.look_until if @rules[:looks])].compact.max
        last = [last, stack.safety_until].compact.min
        last ? (last - @from).to_i : FAR
      end

      private

      def lots(key, opened_days)
        found = @shelf.of(key, strict: @rules[:strict]).select { |stack| stack.amount.positive? }
        found.filter_map { |stack| lot(stack, opened_days) }.sort_by(&:last_good).freeze
      end

      def lot(stack, opened_days)
        last = last_good(stack) or return
        Planner::Lot.new(
          quantity: stack.amount, last_good: last, unit_cost: stack.minor_per_gram / MINOR,
          pack: opened_days && PackPlan.sealed(stack)
        )
      end
    end
  end
end
