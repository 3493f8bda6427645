# frozen_string_literal: true

require_relative "../core/planning/dish"
require_relative "plan"
require_relative "refusal"

module NutShelf
  module Desk
    # What no plan may break, whoever makes it: nobody is served what they may not have, and leftovers are eaten after
    # their cook and within the days they keep.
    class MealRules
      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
        @plan = Plan.new(work)
      end

      # @param recipe [Core::Recipe]
      # @param slot [Core::MealSlot] whose table it is
      # @param choices [Hash] food of a line to the one that stands in
      # @param at [String] JSON pointer
      # @raise [Conflict] naming the person and the food
      def eaters(recipe, slot, choices, at:)
        dish = Core::Dish.plan(
          recipe, servings: [slot.servings, 1r].max, cursor: @plan.cursor, on: [slot.on, @work.today].compact.max,
          diet: slot.diet, choices: choices.transform_keys(&:to_s)
        )
        clash = dish.clashes.first or return
        why = clash.words(@plan.shelf.foods.fetch(clash.food_key).name)
        raise Refusal.of(:dish_not_for, at: at, dish: recipe.name, person: clash.person, why: why)
      end

      # @param recipe [Core::Recipe, nil] of the cook
      # @param cooked_on [Date, nil]
      # @param on [Date]
      # @param slot [Core::MealSlot]
      # @param at [String] JSON pointer
      # @raise [Invalid, Conflict]
      def leftovers(recipe, cooked_on, on, slot, at:)
        raise Refusal.of(:leftovers_of_nothing, at: at) unless recipe
        raise Refusal.of(:leftovers_before_cook, at: at, dish: recipe.name, day: cooked_on) if on < cooked_on

        days = recipe.leftover_days
        if days.zero? || on > cooked_on + days
          raise Refusal.of(:leftovers_too_old, at: at, dish: recipe.name, days: Core::Words.days(days))
        end

        eaters(recipe, slot, {}, at: at)
      end

      # @param id [Integer] of a meal
      # @return [Array(Integer, Date, Core::Recipe)] its id, its day and its dish
      def cook_of(id)
        meal = @work.house.records.lock("meal", id)
        raise Refusal.of(:leftovers_of_nothing, at: "/from_meal_id") unless meal.kind == "cook" && meal.on_date &&
          meal.status != "dropped"

        [meal.id, meal.on_date, @work.house.recipes.find(meal.recipe_id)]
      end

      # @param recipe [Core::Recipe]
      # @param said [Hash] food of a line to the food that stands in, nil: left out
      # @return [Hash{String=>String, nil}] those the dish knows
      # @raise [Invalid] for a food that cannot stand in
      def choices(recipe, said)
        said.to_h do |line_key, key|
          line = recipe.lines.find { |one| one.food_key == line_key.to_s }
          known = line && (key.nil? ? line.optional : key == line.food_key || line.substitutes.key?(key))
          raise Refusal.of(:no_such_choice, at: "/choices", dish: recipe.name) unless known

          [line.food_key, key]
        end
      end
    end
  end
end
