# frozen_string_literal: true

require_relative "../../core/planning/plan_rules"
require_relative "../../desk/occasions"
require_relative "../../desk/week"
require_relative "plan_view"

module NutShelf
  module Api
    # Days of meals as JSON: the words for what Desk::Week answers.
    class WeekView
      # @param work [Desk::UnitOfWork]
      # @param from [Date]
      # @param to [Date]
      def initialize(work, from:, to:)
        @work = work
        @week = Desk::Week.new(work, from: from, to: to)
        @plan = @week.plan
        @view = PlanView.new(work, @plan)
      end

      # @return [Hash]
      def call
        {
          from: @week.from.iso8601, to: @week.to.iso8601, planned_meals: @plan.slots.meals, rules: rules,
          days: @week.days.map { |day, slots| { on: day.iso8601, slots: slots.map { |one| slot(one) } } },
          span: span, occasions: occasions, trips: trips, undone: @week.undone.map { |one| meal(one) },
          pool: @week.pool.map { |one| meal(one) },
          patterns: @plan.slots.patterns.map { |one| pattern(one) },
          use_up: @week.turning.map { |one| turning(one) }, balance: balance
        }
      end

      private

      # How the days without shopping go: meals since, what was spent all the same, the busy days that are left of it.
      def span
        found = @work.house.meals.running_span(@work.today) or return
        ahead = @plan.slots.between(@work.today, [found.to_on, @work.today + 6].min)
        {
          id: found.id, name: found.name, day: (@work.today - found.from_on).to_i + 1,
          days: (found.to_on - found.from_on).to_i + 1, meals: @work.house.meals.settled_since(found.from_on),
          spent_minor: @work.house.packs.spent_since(found.from_on),
          notes: found.rules.fetch("notes", []).map { |one| { on: one["on"], text: one["text"] } },
          busy: ahead.select { |slot| slot.timed && slot.wanted? }.map { |slot| slot.on.iso8601 }.uniq
        }
      end

      # What to get on which shopping day; nil where the household has none.
      def trips
        return if @week.shopping.days.empty?

        shared = @week.trips
        {
          days: shared.trips.map do |trip|
            { on: trip.on.iso8601, buys: trip.buys.map do |key, needs|
              buy(key, needs)
            end }
          end,
          late: shared.late.map { |need| late(need) }, short: shared.short.map { |need| late(need) }
        }
      end

      def buy(key, needs)
        {
          food: @view.food_name(key), amount: @view.food_amount(key, needs.sum(0r, &:grams)),
          for: needs.map { |need| need.on.iso8601 }.uniq.sort
        }
      end

      def late(need) = { food: @view.food_name(need.food_key), on: need.on.iso8601 }

      # Those of these days, and those that come soon and nobody has put onto their day.
      def occasions
        all = Desk::Occasions.new(@work, @plan)
        soon = all.unplanned.map { |one| [one.next_on, one.row] }
        [*all.between(@week.from, @week.to), *soon].uniq.sort_by { |day, row| [day, row.id] }.map do |day, row|
          {
            id: row.id, name: row.name, meal: row.meal, on: day.iso8601, in_days: (day - @work.today).to_i,
            heads: all.slot(row, day).eaters.size, on_plan: all.planned?(row, day)
          }
        end
      end

      def rules
        chosen = @plan.slots.rules.to_h
        Core::PlanRules::ALL.map do |rule|
          { key: rule.key, strength: chosen.fetch(rule.key), strengths: rule.strengths.keys, usual: rule.default }
        end
      end

      def slot(filled)
        slot = filled.slot
        {
          meal: slot.meal, evening: slot.evening, minutes: slot.minutes, timed: slot.timed,
          morning_minutes: slot.morning_minutes,
          servings: Core::Decimal.print(slot.servings), eaters: slot.eaters.map(&:name), said_by: slot.said_by,
          note: slot.note, wanted: slot.wanted?, meals: filled.meals.map { |one| meal(one) }
        }
      end

      def meal(standing)
        row = standing.row
        dish = standing.dish
        {
          id: row.id, on: row.on_date&.iso8601, meal: row.meal, kind: row.kind, recipe_id: row.recipe_id,
          name: @view.meal_name(row), servings: Core::Decimal.print(row.servings), status: row.status,
          pinned: row.pinned,
          note: row.note, from_meal_id: row.from_meal_id, lot_id: row.lot_id, minutes: row.total_minutes,
          covered_percent: dish&.covered_percent, buy_minor: dish && @plan.to_buy(dish), faults: standing.faults,
          uses: dish ? uses(dish) : [], missing: dish ? dish.missing.map { |line| missing(line) } : [],
          stand_ins: dish ? dish.substituted.map { |line| @view.stand_in(line) } : []
        }
      end

      def food(stack) = @view.foods.fetch(stack.food_key)

      def uses(dish)
        dish
          .rescued_picks
          .map { |key, pick, _| { food: @view.food_name(key), days_left: @plan.days_left(pick.stack) } }
          .uniq { |one| one[:food] }
      end

      def missing(line) = "#{@view.food_amount(line.food_key, line.missing)} #{@view.food_name(line.food_key)}"

      def pattern(row) = row.slice(:id, :name, :weekday, :meal, :evening, :minutes, :morning_minutes)

      def turning(one)
        stack = one.stack
        {
          stack_id: stack.id, name: stack.name(food(stack)), place: stack.place, days_left: @plan.days_left(stack),
          amount: @work.part_words(stack, stack.free), past_minor: one.past_minor,
          past: one.past.positive? ? @view.food_amount(stack.food_key, one.past) : nil, freeze: freeze(one),
          meals: one.ties.map { |tie| { meal_id: tie.meal.id, on: tie.meal.on.iso8601 } }.uniq
        }
      end

      # How what no meal takes could be frozen in time, nil where that is no good.
      def freeze(one)
        stack = one.stack
        food = food(stack)
        freezer = @work.freezer
        return unless one.past.positive? && freezer && !stack.in_freezer && food.freezes_well?

        { place_id: freezer.id, note: food.freeze_note.to_s,
          amount: Core::Decimal.print((one.past / stack.grams_per_unit).floor(3)) }
      end

      def balance
        sums = @week.balance
        {
          to_buy_minor: sums.to_buy, budget_minor: sums.budget, rescued_minor: sums.rescued, past_minor: sums.past,
          from_shelf_percent: sums.from_shelf, all_bought_minor: sums.all_bought
        }
      end
    end
  end
end
