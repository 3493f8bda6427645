# frozen_string_literal: true

module NutShelf
  module Core
    # What a pack is wrapped in: what somebody said, else the usual wrapping of that food, else of its aisle.
    module Wrapping
      AISLES = {
        "Tins and cans" => "tin", "Jars and sauces" => "glass", "Grains and pasta" => "thin_plastic",
        "Baking" => "paper", "Breakfast" => "card", "Dried pulses" => "thin_plastic",
        "Dried fruit, nuts and seeds" => "thin_plastic", "Snacks" => "thin_plastic", "Frozen" => "thin_plastic",
        "Dried and trail foods" => "thin_plastic", "Fresh fruit" => "loose", "Fresh vegetables" => "loose",
        "Dairy and eggs" => "plastic", "Meat and fish" => "plastic", "Drinks" => "carton",
        "Home leftovers" => "plastic"
      }.freeze

      module_function

      # @param stack [#wrapping]
      # @param food [Food]
      # @return [String]
      def of(stack, food)
        stack.wrapping || usual(food)
      end

      # @param food [Food]
      # @return [String] of a pack of which nobody said
      def usual(food)
        return food.packing.wrapping if food.packing.wrapping
        return "glass" if food.fragile_glass_common
        return "card" if food.dimension == :count && food.pest_risk

        AISLES.fetch(food.aisle, "thin_plastic")
      end
    end
  end
end
