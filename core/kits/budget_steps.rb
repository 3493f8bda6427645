# frozen_string_literal: true

require_relative "../value"
require_relative "lines"

module NutShelf
  module Core
    module Kits
      # What one step of a budget buys, in order, and what stays in the purse. Frozen.
      BudgetStep = Value.of(:offers, :left_minor)

      # Buys what closes a gap in steps of a small budget, in an order that always buys for the line that lasts the
      # fewest days (docs/kits.md 3).
      class BudgetSteps
        # Steps nobody would wait for.
        MOST = 520

        # @param closed [Closed]
        # @param per_day [Hash{String=>Rational}] need a day by line
        # @param days [Integer]
        def initialize(closed, per_day:, days:)
          @closed = closed
          @per_day = per_day
          @have = per_day.to_h { |line, need| [line, (need * days) - closed.gaps.fetch(line, 0r)] }
        end

        # @return [Array<Offer>] one for each pack, in the order they are bought
        def order
          have = @have.dup
          waiting = @closed.bought.group_by(&:for).transform_values { |packs| in_turn(packs) }
          Array.new(waiting.sum { |_, packs| packs.size }) do
            line = waiting.keys.min_by { |name| [lasts(have, name), Lines::ALL.index(name)] }
            offer = waiting[line].shift
            waiting.delete(line) if waiting[line].empty?
            have.each_key { |name| have[name] += offer.given.line(name) }
            offer
          end
        end

        # @param budget [Integer] minor units a step
        # @return [Array<BudgetStep>] none where there is no budget
        def call(budget)
          waiting = order
          purse = 0
          steps = []
          while waiting.any? && budget.to_i.positive? && steps.size < MOST
            purse += budget
            bought = []
            while waiting.any? && waiting.first.price_minor <= purse
              bought << waiting.shift
              purse -= bought.last.price_minor
            end
            steps << BudgetStep.new(offers: bought.freeze, left_minor: purse)
          end
          steps
        end

        private

        # The cheapest pack first.
        def in_turn(packs)
          packs.sort_by { |one| [one.offer.price_minor, *one.offer.rank] }
            .flat_map { |one| Array.new(one.count) { one.offer } }
        end

        # Days a line would last; one that nobody needs is never scarce.
        def lasts(have, line)
          need = @per_day.fetch(line, 0r)
          need.zero? ? Float::INFINITY : have.fetch(line, 0r) / need
        end
      end
    end
  end
end
