# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Outage
      # A reading of a thermometer: when, and degrees Celsius. Frozen.
      Reading = Value.of(:at, :celsius)

      # How warm it was in the dark: straight lines through the readings, from what it was at the start; a rise goes on
      # after the last reading, since nobody saw it end (docs/kits.md 8). There is no curve without a reading taken
      # after the start. Hours are counted from the start.
      class Curve
        # @param start [Time]
        # @param ends [Time] now, or when the power came back
        # @param normal [Rational] degrees it usually is
        # @param readings [Array<Reading>]
        # @return [Curve, nil] nil where nobody read anything in the dark
        def self.of(start, ends, normal, readings)
          before, after = readings.sort_by(&:at).partition { |one| one.at <= start }
          return if after.empty?

          at_start = before.select { |one| one.at == before.last.at }.map(&:celsius).max
          new([[0r, at_start || normal], *warmest(after, start)], hours(start, ends))
        end

        # Of two readings of one moment the warmer counts.
        def self.warmest(readings, start)
          readings.group_by(&:at).sort.map { |at, list| [hours(start, at), list.map(&:celsius).max] }
        end
        private_class_method :warmest

        # @return [Rational]
        def self.hours(start, ends) = (ends.to_r - start.to_r) / 3600

        # @param points [Array<Array(Rational, Rational)>] hours and degrees, the first at 0
        # @param ends [Rational] hours
        def initialize(points, ends)
          @points = extended(points, ends)
          @ends = ends
          freeze
        end

        # @return [Rational] degrees at the end
        def last = at(@ends)

        # @param limit [Rational] degrees
        # @return [Rational] hours above it
        def above(limit) = pieces.sum(0r) { |from, to| over(from, to, limit) }

        # @param limit [Rational] degrees
        # @return [Boolean] whether it was ever above
        def ever_over?(limit) = pieces.flatten(1).any? { |_, degrees| degrees > limit }

        private

        def extended(points, ends)
          last = points.last
          return points if last.first >= ends

          before = points[-2]
          slope = (last.last - before.last) / (last.first - before.first)
          [*points, [ends, last.last + ([slope, 0r].max * (ends - last.first))]]
        end

        # The lines within the hours that count.
        def pieces
          inner = @points.select { |hour, _| hour < @ends }
          [*inner, [@ends, at(@ends)]].each_cons(2).to_a
        end

        def at(hour)
          from, to = @points.each_cons(2).find { |_, after| after.first >= hour }
          on_line(from, to, hour)
        end

        def on_line(from, to, hour)
          return to.last if to.first == from.first

          from.last + ((to.last - from.last) * (hour - from.first) / (to.first - from.first))
        end

        def over(from, to, limit)
          low, high = [from.last, to.last].minmax
          length = to.first - from.first
          return length if low > limit || (low == limit && high > limit)
          return 0r if high <= limit

          length * (high - limit) / (high - low)
        end
      end
    end
  end
end
