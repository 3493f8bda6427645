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
      # Fewer weeks of a season tell less than all weeks do.
      LEAST = 4

      module_function

      # @param uses [Array<Use>]
      # @param today [Date] the last week ends today
      # @param first_on [Date] before it nothing is known
      # @param away [#include?] days nobody ate here: a week of which more than half are such days says nothing
      # @param like [#call, nil] tells of a day whether it is of the season of today; weeks of another season say
      #   nothing where LEAST of this one are known
      # @return [Array<Rational>] whole weeks only
      def of(uses, today:, first_on:, away: [], like: nil)
        count = [((today - first_on).to_i + 1) / 7, MOST].min
        weeks = Array.new(count, 0r)
        uses.each { |use| add(weeks, use, today) }
        at_home = weeks.each_index.reject { |week| most?(week, today) { |day| away.include?(day) } }
        alike = like ? at_home.select { |week| most?(week, today, &like) } : at_home
        weeks.values_at(*(alike.size < LEAST ? at_home : alike)).reverse
      end

      # Whether it holds of most days of a week, the last one being week 0.
      def most?(week, today, &holds) = (0..6).count { |day| holds.call(today - (week * 7) - day) } > 3

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
