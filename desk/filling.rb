# frozen_string_literal: true

require_relative "../core/planner/search"
require_relative "../core/value"

module NutShelf
  module Desk
    # A plan and what it costs, in coins. Frozen.
    Filled = Core::Value.of(:plan, :cost)

    # Filling the meals of a problem as a job (see Work): hands out better plans as it finds them. `seconds` by the
    # clock from the start of the job, or so many `moves`; `from`: a plan to begin with, of which the slots in `keep`
    # stay. Frozen.
    Filling =
      Core::Value.of(:seed, :seconds, :moves, :from, keep: [].freeze) do
        # @param problem [Problem]
        # @yieldparam [Filled] better and better
        # @return [Filled] the best
        def call(problem)
          began = now
          search = Core::Planner::Search.new(problem, seed: seed, from: from, keep: keep)
          yield Filled.new(plan: search.plan, cost: search.cost) if block_given?
          spent = now - began
          plan = search.run(seconds: seconds && (seconds - spent), moves: moves, clock: method(:now)) do |better, cost|
            yield Filled.new(plan: better, cost: cost) if block_given?
          end
          Filled.new(plan: plan, cost: search.cost)
        end

        private

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
  end
end
