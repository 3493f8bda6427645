# frozen_string_literal: true

require_relative "redate_stacks"
require_relative "refusal"

module NutShelf
  module Desk
    # A fridge or freezer goes off or on, with all that is built into it. While it is off it is a cupboard, and what
    # stands in it is judged so from that day; one that is switched off empty is to be wiped and propped open.
    class Switching
      COLD = %w[fridge freezer].freeze

      # @param work [UnitOfWork]
      # @param entry [Entry] of the act that does it
      def initialize(work, entry)
        @work = work
        @entry = entry
      end

      # @param place [Core::Place] locked
      # @param off [Boolean]
      # @return [Object] what became of dates, see RedateStacks#follow
      def call(place, off)
        places = with_inner(place, off).each { |one| @entry.alter("place", one, facts(one, off)) }
        @work.know_places
        standing(places).each { |lot| @entry.happen(lot, @work.happening("moved", place_id: lot.place_id)) }
        clean(place) if off
        RedateStacks.new(@work, @entry).follow
      end

      private

      # A shelf or a drawer inside goes along.
      def with_inner(place, off)
        house = @work.house
        inner = house.places.within(place.id).drop(1).map { |id| house.records.lock("place", id) }
        [place, *inner.select { |one| off ? COLD.include?(one.kind) : one.off? }]
      end

      def facts(place, off)
        return { kind: "cupboard", cold_kind: place.kind, off_spans: [*place.off_spans, span] } if off

        last = { **place.off_spans.last, "to" => @work.on.iso8601 }
        { kind: place.cold_kind, cold_kind: nil, off_spans: [*place.off_spans[0..-2], last] }
      end

      def span = { "from" => @work.on.iso8601, "to" => nil }

      def standing(places)
        ids = places.map(&:id)
        stacks = @work.shelf.stacks.values.select { |stack| ids.include?(stack.place_id) }
        @work.house.lots.lock(stacks.map(&:id).sort).values
      end

      # What is shut wet grows mould.
      def clean(place)
        @entry.make("care", title: "#{place.name} is off: empty it, wipe it dry, prop the door open",
          place_id: place.id, first_on: @work.today, next_on: @work.today)
      end
    end
  end
end
