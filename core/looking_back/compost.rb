# frozen_string_literal: true

module NutShelf
  module Core
    # What goes onto a heap: raw plants and what is made of them alone. Cooked dishes, meat, fish, milk, eggs, fat and
    # what holds any of them draw rats.
    module Compost
      GROUPS = %w[vegetables fruit grains drinks].freeze
      DISHES = ["Home leftovers"].freeze
      DRAWING_RATS = %w[milk eggs egg fish crustaceans molluscs].freeze

      module_function

      # @param food [#food_group, #aisle, #allergens]
      # @return [Boolean]
      def fits?(food)
        return false unless GROUPS.include?(food.food_group) && !DISHES.include?(food.aisle)

        !food.allergens.to_a.intersect?(DRAWING_RATS)
      end
    end
  end
end
