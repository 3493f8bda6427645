# frozen_string_literal: true

module NutShelf
  module Desk
    # The food a cooked dish becomes when some of it is kept: it has the keeping rules of its home-made class.
    class DishFood
      MEAT = ["Meat and fish"].freeze

      # @param room [Room]
      # @param entry [Entry] of the act that keeps some of a dish
      def initialize(room, entry)
        @room = room
        @entry = entry
      end

      # @param recipe [Core::Recipe]
      # @param foods [Array<Core::Food>] what really went in
      # @return [Integer] food id
      def ensure(recipe, foods = [])
        allergens = allergens(recipe, foods)
        # What stood in for what may hold something else, and then it is another food to whoever may not have it.
        key = ["dish", recipe.key, *(allergens - allergens(recipe, []))].join("-")
        known = @room.house.foods.by_key([key])[key]
        return known[:id] if known

        facts = {
          key: key,
          name: recipe.name,
          class_key: home_class(recipe),
          aisle: "Home leftovers",
          food_group: "protein",
          dimension: "count",
          allergens: allergens
        }
        @room.house.foods.add(**facts).tap { |id| @entry.made("food", id, facts) }
      end

      private

      def allergens(recipe, foods)
        [*recipe.lines.filter_map { |line| @room.catalog.foods[line.food_key] }, *foods].flat_map(&:allergens).uniq.sort
      end

      def home_class(recipe)
        meat = recipe.lines.any? { |line| MEAT.include?(@room.catalog.foods[line.food_key]&.aisle) }
        meat ? "class-cooked-meat-dish" : "class-cooked-soup-stew"
      end
    end
  end
end
