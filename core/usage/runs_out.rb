# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # When a food runs out: the likeliest day, and the days between which it does four times out of five. Use of one
    # week does not depend on another's, so after n weeks its spread has grown with the square root of n. Frozen.
    RunsOut =
      Value.of(:on, :earliest, :latest) do
        # @param left [Rational] base units that are there
        # @param rate [Rate] of the same units
        # @param today [Date]
        # @return [RunsOut, nil] nil where nothing is used, or where it lasts longer than anybody plans
        def self.of(left, rate, today:)
          return unless rate.known? && rate.weekly.positive? && left.positive?

          weeks = left / rate.weekly
          return if weeks > self::MOST_WEEKS

          spread = self::FOUR_OF_FIVE * rate.spread.to_f / rate.weekly * Math.sqrt(weeks)
          soon, late = [weeks - spread, weeks + spread].map { |number| (number * 7).floor }
          new(on: today + (weeks * 7).floor, earliest: today + [soon, 0].max, latest: today + late)
        end
      end

    class RunsOut
      MOST_WEEKS = 104
      # Standard deviations between which a normal law has four fifths.
      FOUR_OF_FIVE = 1.2816
    end
  end
end
