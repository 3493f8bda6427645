# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/set_want"
require_relative "../../desk/acts/silence_food"

module NutShelf
  module Api
    # What is wanted in the house of each food, and what is not asked for now.
    class Wants < Base
      post("/:id") { act(Desk::SetWant, { food_id: id_param, **body_as("SetWant") }) }

      post("/:id/silence") { act(Desk::SilenceFood, { food_id: id_param, **body_as("SilenceFood") }) }
    end
  end
end
