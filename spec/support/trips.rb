# frozen_string_literal: true

require_relative "house"
require_relative "../../desk/trips/trip_book"

# Trips of a household `ines`, the one of `trip`: what is put on a meal, and its book.
module TripSupport
  def put(on, meal, kind, dish, **more)
    act(:SetTripMeal, ines, { trip_id: trip, on: on, meal: meal, kind: kind, dish: dish, **more })["trip_meal_id"]
  end

  def book
    services.database.within(ines.household_id) do |db|
      work = NutShelf::Desk::UnitOfWork.new(services, ines, db)
      yield NutShelf::Desk::Trips::TripBook.new(work, work.house.trips.find(trip)), work
    end
  end
end
