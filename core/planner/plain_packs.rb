# frozen_string_literal: true

require_relative "problem"

module NutShelf
  module Core
    module Planner
      # What a food in packs costs over the days, plainly (see Packs): what the search is held against. Coins, exact.
      class PlainPacks
        # What stands there: `left` base units, `good` its last day, coins a unit for using and for losing it; `pack`
        # where it is sealed.
        Standing = Struct.new(:left, :good, :using, :losing, :pack)
        private_constant :Standing

        # @param food [Food]
        # @param params [Params]
        def initialize(food, params)
          @food = food
          @params = params
          @weight = food.waste_weight || params.waste_weight
        end

        # @param wanted [Hash{Integer=>Rational}] base units by day
        # @param made [Hash{Integer=>Rational}] that dishes make, by day
        # @param days [Integer] what was made is good
        # @return [Rational] coins
        def cost(wanted, made, days)
          @cost = 0r
          @bought = 0r
          @standing = @food.lots.map { |lot| sealed(lot) }
          (0...@params.days).each do |day|
            eat(wanted.fetch(day, 0r), day)
            @standing << Standing.new(made[day], day + days, 0r, 0r) if made[day]
          end
          past = @standing.select { |one| one.good <= @params.days - 1 + @params.grace_days }
          @cost + past.sum { |one| one.left * one.losing }
        end

        # @return [Rational] base units that were bought for what was costed last, in whole packs
        def bought
          pack = @food.shop&.pack
          pack ? (@bought / pack).ceil * pack : @bought
        end

        private

        def sealed(lot)
          Standing.new(lot.quantity, lot.last_good, @params.stock_value * lot.unit_cost, @weight * lot.unit_cost,
            @food.opened_days && lot.pack)
        end

        def eat(amount, day)
          while amount.positive?
            one = @standing.select { |there| there.left.positive? && there.good >= day }
              .min_by.with_index { |there, at| [there.good, there.pack ? 1 : 0, at] }
            return buy(amount, day) unless one

            taken = [amount, one.left].min
            amount -= taken
            @cost += taken * one.using
            one.left -= taken
            unseal(one, taken, day) if one.pack
          end
        end

        def unseal(one, taken, day)
          over = taken % one.pack
          return if over.zero?

          rest = [one.pack - over, one.left].min
          one.left -= rest
          return unless rest.positive?

          @standing << Standing.new(rest, [one.good, day + @food.opened_days].min, one.using,
            one.losing)
        end

        def buy(amount, day)
          @cost += amount * @food.price
          @bought += amount
          shop = @food.shop
          return unless shop&.days

          rest = ((amount / shop.pack).ceil * shop.pack) - amount
          @bought += rest
          return unless rest.positive?

          @standing << Standing.new(rest, day + shop.days, @food.price, @weight * @food.price)
        end
      end
    end
  end
end
