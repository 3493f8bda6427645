# frozen_string_literal: true

require_relative "../core/buying/dear_prices"
require_relative "../core/planning/meal_problem"
require_relative "../core/value"
require_relative "../core/work"
require_relative "filling"
require_relative "makings"
require_relative "occasions"
require_relative "pack_rests"
require_relative "plan"
require_relative "race"
require_relative "refusal"
require_relative "slots"
require_relative "waiting_portions"

module NutShelf
  module Desk
    # Looks for dishes for the open meals of some days: makes the household's days a problem, lets several searches race
    # for it, and says what each plan would put where. Nothing is written: that is FillMeals.
    class MealFilling
      # What a plan puts onto a meal: a dish, or the leftovers of an earlier one (by its place in the list, or an
      # existing meal), or portions of a stack. Frozen.
      Proposed = Core::Value.of(:slot, :recipe_id, :leftovers_of, :from_meal_id, :lot_id, choices: {}.freeze)

      # A meal of the days as the search sees it. Frozen.
      Entry = Core::Value.of(:slot, :row, :open)
      private_constant :Entry

      # Days that can be filled at once.
      LONGEST = 92

      # @param work [UnitOfWork]
      # @param from [Date]
      # @param to [Date]
      # @param only [Array<Array(Date, String)>, nil] the meals to fill; nil: every open one
      # @param again [Array<Integer>] planned meals that may be replaced
      # @param dear [Array<String>, nil] for days without shopping: keys of what is bought all the same
      # @param in_hand [Integer] dinners without a day to look for instead, of what the planned meals leave
      # @raise [Invalid] for more days than can be filled at once
      def initialize(work, from:, to:, only: nil, again: [], dear: nil, in_hand: 0)
        @work = work
        @from = [from, work.today].max
        @to = to
        raise Refusal.of(:span_too_long, at: "/to", most: LONGEST) if to - @from >= LONGEST

        @in_hand = in_hand
        @only = in_hand.positive? ? [] : only
        @again = again
        @dear = dear
        @slots = Slots.new(work)
        @plan = Plan.new(work)
      end

      # Reads everything there is to read, so that the search needs no connection.
      # @return [MealFilling] itself
      def ready
        problem unless open.zero?
        @plan.shelf_key
        @plan.recipes
        self
      end

      # @param one [Proposed]
      # @param among [Array<Proposed>] all of them: leftovers are called by their dish
      # @return [Hash] as FillMeals takes it, and the name of the dish
      def told(one, among:)
        {
          on: one.slot.hand ? nil : one.slot.on.iso8601, meal: one.slot.meal, name: name(one, among),
          recipe_id: one.recipe_id, leftovers_of: one.leftovers_of, from_meal_id: one.from_meal_id, lot_id: one.lot_id,
          choices: one.recipe_id ? one.choices : nil
        }.compact
      end

      # @return [Integer] meals there are to fill
      def open = entries.count(&:open)

      # @param seconds [Float, nil] by the clock, or
      # @param moves [Integer, nil] so many: the same moves give the same plan
      # @yieldparam [Array<Proposed>, Rational] a better plan, and what it costs in coins
      # @return [Array<Proposed>]
      # @raise [Core::Work::Undone]
      def call(seconds: nil, moves: nil, cancel: nil)
        return [] if open.zero?

        shared = Core::Work::Shared.new(key: [:meals, @plan.shelf_key, problem.hash], value: problem)
        filling = Filling.new(seconds: seconds, moves: moves, budget: budget)
        found = Race.new(@work.services.work, shared).run(filling, cancel: cancel) do |better|
          yield proposed(better.plan), better.cost if block_given?
        end
        proposed(found.plan)
      end

      # @param plan [Array<Core::Planner::Meal>]
      # @return [Array<Proposed>] in the order of time
      def proposed(plan)
        placed = maker.placed(plan).select { |one| entries[one.slot].open }
        places = placed.each_with_index.to_h { |one, at| [one.slot, at] }
        placed.map do |one|
          next Proposed.new(slot: entries[one.slot].slot, lot_id: one.lot_id) if one.lot_id
          next cooked(one) unless one.kind == "leftovers"

          Proposed.new(
            slot: entries[one.slot].slot, leftovers_of: places[one.from],
            from_meal_id: places.key?(one.from) ? nil : entries[one.from].row.id
          )
        end
      end

      # @return [Core::Planner::Problem]
      def problem = @problem ||= maker.problem

      private

      # What stands in is in the name; leftovers are called by their dish.
      def name(one, among)
        return portions_name(one.lot_id) if one.lot_id
        return "#{again(one, among)}, again" unless one.recipe_id

        swaps = one.choices.to_a.filter_map { |asked, given| @plan.shelf.foods.values_at(asked, given) if given }
        Core::DishName.of(@plan.recipes.fetch(one.recipe_id).name, swaps)
      end

      def portions_name(lot_id)
        @plan.shelf.stack(lot_id).then { |stack| stack.name(@plan.shelf.foods[stack.food_key]) }
      end

      def again(one, among)
        return entries.find { |entry| entry.row&.id == one.from_meal_id }.row.recipe_name if one.from_meal_id

        name(among.fetch(one.leftovers_of), among)
      end

      def cooked(one)
        Proposed.new(slot: entries[one.slot].slot, recipe_id: one.recipe_id, choices: one.choices)
      end

      def maker
        @maker ||=
          Core::MealProblem.new(
            shelf: @plan.shelf, recipes: recipes,
            slots: entries.map(&:slot), prices: prices, rules: rules, placed: placed, history: history,
            standing: standing, looks: @plan.looks?, likes: likes,
            region: @slots.season_region, seasons: @slots.seasons, freezer: !@work.freezer.nil?,
            rests: PackRests.new(@work, strict: entries.any? { |one| one.slot.strict? }).method(:days),
            made_days: Makings.new(@work).method(:days),
            portions: WaitingPortions.new(@work, @plan).free(besides: @again)
          )
      end

      # What waits in hand already is not found again.
      def recipes
        waiting = @in_hand.positive? ? @work.house.meals.pool.map(&:recipe_id) - placed.map(&:recipe_id) : []
        @plan.recipes.reject { |id, recipe| recipe.followed || waiting.include?(id) }
      end

      # Coins for the days in all; days without shopping have a limit of their own.
      def budget
        minor = @slots.budget(@from, @to) unless @dear
        minor && Rational(minor, 100)
      end

      def prices = @dear ? Core::DearPrices.new(@plan.prices, @dear) : @plan.prices

      def rules = @dear ? Core::PlanRules.new({ **@slots.rules.to_h, "shelf" => "eat_down" }) : @slots.rules

      # @return [Hash{Integer=>Hash}] of the dishes somebody said something of
      def likes
        said = @work.house.recipes.dishes.reject { |dish| dish.likes.empty? }
        said.to_h { |dish| [dish.recipe_id, dish.likes] }
      end

      # Every meal of the days, those of today that are over left out.
      def entries
        @entries ||=
          begin
            rows = @work.house.meals.between(@from, @to).group_by { |row| [row.on_date, row.meal] }
            @slots.between(@from, @to).flat_map do |slot|
              there = rows.delete([slot.on, slot.meal]) || []
              there.empty? ? [open_entry(slot)] : there.map { |row| entry(slot, row) }
            end.then { |list| [*sorted([*list, *rows.values.flatten.map { |row| beside(row) }]), *hands] }
          end
      end

      # After all that has a day: nobody knows yet when they are cooked.
      def hands
        Array.new(@in_hand) { Entry.new(slot: @slots.in_hand(@to, "dinner"), row: nil, open: true) }
      end

      def sorted(list) = list.sort_by { |one| [one.slot.on, Slots::ORDER.index(one.slot.meal), one.row&.id.to_i] }

      def open_entry(slot)
        asked = @only ? @only.include?([slot.on, slot.meal]) : !occasions.include?([slot.on, slot.meal])
        wanted = slot.wanted? && asked
        Entry.new(slot: slot, row: nil, open: wanted)
      end

      # What comes round has dishes of its own: it is filled only where somebody asks for that meal.
      def occasions
        @occasions ||= Occasions.new(@work, @plan).between(@from, @to).to_set { |day, row| [day, row.meal] }
      end

      def entry(slot, row)
        Entry.new(slot: slot, row: row, open: row.status == "planned" && !row.pinned && @again.include?(row.id))
      end

      # A meal that is not planned every day, or stands beside another.
      def beside(row) = entry(@slots.of(row.on_date, row.meal), row)

      # What is not to change: dishes and leftovers as they are, anything else as no business of the search.
      def placed
        entries.each_with_index.filter_map do |one, at|
          next if one.open

          fixed(one.row, at) || Core::Placed.new(slot: at, kind: "other")
        end
      end

      def fixed(row, at)
        return unless row&.status == "planned"
        return Core::Placed.new(slot: at, kind: "cook", recipe_id: row.recipe_id) if row.kind == "cook"
        return unless row.kind == "leftovers"

        cook = entries.index { |other| other.row && other.row.id == row.from_meal_id && !other.open }
        cook && Core::Placed.new(slot: at, kind: "leftovers", from: cook)
      end

      def standing
        entries.each_with_index.filter_map { |one, at| [at, one.row.recipe_id] if one.open && one.row&.recipe_id }.to_h
      end

      def history
        @work
          .house
          .meals
          .between(@from - 7, @from - 1)
          .filter_map { |row| [row.on_date, row.recipe_id] if row.status == "cooked" && row.recipe_id }
      end
    end
  end
end
