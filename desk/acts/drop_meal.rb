# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Takes a planned meal off its day; meals of its leftovers go with it.
    class DropMeal < Act
      WORDS = {
        "leftovers" => "the leftovers", "kept" => "the portions", "out" => "the meal out",
        "whatever" => "whatever is left"
      }.freeze

      private

      # @param input [Hash] :meal_id
      def perform(input)
        meal = house.records.lock("meal", input[:meal_id])
        raise Refusal.of(:meal_settled, status: meal.status) unless meal.status == "planned"

        name = house.meals.listed_one(meal.id).recipe_name || WORDS.fetch(meal.kind)
        dropped = entry("drop_meal", "Dropped #{name}")
        [meal, *house.meals.fed_by(meal.id)].each { |one| dropped.alter("meal", one, { status: "dropped" }) }
        done(dropped, meal_id: meal.id)
      end
    end
  end
end
