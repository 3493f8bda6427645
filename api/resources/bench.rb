# frozen_string_literal: true

require_relative "../base"
require_relative "../views/bags_view"
require_relative "../../desk/acts/assemble_bags"
require_relative "../../desk/acts/portion_bench"

module NutShelf
  module Api
    # The bench: several stacks become portions, or bags. Everything is shown before anything moves.
    class Bench < Base
      post("/portions") { act_on_stacks(Desk::PortionBench, body_as("PortionBench")) }

      post("/portions/foresee") do
        json Desk::PortionBench.new(services, caller!).foresee(body_as("PortionBench"))
      end

      get("/bags") { view(:stock, :plan, :people, :rules) { |work| BagsView.new(work).call } }

      post("/bags") { act_on_stacks(Desk::AssembleBags, body_as("AssembleBags")) }

      post("/bags/foresee") do
        json Desk::AssembleBags.new(services, caller!).foresee(body_as("AssembleBags"))
      end
    end
  end
end
