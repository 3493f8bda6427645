# frozen_string_literal: true

require_relative "../../core/quantity/hand_words"
require_relative "../../desk/eat_down"

module NutShelf
  module Api
    # Days without shopping as JSON. Needs no connection.
    class EatDownView
      # @param eat_down [Desk::EatDown] ready
      # @param days [Integer]
      def initialize(eat_down, days)
        @eat_down = eat_down
        @days = days
      end

      # @param seconds [Float] for the search
      # @return [Hash]
      def call(seconds)
        found = @eat_down.call(seconds: seconds)
        {
          days: @days, lasts: found.lasts, covered: found.covered, possible: found.lasts == @days,
          replace: @eat_down.replaced, planned: found.standing.map { |row, dish| planned(row, dish) },
          meals: found.meals.each_with_index.map { |one, at| meal(one, at, found) },
          open: found.open.map { |slot| { on: slot.on.iso8601, meal: slot.meal } }, from_shelf_minor: found.from_shelf,
          gives_out: found.gives_out.map { |key, on| { food: foods.fetch(key).name, on: on.iso8601 } }
        }
      end

      private

      def foods = @eat_down.plan.shelf.foods

      def meal(one, at, found)
        dish = found.dishes[@eat_down.key(at)]
        missing = dish ? @eat_down.missing(dish) : []
        { **@eat_down.filling.told(one, among: found.meals), missing: missing.map { |line| words(line) } }
      end

      def planned(row, dish)
        name = dish ? dish.name(foods) : row.recipe_name || row.kind
        {
          on: row.on_date.iso8601, meal: row.meal, name: name,
          missing: dish ? @eat_down.missing(dish).map { |line| words(line) } : []
        }
      end

      def words(line)
        food = foods.fetch(line.food_key)
        amount = Core::HandWords.counted(line.missing, food)
        "#{Core::Measures.of("metric").free(Core::Proposal.need(amount, food))} #{food.name}"
      end
    end
  end
end
