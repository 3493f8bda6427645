# frozen_string_literal: true

require_relative "problem"

module NutShelf
  module Core
    module Planner
      # What it costs, by how often dishes of a kind are cooked in some days, in whole numbers. A cost that falls
      # with the first time is a reward; the scan stops as soon as the next dish cannot win, so what a dish may be
      # rewarded at best (`least`) is reckoned with its minutes, and the rest, never below nothing, as it comes.
      class Tallies
        MONEY = 10**9

        # `least`: by dish, money at best of one more time; `size`: counts there are; `begun`: money where nothing is
        # cooked.
        attr_reader :least, :size, :begun

        # @param problem [Problem]
        def initialize(problem)
          @days = problem.params.days
          @of = Array.new(problem.dishes.size) { [] }
          @base = []
          @length = []
          @steps = []
          @size = 0
          @begun = 0
          problem.tallies.each { |tally| lay(tally) }
          @none = problem.tallies.empty?
          @least = @of.map { |tallies| tallies.sum { |at| @steps[at].min } }.freeze
        end

        # @param counts [Array<Integer>]
        # @param dish [Integer]
        # @param day [Integer]
        # @return [Integer] money of one more time, beyond the least
        def more(counts, dish, day)
          return 0 if @none

          cost = -@least[dish]
          of = @of[dish]
          at = 0
          while at < of.size
            tally = of[at]
            steps = @steps[tally]
            cost += steps[counts[@base[tally] + (day / @length[tally])]] || 0
            at += 1
          end
          cost
        end

        # Counts a dish once more, or once less.
        def count(counts, dish, day, sign)
          @of[dish].each { |tally| counts[@base[tally] + (day / @length[tally])] += sign }
        end

        private

        def lay(tally)
          at = @base.size
          costs = tally.costs.map { |coins| (coins * MONEY).round }
          stretches = (@days.to_f / tally.days).ceil
          @base << @size
          @length << tally.days
          # Beyond the last nothing changes.
          @steps << [*costs.each_cons(2).map { |one, other| other - one }, 0].freeze
          @begun += costs.first * stretches
          @size += stretches
          tally.dishes.each { |dish| @of[dish] << at }
        end
      end
    end
  end
end
