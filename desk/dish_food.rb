# frozen_string_literal: true

require_relative "../core/planning/kept_dish"
require_relative "own_food"

module NutShelf
  module Desk
    # The food a cooked dish becomes when some of it is kept.
    class DishFood
      # By whose figures cooked food is dated that has none of its own.
      COOKED = "class-cooked-meat-dish"

      # @param work [UnitOfWork]
      # @param entry [Entry] of the act that keeps some of a dish
      def initialize(work, entry)
        @work = work
        @entry = entry
      end

      # @param recipe [Core::Recipe]
      # @param foods [Array<Core::Food>] what really went in
      # @return [Integer] food id
      def ensure(recipe, foods = [])
        kept = Core::KeptDish.of(recipe, @work.catalog, foods)
        add(**kept.to_h, name: recipe.name, aisle: "Home leftovers", food_group: "protein", dimension: "count")
      end

      # @param food [Core::Food]
      # @param allergens [Array<String>] that it holds besides
      # @return [Integer] id of a food that says so
      def like(food, allergens)
        add(
          key: ["made", food.key, *allergens].join("-"), name: "#{food.name}, with #{allergens.join(", ")}",
          allergens: (food.allergens + allergens).uniq.sort, class_key: food.class_key || COOKED,
          **food.slice(:aisle, :food_group),
          dimension: food.dimension.to_s
        )
      end

      # What a dish made of which nobody knows all that went in: nothing to cook with for everybody.
      # @param recipe [Core::Recipe]
      # @param food [Core::Food]
      # @return [Integer] id of a food of that dish alone
      def part_of(recipe, food)
        add(
          key: ["dish", recipe.key, "made", food.key].join("-"), name: "#{food.name}, of #{recipe.name}",
          allergens: Core::KeptDish.of(recipe, @work.catalog).allergens, class_key: food.class_key || COOKED,
          **food.slice(:aisle, :food_group), dimension: food.dimension.to_s
        )
      end

      private

      def add(**facts) = OwnFood.ensure(@work, @entry, **facts)
    end
  end
end
