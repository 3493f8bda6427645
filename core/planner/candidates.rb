# frozen_string_literal: true

require_relative "tables"

module NutShelf
  module Core
    module Planner
      # The dishes that fit a slot (or a slot and a later one that gets its leftovers), cheapest at best first: what
      # each would cost if nothing else were drawn. No dish costs less than that, so a scan stops as soon as the next
      # one cannot win. What a dish draws is laid out when somebody looks at it.
      class Candidates
        attr_reader :dishes, :best

        # @param tables [Tables]
        # @param slot [Integer]
        # @param later [Integer, nil] slot that gets leftovers
        def initialize(tables, slot, later = nil)
          @tables = tables
          @place = slot
          @place_later = later
          @slot = tables.problem.slots[slot]
          @later = later && tables.problem.slots[later]
          @servings = @slot.eaters + (@later ? @later.eaters : 0)
          list = fitting.map { |dish| [least(dish), dish] }.sort
          @best = list.map(&:first).freeze
          @dishes = list.map(&:last).freeze
          @entries = Array.new(list.size)
        end

        # What an entry draws: [index, thousandths, money at best, ...] without a choice; its choices as [money at best,
        # line, [option, index or nil, thousandths, money, ...]]; money in any case; options where there is no choice.
        Entry = Struct.new(:fixed, :free, :money, :given)

        # @param place [Integer]
        # @return [Entry]
        def entry(place) = @entries[place] ||= made(@dishes[place])

        # @return [Integer, nil] where a dish stands in the list
        def place(dish) = @dishes.index(dish)

        private

        def fitting
          return [] if @slot.leftovers_from || @slot.skip || (@later && !gets_leftovers?)

          pinned = @slot.pin
          (pinned ? [pinned] : @tables.dishes.each_index.to_a).select do |dish|
            one = @tables.dishes[dish]
            (pinned || fits?(one)) && among?(@slot.only, dish) && among?(@later&.may, dish) &&
              (@later.nil? || keeps?(one))
          end
        end

        def gets_leftovers?
          return @later.leftovers_from == @place if @later.leftovers_from

          @later.allow_leftovers && !@later.skip && @later.pin.nil? && @tables.feeder[@place_later].nil?
        end

        def fits?(dish)
          dish.meals.include?(@slot.meal) && dish.minutes <= @slot.max_minutes && (dish.gear - @slot.gear).empty?
        end

        def among?(list, dish) = list.nil? || list.include?(dish)

        def keeps?(dish) = dish.keeps_days.positive? && @later.day - @slot.day <= dish.keeps_days

        def least(dish) = meals(dish) + @tables.least_of(dish, @servings, @slot.day)

        def meals(dish)
          @tables.cooking(dish, @slot) + (@later ? @tables.leftovers(dish, @later) : 0)
        end

        def made(dish)
          at = @tables.at(dish, @servings)
          fixed = at.fixed.each_slice(2).flat_map do |food, quantity|
            index = index(food)
            [index, quantity, @tables.least(index, quantity)]
          end
          free = at.free.each_with_index.map { |options, number| choice(options, at.lines[number]) }
          Entry.new(fixed.freeze, free.freeze, at.money + meals(dish), at.given)
        end

        def choice(options, line)
          laid = options.map { |option, food, quantity, cost| [option, food && index(food), quantity, cost] }
          least = laid.map { |_, index, quantity, cost| cost + (index ? @tables.least(index, quantity) : 0) }.min
          [least, line, laid.flatten.freeze].freeze
        end

        def index(food) = @tables.index(food, @slot.day)
      end
    end
  end
end
