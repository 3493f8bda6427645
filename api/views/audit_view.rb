# frozen_string_literal: true

require_relative "../../desk/audit"
require_relative "stack_view"
require_relative "week_view"

module NutShelf
  module Api
    # What is looked over before planning, as JSON.
    class AuditView
      # @param work [Desk::UnitOfWork]
      # @param from [Date]
      # @param to [Date]
      def initialize(work, from:, to:)
        @work = work
        @audit = Desk::Audit.new(work, from: from, to: to)
        @plan = PlanView.new(work, @audit.week.plan)
        @stacks = StackView.new(work)
      end

      # @return [Hash]
      def call
        {
          turning: @audit.turning.map { |one| turning(one) },
          reserved: @audit.reserved.map { |one| reserved(one) },
          waiting: @audit.waiting.map { |one| waiting(one) },
          questions: @audit.questions.map { |one| question(one) }
        }
      end

      # @param lot_id [Integer]
      # @return [Hash] how a glut would be spread
      def spread(lot_id)
        spread = @audit.spread(lot_id)
        stack = @work.shelf.stack(lot_id)
        food = @plan.foods.fetch(stack.food_key)
        {
          lot_id: lot_id, name: stack.name(food), amount: @work.part_words(stack, stack.on_hand),
          meals: spread.meals.map { |meal| meal(meal, stack) },
          rest: spread.rest.positive? ? @plan.food_amount(stack.food_key, spread.rest) : nil,
          rest_amount: Core::Decimal.print((spread.rest / stack.grams_per_unit).floor(3)),
          freezes: food.freezes != "no", freeze_note: food.freeze_note,
          freezer_id: @work.freezer&.id
        }
      end

      private

      def meal(meal, stack)
        recipe = @audit.week.plan.recipes.fetch(meal.recipe_id)
        swaps = meal.choices.map { |asked, given| [@plan.foods.fetch(asked), @plan.foods.fetch(given)] }
        {
          on: meal.slot.on.iso8601, meal: meal.slot.meal, recipe_id: meal.recipe_id, choices: meal.choices,
          name: Core::DishName.of(recipe.name, swaps), takes: @plan.food_amount(stack.food_key, meal.grams)
        }
      end

      def turning(one)
        stack = one.stack
        {
          stack: @stacks.call(stack), place: stack.place,
          past: one.past.positive? ? @plan.food_amount(stack.food_key, one.past) : nil, past_minor: one.past_minor,
          meals: one.ties.map { |tie| { meal_id: tie.meal.id, on: tie.meal.on.iso8601 } }.uniq
        }
      end

      def waiting(one)
        { stack: @stacks.call(one.stack), place: one.stack.place, on: one.planned_on&.iso8601 }
      end

      def reserved(one)
        { stack: @stacks.call(one.stack), place: one.stack.place, for: one.for, until: one.until_on&.iso8601 }
      end

      def question(one)
        names = one.meals.map { |id| @plan.plan.dish(id).name(@plan.foods) }
        {
          stack: @stacks.call(one.stack), place: one.stack.place, steps: one.doubt.steps,
          needed: @work.part_words(one.stack, one.needed), meals: names
        }
      end
    end
  end
end
