# frozen_string_literal: true

require_relative "../quantity/conversion"
require_relative "../value"

module NutShelf
  module Core
    module Trips
      # What is eaten at a meal of a day: a recipe for so many servings, so many of a bag, or a leftover of a recipe.
      # `good_until` of what is packed for it; `opened_earlier`: keys of foods that an earlier meal opened;
      # `leftover_hours`: hours since it was cooked, at the meal `from` [day, meal]; `batch`: so many meals are cooked
      # at once; `soaked`: water was poured on it the evening before. Frozen.
      Cell =
        Value.of(
          :day, :meal, :recipe, :servings, :assembly, :bags, :good_until, :leftover_hours, :from,
          batch: 1r, soaked: false,
          opened_earlier: [].freeze
        ) do
          # @return [String] key of the dish
          def dish = (recipe || assembly).key

          # @return [Boolean]
          def bag? = !assembly.nil?

          # @return [Boolean] whether water is boiled or something cooked for it
          def heated?
            return false if leftover?

            bag? ? assembly.water_heat == "boil" : recipe.gear != ["none"]
          end

          # @return [Boolean]
          def leftover? = !leftover_hours.nil?

          # @return [Array(Date, String)] day and meal its food is taken for
          def drawn_at = from || [day, meal]

          # @param catalog [Catalog]
          # @return [Array<Array(Food, Rational)>] its foods with their edible grams
          def foods(catalog)
            lines.map do |line|
              food = catalog.food(line.food_key)
              [food, Conversion.to(line.quantity, :mass, food).amount * times]
            end
          end

          # What a recipe can do without stays at home.
          # @return [Array<RecipeLine>]
          def lines = bag? ? assembly.lines : recipe.lines.reject(&:optional)

          # @return [Rational] how often what is written down is made
          def times = bag? ? bags.to_r : servings / recipe.servings
        end
    end
  end
end
