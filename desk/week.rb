# frozen_string_literal: true

require_relative "../core/value"
require_relative "plan"
require_relative "shopping_days"
require_relative "slots"

module NutShelf
  module Desk
    # Some days of meals as a cook looks at them: each meal's slot and what fills it, what turns in those days and which
    # meal takes it, and what all of it comes to in money.
    class Week
      # A slot and what stands in it. Frozen.
      Filled = Core::Value.of(:slot, :meals)

      # A meal as it stands: its row, its dish where one is cooked, and what stands against it in words. Frozen.
      Standing = Core::Value.of(:row, :dish, faults: [].freeze)

      # A stack that turns within the days: what of it the meals take, and what nobody will have eaten in time, in
      # grams. Frozen.
      Turning = Core::Value.of(:stack, :ties, :past, :past_minor)

      # Money in minor units: what is to buy in whole packs, what the meals take of stock that would go past, what goes
      # past still, and the share of the meals' worth that comes from the shelf, in whole percent. Frozen.
      # `budget`: what is meant to be spent on so many days, nil where nobody said.
      Balance = Core::Value.of(:to_buy, :budget, :rescued, :past, :from_shelf, :all_bought)

      # @param work [UnitOfWork]
      # @param from [Date]
      # @param to [Date]
      def initialize(work, from:, to:)
        @work = work
        @from = from
        @to = to
        @plan = Plan.new(work, to: to)
      end

      attr_reader :plan, :from, :to

      # @return [Slots]
      def slots = plan.slots

      # @return [Hash{Date=>Array<Filled>}] every planned meal of each day, and others that something stands in
      def days
        there = rows.group_by { |row| [row.on_date, row.meal] }
        (from..to).to_h do |day|
          meals = Slots::ORDER.select { |meal| slots.meals.include?(meal) || there.key?([day, meal]) }
          [day, meals.map { |meal| filled(slots.of(day, meal), there.fetch([day, meal], [])) }]
        end
      end

      # @return [Array<Standing>] what was planned for days that have passed, and is not settled
      def undone = @work.house.meals.undone(@work.today).map { |row| Standing.new(row: row, dish: nil) }

      # @return [Array<Standing>] what waits without a day
      def pool = @work.house.meals.pool.map { |row| Standing.new(row: row, dish: row.recipe_id && plan.dish(row.id)) }

      # @return [Array<Turning>] what turns within the days, first day first
      def turning
        past = plan.forecast.goes_past.to_h { |one| [one.stack.id, one] }
        plan.shelf.stacks.each_value.filter_map do |stack|
          last = stack.usable_until
          next unless last&.between?(@work.today, to) && !stack.set_apart? && !stack.unfit?(@work.today)

          lost = past[stack.id]
          Turning.new(
            stack: stack, ties: ties.fetch(stack.id, []), past: lost&.amount || 0r, past_minor: lost&.value_minor || 0
          )
        end
      end

      # @return [ShoppingDays]
      def shopping = @shopping ||= ShoppingDays.new(@work, from: from, to: to)

      # @return [Core::ShoppingTrips::Shared] what its meals lack, by the shopping day it is got on
      def trips = shopping.share(dishes)

      # @return [Balance]
      def balance
        bought = dishes.flat_map(&:missing)
        needed = bought.group_by(&:food_key).transform_values { |lines| lines.sum(0r, &:missing) }
        to_buy = needed.sum { |key, grams| plan.whole_cost(key, grams).first }
        share = needed.sum { |key, grams| plan.prices.cost(key, grams).first }
        shelf = dishes.sum(&:value_minor)
        Balance.new(
          to_buy: to_buy, budget: slots.budget(from, to),
          rescued: rescued, past: turning.sum(&:past_minor), all_bought: shelf + share,
          from_shelf: (shelf + share).zero? ? nil : shelf * 100 / (shelf + share)
        )
      end

      private

      def rows = @rows ||= @work.house.meals.between(from, to)

      def filled(slot, list) = Filled.new(slot: slot, meals: list.map { |row| standing(row, slot) })

      def standing(row, slot)
        dish = row.status == "planned" && row.kind == "cook" && row.on_date >= @work.today ? plan.dish(row.id) : nil
        Standing.new(row: row, dish: dish, faults: dish ? faults(dish, slot) : waiting(row, slot))
      end

      # Portions that wait, for a table that has changed since, or past their day.
      def waiting(row, slot)
        return [] unless row.status == "planned" && row.kind == "kept"

        stack = plan.shelf.stacks[row.lot_id] or return ["It is not there any more."]
        food = plan.shelf.foods.fetch(stack.food_key)
        clashes = slot.diet.clashes(food).map { |one| "Not for #{one.person}: #{one.words(food.name)}" }
        fits = stack.eligible?(row.on_date, allow_look: !slot.strict?, strict: slot.strict?)
        doubt = "Nobody knows all that is in it: look before somebody eats it." if doubt?(food, slot)
        [*clashes, *doubt, *("It is past by then." unless fits)]
      end

      def doubt?(food, slot) = slot.excludes.any? && plan.doubtful?(food)

      # What a person pinned stays, and is told.
      def faults(dish, slot)
        clashes = dish.clashes.map { |one| "Not for #{one.person}: #{one.words(plan.shelf.foods[one.food_key].name)}" }
        [*clashes, *dish.doubts, *slot.against(dish.recipe)]
      end

      def dishes
        @dishes ||= plan.forecast.dishes.select { |meal, _| meal.on.between?(from, to) }.values
      end

      def ties = @ties ||= plan.ties.select { |tie| tie.meal.on <= to }.group_by { |tie| tie.pick.stack.id }

      # Of what turns within the days, what the meals take.
      def rescued
        turning.sum do |one|
          one.ties.sum { |tie| (tie.pick.amount * one.stack.minor_per_gram).round }
        end
      end
    end
  end
end
