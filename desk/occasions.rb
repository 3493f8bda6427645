# frozen_string_literal: true

require_relative "../core/occasions/amounts"
require_relative "../core/occasions/back_schedule"
require_relative "../core/occasions/recurrence"
require_relative "../core/planning/dish"
require_relative "../core/planning/meal_slot"
require_relative "../core/value"
require_relative "plan"
require_relative "preparations"

module NutShelf
  module Desk
    # Meals that come round: the next day of each, and what its menu asks for with those who come.
    class Occasions
      # An occasion with its next day (nil: over), and whether its dishes stand on that day. Frozen.
      Ahead = Core::Value.of(:row, :next_on, :planned)

      # A dish of a menu: its version in force, how much of it, what it draws on that day; `ahead`: made on the day
      # before; `faults` in words. Frozen.
      MenuDish = Core::Value.of(:recipe_id, :recipe, :amount, :dish, :ahead, faults: [].freeze)

      # A menu on a day: who comes, its dishes, keys that no dish is there for any more, when to begin what. Frozen.
      Menu = Core::Value.of(:slot, :dishes, :gone, :schedule, :to_buy)

      # Days whose meals are read at once: what comes round every year comes within them.
      AHEAD = 400
      # So many days ahead it is time to think of it.
      SOON = 21

      # @param work [UnitOfWork]
      def initialize(work, plan = Plan.new(work))
        @work = work
        @plan = plan
      end

      # @return [Array<Ahead>] the next one first
      def all
        rows = @work.house.occasions.all.map { |row| [row, next_on(row)] }
        rows.map { |row, day| Ahead.new(row: row, next_on: day, planned: !day.nil? && planned?(row, day)) }
          .sort_by { |one| [one.next_on || Date.new(9999), one.row.id] }
      end

      # @param from [Date]
      # @param to [Date]
      # @return [Array<Array(Date, Store::Rows::Occasion)>] those that come round in these days
      def between(from, to)
        @work.house.occasions.all
          .flat_map { |row| Core::Recurrence.read(row.recurrence).between(from, to).map { |day| [day, row] } }
          .sort_by { |day, row| [day, row.id] }
      end

      # @return [Array<Ahead>] that come round soon and are not on the plan
      def unplanned
        all.select { |one| one.next_on && one.next_on <= @work.today + SOON && !one.planned }
      end

      # @param row [Store::Rows::Occasion]
      # @param day [Date]
      # @return [Boolean] whether it was put onto that day, and its dishes still stand there
      def planned?(row, day)
        there = standing(row, day).select(&:pinned)
        return false if there.empty?

        there.any? { |meal| meal.note == row.name } || @work.house.occasions.times(row.id).any? do |time|
          time.on_date == day
        end
      end

      # @return [Array<Store::Rows::ListedMeal>] what stands on its day, whoever put it there
      def standing(row, day)
        ahead = (day - @work.today).to_i.between?(0, AHEAD)
        (ahead ? coming.fetch(day, []) : @work.house.meals.between(day, day)).select { |meal| meal.meal == row.meal }
      end

      # @param row [Store::Rows::Occasion]
      # @return [Date, nil]
      def next_on(row) = Core::Recurrence.read(row.recurrence).next_from(@work.today)

      # @param row [Store::Rows::Occasion]
      # @param on [Date]
      # @return [Menu]
      def menu(row, on)
        slot = slot(row, on)
        last = last_times(row, on)
        cursor = @plan.left.dup
        dishes, gone = found(row)
        made = dishes.map { |said, id, recipe| dish(said, id, recipe, slot, last[recipe.key], cursor) }
        Menu.new(slot: slot, dishes: made, gone: gone, to_buy: to_buy(made),
          schedule: Core::BackSchedule.new(made.map { |one| timed(one) }, cooks: row.cooks, ovens: row.ovens).call)
      end

      # @param row [Store::Rows::Occasion]
      # @return [Core::MealSlot] with everybody who comes; there is as much time as it takes
      def slot(row, on)
        said = Store::Rows::Slot.new(on_date: on, meal: row.meal, evening: "home", eaters: row.eaters, note: row.name)
        Core::MealSlots.new(people: @work.eaters, said: [said]).of(on, row.meal)
      end

      private

      def coming
        @coming ||= @work.house.meals.between(@work.today, @work.today + AHEAD).group_by(&:on_date)
      end

      def found(row)
        ids = @work.house.recipes.dishes.to_h { |dish| [dish.key, dish.recipe_id] }
        there, gone = row.dishes.partition { |said| ids.key?(said["dish"]) }
        [there.map { |said| [said, ids[said["dish"]], @plan.recipes.fetch(ids[said["dish"]])] },
         gone.map { |said| said["dish"] }]
      end

      # What was noted of each dish when it was last written down how much was left.
      def last_times(row, on)
        @work.house.occasions.times(row.id).reject do |time|
          time.on_date >= on
        end.reverse.each_with_object({}) do |time, all|
          time.dishes.select { |one| one["left"] }.each do |one|
            all[one["dish"]] = Core::OccasionAmounts::Served.new(
              cooked: one["cooked"].to_r, left: one["left"].to_r, heads: time.heads
            )
          end
        end
      end

      def dish(said, id, recipe, slot, last, cursor)
        amount = amount(said, slot, last)
        drawn = Core::Dish.plan(recipe, servings: amount.servings, cursor: cursor, on: [slot.on, @work.today].max,
          diet: slot.diet)
        MenuDish.new(recipe_id: id, recipe: recipe, amount: amount, dish: drawn, faults: faults(drawn),
          ahead: recipe.leftover_days.positive? && (said["ahead"] == true || overnight?(recipe, slot)))
      end

      def amount(said, slot, last)
        return Core::OccasionAmounts::Amount.new(servings: said["servings"].to_r, why: "said") if said["servings"]

        Core::OccasionAmounts.for(portions: [slot.servings, 1/2r].max, heads: slot.eaters.size, last: last)
      end

      def faults(dish)
        clashes = dish.clashes.map do |one|
          "Not for #{one.person}: #{one.words(@plan.shelf.foods[one.food_key].name)}"
        end
        [*clashes, *dish.doubts]
      end

      # What the morning is not early enough for, as every other meal has it; never what does not keep.
      def overnight?(recipe, slot) = recipe.total_minutes > Preparations::FROM_THE_MORNING.fetch(slot.meal)

      # Whole packs of what all dishes lack together.
      def to_buy(dishes)
        lines = dishes.flat_map { |one| one.dish.missing }
        lines.group_by(&:food_key).sum { |key, list| @plan.whole_cost(key, list.sum(0r, &:missing)).first }
      end

      def timed(one)
        recipe = one.recipe
        Core::BackSchedule::Dish.new(
          key: recipe.key, name: one.dish.name(@plan.shelf.foods), ahead: one.ahead,
          work: Core::BackSchedule.work(recipe.active_minutes, one.amount.servings / recipe.servings),
          alone: [recipe.total_minutes - recipe.active_minutes, 0].max, oven: recipe.gear.include?("oven"),
          waits: recipe.tags.include?("no-cook")
        )
      end
    end
  end
end
