# frozen_string_literal: true

require_relative "../value"
require_relative "grid_scoring"

module NutShelf
  module Core
    module Trips
      # A grid that was filled: what is eaten when (nil where nothing can be), and how it does. Frozen.
      Filled =
        Value.of(:grid, :score) do
          # @return [Score] what counts where several search for the same
          def cost = score
        end

      # Proposes what is eaten when on a trip (docs/trips.md 5): nothing that refuses, the fewest faults, then food that
      # turns first, what is there before what must be bought, variety, and about the energy each day asks for. Few
      # grids are all looked at; otherwise the first faultless one that depth first finds is bettered cell by cell and
      # by swaps, for as long as there is time.
      class Fill
        # So many grids are looked at one by one.
        FEW = 20_000
        # Steps back the first search takes before it makes do.
        PATIENCE = 20_000

        # What may be eaten at each meal: what is pinned there, or all that nothing refuses however the rest stands.
        # @param score [GridScoring]
        # @param slots [Array<Slot>]
        # @param choices [Array<Choice>]
        # @param pinned [Hash{Integer=>Choice, nil}] slots that stay as they are
        # @return [Array<Array<Choice, nil>>]
        def self.may(score, slots, choices, pinned = {})
          slots.each_with_index.map do |slot, at|
            next [pinned[at]] if pinned.key?(at)

            choices.select { |one| one.meals.include?(slot.meal) && !score.refused?(one, at, {}) }
          end
        end

        # @param score [GridScoring]
        # @param slots [Array<Slot>]
        # @param choices [Array<Choice>]
        # @param pinned [Hash{Integer=>Choice, nil}] slots that stay as they are
        # @param more [Hash] see initialize
        # @return [Fill]
        def self.of(score, slots, choices, pinned: {}, **more)
          new(score, may(score, slots, choices, pinned), pinned: pinned.keys, **more)
        end

        # @param score [GridScoring]
        # @param may [Array<Array<#key, nil>>] what may be eaten at each slot
        # @param pinned [Array<Integer>] slots that stay as they are, their one choice as it is
        # @param few [Integer] grids that are looked at one by one
        # @param dice [Random, nil] in which order cells are tried; nil: as they stand
        # @param clock [#call] seconds that went by; without one there is all the time in the world
        def initialize(score, may, pinned: [], few: FEW, dice: nil, clock: -> { 0 })
          @score = score
          @may = may
          @pinned = pinned.to_h { |at| [at, true] }
          @few = few
          @dice = dice
          @clock = clock
        end

        # @param seconds [Float] from now on
        # @param standing [Array<Choice, nil>, nil] a grid that was found before: what is found is no worse
        # @yieldparam [Filled] the first whole grid, and every better one
        # @return [Filled]
        def call(seconds: 3.0, standing: nil, &told)
          @until = @clock.call + seconds
          grid = few? ? best_of_all : bettered(begun(standing), &told)
          filled(grid)
        end

        private

        def filled(grid, score = @score.of(grid)) = Filled.new(grid: grid.dup.freeze, score: score)

        def begun(standing)
          found = first
          return found if standing.nil? || !allowed?(standing) || refused?(standing)

          [found, standing].min_by { |grid| @score.of(grid) }
        end

        def allowed?(grid)
          grid.each_with_index.all? { |one, at| @pinned[at] ? @may[at].first == one : may?(one, at) }
        end

        def few? = @may.reduce(1) { |number, list| number * (list.size + 1) } <= @few

        def best_of_all
          lists = @may.map.with_index { |list, at| @pinned[at] ? list : [*list, nil] }
          return [] if lists.empty?

          lists.first.product(*lists.drop(1)).reject { |grid| refused?(grid) }.min_by { |grid| @score.of(grid) }
        end

        def refused?(grid)
          opened = {}
          grid.each_with_index.any? do |choice, at|
            next false unless choice

            bad = !@pinned[at] && @score.refused?(choice, at, opened)
            taken(choice, at, opened)
            bad
          end
        end

        def taken(choice, at, opened)
          @score.opens(choice, at).each { |key| opened[key] = true } if choice
        end

        # Depth first, what was not eaten yet first: the first faultless grid is taken; where there is none, that with
        # the fewest empty cells, then faults, as far as patience goes.
        def first
          @steps = 0
          @least = nil
          search(0, {}, [], Hash.new(0), [0, 0])
          @least.last
        end

        # @param cost [Array(Integer, Integer)] empty cells and faults so far
        # @return [Boolean] whether nothing better can come
        def search(at, opened, grid, used, cost)
          return false if @least && (plus(cost, ahead[at]) <=> @least.first) >= 0
          return done(grid, cost) if at == @may.size

          in_order(at, used).any? do |choice|
            next if @least && (@steps += 1) > PATIENCE

            faults = choice ? @score.count(choice, at, opened) : 0
            next if choice && !@pinned[at] && @score.refused?(choice, at, opened)

            search(at + 1, after(choice, at, opened), [*grid, choice], counted(used, choice),
              plus(cost, [choice ? 0 : 1, faults]))
          end
        end

        def done(grid, cost)
          @least = [cost, grid]
          (cost <=> ahead.first) <= 0
        end

        def plus(one, other) = [one[0] + other[0], one[1] + other[1]]

        # At least so many empty cells and faults from each slot on, whatever was opened.
        def ahead
          @ahead ||= @may.each_index.reverse_each.reduce([[0, 0]]) do |list, at|
            faults = @may[at].compact.map { |one| @score.count(one, at, {}) }.min
            [plus(list.first, faults ? [0, faults] : [1, 0]), *list]
          end
        end

        # What has the fewest faults and was not eaten yet first, nothing at all last.
        def in_order(at, used)
          list = @may[at].compact.sort_by.with_index do |one, turn|
            [@score.count(one, at, {}), used[one.key], turn]
          end
          @pinned[at] ? list : [*list, nil]
        end

        def after(choice, at, opened)
          return opened if choice.nil? || @score.opens(choice, at).empty?

          opened.dup.tap { |more| taken(choice, at, more) }
        end

        def counted(used, choice)
          return used unless choice

          used.dup.tap { |more| more[choice.key] += 1 }
        end

        # Cell by cell and by swaps, as long as something gets better and there is time.
        def bettered(grid, &told)
          @grid = grid
          @best = @score.of(grid)
          @told = told
          told&.call(filled(grid, @best))
          loop do
            before = @best
            free.each { |at| @may[at].each { |one| try(at => one) unless @grid[at] == one } }
            free.combination(2) { |at, to| swap(at, to) }
            return @grid if over? || @best == before
          end
        end

        def free
          @free ||= @may.each_index.reject { |at| @pinned[at] }
            .then { |list| @dice ? list.shuffle(random: @dice) : list }
        end

        def swap(at, to)
          one, other = @grid.values_at(at, to)
          try(at => other, to => one) unless one == other || !may?(one, to) || !may?(other, at)
        end

        def try(changes)
          return if over?

          grid = @grid.each_with_index.map { |one, at| changes.key?(at) ? changes[at] : one }
          score = @score.of(grid)
          return unless score < @best && !refused?(grid)

          @grid = grid
          @best = score
          @told&.call(filled(grid, score))
        end

        def may?(choice, at) = choice.nil? || @may[at].include?(choice)

        def over? = @clock.call > @until
      end
    end
  end
end
