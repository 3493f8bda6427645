# frozen_string_literal: true

require "date"

module NutShelf
  module Core
    # Whether a place is due for a count: by the household's rhythm, or because too much in it is in doubt. Frozen.
    class Due
      RHYTHM_DAYS = 90
      DOUBT_SHARE = Rational(1, 3)

      attr_reader :due, :days_over, :reason

      # @param stacks [Integer] how many stand there
      # @param doubtful [Integer] how many of them are in doubt
      # @param counted_on [Date, nil]
      # @param today [Date]
      # @param rhythm_days [Integer, nil] nil: the usual rhythm
      def initialize(stacks:, doubtful:, counted_on:, today:, rhythm_days: nil)
        rhythm = rhythm_days || RHYTHM_DAYS
        @days_over = counted_on ? (today - counted_on).to_i - rhythm : nil
        @reason = why(stacks, doubtful, counted_on, today, rhythm)
        @due = !@reason.nil?
        freeze
      end

      private

      def why(stacks, doubtful, counted_on, today, rhythm)
        return if stacks.zero?
        return "never counted" unless counted_on
        return "counted #{(today - counted_on).to_i} days ago, every #{rhythm} days is the rhythm" if @days_over >= 0

        return unless doubtful.positive? && Rational(doubtful, stacks) >= DOUBT_SHARE

        "#{doubtful} of #{stacks} stacks are in doubt"
      end
    end
  end
end
