# frozen_string_literal: true

require "securerandom"
require_relative "../command"

module NutShelf
  module Desk
    # A private calendar feed. Its address is shown once; a new one ends the old ones of this account.
    class OpenFeed < Command
      tells_once :path

      private

      # @param input [Hash] nothing
      def perform(_input)
        token = SecureRandom.urlsafe_base64(24)
        id = house.access.open_feed(token: token, account_id: work.caller.account_id)
        { feed_id: id, path: "/api/calendar/#{token}.ics" }
      end
    end
  end
end
