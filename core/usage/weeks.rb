# frozen_string_literal: true

require "date"
require_relative "../value"

module NutShelf
  module Core
    # Use week by week, oldest first, as Rate wants it. What a count found missing was used since the last look, so it
    # is spread over the days between.
    module Weeks
      # Some use: on a day, or spread over the days after `since` up to `on`. Amount in base units. Frozen.
      Use = Value.of(:on, :since, :amount)

      MOST = 16

      module_function

      # @param uses [Array<Use>]
      # @param today [Date] the last week ends today
      # @param first_on [Date] before it nothing is known
      # @return [Array<Rational>] whole weeks only
      def of(uses, today:, first_on:)
        count = [((today - first_on).to_i + 1) / 7, MOST].min
        weeks = Array.new(count, 0r)
        uses.each { |use| add(weeks, use, today) }
        weeks.reverse
      end

      # Spreads one use over the weeks since it was last looked at.
      def add(weeks, use, today)
        days = use.since && use.since < use.on ? ((use.since + 1)..use.on).to_a : [use.on]
        share = use.amount.to_r / days.size
        days.each do |day|
          week = (today - day).to_i / 7
          weeks[week] += share if week.between?(0, weeks.size - 1)
        end
      end
    end
  end
end
