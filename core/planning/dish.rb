# frozen_string_literal: true

require_relative "diet"
require_relative "pantry"
require_relative "../reference/recipe"
require_relative "../value"

module NutShelf
  module Core
    # One recipe against the pantry: what it takes from where, what is missing, what it rescues, and who may not eat it.
    # Frozen.
    class Dish
      Line = Value.of(:line, :food_key, :grams, substitute: false, free: false, unknown: false, missing: 0r,
                                                picks: [], value_minor: 0)

      attr_reader :recipe, :servings, :lines, :clashes

      # Draws every needed line, then the optional ones that are there anyway.
      # @param recipe [Recipe]
      # @param servings [Rational] usual portions to cook
      # @param pantry [Pantry] drawn down by this
      # @param on [Date] day of the meal
      # @param front_days [Integer] stacks that turn within so many days count as rescued
      # @param diet [Diet] of those who eat along
      def self.plan(recipe, servings:, pantry:, on:, front_days: 7, diet: Diet.new)
        new(recipe, servings, pantry, on, front_days, diet)
      end

      def initialize(recipe, servings, pantry, on, front_days, diet)
        @recipe = recipe
        @servings = servings
        @pantry = pantry
        @on = on
        @front_days = front_days
        @diet = diet
        @lines = recipe.lines.filter_map { |line| draw(line) }.freeze
        @clashes = @lines.flat_map { |line| diet.clashes(pantry.foods[line.food_key]) }.uniq { |one| [one.person, one.allergen] }.freeze
        freeze
      end

      # @return [Boolean] whether somebody who eats along may not have it, whatever stands in for what
      def shut? = clashes.any?

      # @return [Rational] share of the needed weight that is on the shelf, 0 to 1
      def covered
        needed = lines.reject { |line| line.line.optional || @pantry.tap?(line.food_key) }
        grams = needed.sum(0r, &:grams)
        return 1r if grams.zero?

        1 - (needed.sum(0r, &:missing) / grams)
      end

      # @return [Integer] minor units of stock that turns within the front window
      def rescued_minor = rescued_picks.sum { |_, _, value| value }

      # What would be lost, weighed by the days it has left: all of it on its last day, next to nothing at the far end of
      # the window. What is past its date already has nothing left to rescue.
      # @return [Integer] minor units
      def urgency_minor
        rescued_picks.sum { |_, pick, value| value * (@front_days + 1 - (pick.stock.usable_until - @on).to_i) / Rational(@front_days + 1) }.round
      end

      # @return [Array<Array(String, Fefo::Pick, Integer)>] food key, pick and its value, what turns first ahead
      def rescued_picks
        lines.flat_map { |line| line.picks.select { |pick| turning?(pick.stock) }.map { |pick| [line.food_key, pick, share(line, pick)] } }
             .sort_by { |_, pick, _| pick.stock.usable_until }
      end

      # @return [Array<Line>] needed lines that the shelf does not cover
      def missing = lines.select { |line| !line.line.optional && line.missing.positive? }

      # @return [Array<Line>] lines for which another food stands in
      def substituted = lines.select(&:substitute)

      # @return [Integer] what the picks are worth
      def value_minor = lines.sum(&:value_minor)

      private

      def turning?(stock) = stock.usable_until&.between?(@on, @on + @front_days)

      def share(line, pick)
        grams = line.picks.sum(0r, &:amount)
        grams.zero? ? 0 : (line.value_minor * pick.amount / grams).round
      end

      def draw(line)
        food = @pantry.foods[line.food_key]
        grams = grams_of(line, food) or return Line.new(line: line, food_key: line.food_key, grams: 0r, unknown: true)
        return optional(line, grams) if line.optional
        return free(line, line.food_key, grams) if @pantry.free?(line.food_key) && @diet.allows?(food)

        best(line, grams)
      end

      def free(line, key, grams, substitute: false) = Line.new(line: line, food_key: key, grams: grams, free: true, substitute: substitute)

      def grams_of(line, food)
        return unless food

        edible = line.quantity * (@servings / recipe.servings)
        Conversion.to(Conversion.gross(edible, food), :mass, food).amount
      rescue MissingFigure
        nil
      end

      # Left out where somebody may not have it.
      def optional(line, grams)
        return unless @diet.allows?(@pantry.foods[line.food_key])
        return free(line, line.food_key, grams) if @pantry.free?(line.food_key)
        return unless @pantry.left(line.food_key, @on) >= grams

        drawn(line, line.food_key, @pantry.draw(line.food_key, grams, @on), grams)
      end

      # The food itself where it is enough, unless a substitute turns and it does not; else the first
      # substitute that is enough; else what there is of it. What somebody may not have is replaced where it can be.
      def best(line, grams)
        key, factor = substitute(line, grams)
        return drawn(line, line.food_key, @pantry.draw(line.food_key, grams, @on), grams) unless key
        return free(line, key, grams * factor, substitute: true) if @pantry.free?(key)

        drawn(line, key, @pantry.draw(key, grams * factor, @on), grams * factor, substitute: true)
      end

      def substitute(line, grams)
        allowed = line.substitutes.select { |other, _| @pantry.foods.key?(other) && @diet.allows?(@pantry.foods[other]) }
        enough = allowed.select { |other, by| @pantry.free?(other) || @pantry.left(other, @on) >= grams * by }
        return enough.first || allowed.first unless @diet.allows?(@pantry.foods[line.food_key])
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
