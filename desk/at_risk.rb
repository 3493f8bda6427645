# frozen_string_literal: true

require_relative "wrapping"

module NutShelf
  module Desk
    # What pests could reach in a place: everything in paper, card or thin plastic that insects eat, and was not set
    # apart already. Glass, tins and hard boxes keep them out.
    class AtRisk
      OPEN_TO_PESTS = %w[card paper thin_plastic].freeze

      # @param room [Room]
      def initialize(room)
        @room = room
      end

      # @return [Array<Core::Stack>]
      def in_place(place_id) = @room.stacks_in([place_id]).reject(&:quarantined).select { |stack| reached?(stack) }

      private

      def reached?(stack)
        food = @room.food(stack.food_id)
        (food.pest_risk || food.food_group == "pet") && stack.container_id.nil? &&
          OPEN_TO_PESTS.include?(Wrapping.of(stack, food))
      end
    end
  end
end
