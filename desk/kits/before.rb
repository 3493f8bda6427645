# frozen_string_literal: true

require_relative "../../core/kits/before_event"
require_relative "../../core/kits/figures"
require_relative "../../core/kits/fresh_food"
require_relative "../../core/kits/needs"
require_relative "../../core/outage/eat_first"
require_relative "../situation"
require_relative "stocks"
require_relative "stretch_book"
require_relative "who"

module NutShelf
  module Desk
    module Kits
      # The hours before an event: what is still to be done by the clock, what chilled food to eat first, what fresh
      # food to buy for days without a fridge, and how much ice the freezer has room for.
      class Before
        # Fresh food that is asked about, by group.
        FRESH = { "fruit" => ["Fresh fruit"], "vegetables" => ["Fresh vegetables"] }.freeze
        MOST_FRESH = 3
        # Bottles are not filled to the brim: water grows as it freezes.
        ICE = 0.9r

        attr_reader :event

        # @param work [UnitOfWork]
        # @param event [Store::Rows::Event]
        # @param now [Time]
        def initialize(work, event, now:)
          @work = work
          @event = event
          @now = now
          work.every_food
        end

        # @return [Core::Kits::BeforePlan] of what is not ticked yet
        def plan
          @plan ||= Core::Kits::BeforeEvent.new(
            tasks.reject { |task| event.ticked.key?(task.key) }, has: has, fill_l: event.fill_l, flush_l: event.flush_l,
            helpers: event.helpers
          ).call(now: @now, hour: event.hour)
        end

        # @return [Array<Core::EventTask>]
        def tasks = @work.catalog.kits.event_tasks

        # What is not to be eaten today anyway is no advice.
        # @return [Array<Core::Stack>] what stands in the fridge and spoils without it, first date first
        def chilled
          @chilled ||= in_fridge.select { |stack| good?(stack) && eat_first.perishable?(item(stack)) }
            .sort_by { |stack| [stack.usable_until&.jd || Float::INFINITY, stack.id] }
        end

        # @return [Array<StretchBook::Stretch>] leftovers too small for all, each with the tins that make a meal of it
        def stretched = @stretched ||= StretchBook.new(@work, who, chilled).call

        # @return [Hash{String=>Core::Kits::FreshPlan}] by group
        def fresh
          FRESH.to_h do |group, aisles|
            foods = known(aisles)
            plan = Core::Kits::FreshFoods.new(@work.catalog).call(
              foods, bought: @work.today, event: [event_day, @work.today].max, days: event.days, per_day: per_day(group)
            )
            [group, plan]
          end
        end

        # @return [Rational, nil] litres of bottles there is room for, nil where nobody said how full the freezer is
        def ice_l
          free = @work.places.values.select(&:freezer?).filter_map(&:free_ml)
          free.empty? ? nil : free.sum(0r) / 1000 * ICE
        end

        private

        # What the house is known to have needs no tick of its own.
        def has
          kinds = @work.places.values.map(&:kind)
          [*event.has, *(["freezer"] & kinds), *(["fridge"] & kinds), *("pets" if who.pets.any?)].uniq
        end

        def who = @who ||= Who.new(@work)

        def good?(stack)
          stack.eligible?(@work.today, strict: @work.policy.by_the_date? || @work.strict_eaters?)
        end

        def in_fridge
          @work.shelf.stacks.each_value.select { |stack| @work.place(stack.place_id).kind == "fridge" }
        end

        def item(stack)
          food = @work.food(stack.food_id)
          Core::Outage::Item.new(
            id: stack.id, food: food, situation: Situation.of(stack, food, "fridge"), place: "fridge",
            usable_until: stack.usable_until
          )
        end

        def eat_first
          @eat_first ||= Core::Outage::EatFirst.new(@work.catalog, figures, hours_allowed: 0r)
        end

        def figures = @figures ||= Core::Kits::Figures.new(targets: @work.catalog.targets)

        # What this house bought before, else the commonest; a few that last differently are enough.
        def known(aisles)
          all = @work.every_food.values.select do |food|
            aisles.include?(food.aisle) && food.kit_group && in_season?(food)
          end
          lives = all.group_by { |food| @work.catalog.keeping(food, "bought_sealed", "cupboard").row&.low }.except(nil)
          lives.sort.last(MOST_FRESH).map { |_, foods| foods.min_by { |food| [bought?(food) ? 0 : 1, food.key] } }
        end

        def in_season?(food)
          region = @work.household.settings.fetch("season_region", Core::SideTables::REGIONS.first)
          food.in_season?(region, @work.today.month)
        end

        def bought?(food) = bought.include?(@work.shelf.food_ids[food.key])

        def bought = @bought ||= @work.house.outcomes.came_on.keys.then { |ids| foods_of(ids) }

        def foods_of(ids) = @work.house.lots.every(ids).to_set(&:food_id)

        def per_day(group)
          Core::Kits::Needs.new(figures).call(who.people).servings.fetch(group)
        end

        def event_day = @work.services.clock.at(event.hour, @work.household.time_zone).to_date
      end
    end
  end
end
