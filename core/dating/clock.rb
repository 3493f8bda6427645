# frozen_string_literal: true

module NutShelf
  module Core
    # A keeping rule that is running: since a day, with a share of its life used up before. Frozen.
    # Moving carries the used-up share to the next rule; fractions of days are floored.
    class Clock
      attr_reader :kind, :days, :basis

      # @param since [Date]
      # @param days [Integer] whole life by the rule in force
      # @param kind [Symbol] :safety or :quality
      # @param basis [Symbol] what set it going: :rule, :opened, :cut, :cooked or :frozen
      # @param used [Rational] share of a life used before `since`, 0 to 1
      def initialize(since:, days:, kind:, basis: :rule, used: 0r)
        @since = since
        @days = days
        @kind = kind
        @basis = basis
        @used = used
        freeze
      end

      # @return [Date] last day that counts as good
      def until_on = @since + ((1 - @used) * @days).floor

      # @param on [Date] day of the move
      # @return [Rational] share of the life used up by then, at most 1
      def used_by(on)
        return 1r if @days.zero?

        [@used + Rational([(on - @since).to_i, 0].max, @days), 1r].min
      end

      # @param on [Date] day of the move
      # @return [Boolean] whether its last day lies before that day
      def passed?(on) = until_on < on

      # @param days [Integer] life by the rule of another place
      # @param kind [Symbol]
      # @return [Clock] as if the food had stood there all the time
      def elsewhere(days, kind) = self.class.new(since: @since, days: days, kind: kind, basis: basis, used: @used)

      # The same life under another rule. A clock that has run out is not carried: its end stays as a cap.
      # @param on [Date] day of the move
      # @param days [Integer] life by the new rule
      # @param kind [Symbol]
      # @return [Clock]
      def carried(on, days, kind)
        self.class.new(since: [on, @since].max, days: days, kind: kind, basis: basis, used: used_by(on))
      end
    end
  end
end
