# frozen_string_literal: true

require_relative "../core/planning/kept_portions"

module NutShelf
  module Desk
    # Portions that were cooked and wait in fridge and freezer, and how many of them no meal has yet.
    class WaitingPortions
      # @param work [UnitOfWork]
      # @param plan [Plan]
      def initialize(work, plan)
        @work = work
        @plan = plan
      end

      # @param besides [Array<Integer>] planned meals that do not count
      # @return [Array<Core::KeptPortions::Waiting>]
      def free(besides: [])
        taken = taken(besides)
        @work.shelf.stacks.each_value.select { |stack| portions?(stack) }.map do |stack|
          Core::KeptPortions::Waiting.new(
            stack: stack, doubtful: @plan.doubtful?(@work.shelf.foods.fetch(stack.food_key)),
            free: [(stack.free / (stack.pack_amount || 1r)) - taken.fetch(stack.id, 0r), 0r].max
          )
        end
      end

      private

      # A dish that was cooked here, counted in portions: rice by the gram is something to cook with.
      def portions?(stack)
        food = @work.shelf.foods.fetch(stack.food_key)
        food.aisle == "Home leftovers" && stack.dimension == :count && stack.noun == "portion" && !stack.set_apart?
      end

      def taken(besides)
        rows = @work.house.meals.waiting.reject { |row| besides.include?(row.id) }
        rows.group_by(&:lot_id).transform_values { |list| list.sum(0r, &:servings) }
      end
    end
  end
end
