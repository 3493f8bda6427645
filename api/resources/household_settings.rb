# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/set_household"

module NutShelf
  module Api
    # The settings of a household: school, windows, rhythm.
    class HouseholdSettings < Base
      post("/") { act(Desk::SetHousehold, body_as("SetHousehold")) }
    end
  end
end
