# frozen_string_literal: true

require "date"

module NutShelf
  module Core
    # When recurring care is due next, and how far its missing is evidence. Frozen.
    class Schedule
      attr_reader :next_on

      # @param first_on [Date] when it is due first
      # @param every_days [Integer, nil] nil: once, a follow-up
      # @param every_months [Integer, nil] half-yearly and yearly checks keep their day of the month
      # @param done_on [Date, nil] when it was last done
      def initialize(first_on:, every_days: nil, every_months: nil, done_on: nil)
        @next_on = following(first_on, every_days, every_months, done_on)
        freeze
      end

      # @param today [Date]
      def due?(today) = !next_on.nil? && next_on <= today

      # @return [Integer] days it is late; 0 when it is not
      def late(today) = next_on ? [(today - next_on).to_i, 0].max : 0

      private

      # Care counts from the day it was really done; a check of the calendar stays on its day.
      def following(first_on, every_days, every_months, done_on)
        return first_on unless done_on
        return done_on + every_days if every_days
        return unless every_months

        steps = 1
        steps += 1 while (first_on >> (every_months * steps)) <= done_on
        done_on < first_on ? first_on : first_on >> (every_months * steps)
      end
    end
  end
end
