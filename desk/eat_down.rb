# frozen_string_literal: true

require_relative "../core/value"
require_relative "meal_filling"
require_relative "plan"
require_relative "slots"

module NutShelf
  module Desk
    # So many days with no shopping, or only some fresh food: whether the shelf carries them, how long it does, what
    # gives out first, and how many meals and how much money that is. Nothing is written.
    class EatDown
      # `covered`: meals there is everything for; `lasts`: days they are enough for, wherever the gaps lie; `standing`:
      # what is planned already, with its dishes; `meals` as a filling proposes them; `dishes` of both; `open`: meals
      # nothing was found for; `gives_out`: food key to the first day it is short, what carries a meal alone. Frozen.
      Result = Core::Value.of(:covered, :lasts, :standing, :meals, :dishes, :open, :from_shelf, :gives_out)

      LONGEST = 42
      CARRYING = %w[grains protein vegetables dairy].freeze
      FIRST = 6
      # Of what was there at first: less is as good as none.
      HARDLY = 1/20r

      # @param work [UnitOfWork]
      # @param days [Integer]
      # @param fresh [Array<Integer>] ids of foods that are bought all the same
      def initialize(work, days:, fresh: [])
        @work = work
        @days = days
        @plan = Plan.new(work)
        @fresh = @plan.shelf.food_ids.invert.values_at(*fresh).compact
        @replaced = rows.select { |row| gives_way?(row) }.map(&:id)
        @filling =
          MealFilling.new(work, from: work.today, to: work.today + days - 1, again: @replaced, dear: @fresh)
      end

      attr_reader :plan, :filling

      # @return [Array<Integer>] planned meals that give way: what was planned with shopping is planned anew without
      attr_reader :replaced

      # Reads everything there is to read, so that the search needs no connection.
      # @return [EatDown] itself
      def ready
        filling.ready
        slots
        there
        plan.coming
        plan.recipes
        plan.habits
        plan.diet
        plan.prices
        self
      end

      # @param how [Hash] seconds: or moves:, see MealFilling#call
      # @return [Result]
      def call(**how)
        proposed = filling.call(**how)
        forecast = drawn(proposed)
        dishes = forecast.dishes.transform_keys(&:id)
        covered = [slots.size - gaps(proposed, dishes).size, 0].max
        Result.new(
          covered: covered, lasts: slots.empty? ? 0 : covered * @days / slots.size, standing: standing(dishes),
          meals: proposed, dishes: dishes,
          open: unfilled(proposed), from_shelf: whole(dishes).sum(&:value_minor), gives_out: gives_out(forecast)
        )
      end

      # @param place [Integer] in the proposed meals
      # @return [Object] what its dish is known by
      def key(place) = [:proposed, place]

      # @param dish [Core::Dish]
      # @return [Array<Core::DishLine>] what would have to be bought, fresh food left out
      def missing(dish) = dish.missing.reject { |line| @fresh.include?(line.food_key) }

      private

      def slots = @slots ||= Slots.new(@work).between(@work.today, @work.today + @days - 1).select(&:wanted?)

      def rows = @rows ||= @work.house.meals.between(@work.today, @work.today + @days - 1)

      # What somebody keeps stays, and so does what is cooked already or is nothing to cook.
      def gives_way?(row) = row.status == "planned" && !row.pinned && %w[cook leftovers].include?(row.kind)

      def there
        @there ||= rows.reject { |row| replaced.include?(row.id) }.group_by { |row| [row.on_date, row.meal] }
      end

      def staying = plan.coming.reject { |meal| replaced.include?(meal.id) }

      def drawn(proposed)
        meals = proposed.each_with_index.filter_map { |one, at| planned(one, at, proposed) if one.recipe_id }
        Core::Forecast.new(
          plan.shelf, to: @work.today + @days - 1, meals: [*staying, *meals], habits: plan.habits, diet: plan.diet,
          allow_look: plan.looks?, strict: slots.any?(&:strict?)
        )
      end

      def planned(one, at, proposed)
        again = proposed.select { |other| other.leftovers_of == at }.sum(0r) { |other| other.slot.servings }
        Core::MissingList::Planned.new(
          id: key(at), on: one.slot.on, turn: Slots::ORDER.index(one.slot.meal),
          recipe: plan.recipes.fetch(one.recipe_id), servings: one.slot.servings + again, diet: one.slot.diet,
          choices: one.choices
        )
      end

      # Dishes there is everything for.
      def whole(dishes) = dishes.values.select { |dish| missing(dish).empty? }

      def unfilled(proposed)
        filled = proposed.to_set { |one| [one.slot.on, one.slot.meal] }
        slots.reject { |slot| filled.include?([slot.on, slot.meal]) || there.key?([slot.on, slot.meal]) }
      end

      # What is planned already, with the dishes it draws.
      # @return [Array<Array(Store::Rows::ListedMeal, Core::Dish or nil)>]
      def standing(dishes) = there.values.flatten.map { |row| [row, dishes[row.id]] }

      # Meals that have nothing, or miss something that nobody fetches, with those of their leftovers.
      def gaps(proposed, dishes)
        short = proposed.each_index.select { |at| proposed[at].recipe_id && missing(dishes.fetch(key(at))).any? }
        again = proposed.select { |one| short.include?(one.leftovers_of) }
        planned = standing(dishes).filter_map { |row, dish| row if dish && missing(dish).any? }
        [*unfilled(proposed), *short.map { |at| proposed[at].slot }, *again.map(&:slot), *planned]
      end

      # It is there now, and carries a meal.
      def carrying?(key)
        CARRYING.include?(plan.shelf.foods[key]&.food_group) && !@fresh.include?(key) && at_first(key).positive?
      end

      def at_first(key) = plan.cursor.left(key, @work.today)

      # The first day a meal is short of it, or the last one that still has it where hardly any is left then.
      def gives_out(forecast)
        days = { **used_up(forecast), **forecast.runs_out.transform_values(&:on) }
        days.select { |key, on| carrying?(key) && on > @work.today }.sort_by(&:reverse).first(FIRST).to_h
      end

      def used_up(forecast)
        left = forecast.after_meals
        taken = forecast.dishes.values.sort_by(&:on).flat_map do |dish|
          dish.lines.select { |line| line.picks.any? }.map { |line| [line.food_key, dish.on] }
        end
        taken.to_h.select { |key, _| left.left(key, @work.today + @days - 1) <= at_first(key) * HARDLY }
      end
    end
  end
end
