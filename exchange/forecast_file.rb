# frozen_string_literal: true

require "date"
require_relative "../core/forecast/forecast"
require_relative "../core/rotation/once_opened"
require_relative "case_file"

module NutShelf
  module Exchange
    # Reads cases of one food from JSON (lots, uses, a daily use), so that anybody can try the forecast on figures of
    # their own, and writes what it says.
    class ForecastFile < CaseFile
      FOOD = "food"

      # Cases of another kind are left out.
      # @return [Hash{String=>Hash}] by id, ready for JSON
      # @raise [Unreadable] naming the case and the field
      def answers = told("forecast", usual: "forecast") { |one| Walk.new(one).answer }

      # One case: {from, to, lots, uses, rate_per_day, open_first}.
      class Walk
        # @param one [CaseFile::Case]
        def initialize(one)
          @case = one
        end

        # @return [Hash]
        def answer
          forecast = walked
          short = forecast.runs_out[FOOD]
          past = forecast.goes_past
          {
            waste: past.to_h { |one| [one.stack.id, @case.words(one.amount)] },
            wasted_on: past.to_h { |one| [one.stack.id, one.on.iso8601] },
            used: forecast.used.transform_values { |grams| @case.words(grams) },
            first_short_on: short&.on&.iso8601,
            first_short_amount: short && @case.words(short.amount),
            short: @case.words(short ? short.total : 0r)
          }
        end

        private

        def walked
          from = @case.day("from") || @case.bad("from", nil, "Say the first day, like 2026-11-24.")
          to = @case.day("to") || @case.bad("to", nil, "Say the last day, like 2026-12-31.")
          shelf = Core::Shelf.new(@case.list("lots").map { |lot| stack(lot) }, foods: {}, today: from)
          habits = Core::Habits.new({ FOOD => @case.amount("rate_per_day") || 0r }, from)
          Core::Forecast.new(shelf, to: to, habits: habits, uses: uses)
        end

        def uses
          @case.list("uses").map do |use|
            Core::Use.new(food_key: FOOD, on: use.day("on") || use.bad("on", nil, "Say the day."),
              amount: use.amount("amount") || use.bad("amount", nil, "Say how much."))
          end
        end

        def stack(lot)
          grams = lot.amount("amount") || lot.bad("amount", nil, "Say how much.")
          good = lot.day("good_until")
          days = lot["opened_days"] && lot.whole("opened_days")
          Core::Stack.new(
            id: lot["id"] || lot.bad("id", nil, "Every lot needs one."), food_key: FOOD, label: "", dimension: :mass,
            on_hand: grams, amount: grams, pack: lot.amount("pack"), grams_per_unit: 1r, minor_per_gram: 0r,
            usable_until: good, strict_until: good, ready_on: [lot.day("ready_on"), lot.day("came_on")].compact.max,
            open: lot["open"] == true, no_opened_limit: @case["open_first"] == true,
            opened: days && Core::OnceOpened.new(how: :opened, days: days, strict_days: days)
          )
        end
      end
    end
  end
end
