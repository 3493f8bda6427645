# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Trips
      # How a grid does: cells with nothing in them, what stands against the others, and the rest in points, fewer is
      # better. Frozen.
      Score =
        Value.of(:empty, :faults, :points) do
          include Comparable

          # @return [Integer] emptiness before faults before points
          def <=>(other) = [empty, faults, points] <=> [other.empty, other.faults, other.points]
        end

      # What a dish is at one meal of the trip: how much stands against it, whether nobody may eat it then, keys of its
      # foods that must be cold once they were opened before (and are not, then), keys it opens, its foods with edible
      # grams for everybody, grams each carries in points, kcal. Frozen.
      AtMeal = Value.of(:faults, :refused, :turns, :opens, :foods, :carried, :kcal)

      # Weighs a whole grid, meal after meal as the trip goes: what was opened before, what is still there and good on
      # the day, what would have to be bought, how often a dish comes again, how far a day is from what it asks for.
      # Whoever includes it knows @slots, @stock, @targets and answers to `weighed(choice, at)`.
      module GridScoring
        # Points: a food that must be bought, a dish that comes again, and the day after, a tenth of a day's energy too
        # little or too much, a stack that is left at home to turn.
        BUY = 3
        AGAIN = 8
        NEXT_DAY = 4
        TENTH = 4
        TURNS = 2
        # A point for so many grams somebody carries for one meal: what weighs little for its energy goes along.
        CARRIED_G = 50
        # What turns within so many days of coming home is better taken along, and early.
        SOON = 21

        # @param grid [Array<#key, nil>] as the slots stand
        # @return [Score]
        def of(grid)
          opened = {}
          left = @stock.transform_values { |list| list.map(&:dup) }
          empty = faults = points = 0
          grid.each_with_index do |choice, at|
            next empty += 1 unless choice

            one = weighed(choice, at)
            faults += against(one, opened)
            points += draw(one, at, left) + one.carried
            one.opens.each { |key| opened[key] = true }
          end
          Score.new(empty: empty, faults: faults, points: points + again(grid) + energy(grid) + turning(left))
        end

        # @param choice [#key]
        # @param at [Integer] slot
        # @param opened [Hash{String=>true}] foods that were opened before
        # @return [Integer] things that stand against it
        def count(choice, at, opened) = against(weighed(choice, at), opened)

        # @return [Boolean] whether nobody may eat it then
        def refused?(choice, at, opened)
          one = weighed(choice, at)
          one.refused || turned?(one, opened)
        end

        # @return [Array<String>] keys of the foods a dish opens
        def opens(choice, at) = weighed(choice, at).opens

        private

        def against(one, opened) = one.faults + (turned?(one, opened) ? 1 : 0)

        def turned?(one, opened) = one.turns.any? { |key| opened[key] }

        # @return [Integer] points for what is not there
        def draw(one, at, left)
          one.foods.sum do |key, grams|
            key == "tap-water" || take(left[key], grams, @slots[at].day) ? 0 : BUY
          end
        end

        # @return [Boolean] whether enough was there and good by then
        def take(list, grams, day)
          (list || []).each do |one|
            next if one[0] && one[0] < day

            part = [one[1], grams].min
            one[1] -= part
            grams -= part
            return true unless grams.positive?
          end
          false
        end

        def again(grid)
          seen = Hash.new { |hash, key| hash[key] = [] }
          grid.each_with_index { |choice, at| seen[choice.key] << @slots[at] if choice }
          seen.values.sum do |list|
            days = list.map(&:day)
            (AGAIN * (list.size - 1)) + (NEXT_DAY * days.each_cons(2).count { |one, other| other - one <= 1 })
          end
        end

        def energy(grid)
          return 0 if @targets.empty?

          have = Hash.new(0r)
          grid.each_with_index { |choice, at| have[@slots[at].day] += weighed(choice, at).kcal if choice }
          @targets.sum { |day, kcal| kcal.zero? ? 0 : (TENTH * 10 * (have[day] - kcal).abs / kcal).round }
        end

        # What stays at home and is past its day soon after.
        def turning(left)
          late = @slots.last&.day&.+(SOON)
          left.sum do |_, list|
            list.count { |on, grams| on && on <= late && grams.positive? } * TURNS
          end
        end
      end
    end
  end
end
