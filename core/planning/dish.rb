# frozen_string_literal: true

require_relative "diet"
require_relative "dish_draw"
require_relative "dish_name"
require_relative "../rotation/shelf"
require_relative "../reference/recipe"
require_relative "../value"

module NutShelf
  module Core
    # One recipe against the shelf: what it takes from where, what is missing, what it rescues, and who may not eat it.
    # Frozen.
    Dish =
      Value.of(:recipe, :servings, :on, :front_days, :lines, :clashes, doubts: [].freeze) do
        # @param recipe [Recipe]
        # @param servings [Rational] usual portions to cook
        # @param cursor [Cursor] drawn down by this
        # @param on [Date] day of the meal
        # @param front_days [Integer] stacks that turn within so many days count as rescued
        # @param diet [Diet] of those who eat along
        # @param choices [Hash{String=>String, nil}] food of a line to the one that stands in, nil: left out
        # @return [Dish]
        def self.plan(recipe, servings:, cursor:, on:, front_days: 7, diet: Diet.new, choices: {})
          draw =
            DishDraw.new(
              recipe, servings: servings, cursor: cursor, on: on, front_days: front_days, diet: diet, choices: choices
            )
          lines = draw.lines
          clashes = lines.flat_map { |line| diet.clashes(cursor.foods[line.food_key]) }
          new(
            recipe: recipe,
            servings: servings,
            on: on,
            front_days: front_days,
            lines: lines,
            clashes: clashes.uniq { |one| [one.person, one.allergen] }.freeze,
            doubts: diet.careful? && recipe.doubtful? ? [doubt(recipe)].freeze : [].freeze
          )
        end

        # Of a line nobody matched to a food nobody knows what it holds: said to those who may not have something.
        # @return [String]
        def self.doubt(recipe)
          "Nobody knows what this holds: #{recipe.unknown.join("; ")}. Look before you cook it for this table."
        end

        # @param foods [Hash{String=>Food}]
        # @return [String] what it is called as it would be cooked here
        def name(foods)
          DishName.of(recipe.name, substituted.map { |line| [foods[line.line.food_key], foods[line.food_key]] })
        end

        # @return [Boolean] whether somebody who eats along may not have it, whatever stands in for what
        def shut? = clashes.any?

        # @return [Rational] share of the needed weight that is on the shelf, 0 to 1
        def covered
          needed = lines.reject { |line| line.line.optional || line.food_key == Shelf::TAP }
          grams = needed.sum(0r, &:grams)
          return 1r if grams.zero?

          1 - (needed.sum(0r, &:missing) / grams)
        end

        # @return [Integer] the same in whole percent, never rounded up to what is not there
        def covered_percent = (covered * 100).floor

        # @param foods [Hash{String=>Food}]
        # @return [Array<String>] what it holds as it would be cooked here
        def allergens(foods) = lines.flat_map { |line| foods[line.food_key]&.allergens.to_a }.uniq.sort

        # @return [Integer] minor units of stock that turns within the front window
        def rescued_minor = rescued_picks.sum { |_, _, value| value }

        # What would be lost, weighed by the days it has left: all of it on its last day, next to nothing at the far
        # end of the window. What is past its date already has nothing left to rescue.
        # @return [Integer] minor units
        def urgency_minor
          rescued_picks
            .sum do |_, pick, value|
              value * (front_days + 1 - (pick.stack.usable_until - on).to_i) / Rational(front_days + 1)
            end
            .round
        end

        # @return [Array<Array(String, Pick, Integer)>] food key, pick and its value, what turns first ahead
        def rescued_picks
          lines
            .flat_map do |line|
              line.picks.select { |pick| turning?(pick.stack) }.map { |pick| [line.food_key, pick, share(line, pick)] }
            end
            .sort_by { |_, pick, _| pick.stack.usable_until }
        end

        # @return [Array<Line>] needed lines that the shelf does not cover
        def missing = lines.select { |line| !line.line.optional && line.missing.positive? }

        # @return [Array<Line>] lines for which another food stands in
        def substituted = lines.select(&:substitute)

        # @return [Integer] what the picks are worth
        def value_minor = lines.sum(&:value_minor)

        private

        def turning?(stack) = stack.usable_until&.between?(on, on + front_days)

        def share(line, pick)
          grams = line.picks.sum(0r, &:amount)
          grams.zero? ? 0 : (line.value_minor * pick.amount / grams).round
        end
      end
  end
end
