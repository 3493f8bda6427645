# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # The three meals of a day out of a kit: their share of its energy, and what suits them.
      module MealOfDay
        SHARES = { "morning" => Rational(1, 4), "midday" => Rational(7, 20), "evening" => Rational(2, 5) }.freeze
        GROUPS = {
          "morning" => %w[fruit dairy sweets drinks], "midday" => %w[protein vegetables fruit fat sweets],
          "evening" => %w[protein vegetables dairy fat sweets]
        }.freeze
        ANY_TIME = %w[Bread Snacks].freeze

        module_function

        # @param food [Food]
        # @param meal [String] of SHARES
        # @return [Boolean]
        def suits?(food, meal)
          return grain_suits?(food, meal) if food.kit_group == "grains"

          food.kit_group.nil? || GROUPS.fetch(meal).include?(food.kit_group)
        end

        # @return [Boolean] whether a grain suits: porridge in the morning, rice later, bread always
        def grain_suits?(food, meal)
          return true if ANY_TIME.include?(food.aisle)

          food.aisle == "Breakfast" ? meal == "morning" : meal != "morning"
        end
      end
    end
  end
end
