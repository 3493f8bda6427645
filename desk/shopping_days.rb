# frozen_string_literal: true

require_relative "../core/planning/trips"

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

      # @return [Array<Date>] empty where the household has no such days
      def days
        weekdays = @work.household.settings.fetch("shopping_days", [])
        (@from..@to).select { |day| weekdays.include?(day.wday) }
      end

      # @param dishes [Array<Core::Dish>] of the span
      # @return [Core::Trips::Shared]
      def share(dishes)
        needs = dishes.flat_map do |dish|
          dish.missing.map do |line|
            Core::Trips::Need.new(food_key: line.food_key, on: dish.on, grams: line.missing)
          end
        end
        Core::Trips.new(days, keeps: method(:keeps)).call(needs)
      end

      # By the careful figure of the place that suits it best; what lives in the freezer keeps.
      # @param key [String] of a food
      # @return [Integer, nil] days from the shop
      def keeps(key)
        food = @work.shelf.foods[key]
        return if food.nil? || food.aisle == "Frozen"

        PLACES.filter_map { |place| @work.catalog.keeping(food, "bought_sealed", place).row&.low }.max
      end
    end
  end
end
