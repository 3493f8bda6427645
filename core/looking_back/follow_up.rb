# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # Whether a change helped: what was wasted of a food since, against the same number of weeks before it. `verdict`:
    # "early" (fewer than four weeks), "cannot_tell" (too little of it left in either time), "helped" or "not".
    # `weeks` on either side; minor units wasted in each. Frozen.
    FollowUp =
      Value.of(:verdict, :weeks, :before_minor, :after_minor) do
        # @param taken_on [Date] the day of the change; it counts to neither side
        # @param today [Date]
        # @param outcomes [Array<Outcome>] of the food on both sides
        # @return [FollowUp]
        def self.of(taken_on:, today:, outcomes:)
          weeks = [(today - taken_on).to_i / 7, self::MOST_WEEKS].min
          days = weeks * 7
          before = outcomes.select { |one| one.on.between?(taken_on - days, taken_on - 1) }
          after = outcomes.select { |one| one.on.between?(taken_on + 1, taken_on + days) }
          sums = [before, after].map { |list| list.select(&:wasted?).sum(&:value_minor) }
          enough = [before.size, after.size].min >= self::LEAST_TIMES && sums.first.positive?
          verdict = sums.last <= sums.first * self::CLEARLY ? "helped" : "not"
          verdict = "cannot_tell" unless enough
          verdict = "early" if weeks < self::LEAST_WEEKS
          new(verdict: verdict, weeks: weeks, before_minor: sums.first, after_minor: sums.last)
        end
      end

    class FollowUp
      LEAST_WEEKS = 4
      MOST_WEEKS = 8
      # Fewer times say nothing.
      LEAST_TIMES = 3
      # A third less is more than chance.
      CLEARLY = Rational(2, 3)
    end
  end
end
