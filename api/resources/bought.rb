# frozen_string_literal: true

require_relative "../base"
require_relative "../views/bought_view"
require_relative "../../desk/acts/put_away_bought"

module NutShelf
  module Api
    # What was bought until it is put away.
    class Bought < Base
      get("/") { view(:stock, :rules, :list) { |work| BoughtView.new(work).call } }

      post("/") { act_on_stacks(Desk::PutAwayBought, body_as("PutAwayBought")) }
    end
  end
end
