# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Takes a planned meal off its day.
    class DropMeal < Act
      private

      # @param input [Hash] :meal_id
      def perform(input)
        meal = house.records.lock("meal", input[:meal_id])
        raise Refusal.of(:meal_settled, status: meal.status) unless meal.status == "planned"

        dropped = entry("drop_meal", "Dropped #{house.recipes.find(meal.recipe_id).name}")
        dropped.alter("meal", meal, { status: "dropped" })
        done(dropped, meal_id: meal.id)
      end
    end
  end
end
