# frozen_string_literal: true

require "date"

module NutShelf
  module Core
    # How sure the expected amount of a stack still is. People do not note every take: for each day since anybody
    # saw the stack, what is usually used may be gone, and the doubt about it grows. Amounts in base units. Frozen.
    class Doubt
      # Beyond use, about a tenth of what stands unseen for a quarter of a year is lent, broken or miscounted.
      WANDERS_PER_DAY = Rational(1, 900)
      FRESH_DAYS = 3

      attr_reader :expected, :plus_minus, :unseen_days, :steps

      # @param on_hand [Rational] by the ledger
      # @param seen_on [Date] when somebody last saw, took or counted it
      # @param today [Date]
      # @param daily [Rational] what is used of it a day
      def initialize(on_hand:, seen_on:, today:, daily:)
        @unseen_days = [(today - seen_on).to_i, 0].max
        used = [daily * unseen_days, on_hand].min
        @expected = on_hand - used
        @plus_minus = [(used / 2) + (on_hand * WANDERS_PER_DAY * unseen_days), on_hand].min
        if on_hand.positive?
          @steps = [
            "Seen #{unseen_days} days ago; at the usual rate #{(used * 100 / on_hand).round} % of it may have been " \
            "used since without a note."
          ].freeze
        end
        @steps ||= [].freeze
        freeze
      end

      # @return [Rational] what is there at the least, in all likelihood
      def at_least = [expected - plus_minus, 0r].max

      # @param needed [Rational] what a meal (or a purchase not made) counts on
      # @param on_hand [Rational]
      # @return [Boolean] whether a look could change that: it is there by the ledger, and may well not be
      def matters?(needed, on_hand) = unseen_days >= FRESH_DAYS && needed <= on_hand && needed > at_least
    end
  end
end
