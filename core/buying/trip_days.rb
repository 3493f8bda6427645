# frozen_string_literal: true

require_relative "../planning/shopping_trips"

module NutShelf
  module Core
    # The shopping days of a span, and which of them serves what: what keeps is bought on the first for the days up to
    # the one after it, fresh food on the last day that still serves its meal. Where a trip may fall out (a ferry in a
    # gale), what keeps is bought for the days up to the second one after it. Frozen.
    class TripDays
      attr_reader :from, :to, :days

      # @param days [Array<Date>] shopping days, rising, none before `from`
      # @param from [Date] today
      # @param to [Date] last day that is looked at
      # @param may_fall_out [Boolean]
      # @param all_at_once [Boolean] whether everything that keeps is bought on the first
      def initialize(days, from:, to:, may_fall_out: false, all_at_once: false)
        @days = (days.empty? ? [from] : days).freeze
        @from = from
        @to = to
        @ahead = may_fall_out ? 2 : 1
        @all_at_once = all_at_once
        freeze
      end

      # @return [Date] the coming trip
      def first = days.first

      # @return [Date, nil] the one after it
      def next = days[1]

      # @param keeps [Integer, nil] days from the shop
      # @return [Boolean]
      def fresh?(keeps) = !keeps.nil? && keeps <= ShoppingTrips::FRESH

      # @param keeps [Integer, nil]
      # @return [Date] the day before which the first trip's food must do: the day after the last where no trip follows
      def covered(keeps) = (fresh?(keeps) ? days[1] : all_at_once_to || days[@ahead]) || (to + 1)

      # @param on [Date] day of use
      # @param keeps [Integer, nil]
      # @return [Date] the trip it is bought on; the first day of all (today) where it is wanted before any of them
      def serving(on, keeps)
        return from if on < first
        return first if on < covered(keeps)

        days.reverse.find { |day| day <= on }
      end

      # The days at whose start the walk is settled: a trip, the end of what the first one must do, and the end of what
      # keeps from each.
      # @param keeps [Integer, nil]
      # @return [Array<Date>] rising
      def marks(keeps)
        ends = keeps ? [from, *days].map { |day| day + keeps + 1 } : []
        [*days, covered(keeps), *ends, to + 1].uniq.select { |day| day <= to + 1 }.sort
      end

      private

      def all_at_once_to = @all_at_once ? to + 1 : nil
    end
  end
end
