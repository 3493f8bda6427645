# frozen_string_literal: true

require_relative "at_risk"

module NutShelf
  module Desk
    # Where pests were found, what else they could reach in that place is looked at first, whatever its date, and a task
    # says so.
    class PestsNearby
      # @param work [UnitOfWork]
      # @param entry [Entry] by which they were found
      def initialize(work, entry)
        @work = work
        @entry = entry
      end

      # @param place_id [Integer]
      # @param besides [Array<Integer>] stacks that were gone through already
      # @return [Integer] stacks that pests could reach
      def call(place_id, besides: [])
        reach = AtRisk.new(@work).in_place(place_id).map(&:id) - besides
        return 0 if reach.empty?

        @work.house.lots.lock(reach).each_value { |lot| suspect(@entry.now(lot)) }
        remind(place_id, reach.size)
        reach.size
      end

      private

      # Once is enough, until somebody looked.
      def suspect(lot)
        return if lot.flags.any? { |flag| flag["code"] == "pests_near" }

        @entry.happen(lot, @work.happening("suspected"))
      end

      def remind(place_id, count)
        @entry.make(
          "care",
          title: "Inspect or freeze #{count} packs in #{@work.place(place_id).name} that pests could reach",
          place_id: place_id,
          first_on: @work.today,
          next_on: @work.today
        )
      end
    end
  end
end
