# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # A place that holds nothing any more is put out of sight.
    class RemovePlace < Act
      keeper_only

      private

      # @param input [Hash] :place_id
      def perform(input)
        place = house.records.lock("place", input[:place_id])
        inner = house.places.within(place.id)
        full = house.lots.stacks_by_place.slice(*inner).values.sum.positive? || inner.size > 1
        raise Refusal.of(:place_in_use) if full || place.archived_at

        removed = entry("remove_place", "Took away the place #{place.name}")
        removed.alter("place", place, { archived_at: Time.now.utc.iso8601 })
        done(removed, place_id: place.id)
      end
    end
  end
end
