# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What is bought on which shopping day: what keeps on the first, each fresh food on the last one that still serves
    # its meals.
    class ShoppingTrips
      # What a meal lacks: food, day of the meal, grams. Frozen.
      Need = Value.of(:food_key, :on, :grams)

      # A shopping day and what to get: food key to the needs it serves. Frozen.
      Trip = Value.of(:on, buys: {}.freeze)

      # `trips` in their order; `late`: needs of meals before the first of them; `short`: needs whose food will not keep
      # from their trip to their meal. Frozen.
      Shared = Value.of(:trips, late: [].freeze, short: [].freeze)

      # Fresh is what keeps no longer than so many days.
      FRESH = 14

      # @param days [Array<Date>] shopping days, rising
      # @param keeps [#call] food key to the days it keeps from the shop, nil for longer than anybody plans
      def initialize(days, keeps:)
        @days = days
        @keeps = keeps
      end

      # @param needs [Array<Need>]
      # @return [Shared]
      def call(needs)
        served, late = needs.partition { |need| trip(need) }
        by_day = served.group_by { |need| trip(need) }
        Shared.new(
          trips: @days.map { |day| Trip.new(on: day, buys: by_day.fetch(day, []).group_by(&:food_key).freeze) }.freeze,
          late: late.freeze, short: served.reject { |need| lasts?(need) }.freeze
        )
      end

      private

      # @return [Date, nil]
      def trip(need)
        before = @days.select { |day| day <= need.on }
        fresh?(need) ? before.last : before.first
      end

      def fresh?(need) = (days = @keeps.(need.food_key)) && days <= FRESH

      def lasts?(need)
        days = @keeps.(need.food_key)
        days.nil? || trip(need) + days >= need.on
      end
    end
  end
end
