# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # Somebody a kit is for: `age` in whole years on the first day and `kg`, nil where nobody said; `sex` :woman, :man
      # or nil; `factor` of a usual helping; `activity` :rest, :light, :hiking or :hard, nil for that of the kit;
      # `excludes`: allergens, keys of foods, animals ("meat", "fish"), or "animal" for all of them. Frozen.
      Person =
        Value.of(
          :name, :age, :sex, :kg, :activity,
          factor: 1r, pregnant: false, nursing: false, formula_fed: false, excludes: [].freeze, dislikes: [].freeze
        ) do
          # @return [Boolean] whether they are in their first year: no energy, no servings, feeds alone
          def infant? = !age.nil? && age < 1

          # @param food [Food]
          # @param disliked [Boolean] whether they eat what they do not like
          # @return [Boolean]
          def eats?(food, disliked: false)
            return true if food.food_group == "water"
            return infant? && formula_fed if food.formula?
            return false if infant? || food.pet
            return false if !disliked && dislikes.include?(food.key)

            excludes.none? { |word| Person.told_by?(food, word) }
          end

          # @param food [Food]
          # @param word [String] an allergen, a key of a food, an animal, or "animal"
          # @return [Boolean] whether the word is about that food
          def self.told_by?(food, word)
            food.key == word || food.allergens.include?(word) || food.animal_kinds.include?(word) ||
              (word == "animal" && !food.animal_kinds.empty?)
          end
        end

      # An animal of the house: `species` "cat", "dog" or another word, `kg` nil where nobody said. Frozen.
      Pet = Value.of(:name, :species, :kg)
    end
  end
end
