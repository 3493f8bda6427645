# frozen_string_literal: true

require_relative "../value"
require_relative "search"

module NutShelf
  module Core
    module Planner
      # A plan and what it costs, in coins. Frozen.
      Filled = Value.of(:plan, :cost)

      # Filling the meals of a problem as a job (see Work): hands out better plans as it finds them. `seconds` by the
      # clock from the start of the job, or so many `moves`; `from`: a plan to begin with, of which the slots in `keep`
      # stay. Frozen.
      Filling =
        Value.of(:seed, :seconds, :moves, :from, keep: [].freeze) do
          # @param problem [Problem]
          # @yieldparam [Filled] better and better
          # @return [Filled] the best
          def call(problem)
            began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
            search = Search.new(problem, seed: seed, from: from, keep: keep)
            yield Filled.new(plan: search.plan, cost: search.cost) if block_given?
            spent = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
            plan = search.run(seconds: seconds && (seconds - spent), moves: moves) do |better, cost|
              yield Filled.new(plan: better, cost: cost) if block_given?
            end
            Filled.new(plan: plan, cost: search.cost)
          end
        end
    end
  end
end
