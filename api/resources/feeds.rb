# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/commands/open_feed"
require_relative "../../desk/commands/revoke_feed"

module NutShelf
  module Api
    # Calendar feeds of the person who asks.
    class Feeds < Base
      post("/") do
        body_as("Nothing")
        act(Desk::OpenFeed, {})
      end

      post("/:id/revoke") do
        body_as("Nothing")
        act(Desk::RevokeFeed, { feed_id: id_param })
      end
    end
  end
end
