# frozen_string_literal: true

require_relative "../planner/problem"
require_relative "../value"

module NutShelf
  module Core
    # Portions that were cooked before and wait, as meals the planner may choose: a dish that draws on one stack. Hardly
    # any work; what of it does not go round is made up with bread.
    class KeptPortions
      # A stack of portions and how many of them nobody planned yet; `doubtful`: nobody knows all that is in them.
      # Frozen.
      Waiting = Value.of(:stack, :free, doubtful: false)

      MEALS = %w[lunch dinner].freeze
      MINUTES = 5
      # Coins for each portion that is short at the table.
      SHORT = 6r

      # @param list [Array<Waiting>]
      # @param foods [Hash{String=>Food}]
      # @param plan_foods [PlanFoods]
      def initialize(list, foods, plan_foods)
        @foods = foods
        @plan_foods = plan_foods
        @list = list.select { |one| one.free.positive? && plan_foods.last_good(one.stack) }
        @by_id = @list.to_h { |one| [one.stack.id, one] }
      end

      # @param excludes [Array<String>] of a table
      # @return [Array<Waiting>] that it may have
      def for_table(excludes)
        @list.reject { |one| allergens(one).intersect?(excludes) || (one.doubtful && excludes.any?) }
      end

      # @param lot_id [Integer]
      # @return [Waiting]
      def fetch(lot_id) = @by_id.fetch(lot_id)

      # @param one [Waiting]
      # @return [Array<String>]
      def allergens(one) = @foods.fetch(one.stack.food_key).allergens

      # @param number [Integer] of its food in the problem
      # @return [Planner::Dish]
      def dish(number)
        Planner::Dish.new(
          minutes: MINUTES, keeps_days: 0, liking: 1/2r, meals: MEALS,
          lines: [Planner::Line.new(food: number, quantity: 1r)].freeze
        )
      end

      # @param one [Waiting]
      # @return [Planner::Food] in portions
      def food(one)
        stack = one.stack
        Planner::Food.new(price: SHORT, lots: [
          Planner::Lot.new(
            quantity: one.free, last_good: @plan_foods.last_good(stack),
            unit_cost: stack.value_minor / PlanFoods::MINOR / [stack.on_hand, 1r].max
          )
        ].freeze)
      end

      # What is frozen needs a night to thaw, and without power nothing is heated.
      # @param lot_id [Integer]
      # @param slot [MealSlot]
      # @param today [Date]
      # @return [Boolean]
      def fits?(lot_id, slot, today)
        frozen = fetch(lot_id).stack.in_freezer
        MEALS.include?(slot.meal) && slot.evening != "no_power" && !(frozen && slot.on <= today)
      end
    end
  end
end
