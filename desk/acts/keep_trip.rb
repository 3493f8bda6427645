# frozen_string_literal: true

require "date"
require_relative "../act"
require_relative "../day"
require_relative "../refusal"

module NutShelf
  module Desk
    # Writes down a trip: who goes when, with what gear. Also changes one, or gives it up.
    class KeepTrip < Act
      FACTS = %i[
        name leaves_hour first_meal last_meal people days gear pots pot_ml cold high_c temps no_tins no_glass sources
        containers_ml spare_days canister_g gas_left_g ticked shops carried_by
      ].freeze
      LONGEST = 60

      private

      # @param input [Hash] :trip_id (nil: a new one) with :version as it was seen, :leaves_on and :back_on, FACTS,
      #   :gone; what is not named stays
      def perform(input)
        facts = facts(input)
        return begun(facts) unless input[:trip_id]

        trip = house.trips.find(input[:trip_id])
        house.records.lock("trip", trip.id)
        refuse_stale(trip, input[:version], { version: trip.version })
        return given_up(trip) if input[:gone]

        check({ **trip.slice(:leaves_on, :back_on), **facts })
        kept = entry("keep_trip", "Changed the trip #{facts[:name] || trip.name}")
        kept.alter("trip", trip, facts)
        done(kept, trip_id: trip.id)
      end

      def begun(facts)
        check(facts)
        people = { people: work.eaters.map { |row| { person_id: row.id, figure: "usual" } } }
        kept = entry("keep_trip", "Wrote down the trip #{facts[:name]}")
        done(kept, trip_id: kept.make("trip", { **people, **facts }))
      end

      def given_up(trip)
        gone = entry("keep_trip", "Gave up the trip #{trip.name}")
        gone.alter("trip", trip, { archived_at: Time.now.utc.iso8601 })
        done(gone, trip_id: trip.id)
      end

      def facts(input)
        days = %i[leaves_on back_on].to_h { |name| [name, Day.read(name, input[name])] }.compact
        facts = { **input.slice(*FACTS), **days }
        facts[:name] = facts[:name].strip if facts[:name]
        facts[:shops]&.each { |day| Day.read(:shops, day) }
        refuse_unknown(facts)
        facts
      end

      def refuse_unknown(facts)
        raise Refusal.of(:no_such_cold, at: "/cold") if facts[:cold] && !work.catalog.trips.cold.key?(facts[:cold])

        known = house.household.people.map(&:id)
        unknown = (facts[:people] || []).map { |one| one[:person_id] } - known
        raise Refusal.of(:nobody_of_that_name, at: "/people") if unknown.any? || facts[:people] == []
      end

      def check(facts)
        return if facts[:back_on] >= facts[:leaves_on] && facts[:back_on] - facts[:leaves_on] <= LONGEST

        raise Refusal.of(:trip_out_of_order, at: "/back_on", most: LONGEST)
      end
    end
  end
end
