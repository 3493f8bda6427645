# frozen_string_literal: true

require_relative "../act"
require_relative "../day"
require_relative "../refusal"
require_relative "../trips/refused"
require_relative "../trips/trip_book"

module NutShelf
  module Desk
    # Fills the meals of a trip: what is pinned stays, the rest is proposed anew, or only what is open. A proposal that
    # was looked at before is put there as it is, where nothing changed meanwhile that forbids it.
    class FillTrip < Act
      # A first answer comes by then; asked again, it goes on from there.
      SECONDS = 0.3

      private

      # The search takes its time, and nobody else in the house waits for it.
      def prepare(input)
        return if input[:meals]

        @from = Trips::TripFilling::CLOCK.call
        book = book(input)
        @found = [mark(book), proposed(book, input)]
      end

      # @param input [Hash] :trip_id, :keep whether all that stands there stays, :meals a proposal as [{ on:, meal:,
      #   kind:, dish: }]; a meal that is not named stays as it is
      def perform(input)
        book = book(input)
        trip = book.trip
        refused = Trips::Refused.new(work, trip, menu: book.menu)
        before = refused.standing.keys
        grid = input[:meals] ? given(book, input[:meals]) : found(book, input)
        set = entry("fill_trip", "Filled the trip #{trip.name}")
        changes = book.slots.zip(grid).count { |slot, choice| fill(set, book, slot, choice) }
        changes += besides(set, book, grid) unless input[:keep]
        raise Refusal.of(:nothing_better) if changes.zero?

        refused.guard(before, "/meals")
        done(set, trip_id: trip.id, **sums(book))
      end

      def found(book, input)
        before, filled = @found
        (before == mark(book) ? filled : proposed(book, input)).grid
      end

      # @return [Hash] meals that stay open, and how much stands against the others
      def sums(before)
        book = Trips::TripBook.new(work, before.trip, menu: before.menu)
        mains = book.slots.map { |slot| book.main(slot) }
        { empty: mains.count(&:nil?), faults: mains.compact.sum { |one| one.faults.size } }
      end

      def given(book, meals)
        named = meals.each_with_index.to_h { |one, at| [[Day.read(:on, one[:on]), one[:meal]], [one, at]] }
        grid = book.slots.each_with_index.map do |slot, at|
          one, place = named.delete([slot.day, slot.meal])
          one ? chosen(book, one, at, place) : book.main(slot)&.choice
        end
        return grid if named.empty?

        raise Refusal.of(:meal_not_on_trip, at: "/meals/#{named.values.first.last}")
      end

      def chosen(book, one, at, place)
        choice = book.menu.choices.find do |other|
          other.key == one[:dish] && (one[:kind] == "bag") == !other.assembly.nil?
        end
        return choice if choice && book.open_to?(choice, at)

        raise Refusal.of(:proposal_is_old, at: "/meals/#{place}")
      end

      def book(input)
        trip = house.trips.find(input[:trip_id])
        raise Refusal.of(:nobody_goes) if trip.people.empty?

        Trips::TripBook.new(work, trip)
      end

      def proposed(book, input)
        book.filling(keep: input[:keep] == true).call(seconds: SECONDS, from: @from || Trips::TripFilling::CLOCK.call)
      end

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
