# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/portion_bench"

module NutShelf
  module Api
    # The bench: several stacks become portions. Everything is shown before anything moves.
    class Bench < Base
      post("/portions") { act_on_stacks(Desk::PortionBench, body_as("PortionBench")) }

      post("/portions/foresee") do
        json Desk::PortionBench.new(services, caller!).foresee(body_as("PortionBench"))
      end
    end
  end
end
