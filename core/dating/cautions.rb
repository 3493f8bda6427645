# frozen_string_literal: true

require_relative "rules_in_place"

module NutShelf
  module Core
    # Short and plain cautions, where the decision is made: only those that apply to this food as it stands, each once.
    module Cautions
      DOUBT = "When in doubt, throw it out. Follow your local food-safety authority."
      TINS = "Bulging, leaking, spurting or rusted through: do not taste it, throw it out."
      BOTTLED = "Only by a tested procedure from an authority; one that nobody can name is thrown out."
      TWO_HOURS = "Two hours out of the cold at most, one when it is very hot."

      module_function

      # @param food [Food]
      # @param perishable [Boolean] whether germs grow in it as it stands, see RulesInPlace#perishable?
      # @param situation [String] how it came into the house
      # @param sealed [Boolean]
      # @param warned [Array<String>] codes of the stack's warnings: what they say is not said again
      # @return [Array<String>] empty where none applies
      def of(food, perishable:, situation: "bought_sealed", sealed: true, warned: [])
        return [] if food.food_group == "supplies"

        list = [
          *(TINS if food.aisle == "Tins and cans" && sealed),
          *(BOTTLED if situation == "home_canned"),
          *("#{food.vulnerable_avoid.chomp(".")}." unless food.vulnerable_avoid.to_s.empty?),
          *(TWO_HOURS if perishable && !warned.include?("two_hours"))
        ]
        list.empty? && warned.empty? ? [] : [*list, DOUBT]
      end
    end
  end
end
