# frozen_string_literal: true

module NutShelf
  module Core
    # How long what is left of a dish waits for another meal: in the fridge for the days the dish says, in portions in
    # the freezer, where there is one and the dish can be frozen, for as long as the careful figure for cooked dishes.
    module Again
      # Days in the freezer, the low figure of cooked dishes in the keeping table.
      FROZEN = 60

      module_function

      # @param recipe [Recipe]
      # @param freezer [Boolean] whether the house has one
      # @return [Integer] days after its cook, 0 where it is eaten at once
      def days(recipe, freezer:)
        return 0 if recipe.leftover_days.zero?

        freezer && recipe.freezes ? [FROZEN, recipe.leftover_days].max : recipe.leftover_days
      end

      # @param recipe [Recipe]
      # @param cooked_on [Date]
      # @param on [Date] of the meal that has what is left
      # @return [Boolean] whether it has to be frozen until then
      def frozen?(recipe, cooked_on, on) = on > cooked_on + recipe.leftover_days
    end
  end
end
