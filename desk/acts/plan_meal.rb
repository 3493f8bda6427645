# frozen_string_literal: true

require_relative "../act"
require_relative "../plan"

module NutShelf
  module Desk
    # Puts a dish on a day.
    class PlanMeal < Act
      private

      # @param input [Hash] :recipe_id, :on, :meal, :servings (decimal text) or nil for the household's portions
      def perform(input)
        recipe = house.recipes.find(input[:recipe_id])
        on = Date.iso8601(input[:on])
        if on < work.today
          raise Invalid.new(
            "#{on} has passed.",
            code: "invalid",
            pointer: "/on",
            remedy: "Choose today or a later day."
          )
        end

        check_servings(input[:servings])
        check_eaters(recipe, on)
        planned = entry("plan_meal", "Put #{recipe.name} on #{on.strftime("%a %-d %b")}")
        done(planned, meal_id: planned.make("meal", facts(input, recipe, on)))
      end

      def facts(input, recipe, on)
        {
          on_date: on,
          meal: input[:meal] || recipe.meal,
          recipe_id: input[:recipe_id],
          servings: input[:servings]&.to_r || house.household.portions,
          status: "planned"
        }
      end

      # Nobody is served what they may not have.
      def check_eaters(recipe, on)
        plan = Plan.new(work)
        clash =
          Core::Dish
            .plan(recipe, servings: plan.servings, cursor: plan.cursor, on: on, diet: plan.diet)
            .clashes
            .first or return
        why = clash.words(plan.shelf.foods.fetch(clash.food_key).name)
        raise Conflict.new(
          "#{recipe.name} is not for #{clash.person}: #{why}",
          code: "not_for",
          pointer: "/recipe_id",
          remedy: "Choose another dish, or say under People who eats along."
        )
      end

      def check_servings(text)
        return if text.nil? || text.to_r.between?(Rational(1, 10), 500)

        raise Invalid.new(
          "So many portions cannot be cooked.", code: "invalid", pointer: "/servings",
          remedy: "Say a number from 0.1 to 500."
        )
      end
    end
  end
end
