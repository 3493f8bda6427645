# frozen_string_literal: true

require_relative "../core/quantity/hand_words"
require_relative "../core/value"
require_relative "plan"

module NutShelf
  module Desk
    # What has to be begun before the meal it is for: dried pulses are soaked the evening before, what stands for hours
    # is begun that morning, or the evening before where it stands overnight. What is too late is said, so that another
    # dish can be chosen in time.
    class Preparations
      # `kind`: "soak" or "start"; `on`: the day it is done; `late`: that day has passed. Frozen.
      Task = Core::Value.of(:kind, :on, :text, :meal_id, :meal, :for_on, :late)

      # Beans that soak for less than this can go in on the day.
      OVERNIGHT = 6
      # A dish that stands for so many minutes is begun in the morning; where the morning is not early enough for its
      # meal, the evening before.
      LONG = 150
      FROM_THE_MORNING = { "breakfast" => 0, "lunch" => 240, "snack" => 420, "dinner" => 600 }.freeze

      # @param work [UnitOfWork]
      # @param plan [Plan]
      def initialize(work, plan)
        @work = work
        @plan = plan
      end

      # @return [Array<Task>] of the coming meals, first day first
      def tasks
        @plan.coming.flat_map { |meal| [*soaks(meal), *starts(meal)] }.sort_by { |task| [task.on, task.meal_id] }
      end

      # @return [Array<Task>] what is done today, and what should have been done
      def due = tasks.select { |task| task.on <= @work.today }

      private

      def soaks(meal)
        @plan.dish(meal.id).lines.filter_map do |line|
          food = @plan.shelf.foods.fetch(line.food_key)
          hours = food.preparing.soak_hours
          next unless hours && hours >= OVERNIGHT && line.picks.any?

          amount = @work.amount(Core::HandWords.counted(line.picks.sum(0r, &:amount), food))
          task(meal, "soak", meal.on - 1, "Soak #{amount} #{plain(food)} overnight, #{hours.to_i} hours")
        end
      end

      # "Chickpeas, dried"
      def plain(food) = food.line_name || food.name

      def starts(meal)
        recipe = meal.recipe
        return [] if recipe.total_minutes - recipe.active_minutes < LONG

        takes = "it takes #{(recipe.total_minutes / 60.0).round} hours"
        if recipe.total_minutes > FROM_THE_MORNING.fetch(recipe.meal)
          return [task(meal, "start", meal.on - 1, "Begin it this evening: #{takes}")]
        end

        [task(meal, "start", meal.on, "Begin it in the morning: #{takes}")]
      end

      def task(meal, kind, on, text)
        Task.new(
          kind: kind, on: [on, @work.today].max, text: text, meal_id: meal.id, meal: @plan.name_of(meal),
          for_on: meal.on,
          late: on < @work.today
        )
      end
    end
  end
end
