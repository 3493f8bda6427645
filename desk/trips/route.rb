# frozen_string_literal: true

require "date"
require_relative "../../core/trips/energy"

module NutShelf
  module Desk
    module Trips
      # The days of a trip and their meals, from the first to the last.
      class Route
        MEALS = %w[breakfast lunch snack dinner].freeze

        # @param trip [Store::Rows::Trip]
        def initialize(trip)
          @trip = trip
        end

        # @return [Array<Date>]
        def dates = (@trip.leaves_on..@trip.back_on).to_a

        # @param day [Date]
        # @return [Array<String>] meals eaten on the way that day
        def meals(day)
          from = day == @trip.leaves_on ? MEALS.index(@trip.first_meal) : 0
          to = day == @trip.back_on ? MEALS.index(@trip.last_meal) : MEALS.size - 1
          MEALS[from..to] || []
        end

        # @param day [Date]
        # @return [Hash{String=>Object}] "effort", "hours" on the way, "hot"
        def day(day) = { "effort" => "hiking", "hours" => "5", "hot" => false, **@trip.days.fetch(day.iso8601, {}) }

        # @return [Array<Core::Trips::TripDay>]
        def days = dates.map { |one| Core::Trips::TripDay.new(day: one, effort: day(one)["effort"], meals: meals(one)) }

        # @param day [Date]
        # @param meal [String]
        # @return [Boolean]
        def include?(day, meal) = dates.include?(day) && meals(day).include?(meal)

        # @return [Rational] degrees Celsius at that meal
        def temp(meal) = (@trip.temps[meal] || { "dinner" => 10, "breakfast" => 8 }.fetch(meal, 12)).to_r
      end
    end
  end
end
