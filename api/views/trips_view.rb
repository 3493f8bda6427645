# frozen_string_literal: true

require_relative "../../desk/trips/lessons"

module NutShelf
  module Api
    # The trips of a household as JSON, and what they may be packed with.
    class TripsView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @return [Hash]
      def call
        {
          trips: @work.house.trips.all.map { |trip| told(trip) },
          cold: @work.catalog.trips.cold.values.map { |one| { key: one.key, name: one.name } },
          learned: learned, boxes: boxes,
          people: @work.house.household.people.map { |row| { id: row.id, name: row.name } }
        }
      end

      private

      def boxes
        @work.places.values_at(*@work.house.trips.boxes).compact.map do |place|
          { place_id: place.id, name: place.name }
        end
      end

      def learned
        lessons = Desk::Trips::Lessons.new(@work)
        {
          trips: lessons.over.size, percent: (lessons.factor * 100).round,
          leave_out: lessons.leave_out.map { |key| @work.shelf.foods[key]&.name || key }
        }
      end

      def told(trip)
        {
          id: trip.id, name: trip.name, status: trip.status, leaves_on: trip.leaves_on.iso8601,
          back_on: trip.back_on.iso8601, meals: @work.house.trips.meals(trip.id).size
        }
      end
    end
  end
end
