# frozen_string_literal: true

require_relative "look_cover"
require_relative "../value"

module NutShelf
  module Core
    # A day that nothing may be later than. `kind` :safety or :quality, `cause` why it stands (see Caps::LIFTED_BY),
    # `until_on` its last good day. Frozen.
    Cap =
      Value.of(:kind, :cause, :until_on) do
        # @return [Boolean] whether it is a matter of safety
        def safety? = kind == :safety

        # @return [Boolean] whether it is a matter of quality
        def quality? = kind == :quality

        # @param on [Date]
        # @return [Boolean] whether its last good day lies before that day
        def passed?(on) = until_on < on
      end

    # The caps in force for one stack: an immutable list. Nothing takes a cap away but `lift`, and that takes only
    # what LIFTED_BY names for the event: the table of docs/dating.md as code.
    class Caps
      # Which causes each event lifts. Cooking and freezing lift only in time: see Caps#lift.
      LIFTED_BY = {
        cooked: %i[printed rule recipe thawed days_left part turning care out_of_cold power_cut],
        frozen: %i[printed rule recipe thawed days_left part turning care out_of_cold]
      }.freeze

      # Causes that a good look never covers.
      NEVER_COVERED = %i[turning care power_cut].freeze

      # Causes that come from the pack.
      PRINTED = %i[printed infant].freeze

      def initialize(list = [])
        @list = list.freeze
        freeze
      end

      # @return [Caps] with one more
      def add(kind, cause, until_on) = self.class.new([*@list, Cap.new(kind: kind, cause: cause, until_on: until_on)])

      # @return [Array<Cap>]
      def to_a = @list

      # @return [Date, nil] the earliest safety cap
      def safety_until = @list.select(&:safety?).map(&:until_on).min

      # What an event lifts. Nothing, once a safety cap has passed; a quality cap that has passed stays as well, unless
      # a look covers that day.
      # @param event [Symbol] :cooked or :frozen
      # @param on [Date] its day
      # @param looks [Looks]
      # @return [Caps]
      def lift(event, on, looks)
        return self if safety_until && safety_until < on

        causes = LIFTED_BY.fetch(event)
        self.class.new(@list.reject { |cap| causes.include?(cap.cause) && !unlooked?(cap, on, looks) })
      end

      # @return [Boolean] whether a quality cap has passed that day and no look covers it
      def unlooked?(cap, on, looks) = cap.quality? && looks.until_on(cap) < on

      # @param on [Date]
      # @param looks [Looks]
      # @return [Boolean] whether somebody must look before it counts as good that day
      def look_first?(on, looks) = @list.any? { |cap| unlooked?(cap, on, looks) }
    end

    # The good looks at one stack, and how far each carries a passed quality date. Frozen.
    class Looks
      # @param tolerance [Integer] days past a best-before that the food's class allows
      # @param list [Array<Array(Date, Integer)>] day of each good look and the days it covers
      # @param counted [Boolean] false under "by the date", where looks extend nothing
      def initialize(tolerance, list = [], counted:)
        @tolerance = tolerance
        @list = list.freeze
        @counted = counted
        freeze
      end

      # @return [Looks] with one more good look
      def add(on, days) = self.class.new(@tolerance, [*@list, [on, days]], counted: @counted)

      # @return [Looks] none: a new food begins
      def none = self.class.new(@tolerance, counted: @counted)

      # @return [Boolean] whether anybody looked; who goes by the date does not count that
      def taken? = @list.any?

      # @param cap [Cap]
      # @return [Date] last day the cap allows, with the best look that covers it
      def until_on(cap)
        return cap.until_on if !@counted || cap.safety? || Caps::NEVER_COVERED.include?(cap.cause)

        [cap.until_on, *@list.filter_map { |on, days| cover(cap, on, days) }].max
      end

      private

      def cover(cap, looked_on, days)
        LookCover.until_on(quality_until: cap.until_on, looked_on: looked_on, tolerance: @tolerance, days: days)
      end
    end
  end
end
