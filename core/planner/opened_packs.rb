# frozen_string_literal: true

require_relative "tables"

module NutShelf
  module Core
    module Planner
      # What packs change of a plan as it stands in a search (see Packs): kept by food, and reckoned anew for those that
      # something was changed of, when somebody asks for the total.
      class OpenedPacks
        # Money in all.
        attr_reader :total

        # @param tables [Tables]
        def initialize(tables)
          @tables = tables
          @packs = tables.packs
          @days = tables.days
          size = @packs.foods.size
          @wanted = Array.new(size * @days, 0)
          @made = Array.new(size * @days, 0)
          @more = Array.new(size, 0)
          @stale = []
          @is_stale = Array.new(size, false)
          @total = 0
        end

        # A dish is cooked, or is not any more.
        # @param draws [Array<Integer>] index and thousandths, in turn
        # @param servings [Rational, Integer]
        # @param sign [Integer] 1 or -1
        def cook(dish, day, draws, servings, sign)
          at = 0
          while at < draws.size
            number = @packs.number[@tables.food_of[draws[at]]]
            add(@wanted, number, day, sign * draws[at + 1]) if number
            at += 2
          end
          makes = @packs.makes[dish]
          at = 0
          while at < makes.size
            add(@made, @packs.number[makes[at]], day, sign * (makes[at + 1] * servings).round)
            at += 2
          end
        end

        # Reckons anew what changed.
        # @param drawn [Array<Integer>] money by bucket of what is drawn up to its end,
        # @param begun [Array<Integer>] and up to its beginning
        def settle(drawn, begun)
          until @stale.empty?
            number = @stale.pop
            @is_stale[number] = false
            more = @packs.cost(number, @wanted, @made, number * @days) - plain(@packs.foods[number], drawn, begun)
            @total += more - @more[number]
            @more[number] = more
          end
        end

        # @return [Array<Integer>] numbers of foods that cost more than by the gram
        def dear = @more.each_index.select { |number| @more[number].positive? }

        # @param other [OpenedPacks] settled, of the same problem
        def become(other)
          @is_stale.fill(false)
          @stale.clear
          mine = arrays
          other.arrays.each_with_index { |array, index| mine[index][0, array.size] = array }
          @total = other.total
        end

        protected

        def arrays = [@wanted, @made, @more]

        private

        def add(amounts, number, day, quantity)
          amounts[(number * @days) + day] += quantity
          return if @is_stale[number]

          @is_stale[number] = true
          @stale << number
        end

        # What the running cost says of it.
        def plain(food, drawn, begun)
          money = @tables.lost_of[food]
          at = @tables.first[food]
          last = @tables.last[food]
          while at <= last
            money += drawn[at] - begun[at]
            at += 1
          end
          money
        end
      end
    end
  end
end
