# frozen_string_literal: true

require "bigdecimal"
require "date"
require "json"
require_relative "../core/forecast/forecast"
require_relative "../core/rotation/once_opened"
require_relative "errors"

module NutShelf
  module Exchange
    # Reads cases of one food from JSON (lots, uses, a daily use), so that anybody can try the forecast on figures of
    # their own, and writes what it says.
    class ForecastFile
      # What is wrong in a file: which case, which field, and how to mend it.
      class Unreadable < Error
      end

      FOOD = "food"

      # @param text [String] a JSON array of cases: {id, kind: "forecast", input: {from, to, lots, uses, rate_per_day,
      #   open_first}}; cases of another kind are left out
      # @raise [Unreadable]
      def initialize(text)
        @cases = JSON.parse(text)
        return if @cases.is_a?(Array) && @cases.all? { |one| one.is_a?(Hash) && one["id"] && one["input"].is_a?(Hash) }

        raise Unreadable, "The file must hold a list of cases, [{\"id\": ..., \"input\": {...}}, ...]."
      rescue JSON::ParserError => e
        raise Unreadable, "That is no JSON: #{e.message.lines.first.strip}"
      end

      # @return [Hash{String=>Hash}] by id, ready for JSON
      # @raise [Unreadable] naming the case and the field
      def answers
        @cases
          .select { |one| one.fetch("kind", "forecast") == "forecast" }
          .to_h { |one| [one["id"].to_s, Case.new(one["id"].to_s, one["input"]).answer] }
      end

      # One case.
      class Case
        # @param id [String]
        # @param input [Hash] as in the file
        def initialize(id, input)
          @id = id
          @input = input
        end

        # @return [Hash]
        def answer
          forecast = walked
          short = forecast.runs_out[FOOD]
          past = forecast.goes_past
          {
            waste: past.to_h { |one| [one.stack.id, words(one.amount)] },
            wasted_on: past.to_h { |one| [one.stack.id, one.on.iso8601] },
            used: forecast.used.transform_values { |grams| words(grams) },
            first_short_on: short&.on&.iso8601,
            first_short_amount: short && words(short.amount),
            short: words(short ? short.total : 0r)
          }
        end

        private

        def walked
          from = day(@input, "from") || bad("from", nil, "Say the first day, like 2026-11-24.")
          to = day(@input, "to") || bad("to", nil, "Say the last day, like 2026-12-31.")
          shelf = Core::Shelf.new(list("lots").map { |lot| stack(lot) }, foods: {}, today: from)
          habits = Core::Habits.new({ FOOD => amount(@input, "rate_per_day") || 0r }, from)
          Core::Forecast.new(shelf, to: to, habits: habits, uses: uses)
        end

        def uses
          list("uses").map do |use|
            Core::Use.new(food_key: FOOD, on: day(use, "on") || bad("on", nil, "Say the day."),
              amount: amount(use, "amount") || bad("amount", nil, "Say how much."))
          end
        end

        def stack(lot)
          grams = amount(lot, "amount") || bad("amount", nil, "Say how much.")
          good = day(lot, "good_until")
          days = lot["opened_days"]
          bad("opened_days", days, "Use a whole number.") unless days.nil? || days.is_a?(Integer)
          Core::Stack.new(
            id: lot["id"] || bad("id", nil, "Every lot needs one."), food_key: FOOD, label: "", dimension: :mass,
            on_hand: grams, amount: grams, pack: amount(lot, "pack"), grams_per_unit: 1r, minor_per_gram: 0r,
            usable_until: good, strict_until: good, ready_on: [day(lot, "ready_on"), day(lot, "came_on")].compact.max,
            open: lot["open"] == true, no_opened_limit: @input["open_first"] == true,
            opened: days && Core::OnceOpened.new(how: :opened, days: days, strict_days: days)
          )
        end

        def list(field)
          found = @input.fetch(field, [])
          found.is_a?(Array) && found.all?(Hash) ? found : bad(field, found, "Use a list of {...}.")
        end

        def day(row, field)
          row[field] && Date.iso8601(row[field])
        rescue Date::Error, TypeError
          bad(field, row[field], "Write a day like 2026-11-24.")
        end

        def amount(row, field)
          return if row[field].nil?

          amount = BigDecimal(row[field].to_s).to_r
          amount.negative? ? bad(field, row[field], "Use a number of 0 or more.") : amount
        rescue ArgumentError, FloatDomainError
          bad(field, row[field], "Write a number like 1.5.")
        end

        def words(amount) = BigDecimal(amount.round(6), 24).to_s("F").delete_suffix(".0")

        def bad(field, value, mend) = raise(Unreadable, "Case #{@id}, #{field} (#{value.inspect}): #{mend}")
      end
    end
  end
end
