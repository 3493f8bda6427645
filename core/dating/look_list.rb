# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # Which short list a person goes through when looking at a stack, by its kind of pack.
    module LookList
      GRAIN_GROUPS = %w[grains].freeze
      # From the mildest to the worst.
      RESULTS = %i[good turning bad].freeze

      # One thing to look for, and what it means (:good, :turning or :bad). Frozen.
      Sign = Value.of(:sign, :means)

      module_function

      # @param food [Food]
      # @param situation [String] how it came into the house
      # @param frozen [Boolean]
      # @param wrapping [String] see Wrapping
      # @param open [Boolean] what is open tells nothing by its seal
      # @return [String] key of the list: "tin", "jar", "home_jar", "flour_grain", "frozen", "fresh", "open", "honey",
      #   "supply" or "other"
      def kind(food, situation:, frozen:, wrapping:, open: false)
        return "supply" if food.food_group == "supplies"
        return "frozen" if frozen
        return "honey" if food.class_key == "class-honey"
        return "open" if open && !fresh?(food, situation) && !dry_grain?(food)
        return "home_jar" if situation == "home_canned"
        return "tin" if wrapping == "tin"
        return "flour_grain" if dry_grain?(food)
        return "fresh" if fresh?(food, situation)

        wrapping == "glass" ? "jar" : "other"
      end

      # @param means [Array<Symbol>] of the signs that were seen
      # @return [Symbol] what they come to: the worst of them, :good when there is none
      def verdict(means) = %i[bad turning].find { |one| means.include?(one) } || :good

      # @return [Boolean] whether weevils and moths like it
      def dry_grain?(food) = food.pest_risk && (GRAIN_GROUPS.include?(food.food_group) || food.aisle == "Dried pulses")

      # @return [Boolean] whether it spoils within days, whatever it is wrapped in
      def fresh?(food, situation)
        food.aisle.start_with?("Fresh") ||
          ["Meat and fish", "Dairy and eggs", "Bread", "Home leftovers"].include?(food.aisle) ||
          %w[left_over cooked].include?(situation)
      end
    end
  end
end
