# frozen_string_literal: true

require_relative "../core/counting/doubt"
require_relative "usage_rates"
require_relative "../core/value"

module NutShelf
  module Desk
    # "Still there?": at most three questions a day, only about stacks that a coming meal counts on (and that would go
    # onto the shopping list if they were not there), the likeliest to have gone first.
    class Doubts
      A_DAY = 3

      # One question. `doubt` says why; `needed` in base units, `meals` the meals that count on it. Frozen.
      Question = Core::Value.of(:stack, :doubt, :needed, :meals)

      # What the meals take from one stack, in its own units. Frozen.
      Need = Core::Value.of(amount: 0r, meals: [].freeze)
      private_constant :Need

      # @param work [UnitOfWork]
      # @param usage [UsageRates]
      def initialize(work, usage: UsageRates.new(work))
        @work = work
        @usage = usage
      end

      # @param dishes [Hash{Integer=>Core::Dish}] planned dishes by meal
      # @return [Array<Question>]
      def questions(dishes)
        left = A_DAY - @work.house.usage.answered(@work.today)
        return [] unless left.positive?

        needs = needed(dishes)
        seen = @work.house.usage.seen_on(needs.keys)
        found = needs.filter_map { |id, need| question(@work.shelf.stack(id), need, seen[id]) }
        found.sort_by { |one| [one.doubt.at_least / one.stack.on_hand, one.stack.id] }.first(left)
      end

      # @param stack [Core::Stack]
      # @return [Core::Doubt] of one stack
      def of(stack, seen_on)
        daily = @usage.of(stack).daily
        Core::Doubt.new(on_hand: stack.on_hand, seen_on: seen_on || @work.today, today: @work.today, daily: daily)
      end

      private

      def needed(dishes)
        dishes.each_with_object({}) do |(meal_id, dish), needs|
          dish.lines.each do |line|
            line.picks.each do |pick|
              need = needs.fetch(pick.stack.id, Need.new)
              amount = pick.amount / pick.stack.grams_per_unit
              needs[pick.stack.id] = Need.new(amount: need.amount + amount, meals: need.meals | [meal_id])
            end
          end
        end
      end

      def question(stack, need, seen_on)
        doubt = of(stack, seen_on)
        return unless doubt.matters?(need.amount, stack.on_hand)

        Question.new(stack: stack, doubt: doubt, needed: need.amount, meals: need.meals)
      end
    end
  end
end
