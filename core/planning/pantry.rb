# frozen_string_literal: true

require_relative "holding"
require_relative "../quantity/money"
require_relative "../rotation/fefo"
require_relative "../value"

module NutShelf
  module Core
    # Everything that can be cooked with, drawn down as meals are planned in order. Not frozen: it is the
    # scratch pad of one computation; `copy` gives a fresh one.
    class Pantry
      TAP = "tap-water"

      # A draw for one recipe line: picks in grams, what is missing in grams, what the picks are worth.
      Draw = Value.of(:food_key, :picks, :missing, :value_minor)

      # @param holdings [Hash{String=>Array<Holding>}] by food key
      # @param foods [Hash{String=>Food}] by key
      # @param free [Array<String>] keys of foods that are there without counting (kept by level, tap water)
      # @param allow_look [Boolean] whether tins past their best-before may be planned, with a look
      def initialize(holdings:, foods:, free: [], allow_look: true, taken: {})
        @holdings = holdings
        @foods = foods
        @free = free
        @allow_look = allow_look
        @taken = Hash.new(0r).merge(taken)
      end

      attr_reader :foods, :holdings

      # @return [Pantry] the same, drawn down as far as this one is
      def copy = self.class.new(holdings: @holdings, foods: @foods, free: @free, allow_look: @allow_look, taken: @taken)

      def free?(key) = @free.include?(key)

      # Water from the tap is always there: it says nothing about how much of a dish is.
      def tap?(key) = key == TAP

      # @return [Holding, nil]
      def holding(key, id) = @holdings.fetch(key, []).find { |holding| holding.stock.id == id }

      # Takes an amount for a day, front of the shelf first.
      # @param key [String] food key
      # @param grams [Rational] as it comes from the pack
      # @param on [Date]
      # @return [Draw]
      def draw(key, grams, on)
        stocks = @holdings.fetch(key, []).map { |holding| less_taken(holding.stock) }
        picks, missing = Fefo.draw(stocks, grams, on: on, allow_look: @allow_look)
        picks.each { |pick| @taken[pick.stock.id] += pick.amount }
        Draw.new(food_key: key, picks: picks, missing: missing, value_minor: picks.sum { |pick| worth(key, pick) })
      end

      # @return [Rational] grams left of a food that are usable on a day
      def left(key, on)
        @holdings.fetch(key, []).map { |holding| less_taken(holding.stock) }.select { |stock| stock.eligible?(on, allow_look: @allow_look) }.sum(0r, &:amount)
      end

      # @param key [String] food key
      # @param on [Date] day of use
      # @param days [Integer]
      # @return [Rational] grams of it that may be used and turn within so many days
      def turning(key, on, days)
        stocks = @holdings.fetch(key, []).map { |holding| less_taken(holding.stock) }
        stocks.select { |stock| stock.eligible?(on) && stock.usable_until && stock.usable_until <= on + days }.sum(0r, &:amount)
      end

      private

      def less_taken(stock)
        taken = @taken[stock.id]
        taken.zero? ? stock : Stock.new(**stock.to_h, amount: stock.amount - taken)
      end

      def worth(key, pick)
        whole = holding(key, pick.stock.id)
        (whole.value_minor * pick.amount / whole.stock.amount).round
      end
    end
  end
end
