# frozen_string_literal: true

require_relative "../command"
require_relative "../refusal"

module NutShelf
  module Desk
    # Begins to count a place and all places within it. Nothing in the stock changes before the count is finished.
    class StartCount < Command
      private

      # @param input [Hash] :place_id
      def perform(input)
        place = work.places[input[:place_id]] || work.place(nil)
        around =
          house.counts.open.find do |count|
            house.places.within(count.place_id).include?(place.id) ||
              house.places.within(place.id).include?(count.place_id)
          end
        if around
          raise Refusal.of(:counting_already, person: around.person, place: work.place(around.place_id).name,
            current: { count_id: around.id.to_s })
        end

        { count_id: house.counts.add(place_id: place.id, account_id: work.caller.account_id) }
      end
    end
  end
end
