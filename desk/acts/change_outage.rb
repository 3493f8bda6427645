# frozen_string_literal: true

require_relative "../act"
require_relative "../moment"
require_relative "../outages/outage_book"
require_relative "../refusal"

module NutShelf
  module Desk
    # What is learnt of a power cut while it lasts: a reading of fridge or freezer, that the power is back, or that it
    # went at another time.
    class ChangeOutage < Act
      private

      # @param input [Hash] :outage_id (nil: the one that runs), any of
      #   :reading ({where:, c:, at:}), :started_at, :ended_at, :freezer_percent
      def perform(input)
        outage = house.records.lock("outage", input[:outage_id] || running)
        raise Refusal.of(:cut_settled) if outage.settled_on || outage.archived_at

        changes = changes(outage, input)
        raise Refusal.of(:says_that_already) if changes.empty?

        check(outage.with(**changes))
        changed = entry("change_outage", words(input))
        changed.alter("outage", outage, changes)
        done(changed, outage_id: outage.id)
      end

      def running = (house.kits.outage || raise(Refusal.of(:no_cut_runs))).id

      def changes(outage, input)
        {
          readings: input[:reading] && [*outage.readings, reading(input[:reading])],
          started_at: input[:started_at] && Moment.lately(:started_at, input[:started_at]),
          ended_at: input[:ended_at] && Moment.lately(:ended_at, input[:ended_at]),
          freezer_fill: input[:freezer_percent]&.then { |percent| Rational(percent, 100) },
          stood: (stood(outage) if input[:ended_at] && outage.ended_at.nil?)
        }.compact
      end

      # What stands in the cold now is what the verdicts are about, wherever it is carried afterwards.
      def stood(outage) = Outages::OutageBook.new(work, outage, now: Time.now.utc).snapshot

      def reading(said)
        { "where" => said[:where], "c" => said[:c], "at" => Moment.lately("reading/at", said[:at]).iso8601 }
      end

      def check(outage)
        return unless outage.ended_at && outage.ended_at < outage.started_at

        raise Refusal.of(:cut_ends_before, at: "/ended_at")
      end

      def words(input)
        return "#{input[:reading][:c]} C in the #{input[:reading][:where]}" if input[:reading]

        input[:ended_at] ? "The power is back" : "Changed the power cut"
      end
    end
  end
end
