# frozen_string_literal: true

require_relative "../base"
require_relative "../lines"
require_relative "../papers/trip_sheet"
require_relative "../views/packing_view"
require_relative "../views/trip_choices_view"
require_relative "../views/trip_view"
require_relative "../views/trips_view"
require_relative "../../desk/acts/buy_on_the_way"
require_relative "../../desk/acts/come_home"
require_relative "../../desk/acts/fill_trip"
require_relative "../../desk/acts/keep_trip"
require_relative "../../desk/acts/pack_trip"
require_relative "../../desk/acts/set_trip_meal"
require_relative "../../desk/acts/swap_trip_days"
require_relative "../../exchange/sheet"

module NutShelf
  module Api
    # Trips: who goes when, what is eaten on the way, and what it comes to.
    class Trips < Base
      helpers Lines

      TOPICS = %i[stock plan people rules].freeze
      MEALS = %w[breakfast lunch snack dinner].freeze
      # Of looking for a grid, where nobody says how long.
      SECONDS = 2.0

      get("/") { view(*TOPICS) { |work| TripsView.new(work).call } }

      post("/") { act(Desk::KeepTrip, body_as("KeepTrip")) }

      get("/:id") { view(*TOPICS) { |work| TripView.new(work, work.house.trips.find(id_param)).call } }

      get("/:id/choices") do
        day = day_param(:on)
        meal = params["meal"].to_s
        refuse("invalid", "No meal is named.", "Say which meal of which day.") unless day && MEALS.include?(meal)

        view(*TOPICS) { |work| TripChoicesView.new(work, work.house.trips.find(id_param), day, meal).call }
      end

      get("/:id/packing") { view(*TOPICS) { |work| PackingView.new(work, work.house.trips.find(id_param)).call } }

      get("/:id/file") do
        read_only do |work|
          trip = work.house.trips.find(id_param)
          sheet = Papers::TripSheet.new(work, trip)
          content_type "text/csv", charset: "utf-8"
          attachment "trip.csv"
          Exchange::Sheet.write(Papers::TripSheet::COLUMNS, sheet.rows)
        end
      end

      post("/:id/pack") { act_on_stacks(Desk::PackTrip, { trip_id: id_param, **body_as("PackTrip") }) }

      post("/:id/swap") { act(Desk::SwapTripDays, { trip_id: id_param, **body_as("SwapTripDays") }) }

      post("/:id/bought") { act_on_stacks(Desk::BuyOnTheWay, { trip_id: id_param, **body_as("BuyOnTheWay") }) }

      post("/:id/home") { act_on_stacks(Desk::ComeHome, { trip_id: id_param, **body_as("ComeHome") }) }

      post("/:id/change") { act(Desk::KeepTrip, { trip_id: id_param, **body_as("ChangeTrip") }) }

      # Better and better grids, a line of JSON each, the first one soon; the last says it is the last.
      post("/:id/proposals") do
        asked = body_as("AskGrids")
        from = Desk::Trips::TripFilling::CLOCK.call
        book, filling = prepared(asked[:keep] == true)
        seconds = asked[:seconds]&.to_f || SECONDS
        lines do |out|
          last = filling.call(seconds: seconds, from: from, cancel: out.method(:gone?)) do |better|
            out << grid(book, better, done: false)
          end
          out << grid(book, last, done: true)
        end
      end

      helpers do
        # Reads everything a search needs, so that it holds no connection while it looks.
        def prepared(keep)
          read_only do |work|
            trip = work.house.trips.find(id_param)
            raise Desk::Refusal.of(:nobody_goes) if trip.people.empty?

            book = Desk::Trips::TripBook.new(work, trip)
            [book, book.filling(keep: keep)]
          end
        end

        def grid(book, found, **more)
          meals = book.slots.zip(found.grid).filter_map do |slot, choice|
            next unless choice

            { on: slot.day.iso8601, meal: slot.meal, kind: choice.assembly ? "bag" : "recipe", dish: choice.key,
              name: book.menu.name(choice) }
          end
          { meals: meals, open: found.score.empty, faults: found.score.faults, **more }
        end
      end

      post("/:id/fill") { act(Desk::FillTrip, { trip_id: id_param, **body_as("FillTrip") }) }

      post("/:id/meals") { act(Desk::SetTripMeal, { trip_id: id_param, **body_as("SetTripMeal") }) }

      post("/meals/:id/change") { act(Desk::SetTripMeal, { trip_meal_id: id_param, **body_as("ChangeTripMeal") }) }
    end
  end
end
