# frozen_string_literal: true

require_relative "../core/rotation/pest_reach"

module NutShelf
  module Desk
    # What pests could reach in a place and nobody set apart yet.
    class AtRisk
      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @return [Array<Core::Stack>]
      def in_place(place_id)
        @work.stacks_in([place_id]).select do |stack|
          !stack.quarantined && Core::PestReach.reached?(stack, @work.food(stack.food_id))
        end
      end
    end
  end
end
