# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/set_household"

module NutShelf
  module Api
    # The household's ways: school, windows, rhythm.
    class Ways < Base
      post("/") { act(Desk::SetHousehold, body_as("SetHousehold")) }
    end
  end
end
