# frozen_string_literal: true

require_relative "../quantity/money"
require_relative "../quantity/conversion"
require_relative "../value"

module NutShelf
  module Core
    # What food costs by the gram: the latest price paid, else an estimate by food group, marked so. Frozen.
    class PriceBook
      # What was paid once: minor units for an amount in base units of a dimension. Frozen.
      Paid = Value.of(:price_minor, :amount, :dimension)

      # @param prices [Hash{String=>Array<#price_minor>}] latest observations by food key, each like Paid
      # @param foods [Hash{String=>Food}]
      # @param estimates [Hash{String=>Integer}] the household's own minor units per kg by food group
      def initialize(prices:, foods:, estimates: {})
        @per_gram =
          prices.to_h { |key, list| [key, list.filter_map { |seen| per_gram(foods[key], seen) }.first] }.compact.freeze
        @foods = foods
        @estimates = estimates
        freeze
      end

      # @param key [String] food key
      # @param grams [Rational]
      # @return [Array(Integer, Boolean)] minor units, and whether that is an estimate
      def cost(key, grams)
        known = @per_gram[key]
        return (known * grams).round, false if known

        [Money.estimate(grams, @foods[key]&.food_group, @estimates), true]
      end

      private

      def per_gram(food, seen)
        return unless food

        grams = Conversion.to(Quantity.new(seen.amount, seen.dimension.to_sym), :mass, food).amount
        seen.price_minor / grams if grams.positive?
      rescue MissingFigure
        nil
      end
    end
  end
end
