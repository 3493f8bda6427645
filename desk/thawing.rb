# frozen_string_literal: true

require_relative "../core/planning/thaw"
require_relative "../core/value"

module NutShelf
  module Desk
    # What has to come out of the freezer, and when, for the meals that are planned.
    class Thawing
      # @param work [UnitOfWork]
      # @param plan [Plan]
      def initialize(work, plan)
        @work = work
        @plan = plan
      end

      # What comes out, on what day (by the evening), for which meal and its day, and the hours it takes; `late`: it
      # will not have thawed in the fridge by then. Frozen.
      Task = Core::Value.of(:on, :lot_id, :name, :amount, :place, :meal_id, :meal, :hours, :for_on, late: false)

      # @return [Array<Task>]
      def tasks = [*ingredients, *@plan.waiting.filter_map { |row| portions(row) }]

      private

      def ingredients
        @plan.coming.flat_map do |meal|
          lines = @plan.dish(meal.id).lines.reject { |line| meal.recipe.from_frozen?(food(line.food_key)) }
          lines.flat_map { |line| @plan.picks(line).filter_map { |pick| task(meal, pick) } }
        end
      end

      # Portions of a dish come out the evening before, whatever they weigh.
      def portions(row)
        stack = @plan.shelf.stacks[row.lot_id]
        return unless stack&.in_freezer && !food(stack.food_key).from_frozen?

        Task.new(
          on: [row.on_date - 1, @work.today].max, lot_id: stack.id, name: stack.name(food(stack.food_key)),
          amount: @work.loose_words(stack, row.servings * (stack.pack_amount || 1r)), place: stack.place,
          meal_id: row.id, meal: row.meal.capitalize, hours: Core::Thaw::A_NIGHT, for_on: row.on_date,
          late: row.on_date - 1 < @work.today
        )
      end

      def food(key) = @plan.shelf.foods.fetch(key)

      def task(meal, pick)
        stack = pick.stack
        food = food(stack.food_key)
        return unless stack.in_freezer && food.thaw_hours_fridge&.positive?

        on, hours = Core::Thaw.start(on: meal.on, grams: pick.amount, hours_per_kg: food.thaw_hours_fridge)
        Task.new(
          on: [on, @work.today].max,
          lot_id: stack.id,
          name: stack.name(food),
          amount: @work.loose_words(stack, @plan.proposal(pick)),
          place: stack.place,
          meal_id: meal.id,
          meal: @plan.name_of(meal),
          hours: hours,
          for_on: meal.on,
          late: on < @work.today
        )
      end
    end
  end
end
