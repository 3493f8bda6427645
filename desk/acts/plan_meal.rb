# frozen_string_literal: true

require_relative "../act"
require_relative "../plan"
require_relative "../refusal"

module NutShelf
  module Desk
    # Puts a dish on a day.
    class PlanMeal < Act
      private

      # @param input [Hash] :recipe_id, :on, :meal, :servings (decimal text) or nil for the household's portions
      def perform(input)
        recipe = house.recipes.find(input[:recipe_id])
        on = Date.iso8601(input[:on])
        raise Refusal.of(:day_passed, at: "/on", day: on) if on < work.today

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
        raise Refusal.of(:dish_not_for, at: "/recipe_id", dish: recipe.name, person: clash.person, why: why)
      end

      def check_servings(text)
        return if text.nil? || text.to_r.between?(Rational(1, 10), 500)

        raise Refusal.of(:portions_out_of_range, at: "/servings")
      end
    end
  end
end
