# frozen_string_literal: true

require_relative "../act"
require_relative "../day"
require_relative "../refusal"
require_relative "../trips/trip_book"

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

        before = refused
        swapped = entry("swap_trip_days", "#{@trip.name}: swapped #{words(one)} and #{words(other)}")
        rows.each do |row|
          locked = house.records.lock("trip_meal", row.id)
          swapped.alter("trip_meal", locked, { on_date: row.on_date == one ? other : one })
        end
        refuse_faulty(before)
        done(swapped, trip_id: @trip.id)
      end

      def common(one, other)
        route = Trips::Route.new(@trip)
        days = [one, other].each_with_index
        outside = days.find { |day, _| !route.dates.include?(day) }
        raise Refusal.of(:meal_not_on_trip, at: outside.last.zero? ? "/on" : "/with") if outside

        route.meals(one) & route.meals(other)
      end

      # What nobody may eat as it stands, by row.
      def refused
        Trips::TripBook.new(work, @trip).entries.filter_map do |entry|
          bad = entry.faults.find { |fault| refuses?(fault, entry) }
          [entry.row.id, bad] if bad || lost?(entry)
        end.to_h
      end

      def refuses?(fault, entry)
        Core::Trips::GridScore::REFUSES.include?(fault.kind) || (fault.kind == :leftover && entry.cell.leftover?)
      end

      # A leftover of what is cooked later.
      def lost?(entry) = entry.row.kind == "leftover" && entry.cell.nil?

      # What stood against a meal before is no reason.
      def refuse_faulty(before)
        id, bad = refused.find { |row_id, _| !before.key?(row_id) }
        return unless id
        raise Refusal.of(:nothing_left_of_it, at: "/with") unless bad

        book = Trips::TripBook.new(work, @trip)
        raise Refusal.of(:trip_meal_refused, at: "/with", why: book.fault_words(bad))
      end

      def words(day) = day.strftime("%-d %b")
    end
  end
end
