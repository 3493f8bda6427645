# frozen_string_literal: true

require_relative "scorer"
require_relative "search"

module NutShelf
  module Core
    module Planner
      # Searches for a plan that stays within what may be spent: where the best one does not, it looks again with all
      # that is bought dearer, until one does. What a plan costs is said by the true prices, and a coin over the limit
      # counts OVER, so that plans can be compared whichever prices found them.
      class Thrift
        OVER = 5r
        # Prices times so much: the least that stays within the limit is wanted, it is found by halving.
        DEAREST = 40.0
        # Share of the time for the plan that nobody limits.
        FIRST = 0.4
        TRIES = 4

        # @param problem [Problem]
        # @param budget [Rational] coins in all
        # @param seed [Integer]
        # @param from [Array<Meal>, nil] see Search
        # @param keep [Array<Integer>] see Search
        def initialize(problem, budget, seed: 1, from: nil, keep: [])
          @problem = problem
          @budget = budget
          @scorer = Scorer.new(problem)
          @seed = seed
          @keep = keep
          @from = from
        end

        # @param seconds [Float, nil] see Search#run
        # @param moves [Integer, nil]
        # @param clock [#call]
        # @yield [Array<Meal>, Rational] every better plan and what it costs
        # @return [Array(Array<Meal>, Rational)] the best plan and what it costs
        def run(seconds: nil, moves: nil, clock: -> { 0.0 }, &told)
          @seconds = seconds
          @moves = moves
          @clock = clock
          @best = nil
          look(@problem, FIRST, @from, &told)
          halve(&told) if @scorer.spent(@best.first) > @budget
          @best
        end

        # @param plan [Array<Meal>]
        # @return [Rational] coins, those over the limit as often as they count
        def cost(plan) = @scorer.cost(plan) + (OVER * [@scorer.spent(plan) - @budget, 0r].max)

        private

        # Between prices as they are and the dearest, by halves of their logarithms.
        def halve(&told)
          low = 1.0
          high = DEAREST
          TRIES.times do
            factor = Math.sqrt(low * high)
            plan = look(dearer(factor), (1 - FIRST) / TRIES, @best.first, &told)
            @scorer.spent(plan) > @budget ? low = factor : high = factor
          end
        end

        def look(problem, share, from, &told)
          search = Search.new(problem, seed: @seed, from: from, keep: @keep)
          plan = search.run(
            seconds: @seconds && (@seconds * share), moves: @moves && [(@moves * share).round, 1].max, clock: @clock
          ) { |one, _| better(one, &told) }
          better(plan, &told)
          plan
        end

        def better(plan)
          cost = cost(plan)
          return unless @best.nil? || cost < @best.last

          @best = [plan, cost].freeze
          yield(*@best) if block_given?
        end

        def dearer(factor)
          times = Rational((factor * 100).round, 100)
          @problem.with(foods: @problem.foods.map { |food| food.with(price: food.price * times) }.freeze)
        end
      end
    end
  end
end
