# frozen_string_literal: true

require_relative "../act"
require_relative "../day"
require_relative "../refusal"
require_relative "../trips/refused"

module NutShelf
  module Desk
    # Two days of a trip are eaten the other way round, meal by meal as far as both have them. Refused where something
    # would then be cold too late, past its date, or left over too long.
    class SwapTripDays < Act
      private

      # @param input [Hash] :trip_id, :on, :with
      def perform(input)
        @trip = house.trips.find(input[:trip_id])
        house.records.lock("trip", @trip.id)
        one, other = %i[on with].map { |name| Day.read(name, input[name]) }
        meals = common(one, other)
        rows = house.trips.meals(@trip.id).select do |row|
          [one, other].include?(row.on_date) && meals.include?(row.meal)
        end
        raise Refusal.of(:nothing_to_swap) if one == other || rows.empty?

        refused = Trips::Refused.new(work, @trip)
        before = refused.standing.keys
        swapped = entry("swap_trip_days", "#{@trip.name}: swapped #{words(one)} and #{words(other)}")
        rows.each do |row|
          locked = house.records.lock("trip_meal", row.id)
          swapped.alter("trip_meal", locked, { on_date: row.on_date == one ? other : one })
        end
        refused.guard(before, "/with")
        done(swapped, trip_id: @trip.id)
      end

      def common(one, other)
        route = Trips::Route.new(@trip)
        days = [one, other].each_with_index
        outside = days.find { |day, _| !route.dates.include?(day) }
        raise Refusal.of(:meal_not_on_trip, at: outside.last.zero? ? "/on" : "/with") if outside

        route.meals(one) & route.meals(other)
      end

      def words(day) = day.strftime("%-d %b")
    end
  end
end
