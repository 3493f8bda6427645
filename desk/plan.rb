# frozen_string_literal: true

require_relative "../core/buying/missing_list"
require_relative "../core/forecast/forecast"
require_relative "../core/buying/price_book"
require_relative "../core/planning/again"
require_relative "../core/planning/diet"
require_relative "../core/planning/proposal"
require_relative "../core/planning/ranking"
require_relative "../core/work"
require_relative "../core/value"
require_relative "makings"
require_relative "slots"
require_relative "usage_rates"

module NutShelf
  module Desk
    # The coming meals, each drawing in the order of its day on what the earlier ones left: what every view and the cook
    # read, so that nothing is promised twice.
    class Plan
      HORIZON = 14

      # @param work [UnitOfWork]
      # @param to [Date, nil] the last day that is looked at, where that is further than the horizon; what an earlier
      #   meal draws does not depend on it
      def initialize(work, to: nil)
        @work = work
        @to = [work.today + HORIZON, to].compact.max
      end

      # What stood in a power cut nobody settled yet is planned with as little as it may be eaten.
      # @return [Core::Shelf]
      def shelf = @shelf ||= @work.in_the_dark.withhold(@work.shelf)

      # @return [Array] what that shelf is known by
      def shelf_key = [*@work.shelf_key, @work.in_the_dark.ids]

      # A fresh draw on the shelf, by the dates of everybody who eats here.
      # @return [Core::Cursor]
      def cursor = shelf.cursor(allow_look: looks?, strict: strict?, habits: habits)

      # What is used day by day besides the dishes that are cooked.
      # @return [Core::Habits]
      def habits
        @habits ||= @work.kept(:habits, :stock, :plan, :people, :rules) do
          UsageRates.new(@work, reasons: ["eaten"]).habits
        end
      end

      # The days ahead as everything that is known of them makes them: what each meal takes, what goes past, what runs
      # out. Every view reads this one.
      # @return [Core::Forecast]
      def forecast = @forecast ||= ahead

      # The same days if more comes: what is bought.
      # @param more [Array<Core::Stack>]
      # @return [Core::Forecast]
      def ahead(more = [])
        Core::Forecast.new(
          shelf, to: @to, meals: coming, uses: portions, habits: habits, diet: diet,
          inflows: [*inflows, *more], allow_look: looks?, strict: strict?
        )
      end

      # @return [Array<Core::Stack>] what the coming dishes will make besides
      def inflows = @inflows ||= Makings.new(@work).stacks(coming)

      # A version of a dish is never changed, so that those there are need not be read again because a meal was planned.
      # @return [Hash{Integer=>Core::Recipe}] every version of every dish
      def recipes
        @recipes ||=
          @work.kept(:recipes, :rules, beside: @work.house.recipes.standing) { @work.house.recipes.values.freeze }
      end

      # @return [Rational] usual portions at a meal
      def servings = @servings ||= @work.house.household.portions

      # @return [Slots] what the meals of the days are like
      def slots = @slots ||= Slots.new(@work)

      # Everybody who eats here: for a dish that stands on no day yet.
      # @return [Core::Diet]
      def diet
        @diet ||=
          Core::Diet.new(
            @work.eaters.map { |row| Core::Diet::Eater.new(name: row.name, excludes: row.excludes) }
          )
      end

      # From so many stacks on, dishes are ranked where it takes nobody's turn.
      MANY = 5000

      # @param on [Date]
      # @return [Array<Core::Ranker::Ranked>] dishes of what the planned meals leave, best first
      # @raise [Core::Work::Undone] when it takes too long
      def ranked(on)
        return worked_out(on) unless on == @work.today

        @work.kept(:ranking, :stock, :plan, :people, :rules, beside: @work.in_the_dark.ids) { worked_out(on).freeze }
      end

      # @return [Core::PriceBook]
      def prices
        @prices ||=
          begin
            keys = shelf.food_ids.invert
            latest = @work.house.packs.latest_prices(keys.keys).transform_keys { |id| keys[id] }
            Core::PriceBook.new(
              prices: latest,
              foods: shelf.foods,
              estimates: @work.household.settings.fetch("price_per_kg", {})
            )
          end
      end

      # Meals still to be cooked; those of the last days that nobody cooked or dropped count for today.
      # @return [Array<Core::MissingList::Planned>]
      def planned
        @planned ||=
          rows.select { |row| row.status == "planned" && row.kind == "cook" }.map { |row| value(row) }
      end

      # @return [Array<Core::MissingList::Planned>] of today and later
      def coming = planned.reject { |meal| overdue?(meal) }

      # @return [Array<Store::Rows::ListedMeal>] portions of a stack that are to be eaten, first day first
      def waiting
        rows.select { |row| row.status == "planned" && row.kind == "kept" && row.on_date >= @work.today }
      end

      # @param food [Core::Food] that a dish became
      # @return [Boolean] whether nobody knows all that went into the dish
      def doubtful?(food)
        recipes.each_value.any? do |recipe|
          kept = "dish-#{recipe.key}"
          recipe.doubtful? && (food.key == kept || food.key.start_with?("#{kept}-"))
        end
      end

      # @param row [Store::Rows::ListedMeal] of leftovers
      # @return [Boolean] whether they are frozen until then
      def frozen?(row)
        cook = rows.find { |one| one.id == row.from_meal_id }
        cook&.recipe_id && Core::Again.frozen?(recipes.fetch(cook.recipe_id), cook.on_date, row.on_date)
      end

      # @param to [Date]
      # @return [Array(Array<Core::MissingList::Item>, Hash)] what to buy for the meals up to a day, and their dishes
      def missing(to = @to)
        dishes = forecast.dishes.select { |meal, _| meal.on <= to }
        dishes.empty? ? [[], {}] : [Core::MissingList.items(dishes, cursor), dishes.transform_keys(&:id)]
      end

      # @return [Hash{Integer=>Core::Dish}] of all coming meals, by meal
      def dishes = @dishes ||= forecast.dishes.transform_keys(&:id)

      # @param id [Integer] meal
      # @return [Core::Dish] as the plan has it on the meal's own day
      # @raise [Store::Missing]
      def dish(id) = dishes[id] || later(@work.house.meals.listed_one(id))

      # What the coming meals leave of everything.
      # @return [Core::Cursor]
      def left = @left ||= forecast.after_meals

      # What a line takes from the stacks as they stand now: a pack that an earlier meal will open is still closed, so
      # what is drawn on its rest and on the packs beside it is one pick of one stack. What an earlier dish will make is
      # not there yet.
      # @param line [Core::DishLine]
      # @return [Array<Core::Pick>] one a stack
      def picks(line)
        line.picks.group_by { |pick| pick.stack.id }.filter_map do |id, list|
          stack = shelf.stacks[id] or next
          amount = list.sum(0r, &:amount)
          opens = stack.sealed_packs? && (amount / stack.pack).denominator != 1
          Core::Pick.new(stack: stack, amount: amount, opens: opens, look: list.any?(&:look))
        end
      end

      # What a person is asked to take for a pick, in the stack's own units.
      # @param pick [Core::Pick]
      # @return [Rational]
      def proposal(pick)
        stack = pick.stack
        Core::Proposal.amount(
          pick.amount / stack.grams_per_unit,
          on_hand: stack.free,
          dimension: stack.dimension,
          food: shelf.foods[stack.food_key]
        )
      end

      # One pick of a coming meal. Frozen.
      # @param meal [Core::PlannedMeal]
      # @return [String] what its dish is called as the shelf stands
      def name_of(meal) = dish(meal.id).name(shelf.foods)

      Tie = Core::Value.of(:meal, :pick)

      # @return [Array<Tie>] which stacks the coming meals will take from
      def ties
        @ties ||=
          coming.flat_map do |meal|
            dish(meal.id).lines.flat_map { |line| picks(line).map { |pick| Tie.new(meal: meal, pick: pick) } }
          end
      end

      # What a person sees as "to buy" is whole packs; the ranking itself counts the share that is needed.
      # @return [Array(Integer, Boolean)] minor units, and whether that is an estimate
      def whole_cost(key, grams) = prices.cost(key, Core::MissingList.whole_grams(shelf.foods.fetch(key), grams))

      # @param dish [Core::Dish]
      # @return [Integer] minor units of what it lacks, in whole packs
      def to_buy(dish) = dish.missing.sum { |line| whole_cost(line.food_key, line.missing).first }

      # @param stack [Core::Stack]
      # @return [Integer, nil] days to its last good one
      def days_left(stack) = stack.usable_until && (stack.usable_until - @work.today).to_i

      # "Plan what must be looked at" is on unless the household switched it off, or somebody goes by the date.
      # @return [Boolean]
      def looks? = !strict? && @work.household.settings.fetch("plan_looks", true)

      # Somebody who goes by the date sits at every meal, so all of it goes by the date.
      # @return [Boolean]
      def strict? = @work.policy.by_the_date? || @work.strict_eaters?

      private

      def worked_out(on)
        work = shelf.stacks.size < MANY ? Core::Work::Here : @work.services.work
        work.ask(ranking(on), shared)
      rescue Core::Work::Undone => e
        raise unless e.again?

        Core::Work::Here.ask(ranking(on), shared)
      end

      def ranking(on)
        Core::Ranking.new(
          recipes: recipes.reject { |_, recipe| recipe.followed }, meals: coming, servings: servings, on: on,
          prices: prices, diet: diet, habits: habits, allow_look: looks?, strict: strict?
        )
      end

      def shared = Core::Work::Shared.new(key: shelf_key, value: shelf)

      # What is eaten of it later is cooked with it.
      def value(row)
        Core::MissingList::Planned.new(
          id: row.id,
          on: row.on_date,
          turn: Slots::ORDER.index(row.meal),
          recipe: recipes.fetch(row.recipe_id),
          servings: row.servings + fed_by(row.id).sum(0r, &:servings),
          diet: diet_of(row),
          choices: row.choices
        )
      end

      # A dish is cooked for everybody who eats of it, also of what is left.
      def diet_of(row)
        Core::MealSlot.diet([row, *fed_by(row.id)].map { |one| slots.of(one.on_date, one.meal) })
      end

      # Portions of a stack that are to be eaten on a day.
      def portions
        waiting.filter_map do |row|
          stack = shelf.stacks[row.lot_id] or next
          grams = row.servings * (stack.pack || stack.amount || 0r)
          Core::Use.new(food_key: stack.food_key, on: row.on_date, amount: grams) if grams.positive?
        end
      end

      # Meals that have what is left of one, however late: what is frozen waits beyond the days that are looked at.
      def fed_by(id)
        @fed ||= begin
          cooks = rows.select { |row| row.status == "planned" && row.kind == "cook" }
          @work.house.meals.fed_by(cooks.map(&:id)).group_by(&:from_meal_id)
        end
        @fed.fetch(id, [])
      end

      def rows = @rows ||= @work.house.meals.between(@work.today - HORIZON, @to)

      def overdue?(meal) = meal.on < @work.today

      # A meal outside the span draws on what the span leaves.
      def later(row)
        day = [row.on_date || @work.today, @work.today].max
        table = row.on_date ? diet_of(row) : diet
        Core::Dish.plan(
          recipes.fetch(row.recipe_id), servings: row.servings, cursor: left.dup, on: day, diet: table,
          choices: row.choices
        )
      end
    end
  end
end
