# frozen_string_literal: true

require_relative "../core/counting/due"
require_relative "doubts"

module NutShelf
  module Desk
    # Which places are due for a count, and why: by the household's rhythm, or because much in them is in doubt.
    class PlacesDue
      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @return [Hash{Integer=>Core::Due}] by place
      def all
        stacks = @work.shelf.stacks.values.reject(&:level)
        seen = @work.house.usage.seen_on(stacks.map(&:id))
        by_place = stacks.group_by(&:place_id)
        @work.places.transform_values { |place| due(place, by_place.fetch(place.id, []), seen) }
      end

      # Those due, the longest waiting first, by rhythm alone: what Today can afford to ask.
      # @return [Array<Array(Core::Place, Core::Due)>]
      def by_rhythm
        counts = @work.house.lots.stacks_by_place
        found = @work.places.values.map { |place| [place, reckon(place, counts.fetch(place.id, 0), 0)] }
        found.select { |_, due| due.due && due.days_over }.sort_by { |_, due| -due.days_over }
      end

      private

      def due(place, stacks, seen)
        doubts = Doubts.new(@work, usage: usage)
        doubtful = stacks.count { |stack| doubts.of(stack, seen[stack.id]).at_least < stack.on_hand / 2 }
        reckon(place, stacks.size, doubtful)
      end

      def usage = @usage ||= UsageRates.new(@work)

      def reckon(place, stacks, doubtful)
        Core::Due.new(
          stacks: stacks,
          doubtful: doubtful,
          counted_on: place.counted_on,
          today: @work.today,
          rhythm_days: place.count_every_days || @work.household.settings["count_every_days"]
        )
      end
    end
  end
end
