# frozen_string_literal: true

require_relative "../value"
require_relative "gives"
require_relative "levelling"
require_relative "menu_table"

module NutShelf
  module Core
    module Kits
      # A meal of a kit's menu: its day from 1, "morning", "midday" or "evening", kcal, grams by food, the people who
      # can eat nothing of it. Frozen.
      MenuMeal = Value.of(:day, :meal, :kcal, :grams, :nothing_for)

      # A menu: its meals, what of each food is left (grams), heat and cooking water used (litres). Exact. Frozen.
      LaidMenu =
        Value.of(:meals, :left, :heat_l, :cook_water_l, :need) do
          # @return [Array<Rational>] kcal of each day
          def days = meals.group_by(&:day).sort.map { |_, list| list.sum(0r, &:kcal) }
        end

      # Lays out the meals of a kit, days by meals (docs/kits.md 4): first packs that are over once they are open, whole
      # and largest first, to the day that has the least; then what keeps, poured so that the days come level. What can
      # be eaten cold stays cold.
      class Menu
        # @param catalog [Catalog]
        # @param figures [Figures]
        # @param days [Integer]
        # @param kcal_per_day [Rational]
        # @param eaters [Array<Person>]
        # @param gear [Symbol]
        # @param heat_l [Rational, nil] for all days
        # @param cook_water_l [Rational, nil] for all days
        def initialize(catalog, figures, days:, kcal_per_day:, eaters:, gear: :full, heat_l: nil, cook_water_l: nil)
          @days = days
          @eaters = eaters
          @gear = gear
          @gives = Gives.new(catalog, figures, eaters: eaters, gear: gear)
          @heat = Heat.new(figures)
          @most = figures.usual("kit-helping-most")
          @need = kcal_per_day
          @table = MenuTable.new(
            days, need: kcal_per_day, flame: figures.usual("kit-flame-minutes"), heat_l: heat_l, water_l: cook_water_l
          )
        end

        # @param stacks [Array<SupplyStack>]
        # @return [LaidMenu]
        def call(stacks)
          given = stacks.map { |stack| @gives.of(stack.of(1)).then { |one| [one, stack.packs] } }
          @left = Hash.new(0r)
          given.each { |one, packs| @left[one.stack.food] += one.stack.pack_edible_g * packs if one.for_people? }
          feeding = given.select { |one, _| one.kcal.positive? && one.for_people? && made?(one.stack.food) }
          over, keeping = feeding.partition { |one, _| !one.opened.keeps? }
          whole_packs(over)
          pour(keeping)
          laid
        end

        private

        def made?(food) = Gear.makes?(food, @gear)

        def whole_packs(given)
          given.flat_map { |one, packs| Array.new(packs) { one } }.select(&:fits?)
            .sort_by { |one| [-one.kcal, one.stack.usable_until&.jd || Float::INFINITY, one.stack.id.to_s] }
            .each { |one| place_pack(one) }
        end

        def place_pack(one)
          food = one.stack.food
          takes = { heat: one.heat_l, water: food.ready_to_eat ? 0r : one.cook_water_l, minutes: flame(food) }
          return unless @table.allows?(takes[:heat], takes[:water])

          place = @table.places(food, takes[:minutes]).min_by do |spot|
            [@table.that_day?(food, spot.day) ? 1 : 0, @table.day_kcal(spot.day), @table.fullness(spot), *order(spot)]
          end
          put(place, food, one.stack.pack_edible_g, one.kcal, takes) if place
        end

        # A lid on poured water needs no flame, nor does what is eaten cold.
        def flame(food) = food.ready_to_eat || food.preparing.pour_on ? 0r : food.preparing.minutes || 0r

        def order(spot) = [spot.day, MealOfDay::SHARES.keys.index(spot.meal)]

        def pour(given)
          by_food = given.group_by { |one, _| one.stack.food }
          by_food.sort_by { |food, list| [-list.sum(0r) { |one, packs| one.kcal * packs }, food.key] }
            .each { |food, _| pour_food(food) }
        end

        def pour_food(food)
          helping = @gives.helping(food)
          return unless helping.positive?

          per = rates(food, helping)
          spots = @table.places(food, flame(food)).group_by(&:day)
          grams = [@left[food], @table.grams_left(per[:heat], per[:water])].compact.min
          rooms = spots.keys.to_h do |day|
            [day, [@table.day_kcal(day), [@table.lacking(day), helping * @most * per[:kcal]].min]]
          end
          Levelling.call(rooms, grams * per[:kcal]).each do |day, kcal|
            pour_day(food, spots.fetch(day), kcal / per[:kcal], per) if kcal.positive?
          end
        end

        def pour_day(food, spots, grams, per)
          place = spots.min_by { |spot| [@table.fullness(spot), *order(spot)] }
          takes = { heat: per[:heat] * grams, water: per[:water] * grams, minutes: flame(food) }
          put(place, food, grams, grams * per[:kcal], takes)
        end

        # What a gram gives and takes, where each helping is a sitting of its own.
        def rates(food, helping)
          cold = food.ready_to_eat
          {
            kcal: food.nutrition.kcal / 100, heat: cold ? 0r : @heat.litres(food, helping, 1) / helping,
            water: cold ? 0r : @heat.cook_water(food, 1r)
          }
        end

        def put(place, food, grams, kcal, takes)
          @left[food] -= grams
          @table.put(place, food, grams: grams, kcal: kcal, **takes)
        end

        def laid
          meals = []
          @table.each_meal do |place, grams, kcal|
            nobody = @eaters.reject { |one| grams.each_key.any? { |food| one.eats?(food) } }
            meals << MenuMeal.new(
              day: place.day, meal: place.meal, kcal: kcal, grams: grams.freeze, nothing_for: nobody.freeze
            )
          end
          LaidMenu.new(
            meals: meals.freeze, left: @left.select { |_, grams| grams.positive? }.freeze, need: @need,
            heat_l: @table.heat_used, cook_water_l: @table.water_used
          )
        end
      end
    end
  end
end
