# frozen_string_literal: true

require_relative "diet"
require_relative "../quantity/conversion"
require_relative "../value"

module NutShelf
  module Core
    # One line of a dish: what the recipe asks for, which food serves it, the grams wanted (as they come from the pack),
    # what is missing of them, and what is taken from where. `free` of what is there without counting, `unknown` where
    # nothing says what it weighs. Frozen.
    DishLine =
      Value.of(
        :line,
        :food_key,
        :grams,
        substitute: false,
        free: false,
        unknown: false,
        missing: 0r,
        picks: [].freeze,
        value_minor: 0
      )

    # Draws the lines of a recipe from a shelf: every needed one, and the optional ones that are there anyway. What
    # turns is used before what keeps, and what somebody may not have is replaced where it can be. One use per dish.
    class DishDraw
      # Where so much of what a line asks for is there, a cook makes do with it.
      MAKE_DO = 49/50r
      MADE_HERE = "Home leftovers"

      # @param recipe [Recipe]
      # @param servings [Rational] usual portions
      # @param cursor [Cursor] drawn down by this
      # @param on [Date] day of the meal
      # @param front_days [Integer] what turns within so many days is used before what keeps
      # @param diet [Diet] of those who eat along
      # @param choices [Hash{String=>String, nil}] what somebody chose for a line
      def initialize(recipe, servings:, cursor:, on:, front_days:, diet:, choices: {})
        @recipe = recipe
        @share = servings / recipe.servings
        @cursor = cursor
        @foods = cursor.foods
        @on = on
        @front_days = front_days
        @diet = diet
        @choices = choices
      end

      # @return [Array<DishLine>]
      def lines = @recipe.lines.filter_map { |line| draw(line) }.freeze

      private

      def draw(line)
        food = @foods[line.food_key]
        grams = grams_of(line, food) or
          return DishLine.new(line: line, food_key: line.food_key, grams: 0r, unknown: true)
        return chosen(line, grams) if @choices.key?(line.food_key) && may?(line, @choices[line.food_key])
        return optional(line, grams) if line.optional
        return free(line, line.food_key, grams) if @cursor.free?(line.food_key) && @diet.allows?(food)

        best(line, grams)
      end

      # What somebody chose holds as far as the dish allows it and nobody at the table may not have it.
      def may?(line, key)
        return line.optional if key.nil?

        (key == line.food_key || line.substitutes.key?(key)) && @foods.key?(key) && @diet.allows?(@foods[key])
      end

      def chosen(line, grams)
        key = @choices[line.food_key] or return
        return best(line, grams) if all_gone?(line, key)

        grams *= line.substitutes.fetch(key, 1r)
        other = key != line.food_key
        return free(line, key, grams, substitute: other) if @cursor.free?(key)

        drawn(line, key, grams, substitute: other)
      end

      # What was made at home and is eaten up is no choice any more, and no shop sells it.
      def all_gone?(line, key)
        key != line.food_key && @foods[key].aisle == MADE_HERE && !@cursor.left(key, @on).positive?
      end

      def free(line, key, grams, substitute: false)
        DishLine.new(line: line, food_key: key, grams: grams, free: true, substitute: substitute)
      end

      def grams_of(line, food)
        return unless food

        edible = line.quantity * @share
        Conversion.to(Conversion.gross(edible, food), :mass, food).amount
      rescue MissingFigure
        nil
      end

      # Left out where somebody may not have it.
      def optional(line, grams)
        return unless @diet.allows?(@foods[line.food_key])
        return free(line, line.food_key, grams) if @cursor.free?(line.food_key)
        return unless enough?(line.food_key, grams)

        drawn(line, line.food_key, grams)
      end

      # The food itself where it is enough, unless a substitute turns and it does not; else the first
      # substitute that is enough; else what there is of it. What somebody may not have is replaced where it can be.
      def best(line, grams)
        key, factor = substitute(line, grams)
        return drawn(line, line.food_key, grams) unless key
        return free(line, key, grams * factor, substitute: true) if @cursor.free?(key)

        drawn(line, key, grams * factor, substitute: true)
      end

      def substitute(line, grams)
        allowed =
          line.substitutes.select { |other, _| @cursor.foods.key?(other) && @diet.allows?(@cursor.foods[other]) }
        enough = allowed.select { |other, by| @cursor.free?(other) || enough?(other, grams * by) }
        return enough.first || allowed.first unless @diet.allows?(@foods[line.food_key])
        return enough.first unless enough?(line.food_key, grams)

        return if @cursor.turning(line.food_key, @on, @front_days).positive?

        # Only where what turns is enough: nobody opens a fresh tin to save half of another.
        enough.find { |other, by| @cursor.turning(other, @on, @front_days) >= grams * by }
      end

      # Nobody goes to the shop for the last three grams of bread.
      def enough?(key, grams) = @cursor.left(key, @on) >= grams * MAKE_DO

      def drawn(line, key, grams, substitute: false)
        left = @cursor.left(key, @on)
        grams = left if left < grams && left >= grams * MAKE_DO
        draw = @cursor.draw(key, grams, @on)
        DishLine.new(
          line: line,
          food_key: key,
          grams: grams,
          picks: draw.picks,
          missing: draw.missing,
          value_minor: draw.value_minor,
          substitute: substitute
        )
      end
    end
  end
end
