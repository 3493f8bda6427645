# frozen_string_literal: true

module NutShelf
  module Core
    # When frozen food has to come out, so that it has thawed in the fridge by the day of its meal.
    module Thaw
      A_NIGHT = 12
      USUAL_HOURS_PER_KG = 20

      module_function

      # @param on [Date] day of the meal
      # @param grams [Rational]
      # @param hours_per_kg [Rational, nil] of the food; nil: the usual figure
      # @return [Array(Date, Integer)] day to take it out, by the evening, and the hours it needs
      def start(on:, grams:, hours_per_kg: nil)
        hours = [((hours_per_kg || USUAL_HOURS_PER_KG) * grams / 1000).ceil, A_NIGHT].max
        # Out in the evening before counts as a night; each further day is another 24 hours.
        [on - (1 + ([hours - A_NIGHT, 0].max / 24.0).ceil), hours]
      end
    end
  end
end
