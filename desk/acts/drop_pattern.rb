# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Takes back what is so every such weekday.
    class DropPattern < Act
      private

      # @param input [Hash] :pattern_id
      def perform(input)
        there = house.records.lock("pattern", input[:pattern_id])
        raise Refusal.of(:gone_already) if there.archived_at

        dropped = entry("drop_pattern", "#{there.name}: not every week any more")
        dropped.alter("pattern", there, { archived_at: Time.now.utc.iso8601 })
        done(dropped, pattern_id: there.id)
      end
    end
  end
end
