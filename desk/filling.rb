# frozen_string_literal: true

require_relative "../core/planner/search"
require_relative "../core/planner/thrift"
require_relative "../core/value"

module NutShelf
  module Desk
    # A plan and what it costs, in coins. Frozen.
    Filled = Core::Value.of(:plan, :cost)

    # Filling the meals of a problem as a job (see Work): hands out better plans as it finds them. `seconds` by the
    # clock from the start of the job, or so many `moves`; `from`: a plan to begin with, of which the slots in `keep`
    # stay; `budget`: coins that may be spent, nil for as many as it takes. Frozen.
    Filling =
      Core::Value.of(:seed, :seconds, :moves, :from, :budget, keep: [].freeze) do
        # @param problem [Problem]
        # @yieldparam [Filled] better and better
        # @return [Filled] the best
        def call(problem)
          return within(problem) { |one| yield one if block_given? } if budget

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

        def within(problem)
          thrift = Core::Planner::Thrift.new(problem, budget, seed: seed, from: from, keep: keep)
          plan, cost = thrift.run(seconds: seconds, moves: moves, clock: method(:now)) do |better, price|
            yield Filled.new(plan: better, cost: price)
          end
          Filled.new(plan: plan, cost: cost)
        end

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
  end
end
