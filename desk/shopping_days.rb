# frozen_string_literal: true

require_relative "../core/buying/trip_days"
require_relative "../core/planning/shopping_trips"

module NutShelf
  module Desk
    # The household's shopping days in a span, and what the meals of it need from each.
    class ShoppingDays
      PLACES = %w[fridge cupboard cool_dark].freeze

      # @param work [UnitOfWork]
      # @param from [Date]
      # @param to [Date]
      def initialize(work, from:, to:)
        @work = work
        @from = [from, work.today].max
        @to = to
      end

      # Weekdays, days of a month ("two a month") and single dates, as the household has them.
      # @return [Array<Date>] empty where the household has no such days
      def days
        settings = @work.household.settings
        weekdays = settings.fetch("shopping_days", [])
        of_month = settings.fetch("shopping_month_days", [])
        dates = settings.fetch("shopping_dates", []).map { |text| Date.iso8601(text) }
        (@from..@to).select do |day|
          weekdays.include?(day.wday) || dates.include?(day) || of_month.include?(day.mday) ||
            (of_month.any? { |number| number > day.mday } && last_of_month?(day))
        end
      end

      # @return [Boolean] whether a trip may fall out, so that what keeps is bought for two
      def may_fall_out? = @work.household.settings.fetch("shopping_may_fall_out", false)

      # @param dishes [Array<Core::Dish>] of the span
      # @return [Core::ShoppingTrips::Shared]
      def share(dishes)
        needs = dishes.flat_map do |dish|
          dish.missing.map do |line|
            Core::ShoppingTrips::Need.new(food_key: line.food_key, on: dish.on, grams: line.missing)
          end
        end
        Core::ShoppingTrips.new(days, keeps: method(:keeps)).call(needs)
      end

      # By the careful figure of the place that suits it best; what lives in the freezer keeps.
      # @param key [String] of a food
      # @return [Integer, nil] days from the shop
      def keeps(key)
        food = @work.shelf.foods[key]
        return if food.nil? || food.aisle == "Frozen"

        PLACES.filter_map { |place| @work.catalog.keeping(food, "bought_sealed", place).row&.low }.max
      end

      private

      # The 31st is the 30th where a month has no more days.
      def last_of_month?(day) = (day + 1).month != day.month
    end
  end
end
