# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Ends days without shopping before their last one.
    class EndSpan < Act
      private

      # @param input [Hash] :span_id
      def perform(input)
        span = house.records.lock("span", input[:span_id])
        raise Refusal.of(:gone_already) if span.archived_at

        ended = entry("end_span", "Ended #{span.name}")
        ended.alter("span", span, { archived_at: Time.now.utc.iso8601 })
        done(ended, span_id: span.id)
      end
    end
  end
end
