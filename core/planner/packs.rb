# frozen_string_literal: true

require_relative "problem"

module NutShelf
  module Core
    module Planner
      # What packs change: once opened they are good for days, a shop sells whole ones, and a dish may make a food for
      # another one. A plan's running cost knows none of it (a lot is drawn by the gram there, the last gram as good as
      # the first), so each food it matters for is walked through day by day and the difference added.
      #
      # Whole numbers as in Tables. Of what is good that day the first last day is drawn first, an opened pack before a
      # sealed one; of sealed packs whole ones go, then one is opened. What is short is bought in whole packs.
      class Packs
        NEVER = 1 << 60

        # `foods`: those it matters for, by number; `number`: food to its number, nil for all others.
        attr_reader :foods, :number, :makes, :last_day

        # @param problem [Problem]
        # @param slope [#call] coins a unit as money for a thousandth
        def initialize(problem, slope)
          @problem = problem
          @params = problem.params
          @days = @params.days
          @last_day = @days - 1 + @params.grace_days
          made = problem.dishes.flat_map(&:makes).map(&:food).uniq
          @foods = problem.foods.each_index.select do |food|
            made.include?(food) || matters?(problem.foods[food])
          end.freeze
          @number = Array.new(problem.foods.size)
          @foods.each_with_index { |food, at| @number[food] = at }
          @laid = @foods.map { |food| lay(problem.foods[food], slope).freeze }.freeze
          @makes = problem.dishes.map { |dish| making(dish).freeze }.freeze
          @kept = days_made
        end

        # @return [Boolean] whether no food asks for it
        def none? = @foods.empty?

        # @param number [Integer]
        # @return [Integer] days that what is left of a pack of it is good, at most
        def days(number) = @laid[number].last

        # What a food costs over the days: used, lost and bought.
        # @param number [Integer]
        # @param wanted [Array<Integer>] thousandths by day, from `base` on
        # @param made [Array<Integer>] the same of what dishes make
        # @return [Integer] money
        def cost(number, wanted, made, base) # rubocop:disable Metrics -- one loop, run a hundred thousand times
          good, left, used, lost, packs, opened_days, price, waste, shop, shop_days = @laid[number]
          good = good.dup
          left = left.dup
          used = used.dup
          lost = lost.dup
          packs = packs.dup
          keeps = @kept[number]
          money = day = 0
          while day < @days
            want = wanted[base + day]
            while want > 0 && (found = first(good, left, packs, day))
              there = left[found]
              amount = [want, there].min
              money += amount * used[found]
              want -= amount
              rest = packs[found] ? rest(amount, there, packs[found]) : 0
              left[found] = there - amount - rest
              next if rest.zero?

              last = day + opened_days
              good << [last, good[found]].min
              left << rest
              used << used[found]
              packs << nil
              lost << waste[found]
            end
            if want > 0
              money += want * price
              if shop && (rest = -want % shop) > 0
                good << (day + shop_days)
                left << rest
                used << price
                packs << nil
                lost << waste.last
              end
            end
            if (more = made[base + day]) > 0
              good << (day + keeps)
              left << more
              used << 0
              packs << nil
              lost << 0
            end
            day += 1
          end
          money + lose(good, left, lost)
        end

        private

        def matters?(food) = food.shop&.days || food.lots.any?(&:pack)

        # By lot: last good day, thousandths, money for using and for losing a thousandth, its pack; then the days once
        # open, the price, money for losing what was opened (of each lot, then of what is bought), the pack in the shop
        # and its days, and the longest that what is left of a pack is good.
        def lay(food, slope)
          waste = food.waste_weight || @params.waste_weight
          lots = food.lots
          shop = food.shop if food.shop&.days
          [
            lots.map(&:last_good), lots.map { |lot| thousandths(lot.quantity) },
            lots.map { |lot| slope.(@params.stock_value * lot.unit_cost) },
            lots.map { |lot| slope.(waste * lot.unit_cost) },
            lots.map { |lot| lot.pack && food.opened_days && thousandths(lot.pack) },
            food.opened_days, slope.(food.price),
            [*lots.map { |lot| slope.(waste * lot.unit_cost) }, slope.(waste * food.price)],
            shop && thousandths(shop.pack), shop&.days, [food.opened_days, shop&.days, 1].compact.max
          ]
        end

        def thousandths(quantity) = (quantity * 1000).round

        # Food and thousandths a serving, in turn.
        def making(dish) = dish.makes.flat_map { |one| [one.food, (one.quantity * 1000).to_r] }

        # A food made by several dishes is good as long as the shortest of them says.
        def days_made
          all = @problem.dishes.flat_map(&:makes)
          @foods.map { |food| all.select { |one| one.food == food }.map(&:days).min || 0 }.freeze
        end

        # @return [Integer, nil] what is taken next: the first last day, what is open before what is sealed
        def first(good, left, packs, day)
          found = nil
          best = NEVER
          at = 0
          while at < good.size
            last = good[at]
            if last >= day && left[at] > 0 && (last < best || (last == best && packs[found] && !packs[at]))
              found = at
              best = last
            end
            at += 1
          end
          found
        end

        # What remains of the pack that is opened for it.
        def rest(amount, there, pack)
          over = amount % pack
          return 0 if over.zero?

          rest = there - amount
          pack -= over
          [pack, rest].min
        end

        def lose(good, left, lost)
          money = 0
          good.each_with_index { |last, at| money += left[at] * lost[at] if last <= @last_day }
          money
        end
      end
    end
  end
end
