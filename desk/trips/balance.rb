# frozen_string_literal: true

require_relative "../../core/trips/energy"
require_relative "../../core/trips/fuel"
require_relative "../../core/trips/packing"
require_relative "../../core/trips/water"
require_relative "../../core/trips/weight"
require_relative "../../core/value"
require_relative "lessons"

module NutShelf
  module Desk
    module Trips
      # What the meals of a trip come to: energy and protein against what the days ask for, weight, fuel, water, and
      # what of the food is not there yet.
      class Balance
        # A day: what it asks for, what is planned, grams of food. Frozen.
        DaySum = Core::Value.of(:target, :kcal, :protein_g, :grams)
        # Food that is not there, or not good so long: grams as they are bought; `on`: the day of a shop on the way,
        # nil: before leaving. Frozen.
        Short = Core::Value.of(:food, :grams, :on)
        SLOTS = { "breakfast" => "breakfast", "lunch" => "day", "snack" => "day", "dinner" => "evening" }.freeze

        # @param work [UnitOfWork]
        # @param book [TripBook]
        def initialize(work, book)
          @work = work
          @book = book
        end

        # @return [Hash{Date=>Rational}] kcal of each day
        def targets = day_targets.to_h { |one| [one.day, one.kcal] }

        # @return [Array<DaySum>]
        def days
          day_targets.map do |target|
            foods = cells.select { |cell| cell.day == target.day }.flat_map { |cell| cell.foods(@book.catalog) }
            DaySum.new(
              target: target, kcal: figure(foods, :kcal), protein_g: figure(foods, :protein_g),
              grams: foods.sum(0r) { |food, grams| grams / food.edible_yield }
            )
          end
        end

        # @return [Rational] days of food for one person
        def person_days = energy.person_days(@book.route.days)

        # @return [Core::Trips::Weighed] all food with its packing, in one bag
        def weighed
          Core::Trips::Weight.new(@book.catalog.trips, {}).call(cells.flat_map { |cell| loads_of(cell) })
        end

        # @param cell [Core::Trips::Cell]
        # @return [Array<Core::Trips::Load, Core::Trips::BagLoad>] what is carried for a meal
        def loads_of(cell) = cell.bag? ? [bag_load(cell)] : food_loads(cell)

        # @return [Rational] millilitres that are boiled on the way
        def boiled_ml = cells.select(&:heated?).sum(0r) { |cell| hot(cell).boil_ml }

        # @return [Core::Trips::FuelPlan, nil] nil where nothing is heated
        def fuel
          meals = cells.select(&:heated?).map { |cell| hot(cell) }
          return if meals.empty?

          trip = @book.trip
          Core::Trips::Fuel.new(@book.figures, own_g_per_litre: Lessons.new(@work).g_per_litre).call(
            meals, days: @book.route.dates.size, net_g: trip.canister_g.to_r, spare_days: trip.spare_days,
            left_g: trip.gas_left_g.to_r
          )
        end

        # @return [Array<Core::Trips::Stretch>] water from source to source
        def water = drinking.stretches(drinking.slots(water_days), @book.trip.sources)

        # @return [Boolean] whether the containers hold the longest stretch
        def holds?
          longest = water.max_by(&:carry_l)
          longest.nil? || containers.sum(0r) >= longest.carry_l
        end

        # @return [Array<Rational>] litres that containers hold
        def containers = @book.trip.containers_ml.map { |ml| ml/1000r }

        # @return [Boolean] whether without the largest container half of it is left
        def two_containers? = water.all? { |stretch| drinking.two_containers?(stretch, containers) }

        # What must be bought, by food, and where a shop on the way has it in time.
        # @return [Array<Short>]
        def shorts
          by_food.flat_map do |food, needs|
            open = Core::Trips::Packing.new(stacks(food), sealed: false).call(needs)
            short = open.each_with_object(Hash.new(0r)) { |one, sums| sums[shop_before(one.day)] += one.short_g }
            short.select { |_, grams| grams.positive? }.map { |on, grams| Short.new(food: food, grams: grams, on: on) }
          end
        end

        private

        # The last shop one passes before that day is over.
        def shop_before(day)
          @shops ||= @book.trip.shops.map { |one| Date.iso8601(one) }
          @shops.select { |one| one <= day && one > @book.trip.leaves_on }.max
        end

        def cells = @cells ||= @book.entries.filter_map(&:cell)

        def energy = @energy ||= Core::Trips::Energy.new(@book.figures, @book.party.travellers)

        def day_targets = @day_targets ||= energy.days(@book.route.days)

        def figure(foods, name) = foods.sum(0r) { |food, grams| (food.nutrition.public_send(name) || 0) * grams / 100 }

        def bag_load(cell)
          assembly = cell.assembly
          parts = assembly.lines.map do |line|
            food = @book.catalog.food(line.food_key)
            Core::Bags::Part.new(food: food, grams: Core::Conversion.to(line.quantity, :mass, food).amount)
          end
          Core::Trips::BagLoad.new(
            parts: parts, bag: nil, packaging: @book.catalog.trips.packaging.fetch(assembly.packaging), count: cell.bags
          )
        end

        def food_loads(cell)
          cell.foods(@book.catalog).reject { |food, _| food.food_group == "water" }
            .map { |food, grams| Core::Trips::Load.new(food: food, edible_g: grams, bag: nil) }
        end

        def hot(cell)
          gear = cell.bag? ? nil : @book.catalog.trips.recipe_gear[cell.recipe.key]
          Core::Trips::HotMeal.new(
            boil_ml: water_ml(cell) * cell.batch * (gear ? gear.boiled_share : 1r), temp_c: @book.route.temp(cell.meal),
            simmer_minutes: gear ? gear.simmer_minutes : 0r
          )
        end

        # Water that goes in; bags say theirs.
        def water_ml(cell)
          return cell.assembly.water_ml * cell.bags if cell.bag?

          cell.foods(@book.catalog).sum(0r) { |food, grams| food.food_group == "water" ? grams : 0r }
        end

        # All of a dish takes its water when it is cooked.
        def drunk_ml(cell) = cell.leftover? ? 0r : water_ml(cell) * cell.batch

        def drinking = @drinking ||= Core::Trips::Water.new(@book.figures, @book.party.water)

        def water_days
          @book.route.dates.map do |day|
            facts = @book.route.day(day)
            here = cells.select { |cell| cell.day == day }
            slots = @book.route.meals(day).map { |meal| SLOTS.fetch(meal) }.uniq
            Core::Trips::WaterDay.new(
              day: day.iso8601, hours: facts["hours"].to_r, hot: facts["hot"] == true, slots: slots,
              meal_ml: summed(here) { |cell| drunk_ml(cell) }, pots: summed(here) { |cell| washed(cell) }
            )
          end
        end

        def summed(cells, &block)
          cells.group_by { |cell| SLOTS.fetch(cell.meal) }.transform_values { |list| list.sum(&block) }
        end

        def washed(cell)
          return 0 if cell.bag? || cell.leftover? || !cell.heated?

          row = @book.catalog.trips.recipe_gear[cell.recipe.key]
          row.nil? || row.washes_pot ? row&.pots || 1 : 0
        end

        def by_food
          cells.each_with_object({}) do |cell, list|
            cell.foods(@book.catalog).each do |food, grams|
              next if food.food_group == "water"

              day, meal = cell.drawn_at
              need = Core::Trips::MealNeed.new(day: day, meal: meal, grams: grams / food.edible_yield)
              (list[food] ||= []) << need
            end
          end
        end

        def stacks(food)
          @book.stock.fetch(food.key, []).each_with_index.map do |(on, grams), at|
            Core::Trips::PackStack.new(id: at, grams: grams / food.edible_yield, good_until: on)
          end
        end
      end
    end
  end
end
