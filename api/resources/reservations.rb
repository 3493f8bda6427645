# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/release"

module NutShelf
  module Api
    # What is set apart of stacks; setting apart is done to a stack (see Stacks).
    class Reservations < Base
      post("/:id/release") do
        body_as("Nothing")
        act_on_stacks(Desk::Release, { reservation_id: id_param })
      end
    end
  end
end
