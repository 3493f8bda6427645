# frozen_string_literal: true

require_relative "../core/counting/due"
require_relative "doubts"

module NutShelf
  module Desk
    # Which places are due for a count, and why: by the household's rhythm, or because much in them is in doubt.
    class PlacesDue
      # @param room [Room]
      def initialize(room)
        @room = room
      end

      # @return [Hash{Integer=>Core::Due}] by place
      def all
        lots = @room.house.lots.all_with_food.reject { |lot| lot[:level] }
        seen = @room.house.usage.seen_on(lots.map { |lot| lot[:id] })
        by_place = lots.group_by { |lot| lot[:place_id] }
        @room.places.transform_values { |place| due(place, by_place.fetch(place[:id], []), seen) }
      end

      # Those due, the longest waiting first, by rhythm alone: what Today can afford to ask.
      # @return [Array<Array(Hash, Core::Due)>]
      def by_rhythm
        counts = @room.house.lots.count_by_place
        found = @room.places.values.map { |place| [place, reckon(place, counts.fetch(place[:id], 0), 0)] }
        found.select { |_, due| due.due && due.days_over }.sort_by { |_, due| -due.days_over }
      end

      private

      def due(place, lots, seen)
        doubts = Doubts.new(@room, usage: usage)
        doubtful = lots.count { |lot| doubts.of(lot, seen[lot[:id]]).at_least < lot[:on_hand].to_r / 2 }
        reckon(place, lots.size, doubtful)
      end

      def usage = @usage ||= UsageOf.new(@room)

      def reckon(place, stacks, doubtful)
        Core::Due.new(stacks: stacks, doubtful: doubtful, counted_on: place[:counted_on], today: @room.today, rhythm_days: place[:count_every_days] || @room.household[:settings].to_h["count_every_days"])
      end
    end
  end
end
