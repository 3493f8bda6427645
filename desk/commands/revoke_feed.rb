# frozen_string_literal: true

require_relative "../command"
require_relative "../refusal"

module NutShelf
  module Desk
    # The feed's address leads nowhere any more.
    class RevokeFeed < Command
      private

      # @param input [Hash] :feed_id
      def perform(input)
        own = house.access.feeds.find { |row| row.id == input[:feed_id] }
        raise Store::Missing, "There is no such feed here." unless own
        raise Refusal.of(:others_feed) unless work.caller.keeper? || own.account_id == work.caller.account_id

        house.access.revoke_feeds(input[:feed_id])
        { feed_id: input[:feed_id] }
      end
    end
  end
end
