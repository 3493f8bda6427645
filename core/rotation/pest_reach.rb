# frozen_string_literal: true

require_relative "../reference/wrapping"

module NutShelf
  module Core
    # What insects could get at: everything they eat that is in paper, card or thin plastic. Glass, tins and hard boxes
    # keep them out.
    module PestReach
      OPEN_TO_PESTS = %w[card paper thin_plastic].freeze

      module_function

      # @param stack [#container_id, #wrapping]
      # @param food [Food]
      # @return [Boolean]
      def reached?(stack, food)
        (food.pest_risk || food.food_group == "pet") && stack.container_id.nil? &&
          OPEN_TO_PESTS.include?(Wrapping.of(stack, food))
      end
    end
  end
end
