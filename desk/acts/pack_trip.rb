# frozen_string_literal: true

require_relative "../act"
require_relative "../fit"
require_relative "../parting"
require_relative "../refusal"
require_relative "../trips/along"

module NutShelf
  module Desk
    # Packs something for a trip: so much of a stack goes into the bag it travels in, opened where a pack is broken for
    # it, and is set apart until everybody is back.
    class PackTrip < Act
      private

      # @param input [Hash] :trip_id, :takes as [{ lot_id:, amount: in its own units or nil for all }], :place_id of the
      #   bag, nil where it stays where it stands
      def perform(input)
        trip = house.trips.find(input[:trip_id])
        raise Refusal.of(:trip_over) if trip.status == "home"

        place = input[:place_id] && work.place_in_use(input[:place_id])
        lots = house.lots.lock(input[:takes].map { |take| take[:lot_id] }.uniq)
        # What stays where it stands goes along from there.
        Trips::Along.refuse_cold(place ? [place] : lots.values.map { |lot| work.place(lot.place_id) })
        packed = entry("pack_trip", "Packed for #{trip.name}: #{words(lots, input[:takes])}")
        made = input[:takes].each_with_index.flat_map { |take, at| pack(packed, trip, lots, take, place, at) }
        packed.alter("trip", trip, { status: "packed" }) if trip.status == "planned"
        done(packed, trip_id: trip.id, lot_id: made.first.id, lot_ids: made.map(&:id))
      end

      def words(lots, takes)
        return "#{takes.size} things" if takes.size > 1

        lot = lots[takes.first[:lot_id]] or raise Store::Missing, "There is no such stack here."
        lot.name(work.food(lot.food_id))
      end

      def pack(packed, trip, lots, take, place, index)
        lot = lots[take[:lot_id]] || raise(Store::Missing, "There is no such stack here.")
        Fit.check(work, lot, Redate.new(work).part(lot), pointer: "/takes/#{index}/lot_id")
        amount = free(lot, take[:amount])
        parts(packed, lot, amount).map { |part| carried(packed, trip, part, place) }
      end

      # What is kept for something else stays.
      def free(lot, text)
        free = lot.on_hand - work.held.fetch(lot.id, 0r)
        amount = Parting.amount(work, lot, text)
        return amount if amount <= free

        raise Refusal.of(:only_free, left: work.part_words(lot, [free, 0r].max))
      end

      # Whole packs as they are, and the part of one that is opened for it.
      def parts(packed, lot, amount)
        size = !lot.open && lot.dimension != "count" && lot.pack_amount
        part = size ? amount % size : 0r
        parting = Parting.new(work, packed)
        return [parting.part(lot, amount)] if part.zero? || amount < size

        [parting.part(lot, amount - part), parting.part(lot, part)]
      end

      def carried(packed, trip, lot, place)
        if place && lot.place_id != place.id
          lot = packed.happen(lot, work.happening("moved", place_id: place.id), place_id: place.id)
        end
        Trips::Along.set_apart(packed, trip, lot)
        lot
      end
    end
  end
end
