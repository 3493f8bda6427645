# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"
require_relative "../trips/trip_book"

module NutShelf
  module Desk
    # Fills the meals of a trip: what is pinned stays, the rest is proposed anew, or only what is open.
    class FillTrip < Act
      # A first answer comes by then; asked again, it goes on from there.
      SECONDS = 0.3

      private

      # The search takes its time, and nobody else in the house waits for it.
      def prepare(input)
        @from = Trips::TripBook::CLOCK.call
        book = book(input)
        @found = [mark(book), proposed(book, input)]
      end

      # @param input [Hash] :trip_id, :keep whether all that stands there stays
      def perform(input)
        book = book(input)
        trip = book.trip
        before, filled = @found
        filled = proposed(book, input) unless before == mark(book)
        set = entry("fill_trip", "Filled the trip #{trip.name}")
        changes = book.slots.zip(filled.grid).count { |slot, choice| fill(set, book, slot, choice) }
        changes += besides(set, book, filled.grid) unless input[:keep]
        raise Refusal.of(:nothing_better) if changes.zero?

        done(set, trip_id: trip.id, empty: filled.score.empty, faults: filled.score.faults)
      end

      def book(input)
        trip = house.trips.find(input[:trip_id])
        raise Refusal.of(:nobody_goes) if trip.people.empty?

        Trips::TripBook.new(work, trip)
      end

      def proposed(book, input) = book.filled(keep: input[:keep] == true, seconds: SECONDS, from: @from)

      # What a proposal stands and falls with: the trip and its meals as they were.
      def mark(book) = [book.trip.version, *book.entries.map { |one| [one.row.id, one.row.version] }]

      # What was proposed besides before makes way; what somebody pinned stays.
      # @return [Integer] things to eat besides
      def besides(set, book, grid)
        before = book.entries.map(&:row).select { |row| row.kind == "food" && !row.pinned }
        before.each { |row| set.alter("trip_meal", row, { archived_at: Time.now.utc.iso8601 }) }
        more = book.made_up(grid)
        more.each do |one|
          meals = book.route.meals(one.day)
          set.make(
            "trip_meal",
            { trip_id: book.trip.id, on_date: one.day, meal: meals.include?("snack") ? "snack" : meals.last,
              kind: "food", dish: one.food.key, grams: one.grams, pinned: false }
          )
        end
        more.size
      end

      # @return [Boolean] whether anything is new there
      def fill(set, book, slot, choice)
        there = book.main(slot)
        return false if there&.choice&.key == choice&.key

        set.alter("trip_meal", there.row, { archived_at: Time.now.utc.iso8601 }) if there
        return true unless choice

        set.make(
          "trip_meal",
          { trip_id: book.trip.id, on_date: slot.day, meal: slot.meal, kind: choice.assembly ? "bag" : "recipe",
            dish: choice.key, pinned: false }
        )
        true
      end
    end
  end
end
