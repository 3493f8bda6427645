# frozen_string_literal: true

require_relative "../../core/preserving/dryer"
require_relative "../../core/preserving/next_time"
require_relative "../../core/season/season_plan"
require_relative "reading"

module NutShelf
  module Exchange
    module TripCases
      # What the next batch in the dryer may give.
      class DryNextCase < Reading
        # @return [Hash]
        def answer
          next_time = Core::Preserving::NextTime.new(drying, figures.usual(drying.hours_target), batches)
          given = number("next_in_g")
          {
            yields: next_time.yields.map { |one| text(one, 4) }, yield: text(next_time.yield, 4),
            hours: text(next_time.hours, 1),
            water_back_ml_per_100g: text(Core::Preserving::WaterBack.of_batch(100r, 1r, next_time.yield)),
            out_g: text(next_time.out_g(given)), litres: next_time.litres(given)&.then { |one| text(one, 1) }
          }
        end

        private

        def drying = row(:drying, @case["drying"])

        def batches
          @case.list("batches").map do |one|
            Core::Preserving::Batch.new(
              in_g: one.positive("in_g"), out_g: one.positive("out_g"), hours: one.amount("hours"),
              done: one["done"] != false
            )
          end
        end
      end

      # Loads of a dryer before a day.
      class DryerCase < Reading
        # @return [Hash]
        def answer
          drying = row(:drying, @case["drying"])
          plan = Core::Preserving::Dryer.new(
            drying, hours: hours(drying), trays: @case.at_least_one("trays"),
            tray_dm2: @case.positive("tray_dm2"), day_hours: @case.positive("day_hours"), watts: @case.amount("watts")
          ).call(@case.positive("in_g"), needed_on: @case.day("needed_on"))
          {
            capacity_g: text(plan.capacity_g), loads: plan.loads, per_load_g: text(plan.per_load_g),
            per_tray_g: text(plan.per_tray_g), days: plan.days, start_on: plan.start_on&.iso8601,
            kwh: plan.kwh && text(plan.kwh, 1)
          }
        end

        private

        def hours(drying) = @case["hours"] ? @case.positive("hours") : figures.usual(drying.hours_target)
      end

      # Water that is given back.
      class WaterBackCase < Reading
        # @return [Hash]
        def answer = { ml: text(millilitres) }

        private

        def millilitres
          portion = number("portion_g")
          back = Core::Preserving::WaterBack
          return back.of_batch(portion, @case.positive("in_g"), @case.positive("out_g")) if @case["in_g"]

          drying = row(:drying, @case["drying"])
          back.of_table(portion, drying, figures.usual(drying.rehydrate_target))
        end
      end

      # A year of jars.
      class SeasonCase < Reading
        # @return [Hash]
        def answer
          plan = season.call(
            jars, today: @case.the_day("today"), harvest: @case.the_day("harvest"),
            next_harvest: @case.the_day("next_harvest"),
            owned: owned, g_per_litre: produce.usual, pot_jars: @case["pot_jars"] && @case.at_least_one("pot_jars")
          )
          { **need(plan), **filled(plan) }
        end

        private

        def season
          food = catalog.foods.fetch(@case["jar_class"]) { @case.bad("jar_class", @case["jar_class"], "Use a class.") }
          Core::Season::SeasonPlan.new(
            weekly_ml: @case.positive("weekly_ml"), margin: number("margin", usual: 0r),
            keep_days: days(food, "home_canned", "cool_dark"), opened_days: days(food, "opened", "fridge")
          )
        end

        def days(food, situation, place) = catalog.keeping(food, situation, place).row.days(policy.school)

        def jars
          @case.list("jars").map do |one|
            Core::Season::JarStack.new(
              id: one.name("id"), size_ml: one.positive("size_ml"), count: one.whole("count"),
              good_until: one.the_day("good_until")
            )
          end
        end

        # @return [Hash{Rational=>Integer}] jars owned by millilitres
        def owned
          said = @case.part("owned") or return {}
          said.fields.to_h do |size|
            [size[/\A\d+\z/]&.to_r || said.bad(size, nil, "A size is in ml."), said.whole(size)]
          end
        end

        def produce
          said = @case.part("produce") || @case.bad("produce", nil, "Name its food, and product where it has several.")
          catalog.trips.produce_jars.find do |one|
            one.food_key == said["food"] && (said["product"].nil? || one.product == said["product"])
          end || @case.bad("produce", said["food"], "Use a food and product of that table.")
        end

        def need(plan)
          {
            needed_ml: text(plan.needed_ml), short_ml: text(plan.before.short_ml),
            hole_from: plan.before.hole_from&.iso8601, goes_past: past(plan.before.past),
            left_ml: text(plan.left_ml), left_eaten_ml: text(plan.eaten_ml), left_past: past(plan.after.past),
            to_make_ml: up(plan.to_make_ml), days_jars_cannot_cover: plan.uncovered_days
          }
        end

        def past(list) = list.map { |one| { id: one.id, ml: text(one.ml), after: one.after.iso8601 } }

        def filled(plan)
          {
            one_jar_eaten_in_days: plan.one_jar_days, size_up_to_ml: text(plan.fits_ml),
            empties: sizes(plan.empties), jars: sizes(plan.jars), empties_to_find: plan.find,
            filled_ml: text(plan.filled_ml), produce_kg: up(plan.produce_g / 1000, 1), batches: plan.pots
          }
        end

        def sizes(counts) = counts.sort.to_h { |size, count| [text(size), count] }
      end
    end
  end
end
