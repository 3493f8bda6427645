# frozen_string_literal: true

require_relative "../core/dating/state"
require_relative "../core/planning/proposal"
require_relative "../core/rotation/needs"
require_relative "../core/value"
require_relative "doubts"
require_relative "lids"
require_relative "places_due"
require_relative "plan"
require_relative "preparations"
require_relative "thawing"

module NutShelf
  module Desk
    # What to do now: the front of the shelf with where each goes, what needs a person, what comes out to thaw, and
    # what to ask. The front is weighed by the coming meals and the best dishes of what they leave.
    class TodaysWork
      FRONT = 24
      DISHES = 3
      COUNTS = 3

      # A stack that turns: the meals that take from it, and the best dishes for it (see Core::Ranker). Frozen.
      Turning = Core::Value.of(:stack, :ties, :dishes)

      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
        @plan = Plan.new(work)
      end

      attr_reader :plan

      # @return [Array<Turning>] first date first
      def front
        ties = plan.ties.group_by { |tie| tie.pick.stack.id }
        turning.map do |stack|
          Turning.new(stack: stack, ties: ties.fetch(stack.id, []), dishes: dishes.fetch(stack.id, []).first(DISHES))
        end
      end

      # @return [Array<Core::Needs::Need>] what matters most first
      def needs = @needs ||= Core::Needs.of(shelf.stacks.values, state: method(:state), foods: shelf.foods)

      # @return [Array<Doubts::Question>] "still there?"
      def questions = Doubts.new(@work).questions(plan.dishes)

      # @param question [Doubts::Question]
      # @return [Rational] what a hand would take for it
      def needed(question)
        stack = question.stack
        Core::Proposal.amount(
          question.needed,
          on_hand: stack.on_hand,
          dimension: stack.dimension,
          food: shelf.foods.fetch(stack.food_key)
        )
      end

      # @return [Array<Thawing::Task>] what comes out by tonight
      def thaw = Thawing.new(@work, plan).tasks.select { |task| task.on <= @work.today }

      # @return [Array<Lids::Task>] what was frozen with a loose lid yesterday
      def lids = Lids.new(@work, shelf).tasks

      # @return [Array<Preparations::Task>] what is soaked or begun today
      def prepare = Preparations.new(@work, plan).due

      # @return [Array<Core::GoesPast>] what nobody will have eaten in time, what is worth most first
      def goes_past
        plan.forecast.goes_past.reject do |one|
          one.stack.unfit?(@work.today) || !plan.shelf.stacks.key?(one.stack.id)
        end.sort_by { |one| [-one.value_minor, one.on] }
      end

      # @return [Hash{String=>Core::Short}] foods used day by day that are there still and will not be, soonest first
      def runs_out
        now = plan.cursor
        plan.forecast.runs_out.select do |key, short|
          plan.habits.daily(key) && short.on > @work.today && now.left(key, @work.today).positive?
        end.sort_by { |key, short| [short.on, key] }.to_h
      end

      # @return [Array<Array(Core::Place, Core::Due)>]
      def counts = PlacesDue.new(@work).by_rhythm.first(COUNTS)

      private

      def shelf = plan.shelf

      def state(stack) = Core::State.of(today: @work.today, policy: @work.policy, dates: stack)

      def turning
        shelf
          .stacks
          .each_value
          .lazy
          .select { |stack| state(stack) == :front && !stack.set_apart? }
          .first(FRONT)
      end

      # The best dishes for each stack that turns.
      def dishes
        @dishes ||=
          plan.ranked(@work.today).reject { |entry| entry.dish.shut? }.each_with_object({}) do |entry, found|
            entry.dish.rescued_picks.map { |_, pick, _| pick.stack.id }.uniq.each { |id| (found[id] ||= []) << entry }
          end
      end
    end
  end
end
