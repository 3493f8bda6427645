# frozen_string_literal: true

require_relative "../value"
require_relative "choice"
require_relative "faults"
require_relative "grid_scoring"
require_relative "grid_table"

module NutShelf
  module Core
    module Trips
      # Finds out what each dish is at each meal, when it is first asked: see GridScoring. `table` says all of it at
      # once, for whoever weighs grids elsewhere.
      class GridScore
        include GridScoring

        # What refuses a cell; the rest may be pinned.
        REFUSES = %i[cold date allergen].freeze
        # What depends on the day alone.
        DAY = (Faults::KINDS - Faults::ANY_DAY - %i[cold leftover]).freeze
        COLD = [[].freeze, [].freeze].freeze
        private_constant :DAY, :COLD

        # @param faults [Faults]
        # @param slots [Array<Slot>] in the order of the trip
        # @param stock [Hash{String=>Array<Array(Date, Rational)>}] by food: until when good (nil: no date), grams of
        #   what is eaten
        # @param targets [Hash{Date=>Rational}] kcal of each day
        def initialize(faults, slots, stock:, targets: {})
          @faults = faults
          @slots = slots
          @stock = stock.transform_values { |list| list.sort_by { |on, _| on&.jd || Float::INFINITY } }
          @targets = targets
          @weighed = {}
          @dishes = {}
          @any_day = {}
          @warm = {}
        end

        # @param choice [Choice]
        # @param at [Integer] slot
        # @return [AtMeal]
        def weighed(choice, at) = @weighed[[choice.key, choice.assembly.nil?, at]] ||= weigh(choice, at)

        # @param lists [Array<Array<Choice, nil>>] what may be eaten, slot by slot
        # @return [Array(GridTable, Array<Array<Option, nil>>, Array<Choice>)] the same as a table, as what it knows,
        #   and which dish each number is
        def table(lists)
          options = {}.compare_by_identity
          lists.flatten.compact.each { |one| options[one] ||= Option.new(number: options.size, key: one.key) }
          rows = lists.each_with_index.map do |list, at|
            list.compact.to_h { |one| [options.fetch(one).number, weighed(one, at)] }
          end
          told = lists.map { |list| list.map { |one| one && options.fetch(one) } }
          [GridTable.new(rows: rows, slots: @slots, stock: @stock, targets: @targets), told, options.keys]
        end

        # @param choice [Choice]
        # @param at [Integer] slot
        # @return [Array<Symbol>] kinds of what stands against it on whichever day
        def any_day(choice, at)
          slot = @slots[at]
          @any_day[[choice.key, choice.assembly.nil?, slot.meal, slot.servings]] ||=
            @faults.of(choice.cell(slot), Faults::ANY_DAY).map(&:kind).freeze
        end

        private

        def weigh(choice, at)
          cell = choice.cell(@slots[at])
          turned, turns = warm(choice, at, cell)
          found = [*turned, *@faults.of(cell, DAY).map(&:kind), *any_day(choice, at)]
          AtMeal.new(faults: found.size, refused: found.intersect?(REFUSES), turns: turns, **dish(choice, at))
        end

        # The same at every meal at which nothing is cold any more. A dish that needs the cold anyway fails for it once,
        # whatever was opened.
        def warm(choice, at, cell)
          return COLD if @faults.cold_then?(cell)

          @warm[[choice.key, choice.assembly.nil?, @slots[at].servings]] ||= begin
            turned = @faults.of(cell, [:cold]).map(&:kind).freeze
            [turned, turned.empty? ? @faults.turned_by_opening(cell).freeze : [].freeze].freeze
          end
        end

        # What it is of, on whichever day.
        def dish(choice, at)
          servings = @slots[at].servings
          @dishes[[choice.key, choice.assembly.nil?, servings]] ||= begin
            foods = @faults.foods(choice.cell(@slots[at]))
            {
              foods: foods.map { |food, grams| [food.key, grams].freeze }.freeze,
              opens: choice.assembly ? [].freeze : foods.map { |food, _| food.key }.freeze,
              carried: carried(foods, servings),
              kcal: foods.sum(0r) { |food, grams| (food.nutrition.kcal || 0) * grams / 100 }
            }.freeze
          end
        end

        # @return [Integer] points for what each carries of it, water is found on the way
        def carried(foods, servings)
          dry = foods.reject { |food, _| food.food_group == "water" }
          (dry.sum(0r) { |food, grams| grams / food.edible_yield } / servings / CARRIED_G).round
        end
      end
    end
  end
end
