# frozen_string_literal: true

require_relative "../quantity/money"

module NutShelf
  module Core
    # What a count found against what was there by the ledger, in quantity and money, and the likeliest reason.
    # `delta` in base units (negative: less was found), `value_minor` what that is worth, never negative. Frozen.
    class Difference
      REASONS_LESS = %w[eaten binned given_away lost].freeze
      REASONS_MORE = %w[found].freeze
      # Below this much money nobody is asked why; it was most likely used.
      ASK_FROM_MINOR = 150

      attr_reader :delta, :value_minor, :likely, :ask

      # @param delta [Rational]
      # @param on_hand [Rational] before the count
      # @param stack_value_minor [Integer] what the stack was worth by then
      # @param daily [Rational] usual use a day
      # @param unseen_days [Integer]
      # @param stopped [Boolean] whether it was not to be eaten any more
      # @param ask_from_minor [Integer]
      def initialize(
        delta:,
        on_hand:,
        stack_value_minor:,
        daily: 0r,
        unseen_days: 0,
        stopped: false,
        ask_from_minor: ASK_FROM_MINOR
      )
        @delta = delta
        @value_minor = worth(on_hand, stack_value_minor)
        @likely = reason(daily, unseen_days, stopped)
        @ask = delta.negative? && @value_minor >= ask_from_minor
        freeze
      end

      # @return [Array<String>] reasons to choose from, the likeliest first
      def reasons = delta.negative? ? [likely, *(REASONS_LESS - [likely])] : REASONS_MORE

      private

      def worth(on_hand, value)
        return 0 if on_hand.zero?
        return Money.share(value, -delta, on_hand) if delta.negative?

        (value * delta / on_hand).round
      end

      # What would have been used anyway was eaten; far more than that, or food nobody uses, is gone some other way.
      def reason(daily, unseen_days, stopped)
        return "found" unless delta.negative?
        return "binned" if stopped
        return "lost" if daily.zero? && unseen_days > 60

        "eaten"
      end
    end
  end
end
