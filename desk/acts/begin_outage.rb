# frozen_string_literal: true

require "time"
require_relative "../act"
require_relative "../moment"
require_relative "../refusal"

module NutShelf
  module Desk
    # The power went: from when, and how full the freezer is. One at a time.
    class BeginOutage < Act
      private

      # @param input [Hash] :started_at an ISO moment, :freezer_percent
      def perform(input)
        raise Refusal.of(:cut_runs_already) if house.kits.outage

        at = Moment.lately(:started_at, input[:started_at])
        begun = entry("begin_outage", "The power went")
        facts = { started_at: at, freezer_fill: input[:freezer_percent]/100r, readings: [], findings: {} }
        done(begun, outage_id: begun.make("outage", facts))
      end
    end
  end
end
