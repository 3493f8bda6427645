# frozen_string_literal: true

require_relative "../buying/missing_list"
require_relative "../planning/diet"
require_relative "../rotation/habits"
require_relative "../rotation/shelf"
require_relative "../value"

module NutShelf
  module Core
    # What of a stack nobody will have eaten in time: grams, the first day it counts as past, and what it is worth in
    # minor units. Parts opened from it count under it. Frozen.
    GoesPast = Value.of(:stack, :amount, :on, :value_minor)

    # What somebody will use of a food on a day: grams as it comes from the pack. Frozen.
    Use = Value.of(:food_key, :on, :amount)

    # Walks the days ahead once: the planned meals in their order, what is used besides day by day, and what will come
    # in between. Every view that says what goes past, what runs out, what a meal takes and what is missing reads this
    # one walk. Its steps are the events (a meal, a pack opened, a date passed), never days times stacks. Frozen.
    class Forecast
      # `dishes`: by meal
      attr_reader :from, :to, :dishes, :cursor

      # @param shelf [Shelf]
      # @param to [Date] last day
      # @param meals [Array<MissingList::Planned>]
      # @param uses [Array<Use>] on the same day after the meals
      # @param habits [Habits] what is used besides, at the end of each day
      # @param inflows [Array<Stack>] what will come, ready on the day it comes
      # @param diet [Diet] of those who eat along
      # @param rules [Hash] allow_look: whether what must be looked at first may be planned; strict: whether somebody
      #   goes by the date
      def initialize(shelf, to:, meals: [], uses: [], habits: Habits::NONE, inflows: [], diet: Diet.new, **rules)
        @from = shelf.today
        @to = to
        @cursor = shelf.cursor(habits: habits, **rules)
        inflows.each { |stack| @cursor.bring(stack) }
        @dishes = draw(meals, uses, diet).freeze
        @drawn = @cursor.dup
        keys = [*shelf.keys, *habits.keys, *inflows.map(&:food_key)].uniq
        @left = keys.flat_map { |key| @cursor.leaves(key, to + 1) }.group_by { |one| one.stack.id }.freeze
        @whole = shelf.stacks.merge(inflows.to_h { |stack| [stack.id, stack] }).freeze
        freeze
      end

      # What the meals leave, before anything is used besides on the days after them.
      # @return [Cursor] a fresh one
      def after_meals = @drawn.dup

      # @return [Array<GoesPast>] what goes past within the days, first day first
      def goes_past
        @left
          .filter_map { |id, parts| past(@whole.fetch(id), parts.select { |part| past?(part) }) }
          .sort_by { |one| [one.on, one.stack.id.to_s] }
      end

      # @return [Hash{String=>Short}] the first day each food is short, how much then, and how much by the last day
      def runs_out = cursor.shorts

      # @return [Hash{Object=>Rational}] grams taken of each stack by its id, those not touched left out
      def used
        @left
          .to_h { |id, parts| [id, @whole.fetch(id).amount - parts.sum(0r, &:amount)] }
          .select { |_, grams| grams.positive? }
      end

      private

      # In the order of the days, and on one day the meals in their own order before what else is used.
      def draw(meals, uses, diet)
        wanted = [*meals.sort_by { |meal| [meal.on, meal.turn, meal.id] }, *uses].each_with_index
        wanted
          .sort_by { |one, index| [one.on, index] }
          .each_with_object({}) do |(one, _), dishes|
            next cursor.draw(one.food_key, one.amount, one.on) if one.is_a?(Use)

            dishes[one] = MissingList.dish(one, cursor, diet)
          end
      end

      def past(stack, parts)
        return if parts.empty?

        grams = parts.sum(0r, &:amount)
        value = (grams * stack.minor_per_gram).round
        GoesPast.new(stack: stack, amount: grams, on: parts.map(&:last_on).min + 1, value_minor: value)
      end

      # What is past already on the first day is no forecast.
      def past?(part)
        part.amount.positive? && !part.last_on.nil? && part.last_on >= from - 1 && part.last_on < to
      end
    end
  end
end
