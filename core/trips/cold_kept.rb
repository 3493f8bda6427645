# frozen_string_literal: true

require "time"
require_relative "../value"

module NutShelf
  module Core
    # Food on the way: what keeps, what is carried, cooked, drunk and brought home.
    module Trips
      # Until when a way of keeping cold holds at a temperature around it (docs/trips.md 5): straight lines between the
      # cautious hours of the table, half of the last above it.
      class ColdKept
        # Hours of the day meals are eaten at.
        MEALS = { "breakfast" => 8, "lunch" => 13, "snack" => 16, "dinner" => 19 }.freeze
        # Hours food that needs cold may be out of it: two, one where it is hotter than that. The two-hour rule.
        OUT = 2
        HOT_OUT = 1
        HOT_C = 32

        # @param row [ColdKeeping]
        # @param temp_c [Rational] around it
        # @param leaves [Time]
        def initialize(row, temp_c:, leaves:)
          @row = row
          @temp = temp_c
          @leaves = leaves
        end

        # @return [Rational]
        def hours
          table = @row.hours.sort
          return 0r if table.empty?
          return table.first.last if @temp <= table.first.first
          return table.last.last / 2 if @temp > table.last.first

          low, high = table.each_cons(2).find { |_, (to, _)| @temp <= to }
          low.last + ((high.last - low.last) * (@temp - low.first) / (high.first - low.first))
        end

        # @return [Time]
        def until_at = @leaves + (hours * 3600)

        # @param day [Date]
        # @param meal [String] of MEALS
        # @return [Boolean] whether food that needs cold may be eaten then
        def allows?(day, meal) = at(day, meal) <= until_at + ((@temp > HOT_C ? HOT_OUT : OUT) * 3600)

        # @param day [Date]
        # @param meal [String] of MEALS
        # @return [Time] when it is eaten
        def self.at(day, meal) = Time.utc(day.year, day.month, day.day, MEALS.fetch(meal))

        private

        def at(day, meal) = self.class.at(day, meal)
      end
    end
  end
end
