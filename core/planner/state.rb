# frozen_string_literal: true

require_relative "opened_packs"
require_relative "repetition"
require_relative "tables"

module NutShelf
  module Core
    module Planner
      # A plan as it stands in a search, and what it costs: how much of each food is wanted in each bucket, what the
      # next unit of it costs, which dish stands where. Arrays all of it, so that a move that does not pay is taken back
      # by copying them.
      class State
        include Repetition

        EMPTY = 0
        COOK = 1
        LEFTOVERS = 2

        # Tables::FAR at hand: further than any food is drawn.
        FAR = Tables::FAR

        attr_reader :kind, :dish, :feeds, :from, :draws, :choices, :slope, :slack, :cooked_on, :flat

        # @param tables [Tables]
        def initialize(tables)
          @tables = tables
          @slots = tables.problem.slots
          @days = tables.days
          lay
          size = @slots.size
          @kind = Array.new(size, EMPTY)
          @dish = Array.new(size)
          @feeds = Array.new(size)
          @from = Array.new(size)
          @draws = Array.new(size)
          @choices = Array.new(size)
          @flat = Array.new(size, 0)
          @tags = Array.new(tables.tag_count * @days, 0)
          @counts = Array.new(tables.tallies.size, 0)
          @opened = OpenedPacks.new(tables)
          @cooked_on = Array.new(tables.dishes.size) { [].freeze }
          tables.problem.history.each { |one| @cooked_on[one.dish] = [*@cooked_on[one.dish], one.day].sort.freeze }
          @total = tables.lost + repeated_before + tables.skip_cost.sum + tables.tallies.begun
        end

        # @return [Integer] money, what packs change among it
        def total
          @opened.settle(@value_drawn, @value_begun)
          @total + @opened.total
        end

        # @return [OpenedPacks] what packs change
        def packs = @opened.tap { |opened| opened.settle(@value_drawn, @value_begun) }

        # Becomes the same as another one of the same problem.
        # @param other [State]
        def become(other)
          mine = arrays
          other.arrays.each_with_index { |array, index| mine[index][0, array.size] = array }
          @total = other.bare
          @opened.become(other.packs) unless @tables.packs.none?
        end

        # What it costs to want so much more of a food in a bucket.
        # @param index [Integer] see Tables#index
        # @param quantity [Integer] thousandths, 0 or more
        # @return [Integer] money
        def more(index, quantity)
          quantity <= @slack[index] ? quantity * @slope[index] : walk(index, quantity)
        end

        # Puts a dish into a slot.
        # @param slot [Integer]
        # @param dish [Integer]
        # @param draws [Array<Integer>] index and thousandths, in turn
        # @param money [Integer] of everything else
        # @param choices [Hash{Integer=>Integer}] line to option
        # @param feeds [Array<Integer>, nil] the later slots it cooks for as well
        def cook(slot, dish, draws, money, choices, feeds = nil)
          day = @slots[slot].day
          @total += money + again(dish, day) - @tables.skip_cost[slot]
          @kind[slot] = COOK
          @dish[slot] = dish
          @flat[slot] = money
          @choices[slot] = choices
          want(draws, 1)
          @draws[slot] = draws
          @feeds[slot] = feeds
          mark(dish, day, 1)
          pack(slot, 1) unless @tables.packs.none?
          @cooked_on[dish] = [*@cooked_on[dish], day].sort.freeze
          feeds&.each { |fed| feed(slot, fed) }
        end

        # Takes out what fills a slot; what it cooked for others leaves those slots open.
        # @param slot [Integer] of a cook
        def clear(slot)
          pack(slot, -1) unless @tables.packs.none?
          if (feeds = @feeds[slot])
            @feeds[slot] = nil
            feeds.each { |fed| unfeed(fed) }
          end
          dish = @dish[slot]
          day = @slots[slot].day
          want(@draws[slot], -1)
          mark(dish, day, -1)
          days = @cooked_on[dish].dup
          days.delete_at(days.index(day))
          @cooked_on[dish] = days.freeze
          @kind[slot] = EMPTY
          @dish[slot] = @draws[slot] = @choices[slot] = nil
          @total += @tables.skip_cost[slot] - @flat[slot] - again(dish, day)
          @flat[slot] = 0
        end

        protected

        # Money without what packs change.
        def bare = @total

        def arrays
          [@wanted, @drawn, @slope, @slack, @push, @piece, @value_begun, @value_drawn, @kind, @dish, @feeds, @from,
           @draws, @choices, @flat, @tags, @counts, @cooked_on]
        end

        private

        def lay
          size = @tables.start.size
          @wanted = Array.new(size, 0)
          @drawn = Array.new(size, -1)
          @slope = Array.new(size, 0)
          @slack = Array.new(size, 0)
          @piece = Array.new(size, 0)
          @value_begun = Array.new(size, 0)
          @value_drawn = Array.new(size, 0)
          # How much more a bucket may draw before it pushes what a later one draws.
          @push = Array.new(size, FAR)
          @total = 0
          @tables.first.each_with_index { |first, food| first && redraw(food, first) }
        end

        def feed(slot, fed)
          @from[fed] = slot
          @kind[fed] = LEFTOVERS
          @total -= @tables.skip_cost[fed]
        end

        def unfeed(fed)
          @from[fed] = nil
          @kind[fed] = EMPTY
          @total += @tables.skip_cost[fed]
        end

        def pack(slot, sign)
          servings = @slots[slot].eaters
          @feeds[slot]&.each { |fed| servings += @slots[fed].eaters }
          @opened.cook(@dish[slot], @slots[slot].day, @draws[slot], servings, sign)
        end

        def want(draws, sign)
          index = 0
          while index < draws.size
            at = draws[index]
            @wanted[at] += sign * draws[index + 1]
            redraw(@tables.food_of[at], at)
            index += 2
          end
        end

        # Draws a food anew from a bucket on, the first lots first, as far as anything changes. One loop, because it is
        # run a million times.
        def redraw(food, at) # rubocop:disable Metrics/AbcSize, Metrics/MethodLength -- see above
          corners = @tables.corners[food]
          values = @tables.values[food]
          slopes = @tables.slopes[food]
          starts = @tables.start
          top = corners.size - 1
          first = @tables.first[food]
          last = @tables.last[food]
          before = 0
          piece = 0
          if at > first
            before = @drawn[at - 1]
            piece = @piece[at - 1]
          end
          cost = 0
          upto = at
          while at <= last
            begun = starts[at]
            begun = before if before > begun
            piece += 1 while piece < top && corners[piece + 1] <= begun
            drawn = begun
            worth = values[piece] + ((begun - corners[piece]) * slopes[piece])
            cost += @value_begun[at] - @value_drawn[at] - worth
            @value_begun[at] = worth
            if (wanted = @wanted[at]) > 0
              drawn += wanted
              piece += 1 while piece < top && corners[piece + 1] <= drawn
              worth = values[piece] + ((drawn - corners[piece]) * slopes[piece])
            end
            cost += worth
            same = drawn == @drawn[at]
            @value_drawn[at] = worth
            @piece[at] = piece
            @drawn[at] = drawn
            @slope[at] = slopes[piece]
            upto = at
            break if same

            before = drawn
            at += 1
          end
          @total += cost
          loosen(corners, first, last, upto)
        end

        # More in one bucket costs the same only until it pushes what a later one draws.
        def loosen(corners, first, last, at)
          starts = @tables.start
          top = corners.size - 1
          while at >= first
            piece = @piece[at]
            slack = piece < top ? corners[piece + 1] - @drawn[at] : FAR
            if at < last
              room = starts[at + 1] - @drawn[at]
              room = @wanted[at + 1] > 0 ? 0 : @push[at + 1] if room <= 0
              @push[at] = room
              slack = room if room < slack
            end
            @slack[at] = slack
            at -= 1
          end
        end

        def walk(index, quantity)
          food = @tables.food_of[index]
          corners = @tables.corners[food]
          values = @tables.values[food]
          slopes = @tables.slopes[food]
          top = corners.size - 1
          last = @tables.last[food]
          starts = @tables.start
          piece = @piece[index]
          drawn = @drawn[index] + quantity
          piece += 1 while piece < top && corners[piece + 1] <= drawn
          cost = values[piece] + ((drawn - corners[piece]) * slopes[piece]) - @value_drawn[index]
          index += 1
          while index <= last
            begun = starts[index]
            return cost if begun >= drawn

            if (wanted = @wanted[index]) > 0
              cost += @value_begun[index] - @value_drawn[index]
              cost -= values[piece] + ((drawn - corners[piece]) * slopes[piece])
              drawn += wanted
              piece += 1 while piece < top && corners[piece + 1] <= drawn
              cost += values[piece] + ((drawn - corners[piece]) * slopes[piece])
            end
            return cost if drawn == @drawn[index]

            index += 1
          end
          cost
        end
      end
    end
  end
end
