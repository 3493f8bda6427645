# frozen_string_literal: true

require_relative "pantry"
require_relative "../reference/recipe"

module NutShelf
  module Core
    # One recipe against the pantry: what it takes from where, what is missing, what it rescues. Frozen.
    class Dish
      Line = Struct.new(:line, :food_key, :grams, :picks, :missing, :value_minor, :substitute, :free, :unknown, keyword_init: true) do
        def initialize(**facts)
          super(substitute: false, free: false, unknown: false, missing: 0r, picks: [], value_minor: 0, **facts)
          freeze
        end
      end

      attr_reader :recipe, :servings, :lines

      # Draws every needed line, then the optional ones that are there anyway.
      # @param recipe [Recipe]
      # @param servings [Rational] usual portions to cook
      # @param pantry [Pantry] drawn down by this
      # @param on [Date] day of the meal
      # @param front_days [Integer] stacks that turn within so many days count as rescued
      def self.plan(recipe, servings:, pantry:, on:, front_days: 7)
        new(recipe, servings, pantry, on, front_days)
      end

      def initialize(recipe, servings, pantry, on, front_days)
        @recipe = recipe
        @servings = servings
        @pantry = pantry
        @on = on
        @front_days = front_days
        @lines = recipe.lines.filter_map { |line| draw(line) }.freeze
        freeze
      end

      # @return [Rational] share of the needed weight that is on the shelf, 0 to 1
      def covered
        needed = lines.reject { |line| line.line.optional }
        grams = needed.sum(0r, &:grams)
        return 1r if grams.zero?

        1 - (needed.sum(0r, &:missing) / grams)
      end

      # @return [Integer] minor units of stock that turns within the front window (or waits for a look)
      def rescued_minor = rescued_picks.sum { |_, _, value| value }

      # @return [Array<Array(String, Fefo::Pick, Integer)>] food key, pick and its value, what turns first ahead
      def rescued_picks
        lines.flat_map { |line| line.picks.select { |pick| turning?(pick.stock) }.map { |pick| [line.food_key, pick, share(line, pick)] } }
             .sort_by { |_, pick, _| pick.stock.usable_until }
      end

      # @return [Array<Line>] needed lines that the shelf does not cover
      def missing = lines.select { |line| !line.line.optional && line.missing.positive? }

      # @return [Integer] what the picks are worth
      def value_minor = lines.sum(&:value_minor)

      private

      def turning?(stock) = stock.usable_until && stock.usable_until <= @on + @front_days

      def share(line, pick)
        grams = line.picks.sum(0r, &:amount)
        grams.zero? ? 0 : (line.value_minor * pick.amount / grams).round
      end

      def draw(line)
        grams = grams_of(line) or return Line.new(line: line, food_key: line.food_key, grams: 0r, unknown: true)
        return Line.new(line: line, food_key: line.food_key, grams: grams, free: true) if @pantry.free?(line.food_key)
        return optional(line, grams) if line.optional

        best(line, grams)
      end

      def grams_of(line)
        food = @pantry.foods[line.food_key] or return
        edible = line.quantity * (@servings / recipe.servings)
        Conversion.to(Conversion.gross(edible, food), :mass, food).amount
      rescue MissingFigure
        nil
      end

      def optional(line, grams)
        return unless @pantry.left(line.food_key, @on) >= grams

        drawn(line, line.food_key, @pantry.draw(line.food_key, grams, @on), grams)
      end

      # The food itself where it is enough, unless a substitute turns and it does not; else the first
      # substitute that is enough; else what there is of it.
      def best(line, grams)
        key, factor = substitute(line, grams)
        return drawn(line, key, @pantry.draw(key, grams * factor, @on), grams * factor, substitute: true) if key

        drawn(line, line.food_key, @pantry.draw(line.food_key, grams, @on), grams)
      end

      def substitute(line, grams)
        enough = line.substitutes.select { |other, by| @pantry.foods.key?(other) && (@pantry.free?(other) || @pantry.left(other, @on) >= grams * by) }
        return enough.first if @pantry.left(line.food_key, @on) < grams

        return if @pantry.turning(line.food_key, @on, @front_days).positive?

        # Only where what turns is enough: nobody opens a fresh tin to save half of another.
        enough.find { |other, by| @pantry.turning(other, @on, @front_days) >= grams * by }
      end

      def drawn(line, key, draw, grams, substitute: false)
        Line.new(line: line, food_key: key, grams: grams, picks: draw.picks, missing: draw.missing, value_minor: draw.value_minor, substitute: substitute)
      end
    end
  end
end
