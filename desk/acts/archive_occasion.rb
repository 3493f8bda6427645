# frozen_string_literal: true

require_relative "../act"

module NutShelf
  module Desk
    # Puts an occasion out of sight: it comes round no more. How it was each time is kept.
    class ArchiveOccasion < Act
      private

      # @param input [Hash] :occasion_id
      def perform(input)
        occasion = house.occasions.find(input[:occasion_id])
        put = entry("archive_occasion", "Put away #{occasion.name}")
        put.alter("occasion", house.records.lock("occasion", occasion.id), { archived_at: Time.now.utc.iso8601 })
        done(put, occasion_id: occasion.id)
      end
    end
  end
end
