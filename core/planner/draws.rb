# frozen_string_literal: true

require_relative "tables"

module NutShelf
  module Core
    module Planner
      # What a dish draws at so many servings on a day, laid out when somebody looks, once for all who do.
      class Draws
        # `fixed`: [index, thousandths, money at best, ...] of what has no choice; `free`: what has, as [money at best,
        # line, [option, index or nil, thousandths, money, ...]]; `money`: what is bought anyway; `given`: line to
        # option where only one makes sense.
        Entry = Struct.new(:fixed, :free, :money, :given)

        # @param tables [Tables]
        def initialize(tables)
          @tables = tables
          @size = tables.dishes.size
          @laid = {}
        end

        # @param dish [Integer]
        # @param servings [Rational]
        # @param day [Integer]
        # @return [Entry]
        def on(dish, servings, day) = (@laid[servings] ||= {})[(day * @size) + dish] ||= made(dish, servings, day)

        private

        def made(dish, servings, day)
          at = @tables.at(dish, servings)
          wanted = at.fixed
          fixed = []
          place = 0
          while place < wanted.size
            index = @tables.index(wanted[place], day)
            quantity = wanted[place + 1]
            fixed << index << quantity << @tables.least(index, quantity)
            place += 2
          end
          free = at.free.each_with_index.map { |options, number| choice(options, at.lines[number], day) }
          Entry.new(fixed, free, at.money, at.given)
        end

        def choice(options, line, day)
          best = Tables::FAR
          laid = []
          options.each do |option, food, quantity, cost|
            index = food && @tables.index(food, day)
            least = index ? cost + @tables.least(index, quantity) : cost
            best = least if least < best
            laid << option << index << quantity << cost
          end
          [best, line, laid]
        end
      end
    end
  end
end
