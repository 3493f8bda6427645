# frozen_string_literal: true

require_relative "../../core/bags/part_date"
require_relative "../../core/reference/recipe"
require_relative "../../core/trips/choice"
require_relative "../bench/bag_stacks"
require_relative "../preserving/home_made"

module NutShelf
  module Desk
    module Trips
      # What may be eaten on a trip: the dishes of the house, and the bags of the tables with the date they would have
      # if they were packed the day before.
      class Menu
        # @param work [UnitOfWork]
        # @param plan [Plan]
        # @param trip [Store::Rows::Trip]
        def initialize(work, plan, trip)
          @work = work
          @plan = plan
          @trip = trip
          @stacks = Bench::BagStacks.new(work, plan.shelf)
        end

        # @return [Array<Core::Trips::Choice>]
        def choices = @choices ||= [*bags, *dishes]

        # @param row [Store::Rows::TripMeal]
        # @return [Core::Trips::Choice, nil] nil for a dish that is not there any more
        def of(row)
          return food(row) if row.kind == "food"

          choices.find { |one| one.key == row.dish && (row.kind == "bag") == !one.assembly.nil? }
        end

        # @param choice [Core::Trips::Choice]
        # @return [String]
        def name(choice) = (choice.recipe || choice.assembly).name

        # @return [Date] bags are filled the day before
        def packed_on = [@trip.leaves_on - 1, @work.today].max

        private

        def dishes
          @plan.recipes.values.reject { |one| one.followed || one.doubtful? }.map do |recipe|
            Core::Trips::Choice.new(recipe: recipe, meals: [recipe.meal])
          end
        end

        def bags
          @work.assemblies.values.map do |assembly|
            Core::Trips::Choice.new(assembly: assembly, meals: [assembly.meal], good_until: good_until(assembly))
          end
        end

        # What is not there is bought, and counts as opened that day.
        def good_until(assembly)
          low_air = assembly.closing == "low_air"
          assembly.lines.filter_map { |line| known_until(line.food_key, low_air) }.min
        rescue Core::Bags::Unpackable
          packed_on
        end

        # The same food goes into many bags.
        def known_until(key, low_air)
          (@known ||= {}).fetch([key, low_air]) do |asked|
            dates = Core::Bags::PartDate.new(@work.catalog, @work.policy, low_air: low_air)
            @known[asked] = part_until(key, dates)
          end
        end

        def part_until(key, dates)
          food = @work.shelf.foods[key] || @work.catalog.food(key)
          stacks = @stacks.call([Core::Bags::Part.new(food: food, grams: 1r)]).fetch(food)
          (stacks.empty? ? [to_be_got(food)] : stacks).map { |one| dates.of(one, packed_on)&.on }
            .then { |list| list.include?(nil) ? nil : list.max }
        end

        # From a shop, or dried by then: what cannot be ready any more is as good as past.
        def to_be_got(food)
          facts = { id: 0, food: food, grams: 1r, value_minor: 0 }
          drying = made.drying(food) or return Core::Bags::BagStack.new(**facts)
          in_time = made.under_way(drying).positive? || made.start_on(drying, 1r, packed_on) >= @work.today
          return Core::Bags::BagStack.new(**facts) unless in_time

          Core::Bags::BagStack.new(**facts, situation: "home_dried", made_on: packed_on)
        end

        def made = @made ||= Preserving::HomeMade.new(@work)

        # Something to eat as it is, so many grams for each.
        def food(row)
          food = @work.shelf.foods[row.dish] || @work.catalog.foods[row.dish] or return
          line = Core::RecipeLine.new(
            food_key: food.key, quantity: Core::Quantity.new(row.grams, :mass), optional: false, substitutes: {}
          )
          recipe = Core::Recipe.new(
            key: food.key, name: food.name, meal: row.meal, servings: 1, active_minutes: 0, total_minutes: 0,
            gear: ["none"], leftover_days: 0, freezes: false, steps: [], tags: [], lines: [line]
          )
          Core::Trips::Choice.new(recipe: recipe, meals: [row.meal])
        end
      end
    end
  end
end
