# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../desk/season/reckoning"
require_relative "../../desk/season/season_book"

module NutShelf
  module Api
    # The season as JSON: each line with what is there, what is short, what is to be made, in which jars, and how far
    # that is.
    class SeasonView
      PLAIN = %i[
        id version process cut margin_percent pot_jars trays tray_dm2 day_hours get_by note food_ids
      ].freeze

      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @book = Desk::Season::SeasonBook.new(work)
      end

      # @return [Hash]
      def call
        trips = @work.catalog.trips
        {
          lines: @book.lines.map { |told| line(told) },
          cuts: trips.drying.values.map { |one| { key: one.key, name: one.name } }.sort_by { |one| one[:name] },
          products: trips.produce_jars.map(&:product),
          owned: @book.owned.sort.map { |ml, count| { ml: ml.to_i, owned: count, in_use: @book.in_use.fetch(ml, 0) } }
        }
      end

      private

      def line(told)
        row = told.line
        say = Desk::Season::Reckoning.new(@work, told)
        {
          **row.slice(*PLAIN), name: told.name, harvest_on: row.harvest_on.iso8601,
                               next_harvest_on: row.next_harvest_on.iso8601,
                               weekly: told.weekly.positive? ? say.words(told.weekly) : nil,
                               weekly_said: row.weekly && Core::Decimal.print(row.weekly), over: told.over?,
                               there: say.words(told.there.jars.sum(0r, &:ml)), uncounted: told.there.uncounted,
                               plan: told.plan && sums(told, say), target: target(told, say)
        }
      end

      def sums(told, say)
        plan = told.plan
        {
          needed: say.words(plan.needed_ml), short: some(plan.before.short_ml, say),
          hole_from: plan.before.hole_from&.iso8601, past: past(told, plan.before.past, say),
          left: say.words(plan.left_ml), eaten: say.words(plan.eaten_ml), past_after: past(told, plan.after.past, say),
          to_make: say.words(plan.to_make_ml), uncovered_days: plan.uncovered_days, steps: say.steps,
          **jars(told, say), **produce(told)
        }
      end

      def some(amount, say) = amount.positive? ? say.words(amount) : nil

      def jars(told, say)
        plan = told.plan
        bottles = told.bottling?
        {
          one_jar_days: bottles ? plan.one_jar_days : nil, fits_ml: bottles ? plan.fits_ml.floor : nil,
          jars: sizes(plan.jars), empties: sizes(plan.empties), find: plan.find,
          find_ml: plan.find_ml&.to_i,
          filled: say.words(plan.filled_ml), pots: plan.pots
        }
      end

      def produce(told)
        loads = told.loads
        {
          produce: "#{Core::Decimal.print((told.produce_g / 100).ceil.to_r / 10)} kg", food: told.produce_food.name,
          loads: loads&.loads, load_days: loads&.days
        }
      end

      def sizes(counts) = counts.sort.filter_map { |ml, count| { ml: ml.to_i, count: count } if count.positive? }

      def past(told, list, say)
        stacks = told.there.stacks.to_h { |one| [one.id, one] }
        list.map do |one|
          stack = stacks.fetch(one.id)
          {
            lot_id: one.id, name: stack.name(@work.food(stack.food_id)), amount: say.words(one.ml),
            after: one.after.iso8601
          }
        end
      end

      def target(told, say)
        made = told.progress
        share = made.target.positive? ? [(made.done * 100 / made.target).floor, 999].min : 0
        {
          amount: say.words(made.target), planned_on: told.line.planned_on.iso8601, done: say.words(made.done),
          percent: share, jars: told.line.target_jars.map { |one| one.transform_keys(&:to_sym) },
          jars_done: done(made.jars)
        }
      end

      def done(jars)
        jars.group_by { |one| one["ml"] }.sort
          .map { |ml, list| { ml: ml, count: list.sum { |one| one["sealed"] } } }.select { |one| one[:count].positive? }
      end
    end
  end
end
