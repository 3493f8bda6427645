# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../refusal"

module NutShelf
  module Desk
    # Switches a fridge or freezer off or on, with all that is built into it. While it is off it is a cupboard, and what
    # stands in it is judged so from that day; one that is switched off empty is to be wiped and propped open.
    class SwitchPlace < Act
      COLD = %w[fridge freezer].freeze

      private

      # @param input [Hash] :place_id, :off
      def perform(input)
        place = house.records.lock("place", work.place_in_use(house.places.find(input[:place_id]).id).id)
        refuse_senseless(place, input[:off])
        word = input[:off] ? "off" : "on"
        switched = entry("switch_place", "Switched #{word} #{place.name}")
        places = with_inner(place, input[:off]).each { |one| switched.alter("place", one, facts(one, input[:off])) }
        work.know_places
        lots = standing(places)
        lots.each { |lot| switched.happen(lot, work.happening("moved", place_id: lot.place_id)) }
        clean(switched, place) if input[:off]
        done(switched, place_id: place.id, redated: RedateStacks.new(work, switched).follow)
      end

      def refuse_senseless(place, off)
        raise Refusal.of(:says_that_already) if off == place.off?
        raise Refusal.of(:nothing_to_switch, at: "/place_id", place: place.name) unless off == false || cold?(place)
      end

      def cold?(place) = COLD.include?(place.kind)

      # A shelf or a drawer inside goes along.
      def with_inner(place, off)
        inner = house.places.within(place.id).drop(1).map { |id| house.records.lock("place", id) }
        [place, *inner.select { |one| off ? cold?(one) : one.off? }]
      end

      def facts(place, off)
        return { kind: "cupboard", cold_kind: place.kind, off_spans: [*place.off_spans, span] } if off

        last = { **place.off_spans.last, "to" => work.on.iso8601 }
        { kind: place.cold_kind, cold_kind: nil, off_spans: [*place.off_spans[0..-2], last] }
      end

      def span = { "from" => work.on.iso8601, "to" => nil }

      def standing(places)
        ids = places.map(&:id)
        house.lots.lock(work.shelf.stacks.values.select { |stack| ids.include?(stack.place_id) }.map(&:id).sort).values
      end

      # What is shut wet grows mould.
      def clean(switched, place)
        switched.make("care", title: "#{place.name} is off: empty it, wipe it dry, prop the door open",
          place_id: place.id, first_on: work.today, next_on: work.today)
      end
    end
  end
end
