# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What a cooked dish is as a food, when some of it is kept: `key`, the home-made class whose keeping rules it has,
    # and the allergens of all that went in. Frozen.
    KeptDish =
      Value.of(:key, :class_key, :allergens) do
        # @param recipe [Recipe]
        # @param catalog [Catalog]
        # @param foods [Array<Food>] what really went in, besides what the recipe names
        # @return [KeptDish] what stood in for what may hold something else makes it another food to whoever may not
        #   have it
        def self.of(recipe, catalog, foods = [])
          named = recipe.lines.filter_map { |line| catalog.foods[line.food_key] }
          known = allergens(named)
          all = allergens([*named, *foods])
          new(key: ["dish", recipe.key, *(all - known)].join("-"), class_key: home_class(named), allergens: all)
        end

        # @return [Array<String>]
        def self.allergens(foods) = foods.flat_map(&:allergens).uniq.sort.freeze

        # @return [String] key of the class
        def self.home_class(foods)
          foods.any? { |food| food.aisle == "Meat and fish" } ? "class-cooked-meat-dish" : "class-cooked-soup-stew"
        end
      end
  end
end
