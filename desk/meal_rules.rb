# frozen_string_literal: true

require_relative "../core/planning/again"
require_relative "../core/planning/dish"
require_relative "plan"
require_relative "refusal"
require_relative "slots"

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
      # @param slots [Core::MealSlot, Array<Core::MealSlot>] whose tables it is cooked for
      # @param choices [Hash] food of a line to the one that stands in
      # @param at [String] JSON pointer
      # @raise [Conflict] naming the person and the food
      def eaters(recipe, slots, choices, at:)
        slots = Array(slots)
        dish = Core::Dish.plan(
          recipe, servings: [slots.sum(0r, &:servings), 1r].max, cursor: @plan.cursor, diet: Core::MealSlot.diet(slots),
          on: [slots.map(&:on).min, @work.today].max, choices: choices.transform_keys(&:to_s)
        )
        clash = dish.clashes.first or return
        why = clash.words(@plan.shelf.foods.fetch(clash.food_key).name)
        raise Refusal.of(:dish_not_for, at: at, dish: recipe.name, person: clash.person, why: why)
      end

      # Portions of a stack, at a table and on a day.
      # @param lot [Store::Rows::Lot]
      # @param slot [Core::MealSlot]
      # @param on [Date, nil]
      # @param at [String] JSON pointer
      # @raise [Conflict] for somebody who may not have it, or a day when it is past
      def portions(lot, slot, on, at:)
        food = @work.food(lot.food_id)
        stack = @work.stacks([lot.id]).first
        name = lot.name(food)
        if on && !stack.eligible?(on, allow_look: !slot.strict?, strict: slot.strict?)
          raise Refusal.of(:past_by_then, at: at, food: name)
        end

        clash = slot.diet.clashes(food).first or return
        raise Refusal.of(:dish_not_for, at: at, dish: name, person: clash.person, why: clash.words(food.name))
      end

      # @param recipe [Core::Recipe, nil] of the cook
      # @param cooked_on [Date, nil]
      # @param on [Date]
      # @param slots [Array<Core::MealSlot>] the table it is cooked for and the one that has the leftovers: what is
      #   eaten twice is cooked for both
      # @param choices [Hash] of the cook
      # @param at [String] JSON pointer
      # @raise [Invalid, Conflict]
      def leftovers(recipe, cooked_on, on, slots, at:, choices: {})
        raise Refusal.of(:leftovers_of_nothing, at: at) unless recipe
        raise Refusal.of(:leftovers_before_cook, at: at, dish: recipe.name, day: cooked_on) if on < cooked_on

        days = Core::Again.days(recipe, freezer: !@work.freezer.nil?)
        if days.zero? || on > cooked_on + days
          raise Refusal.of(:leftovers_too_old, at: at, dish: recipe.name, days: Core::Words.days(days))
        end

        eaters(recipe, slots, choices, at: at)
      end

      # @param id [Integer] of a meal
      # What was cooked already was cooked for its own table: what is left of it is a stack, and planned as portions.
      # @return [Store::Rows::Meal] that is to be cooked
      def cook_of(id)
        meal = @work.house.records.lock("meal", id)
        return meal if meal.kind == "cook" && meal.on_date && meal.status == "planned"

        raise Refusal.of(:leftovers_of_nothing, at: "/from_meal_id")
      end

      # @param cook [Store::Rows::Meal]
      # @param on [Date]
      # @param slot [Core::MealSlot] that has the leftovers
      # @param at [String] JSON pointer
      # @return [Core::Recipe]
      # @raise [Invalid, Conflict] see leftovers
      def again(cook, on, slot, at:)
        recipe = @work.house.recipes.find(cook.recipe_id)
        own = Slots.new(@work).of(cook.on_date, cook.meal)
        leftovers(recipe, cook.on_date, on, [own, slot], choices: cook.choices, at: at)
        recipe
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
