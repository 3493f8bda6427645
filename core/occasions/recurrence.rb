# frozen_string_literal: true

require "date"
require_relative "../value"

module NutShelf
  module Core
    # When an occasion comes round: once, on a date every year, on a weekday of a month every year ("the last Sunday of
    # August"), or on a weekday of every month. Frozen. `kind`: "once" with `on`; "date" with `month` and `day`;
    # "weekday" with `month`, `weekday` (0: Sunday) and `nth` (1 to 4, -1: the last); "monthly" without a month.
    Recurrence =
      Value.of(:kind, :on, :month, :day, :weekday, :nth) do
        # @param facts [Hash] as an occasion keeps it
        # @return [Recurrence]
        # @raise [ArgumentError] in words, where there is no such day in any year
        def self.read(facts)
          made = new(**facts.to_h.transform_keys(&:to_sym).slice(*self::FIELDS))
          made = made.with(on: made.on && Date.iso8601(made.on.to_s))
          raise ArgumentError, "Say on which day." unless made.sound?

          made
        end

        # @return [Boolean] whether it says everything its kind asks for
        def sound?
          case kind
          when "once" then on.is_a?(Date)
          when "date" then month && day && Date.valid_date?(2024, month, day)
          when "weekday" then month&.between?(1, 12) && nth_weekday?
          when "monthly" then nth_weekday?
          else false
          end
        end

        # @param from [Date]
        # @return [Date, nil] the first such day that is not before it
        def next_from(from)
          case kind
          when "once" then on if on >= from
          when "monthly" then (0..1).map { |more| in_month(from.year, from.month, more) }.find { |one| one >= from }
          else [from.year, from.year + 1].map { |year| in_year(year) }.find { |one| one >= from }
          end
        end

        # @param from [Date]
        # @param to [Date]
        # @return [Array<Date>] all such days
        def between(from, to)
          found = []
          while (one = next_from(from)) && one <= to
            found << one
            from = one + 1
          end
          found
        end

        private

        # The 29th of February is the 28th where there is none.
        def in_year(year)
          return nth_of(year, month) if kind == "weekday"

          Date.valid_date?(year, month, day) ? Date.new(year, month, day) : Date.new(year, month, -1)
        end

        def nth_weekday? = weekday&.between?(0, 6) && [1, 2, 3, 4, -1].include?(nth)

        def in_month(year, month, more)
          there = Date.new(year, month, 1) >> more
          nth_of(there.year, there.month)
        end

        def nth_of(year, month)
          if nth.positive?
            first = Date.new(year, month, 1)
            first + ((weekday - first.wday) % 7) + (7 * (nth - 1))
          else
            last = Date.new(year, month, -1)
            last - ((last.wday - weekday) % 7)
          end
        end
      end
  end
end
