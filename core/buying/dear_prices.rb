# frozen_string_literal: true

module NutShelf
  module Core
    # Prices for days without shopping: whatever would have to be bought costs so much that a plan only takes it where
    # nothing else will do; what is fetched fresh all the same keeps its price.
    class DearPrices
      TIMES = 40

      # @param prices [PriceBook]
      # @param fresh [Array<String>] keys of foods that are bought all the same
      def initialize(prices, fresh)
        @prices = prices
        @fresh = fresh
        freeze
      end

      # @return [Array(Integer, Boolean)] see PriceBook#cost
      def cost(key, grams)
        minor, estimated = @prices.cost(key, grams)
        [@fresh.include?(key) ? minor : minor * TIMES, estimated]
      end
    end
  end
end
