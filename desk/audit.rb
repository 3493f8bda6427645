# frozen_string_literal: true

require_relative "../core/planning/glut"
require_relative "doubts"
require_relative "week"

module NutShelf
  module Desk
    # A look along the shelf before some days are planned: what turns in them wherever it stands, what was set apart and
    # comes due, cooked portions that wait, what is in doubt.
    class Audit
      # What of a stack is set apart, for whom, and until when (nil: until somebody says). Frozen.
      Reserved = Core::Value.of(:stack, :for, :until_on)

      # Cooked portions, and the day that has them, where one does. Frozen.
      Waiting = Core::Value.of(:stack, :planned_on)

      # @param work [UnitOfWork]
      # @param from [Date]
      # @param to [Date]
      def initialize(work, from:, to:)
        @work = work
        @to = to
        @week = Week.new(work, from: from, to: to)
      end

      attr_reader :week

      # @return [Array<Week::Turning>] raw and bought food that turns within the days, first day first
      def turning = week.turning.reject { |one| cooked?(one.stack) }

      # @return [Array<Reserved>] what is set apart until a day within these, or turns while it is
      def reserved
        @work.house.reservations.all(@work.today).filter_map do |row|
          stack = stacks[row.lot_id] or next
          due = row.until_on&.<=(@to) || stack.usable_until&.<=(@to)
          Reserved.new(stack: stack, for: row.holder, until_on: row.until_on) if due
        end
      end

      # @return [Array<Waiting>] portions somebody cooked, first day first, those without a day last
      def waiting
        planned = @work.house.meals.between(@work.today, @work.today + Plan::HORIZON).to_h { |row| [row.lot_id, row.on_date] }
        cooked = stacks.each_value.select do |stack|
          cooked?(stack) && !stack.unfit?(@work.today) && stack.on_hand.positive?
        end
        cooked
          .sort_by { |stack| [stack.usable_until || Date.new(9999), stack.id] }
          .map { |stack| Waiting.new(stack: stack, planned_on: planned[stack.id]) }
      end

      # @return [Array<Doubts::Question>]
      def questions = Doubts.new(@work).questions(week.plan.dishes)

      # @param lot_id [Integer] far more of it than anybody would eat as it is
      # @return [Core::Glut::Spread]
      # @raise [Refusal]
      def spread(lot_id)
        stack = stacks.fetch(lot_id) { raise Refusal.of(:stack_unknown, at: "/lot_id") }
        raise Refusal.of(:nothing_to_spread, at: "/lot_id") unless stack.amount&.positive? && !stack.unfit?(@work.today)

        plan = week.plan
        ties = plan.ties.select { |tie| tie.pick.stack.id == lot_id }
        glut = Core::Glut.new(
          food: plan.shelf.foods.fetch(stack.food_key), foods: plan.shelf.foods,
          grams: [stack.amount - ties.sum(0r) { |tie| tie.pick.amount }, 0r].max,
          recipes: plan.recipes.reject { |_, recipe| recipe.followed }
        )
        glut.over(open_slots(stack, besides: ties.to_set { |tie| tie.meal.on }))
      end

      private

      def stacks = @work.shelf.stacks

      # Jam of one's own waits for no meal.
      def cooked?(stack)
        food = @work.shelf.foods.fetch(stack.food_key)
        food.aisle == "Home leftovers" && food.high_risk
      end

      # Every meal where nothing stands yet; of those that nobody plans, nobody says how long they may take.
      # @param besides [Set<Date>] days that take of it already
      def open_slots(stack, besides:)
        there = @work.house.meals.between(week.from, @to).to_set { |row| [row.on_date, row.meal] }
        first = [week.from, @work.today].max
        last = [@to, *stack.usable_until].min
        spots = (first..last).reject { |day| besides.include?(day) }.flat_map { |day| Slots::ORDER.map { |meal| [day, meal] } }
        spots.reject { |spot| there.include?(spot) }.map { |day, meal| unhurried(week.slots.of(day, meal)) }
      end

      def unhurried(slot)
        slot.timed || week.slots.meals.include?(slot.meal) ? slot : slot.with(minutes: nil)
      end
    end
  end
end
