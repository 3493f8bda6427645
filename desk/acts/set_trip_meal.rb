# frozen_string_literal: true

require_relative "../act"
require_relative "../day"
require_relative "../fit"
require_relative "../refusal"
require_relative "../trips/refused"
require_relative "../trips/trip_book"

module NutShelf
  module Desk
    # Puts a dish, a bag or something to eat besides on a meal of a trip, pins it, moves it, or takes it off again. What
    # is cold, past its date or shuts somebody out is refused; what else stands against it may be pinned.
    class SetTripMeal < Act
      private

      # @param input [Hash] :trip_meal_id of one that stands there, or :trip_id for a new one; :on and :meal, :kind and
      #   :dish (with :grams for a food, for each), :pinned, :soaked the evening before, :gone
      def perform(input)
        row = input[:trip_meal_id] && standing_row(input[:trip_meal_id])
        @trip = house.trips.find(row ? row.trip_id : input[:trip_id])
        @book = Trips::TripBook.new(work, @trip)
        @refused = Trips::Refused.new(work, @trip, menu: @book.menu)
        @before = @refused.standing.keys - [row&.id]
        return changed(row, input) if row

        facts = facts(input)
        refuse_outside(facts)
        set = entry("set_trip_meal", "#{@trip.name}: #{words(facts)}")
        replace(set, facts) unless facts[:kind] == "food"
        id = set.make("trip_meal", facts)
        @refused.guard(@before, "/dish")
        done(set, trip_id: @trip.id, trip_meal_id: id)
      end

      def standing_row(id)
        row = house.records.lock("trip_meal", id)
        raise Store::Missing, "There is no such meal here." if row.archived_at

        row
      end

      def changed(row, input)
        changes = { **input.slice(:pinned, :soaked), **placed(input) }
        refuse_soaked(row.kind, changes)
        refuse_outside({ **row.slice(:on_date, :meal), **changes })
        changes = { archived_at: Time.now.utc.iso8601 } if input[:gone]
        set = entry("set_trip_meal", "#{@trip.name}: #{input[:gone] ? "took off" : "changed"} #{name(row)}")
        swap(set, row, changes) if changes[:on_date] || changes[:meal]
        set.alter("trip_meal", row, changes)
        @refused.guard(@before, "/on") if changes[:on_date] || changes[:meal] || changes[:soaked]
        done(set, trip_id: @trip.id, trip_meal_id: row.id)
      end

      def placed(input)
        on = Day.read(:on, input[:on])
        { **(on ? { on_date: on } : {}), **input.slice(:meal) }
      end

      def facts(input)
        grams = input[:kind] == "food" ? input[:grams].to_r : nil
        facts = {
          trip_id: @trip.id, on_date: Day.read(:on, input[:on]), meal: input[:meal], kind: input[:kind],
          dish: input[:dish], grams: grams,
          pinned: input[:pinned] == true || %w[food leftover].include?(input[:kind]), soaked: input[:soaked] == true
        }
        refuse_soaked(facts[:kind], facts)
        row = Store::Rows::TripMeal.new(**facts)
        raise Refusal.of(:weight_not_above_zero, at: "/grams") if grams && !grams.positive?
        raise Refusal.of(:no_such_dish_there, at: "/dish") unless @book.menu.of(row)

        Fit.eaten(work.shelf.foods[row.dish] || work.catalog.food(row.dish), pointer: "/dish") if row.kind == "food"

        facts
      end

      def refuse_soaked(kind, facts)
        raise Refusal.of(:only_bags_soak, at: "/soaked") if facts[:soaked] && kind != "bag"
      end

      def refuse_outside(facts)
        return if facts[:on_date] && @book.route.include?(facts[:on_date], facts[:meal])

        raise Refusal.of(:meal_not_on_trip, at: "/on")
      end

      # One dish a meal; what is eaten besides stays.
      def replace(set, facts)
        standing(facts[:on_date], facts[:meal]).each do |row|
          set.alter("trip_meal", row, { archived_at: Time.now.utc.iso8601 })
        end
      end

      # Two dishes change places.
      def swap(set, row, changes)
        return if row.kind == "food"

        to = { **row.slice(:on_date, :meal), **changes.slice(:on_date, :meal) }
        standing(*to.values_at(:on_date, :meal)).reject { |one| one.id == row.id }.each do |other|
          set.alter("trip_meal", other, row.slice(:on_date, :meal))
        end
      end

      def standing(on, meal)
        house.trips.meals(@trip.id).select { |one| one.on_date == on && one.meal == meal && one.kind != "food" }
      end

      def words(facts) = "#{name(Store::Rows::TripMeal.new(**facts))} on #{facts[:on_date].strftime("%-d %b")}"

      def name(row) = @book.menu.of(row)&.then { |one| @book.menu.name(one) } || row.dish
    end
  end
end
