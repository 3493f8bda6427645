# frozen_string_literal: true

require_relative "../../core/kits/figures"
require_relative "../../core/trips/faults"
require_relative "../../core/trips/fill"
require_relative "../../core/trips/grid_score"
require_relative "../../core/trips/making_up"
require_relative "../../core/value"
require_relative "../plan"
require_relative "balance"
require_relative "fault_words"
require_relative "lessons"
require_relative "menu"
require_relative "party"
require_relative "route"
require_relative "trip_filling"

module NutShelf
  module Desk
    module Trips
      # A trip as a book: its meals with what stands against each, what could be eaten instead, and what all comes to.
      class TripBook
        # A meal of the grid: its row, what it is (nil: a dish that is gone), the cell, its faults. Frozen.
        Entry = Core::Value.of(:row, :choice, :cell, faults: [].freeze)
        # Dishes without a fault of gear, pots or time that are enough to choose from.
        ENOUGH = 5
        attr_reader :trip, :route, :party, :menu

        # @param work [UnitOfWork]
        # @param trip [Store::Rows::Trip]
        # @param menu [Menu, nil] of the same trip, where somebody knows it already
        def initialize(work, trip, menu: nil)
          @work = work
          @trip = trip
          @plan = Plan.new(work)
          @route = Route.new(trip)
          @party = Party.new(work, trip)
          @menu = menu || Menu.new(work, @plan, trip)
        end

        # With the household's own foods, and what it says that foods hold.
        # @return [Core::Catalog]
        def catalog = @catalog ||= @work.catalog.with_foods(@plan.shelf.foods)

        # @return [Core::Kits::Figures]
        def figures = @figures ||= Core::Kits::Figures.new(targets: catalog.targets)

        # @return [Core::Shelf] what may be planned with
        def shelf = @plan.shelf

        # @return [Core::Trips::Means]
        def means
          @means ||= Core::Trips::Means.new(
            cold: cold, pot_ml: trip.pot_ml.to_r, gear: trip.gear, pots: trip.pots, no_tins: trip.no_tins,
            no_glass: trip.no_glass, avoid: party.avoid
          )
        end

        # @return [Core::Trips::ColdKept]
        def cold
          day = trip.leaves_on
          Core::Trips::ColdKept.new(
            catalog.trips.cold.fetch(trip.cold), temp_c: trip.high_c.to_r,
            leaves: Time.utc(day.year, day.month, day.day, trip.leaves_hour)
          )
        end

        # @return [Core::Trips::Faults]
        def faults = @faults ||= Core::Trips::Faults.new(catalog, figures, @work.policy, means)

        # @return [Array<Entry>] in the order of the trip
        def entries
          @entries ||= begin
            opened = []
            rows.map do |row|
              choice = menu.of(row)
              one = row.kind == "leftover" ? leftover(row, choice) : entry(row, choice, opened)
              opened |= one.cell.foods(catalog).map { |food, _| food.key } if cooked?(one)
              one
            end
          end
        end

        # @param fault [Core::Trips::Fault]
        # @return [String]
        def fault_words(fault) = (@fault_words ||= FaultWords.new(@plan.shelf.foods)).call(fault)

        # @return [Balance]
        def balance = @balance ||= Balance.new(@work, self)

        # Dishes and bags for a meal, what stands against them that day, least first.
        # @param day [Date]
        # @param meal [String]
        # @return [Array<Array(Core::Trips::Choice, Array<Core::Trips::Fault>)>]
        def suggestions(day, meal)
          slot = Core::Trips::Slot.new(day: day, meal: meal, servings: party.size)
          menu.choices.select { |one| one.meals.include?(meal) }.map { |one| [one, faults.of(one.cell(slot))] }
            .sort_by { |one, found| [found.size, menu.name(one)] }
        end

        # What may be left of dishes that are cooked before a meal, what stands against it.
        # @param day [Date]
        # @param meal [String]
        # @return [Array<Array(Core::Trips::Choice, Array<Core::Trips::Fault>)>]
        def leftovers(day, meal)
          cooked = entries.select do |one|
            one.row.kind == "recipe" && one.choice && one.choice.recipe.leftover_days > 0
          end
          cooked.map(&:choice).uniq(&:key).filter_map do |choice|
            row = Store::Rows::TripMeal.new(on_date: day, meal: meal, kind: "leftover", dish: choice.key)
            found = leftover(row, choice)
            [choice, found.faults] if found.cell && found.faults.none? { |fault| fault.kind == :leftover }
          end
        end

        # @return [Array<Core::Trips::Slot>] the meals of the trip; a snack is filled where nothing stands there
        def slots
          @slots ||= route.dates.flat_map do |day|
            route.meals(day).map { |meal| Core::Trips::Slot.new(day: day, meal: meal, servings: party.size) }
          end
        end

        # @param keep [Boolean] whether what stands there stays, pinned or not
        # @return [TripFilling] that looks for what to eat when
        def filling(keep: false)
          pinned = slots.each_with_index.filter_map do |slot, at|
            one = main(slot)
            [at, one.choice] if one && (keep || one.row.pinned)
          end
          score = Core::Trips::GridScore.new(faults, slots, stock: stock, targets: targets)
          may = Core::Trips::Fill.may(score, slots, fit_choices(score), pinned.to_h)
          TripFilling.new(@work.services.work, score, may, pinned: pinned.map(&:first),
            standing: slots.map { |slot| main(slot)&.choice })
        end

        # @param choice [Core::Trips::Choice, nil]
        # @param at [Integer] slot
        # @return [Boolean] whether a proposal may stand there: it was open to it, and still is
        def open_to?(choice, at)
          slot = slots[at]
          main(slot)&.row&.pinned ? main(slot).choice == choice : choice.nil? || choice.meals.include?(slot.meal)
        end

        # @param slot [Core::Trips::Slot]
        # @return [Entry, nil] the dish of a meal; what is eaten besides is not meant
        def main(slot)
          entries.find do |one|
            one.choice && one.row.kind != "food" && one.row.on_date == slot.day && one.row.meal == slot.meal
          end
        end

        # What may be taken along by food: until when it is good, and grams that are eaten of it.
        # @return [Hash{String=>Array<Array(Date, Rational)>}]
        def stock
          @stock ||= @plan.shelf.keys.to_h do |key|
            food = @plan.shelf.foods.fetch(key)
            strict = @work.strict_eaters?
            stacks = @plan.shelf.of(key, strict: strict)
              .select { |one| one.eligible?(@work.today, strict: strict) && one.amount.positive? }
            [key, stacks.map { |one| [one.until_on(strict: strict), one.amount * food.edible_yield] }]
          end
        end

        # What would make up for days whose meals are too little, when a grid is eaten.
        # @param grid [Array<Core::Trips::Choice, nil>] as the slots stand
        # @return [Array<Core::Trips::Besides>]
        def made_up(grid)
          has = Hash.new(0r)
          slots.zip(grid).each { |slot, choice| has[slot.day] += kcal(choice.cell(slot)) if choice }
          kept.each { |one| has[one.row.on_date] += kcal(one.cell) }
          days = targets.map { |day, wants| [day, has[day], wants] }
          Core::Trips::MakingUp.new(snacks, party.size, stock: stock).call(days)
        end

        # What each day is filled up to: what it asks for, as far as it got eaten before.
        # @return [Hash{Date=>Rational}] kcal
        def targets = balance.targets.transform_values { |kcal| kcal * Lessons.new(@work).factor }

        # What somebody put beside the meals and pinned.
        # @return [Array<Entry>]
        def kept = entries.select { |one| one.row.kind == "food" && one.row.pinned && one.cell }

        # @param cell [Core::Trips::Cell]
        # @return [Rational]
        def kcal(cell)
          cell.foods(catalog).sum(0r) { |food, grams| (food.nutrition.kcal || 0) * grams / 100 }
        end

        private

        # Eaten as they come, and nothing stands against them.
        def snacks
          day = slots.last.day
          @plan.shelf.foods.values.select(&:ready_to_eat).reject(&:pet).select do |food|
            row = Store::Rows::TripMeal.new(on_date: day, meal: "snack", kind: "food", dish: food.key, grams: 1r)
            choice = menu.of(row)
            choice && faults.of(choice.cell(Core::Trips::Slot.new(day: day, meal: "snack", servings: 1))).empty?
          end
        end

        def rows
          @rows ||= @work.house.trips.meals(trip.id).select { |row| route.include?(row.on_date, row.meal) }
            .sort_by { |row| [row.on_date, Route::MEALS.index(row.meal), row.id] }.freeze
        end

        def cooked?(entry) = entry.cell && !entry.cell.bag? && !entry.cell.leftover?

        def entry(row, choice, opened)
          return Entry.new(row: row) unless choice

          meals = 1 + rows.count { |one| one.kind == "leftover" && cooked_for(one)&.id == row.id }
          cell = choice.cell(slot(row), opened, batch: meals.to_r, soaked: row.soaked)
          Entry.new(row: row, choice: choice, cell: cell, faults: faults.of(cell))
        end

        # What was cooked more of at an earlier meal; without that meal there is none.
        def leftover(row, choice)
          source = cooked_for(row)
          return Entry.new(row: row) unless choice && source

          hours = (at(row) - at(source)) / 3600
          cell = choice.cell(slot(row)).with(leftover_hours: hours.to_r, from: [source.on_date, source.meal])
          Entry.new(row: row, choice: choice, cell: cell, faults: faults.of(cell))
        end

        # The last time it is cooked before.
        def cooked_for(row)
          rows.select { |one| one.kind == "recipe" && one.dish == row.dish && at(one) < at(row) }.last
        end

        def at(row) = Core::Trips::ColdKept.at(row.on_date, row.meal)

        def slot(row) = Core::Trips::Slot.new(day: row.on_date, meal: row.meal, servings: party.size)

        # Where there are enough dishes without a fault of their own, the others are not looked at.
        def fit_choices(score)
          menu.choices.group_by(&:meals).values.flat_map do |list|
            at = slots.index { |one| list.first.meals.include?(one.meal) } or next []
            good = list.select { |one| score.any_day(one, at).empty? }
            good.size >= ENOUGH ? good : list
          end
        end
      end
    end
  end
end
