# frozen_string_literal: true

require_relative "../../core/season/season_plan"
require_relative "../../core/value"
require_relative "../preserving/batch_log"
require_relative "../usage_rates"
require_relative "jars_there"

module NutShelf
  module Desk
    module Season
      # What was planned of a line, and what batches gave since: millilitres of jars that sealed, or grams. Frozen.
      Progress = Core::Value.of(:target, :done, :jars)

      # A line of the season: what stands there against what is eaten until the harvest, and what is to be made for the
      # time after it (docs/trips.md 4).
      class SeasonLine
        # Of a dryer nobody described.
        DRYER = { trays: 5, tray_dm2: 9, day_hours: 12 }.freeze

        attr_reader :line

        # @param work [UnitOfWork]
        # @param line [Store::Rows::SeasonLine]
        # @param log [Preserving::BatchLog]
        # @param owned [Hash{Rational=>Integer}] jars by millilitres that nothing else fills
        def initialize(work, line, log: Preserving::BatchLog.new(work), owned: {})
          @work = work
          @line = line
          @log = log
          @owned = owned
        end

        # @return [JarsThere]
        def there = @there ||= JarsThere.new(@work, @line)

        # @return [Boolean] whether its next harvest came: other days are to be said
        def over? = @line.next_harvest_on <= @work.today

        # @return [Rational] eaten in a week, in ml or g; 0 where nobody knows
        def weekly = @line.weekly || measured

        # @return [Core::Season::Planned, nil] nil without a rate, or once it is over
        def plan
          return @plan if defined?(@plan)

          @plan = over? || weekly.zero? ? nil : planned
        end

        # @return [Rational] grams of produce as it is picked, stalk and stone with it
        def produce_g
          return plan.produce_g if bottling?

          plan.to_make_ml / @log.next_time(drying).yield / produce_food.edible_yield
        end

        # @return [Core::Preserving::DryingPlan, nil] loads of the dryer
        def loads
          return if bottling? || plan.to_make_ml.zero?

          @log.loads(drying, plan.to_make_ml / @log.next_time(drying).yield, **dryer)
        end

        # @return [Progress]
        def progress
          batches = made
          Progress.new(
            target: @line.target, done: [sum(batches) - @line.done_before, 0r].max,
            jars: batches.select { |one| one.finished_on >= @line.planned_on }.flat_map(&:jars)
          )
        end

        # @return [Rational] what batches of it ever gave
        def given = sum(made)

        # @return [String]
        def name = bottling? ? @line.cut : drying.name

        # @return [Boolean]
        def bottling? = @line.process == "bottling"

        # @return [Core::Food] as it is picked
        def produce_food = @work.catalog.food(bottling? ? product.food_key : drying.food_key)

        private

        def product = @product ||= trips.produce_jars.find { |one| one.product == @line.cut }

        def drying = trips.drying.fetch(@line.cut)

        def trips = @work.catalog.trips

        def measured
          rates = UsageRates.new(@work, food_ids: there.food_ids)
          there.food_ids.sum(0r) { |id| rates.rate(id, there.dimension).weekly }
        end

        def planned
          Core::Season::SeasonPlan.new(
            weekly_ml: weekly, keep_days: keep_days, opened_days: opened_days,
            margin: @line.margin_percent.to_r / 100
          ).call(
            there.jars, today: @work.today, harvest: [@line.harvest_on, @work.today].max,
            next_harvest: @line.next_harvest_on, owned: bottling? ? @owned : {},
            g_per_litre: bottling? ? product.usual : 0r, pot_jars: @line.pot_jars
          )
        end

        def keep_days
          return days(trips_class, "home_canned", "cool_dark") if bottling?

          [kept("cool_dark"), kept("cupboard")].compact.max
        end

        def kept(place) = @work.catalog.keeping(dried_food, "home_dried", place).row&.days(@work.policy.school)

        def opened_days = bottling? ? days(trips_class, "opened", "fridge") : 1

        def trips_class = @work.catalog.food(product.jar_class)

        def dried_food = @work.catalog.food(drying.keep_as || drying.food_key)

        def days(food, situation, place) = @work.catalog.keeping(food, situation, place).row.days(@work.policy.school)

        def dryer = DRYER.to_h { |name, usual| [name, (@line.public_send(name) || usual).to_r] }

        def made
          @log.all.select do |one|
            one.process == @line.process && one.cut == @line.cut && one.status == "finished"
          end
        end

        def sum(batches)
          return batches.sum(0r, &:out_g) unless bottling?

          batches.flat_map(&:jars).sum(0r) { |one| one["ml"] * one["sealed"] }
        end
      end
    end
  end
end
