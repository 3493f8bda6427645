# frozen_string_literal: true

require_relative "fits"
require_relative "packs"
require_relative "problem"
require_relative "tallies"

module NutShelf
  module Core
    module Planner
      # A problem in whole numbers: money in billionths of a coin, quantity in thousandths of a base unit, so that sums
      # are exact and a plan put back costs to the bit what it cost before. Flat arrays, because the search reads them a
      # million times. Frozen.
      #
      # A food's lots stand end to end in the order they are drawn. Days between two last good days draw on the same
      # lots, so they share a bucket: one index stands for (food, bucket).
      class Tables
        MONEY = 10**9
        QUANTITY = 1000
        # Money for a thousandth of a unit that costs a coin a unit.
        SLOPE = MONEY / QUANTITY
        FAR = 1 << 60

        attr_reader :problem, :days, :first, :last, :start, :food_of, :corners, :values, :slopes, :lost, :window,
          :rep_cost, :tag_cost, :tags_of, :tag_count, :skip_cost, :dishes, :fits, :tallies,
          :packs, :lost_of

        # @param problem [Problem]
        def initialize(problem)
          @problem = problem
          @params = problem.params
          @days = @params.days
          @window = @params.rep_window_days
          @rep_cost = money(@params.rep_cost)
          @change_cost = money(@params.change_cost)
          @skip_cost = problem.slots.map { |slot| slot.skip ? 0 : left_open(slot) }
          @packs = Packs.new(problem, ->(coins) { (coins * SLOPE).round })
          stock
          tags
          likes
          @dishes = problem.dishes
          @fits = Fits.new(problem)
          @tallies = Tallies.new(problem)
          @at = {}
          @least = []
          @amounts = problem.dishes.map { |dish| dish.lines.map { |line| amounts(line) }.freeze }.freeze
        end

        # @return [Integer] billionths of a coin
        def money(coins) = (coins * MONEY).round

        # @param food [Integer]
        # @param day [Integer]
        # @return [Integer, nil] the index of its bucket, nil where nothing of it is in the house
        def index(food, day) = (base = @index[food]) && base[day]

        # @return [Integer] money for a thousandth of a unit that is bought
        def price(food) = @price[food]

        # What a dish asks for at so many servings. Frozen.
        #   `fixed`: [food, quantity, ...] of what is in the house and has no choice; `free`: [[option, food or nil,
        #   quantity, money], ...] a line with a choice, `lines` their places; `money`: what is bought anyway, and
        #   `given`: line to option where only another food, or none, makes sense.
        At = Value.of(:fixed, :free, :lines, :money, :given)

        # @param dish [Integer]
        # @param servings [Rational]
        # @return [At]
        def at(dish, servings) = (@at[dish] ||= {})[servings] ||= reckon(dish, servings)

        # What is left out of draws: minutes and how it is liked, for the meal itself.
        # @return [Integer] money
        def cooking(dish, slot)
          changed = slot.now && slot.now != dish ? @change_cost : 0
          @minutes[dish] + @tallies.least[dish] - (@liked[slot.table][dish] * slot.eaters).round + changed
        end

        # @param cook [Slot] when it was cooked
        # @return [Integer] money of a meal of leftovers
        def leftovers(dish, cook, slot)
          frozen = (chilled = @chilled[dish]) && slot.day - cook.day > chilled ? @freeze_cost : 0
          @leftover_cost - (@liked_again[slot.table][dish] * slot.eaters).round + (slot.now ? @change_cost : 0) + frozen
        end

        # @param fed [Array<Integer>, nil] later slots
        # @return [Integer] money of these meals of leftovers
        def leftovers_of(dish, cook, fed)
          fed.nil? ? 0 : fed.sum { |later| leftovers(dish, cook, @problem.slots[later]) }
        end

        # What so much of a food costs at the least on a day: the best lots first, as if nobody else wanted them.
        # @param index [Integer] see index
        # @param quantity [Integer] thousandths
        # @return [Integer] money
        def least(index, quantity)
          lots = @best[index]
          money = at = 0
          while at < lots.size
            there = lots[at + 1]
            return money + (quantity * lots[at]) if quantity <= there

            money += there * lots[at]
            quantity -= there
            at += 2
          end
          money + (quantity * @price[@food_of[index]])
        end

        # What a dish costs at the least for itself on a day, meals aside.
        # @return [Integer] money
        def least_of(dish, servings, day)
          known = @least[(day * @problem.dishes.size) + dish] ||= {}
          known[servings] ||= reckon_least(at(dish, servings), day)
        end

        private

        def left_open(slot)
          money(@params.skip_cost_per_eater * slot.eaters) + (slot.now ? @change_cost : 0)
        end

        def stock
          @first = []
          @last = []
          @start = []
          @food_of = []
          @corners = []
          @values = []
          @slopes = []
          @index = []
          @best = []
          @lots = []
          @lost = 0
          @lost_of = Array.new(@problem.foods.size, 0)
          @price = @problem.foods.map { |food| (food.price * SLOPE).round }
          @problem.foods.each_with_index { |food, key| lay(food, key) }
        end

        def lay(food, key)
          last_day = @params.days - 1 + @params.grace_days
          @lots[key] = lots = food.lots.map { |lot| laid(lot, last_day, food.waste_weight || @params.waste_weight) }
          @lost += @lost_of[key] = lots.sum { |lot| lot[3] * lot[1] }
          return if lots.none? { |lot| lot[0] >= 0 } && @packs.number[key].nil?

          buckets = buckets(lots)
          @first[key] = @start.size
          buckets.each do |day|
            @start << lots.sum { |lot| lot[0] < day ? lot[1] : 0 }
            @food_of << key
            @best << lots.select { |lot| lot[0] >= day }.map { |lot| [lot[2], lot[1]] }.sort.flatten.freeze
          end
          @last[key] = @start.size - 1
          @index[key] = Array.new(@days) { |day| @first[key] + buckets.index { |bucket| bucket >= day } }.freeze
          line(key, lots)
        end

        def buckets(lots)
          [*lots.map { |lot| [lot[0], @days - 1].min }.select { |day| day >= 0 }, @days - 1].uniq.sort
        end

        # Last good day, thousandths, money for using a thousandth, money for losing it.
        def laid(lot, last_day, weight)
          lost = lot.last_good <= last_day ? (weight * lot.unit_cost * SLOPE).round : 0
          used = (@params.stock_value * lot.unit_cost * SLOPE).round
          [lot.last_good, (lot.quantity * QUANTITY).round, used - lost, lost]
        end

        # Money of having used the first so much of a food: where its slope changes, and to what.
        def line(key, lots)
          corners = [0]
          values = [0]
          slopes = []
          lots.each do |lot|
            if slopes.last == lot[2]
              corners[-1] += lot[1]
              values[-1] += lot[1] * lot[2]
            else
              slopes << lot[2]
              corners << (corners.last + lot[1])
              values << (values.last + (lot[1] * lot[2]))
            end
          end
          @corners[key] = corners.freeze
          @values[key] = values.freeze
          @slopes[key] = [*slopes, @price[key]].freeze
        end

        def tags
          names = @problem.dishes.flat_map { |dish| [[:protein, dish.protein], [:starch, dish.starch]] }.uniq
          names = names.reject { |tag| tag.last.nil? }
          @tag_count = names.size
          @tag_cost = names.map { |kind, _| money(kind == :protein ? @params.protein_cost : @params.starch_cost) }
          @tags_of = @problem.dishes.map do |dish|
            [[:protein, dish.protein], [:starch, dish.starch]].filter_map { |tag| names.index(tag) }.freeze
          end
        end

        # Thousandths a serving of every option of a line: whole numbers where they can be, they multiply faster.
        def amounts(line)
          all = [[0, line.food, line.quantity, 0r]]
          line.substitutes.each_with_index do |one, index|
            all << [index + 1, one.food, line.quantity * one.ratio, one.cost]
          end
          all << [-1, nil, 0r, line.omit_cost] if line.omit_cost
          all.map do |option, food, quantity, cost|
            [option, food, whole(quantity * QUANTITY), whole(cost * MONEY)].freeze
          end
        end

        def whole(number) = number.to_r.denominator == 1 ? number.to_i : number.to_r

        # Money of a dish's minutes, and of a serving's liking.
        def likes
          @minutes = @problem.dishes.map { |dish| money(@params.minute_cost * dish.minutes) }
          tables = (0..@problem.slots.map(&:table).max.to_i)
          @liked = tables.map { |table| liked(table, 1) }.freeze
          @liked_again = tables.map { |table| liked(table, @params.leftover_like) }.freeze
          @leftover_cost = money(@params.leftover_cost)
          @freeze_cost = money(@params.freeze_cost)
          @chilled = @problem.dishes.map(&:chilled_days)
        end

        # Money of a serving's liking at a table, less what it costs besides.
        def liked(table, share)
          @problem.dishes.map do |dish|
            liking = dish.likings ? dish.likings[table] : dish.liking
            whole(((@params.liking_weight * liking * share) - dish.extra) * MONEY)
          end.freeze
        end

        def reckon(dish, servings)
          servings = whole(servings)
          fixed = []
          free = []
          lines = []
          bought = 0
          given = {}
          @amounts[dish].each_with_index do |line, index|
            options = options(line, servings)
            if options.size == 1
              option, food, quantity, cost = options.first
              bought += cost
              given[index] = option unless option.zero?
              fixed << [food, quantity] if food
            else
              free << options.freeze
              lines << index
            end
          end
          fixed.sort_by! { |food, quantity| quantity * @slopes[food].first }
          At.new(fixed: fixed.flatten.freeze, free: free.freeze, lines: lines.freeze, money: bought,
            given: given.freeze)
        end

        # What is not in the house is only ever the cheapest of its kind.
        def options(line, servings)
          all = line.map { |option| laid_out(option, servings) }
          return all if all.size == 1

          there, bought = all.partition { |option| option[1] }
          [*there, bought.min_by { |option| option[3] }].compact
        end

        def laid_out((option, food, quantity, cost), servings)
          quantity = (quantity * servings).round
          cost = (cost * servings).round
          return [option, food, quantity, cost] if food && @index[food]

          [option, nil, quantity, cost + (food ? quantity * @price[food] : 0)]
        end

        def reckon_least(at, day)
          money = at.money
          fixed = at.fixed
          place = 0
          while place < fixed.size
            money += least(@index[fixed[place]][day], fixed[place + 1])
            place += 2
          end
          at.free.each { |options| money += least_option(options, day) }
          money
        end

        def least_option(options, day)
          options.map { |_, food, quantity, cost| cost + (food ? least(@index[food][day], quantity) : 0) }.min
        end
      end
    end
  end
end
