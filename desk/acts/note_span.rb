# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Writes down what went well while days without shopping run; it stands with them.
    class NoteSpan < Act
      # So many lines are kept, the newest ones.
      MOST = 60

      private

      # @param input [Hash] :span_id, :text
      def perform(input)
        span = house.records.lock("span", input[:span_id])
        said = { "on" => work.on.iso8601, "text" => input[:text].strip }
        noted = entry("note_span", "Wrote down of #{span.name}: #{said["text"]}")
        notes = [said, *span.rules.fetch("notes", [])].first(MOST)
        noted.alter("span", span, { rules: { **span.rules, "notes" => notes } })
        done(noted, span_id: span.id)
      end
    end
  end
end
