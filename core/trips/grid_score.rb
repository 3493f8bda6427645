# frozen_string_literal: true

require_relative "../value"
require_relative "choice"
require_relative "faults"

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

      # Weighs a whole grid, meal after meal as the trip goes: what was opened before, what is still there and good on
      # the day, what would have to be bought, how often a dish comes again, how far a day is from what it asks for.
      class GridScore
        # What refuses a cell; the rest may be pinned.
        REFUSES = %i[cold date allergen].freeze
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

        # @param catalog [Catalog]
        # @param faults [Faults]
        # @param slots [Array<Slot>] in the order of the trip
        # @param stock [Hash{String=>Array<Array(Date, Rational)>}] by food: until when good (nil: no date), grams of
        #   what is eaten
        # @param targets [Hash{Date=>Rational}] kcal of each day
        def initialize(catalog, faults, slots, stock:, targets: {})
          @catalog = catalog
          @faults = faults
          @slots = slots
          @stock = stock.transform_values { |list| list.sort_by { |on, _| on&.jd || Float::INFINITY } }
          @targets = targets
          @foods = {}
          @found = {}
          @any_day = {}
          @late = slots.last && (slots.last.day + SOON)
        end

        # @param grid [Array<Choice, nil>] as the slots stand
        # @return [Score]
        def of(grid)
          opened = {}
          left = @stock.transform_values { |list| list.map(&:dup) }
          empty = faults = points = 0
          grid.each_with_index do |choice, at|
            next empty += 1 unless choice

            faults += faults(choice, at, opened).size
            points += draw(choice, at, left) + carried(choice, at)
            foods(choice, at).each { |one| opened[one.first.key] = true } unless choice.assembly
          end
          Score.new(empty: empty, faults: faults, points: points + again(grid) + energy(grid) + turning(left))
        end

        # @param choice [Choice]
        # @param at [Integer] slot
        # @param opened [Hash{String=>true}] foods that were opened before
        # @return [Array<Fault>]
        def faults(choice, at, opened)
          # What was opened matters for this dish's own foods alone.
          own = choice.assembly ? [] : foods(choice, at).map { |food, _| food.key }.select { |key| opened[key] }
          @found[[choice.key, at, own]] ||= [*that_day(choice, at, own), *any_day(choice, at)].freeze
        end

        # @return [Boolean] whether nobody may eat it then
        def refused?(choice, at, opened) = faults(choice, at, opened).any? { |one| REFUSES.include?(one.kind) }

        # @return [Array<Array(Food, Rational)>] edible grams of what goes into it for everybody
        def foods(choice, at)
          servings = @slots[at].servings
          @foods[[choice.key, servings]] ||= choice.cell(@slots[at]).foods(@catalog).freeze
        end

        private

        # In the order of Faults::KINDS: these come first.
        def that_day(choice, at, own) = @faults.of(choice.cell(@slots[at], own), Faults::KINDS - Faults::ANY_DAY)

        def any_day(choice, at)
          slot = @slots[at]
          @any_day[[choice.key, choice.assembly.nil?, slot.meal, slot.servings]] ||=
            @faults.of(choice.cell(slot), Faults::ANY_DAY).freeze
        end

        # @return [Integer] points for what is not there
        def draw(choice, at, left)
          foods(choice, at).sum do |food, grams|
            food.key == "tap-water" || take(left[food.key], grams, @slots[at].day) ? 0 : BUY
          end
        end

        # @return [Integer] points for what each carries of it, water is found on the way
        def carried(choice, at)
          @carried ||= {}
          @carried[[choice.key, @slots[at].servings]] ||= begin
            dry = foods(choice, at).reject { |food, _| food.food_group == "water" }
            (dry.sum(0r) { |food, grams| grams / food.edible_yield } / @slots[at].servings / CARRIED_G).round
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
          grid.each_with_index { |choice, at| have[@slots[at].day] += kcal(choice, at) if choice }
          @targets.sum { |day, kcal| kcal.zero? ? 0 : (TENTH * 10 * (have[day] - kcal).abs / kcal).round }
        end

        def kcal(choice, at)
          @kcal ||= {}
          @kcal[[choice.key, @slots[at].servings]] ||=
            foods(choice, at).sum(0r) { |food, grams| (food.nutrition.kcal || 0) * grams / 100 }
        end

        # What stays at home and is past its day soon after.
        def turning(left)
          left.sum do |_, list|
            list.count { |on, grams| on && on <= @late && grams.positive? } * TURNS
          end
        end
      end
    end
  end
end
