# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # The lines of a kit, in the order they are closed and dealt in: litres of water, grams of formula powder, kcal
      # for animals, servings by group, kcal and grams of protein for people.
      module Lines
        SERVINGS = %w[grains vegetables fruit dairy protein fat sweets drinks].freeze
        ALL = ["water", "formula", "dog", "cat", *SERVINGS, "kcal", "protein_g"].freeze
        # Oil, sugar and drinks alone are no meal.
        EXTRAS = %w[fat sweets condiments drinks].freeze

        # How people call them.
        WORDS = {
          "water" => "Water", "formula" => "Infant formula", "dog" => "Food for dogs", "cat" => "Food for cats",
          "grains" => "Grains", "vegetables" => "Vegetables", "fruit" => "Fruit", "dairy" => "Milk and the like",
          "protein" => "Pulses, fish and meat",
          "fat" => "Oil and fat", "sweets" => "Sweets", "drinks" => "Other drinks",
          "kcal" => "Energy", "protein_g" => "Protein"
        }.freeze

        module_function

        # @param line [String] of ALL
        # @return [String]
        def words(line) = WORDS.fetch(line)

        # @param food [Food]
        # @return [String] where a food stands among the lines: its species, its group, "formula", "water", or "other"
        def of(food)
          return food.pet if food.pet
          return "formula" if food.formula?
          return "water" if food.food_group == "water"

          food.kit_group || "other"
        end
      end
    end
  end
end
