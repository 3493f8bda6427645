# frozen_string_literal: true

require_relative "../core/rotation/pest_reach"

module NutShelf
  module Desk
    # What pests could reach in a place and nobody set apart yet.
    class AtRisk
      # @param room [Room]
      def initialize(room)
        @room = room
      end

      # @return [Array<Core::Stack>]
      def in_place(place_id)
        @room.stacks_in([place_id]).select do |stack|
          !stack.quarantined && Core::PestReach.reached?(stack, @room.food(stack.food_id))
        end
      end
    end
  end
end
