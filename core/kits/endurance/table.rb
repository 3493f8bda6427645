# frozen_string_literal: true

require_relative "network"

module NutShelf
  module Core
    module Kits
      module Endurance
        # Who eats on which days: for each group of people what they need on a day, and on the last day, where only some
        # of them still eat. Amounts are whole numbers of a unit small enough for all of them.
        class Table
          # What a filling takes: whether everybody has all they need, and litres of cooking water and of heat. Frozen.
          Filling = Struct.new(:complete, :water, :heat)

          # @param classes [Array<FoodClass>] that may be eaten
          # @param needs [Array<Rational>] of each group on a day
          # @param last_needs [Array<Rational>] of each group on the last day
          # @param days [Integer] the last day
          # @param extras_share [Rational] most of a need that extras may stand for
          def initialize(classes, needs:, last_needs:, days:, extras_share:)
            @classes = classes.select { |one| one.last.positive? && one.amount.positive? && one.mask.positive? }
            @days = days
            @ends = [*@classes.map { |one| [one.last, days].min }, days, days - 1].select(&:positive?).uniq.sort
            @unit = unit([*@classes.map(&:amount), *needs, *last_needs], extras_share)
            @demand = demand(needs, last_needs)
            @extras = @demand.map { |row| row.map { |amount| (amount * extras_share).to_i } }
            @span = @ends.each_with_index.to_h
          end

          # @yield [FoodClass] its price; the cheapest is eaten first, and of food without a price all that fits
          # @return [Filling] the cheapest there is
          def fill(&price)
            network = Network.new(@ends.size, @demand, @extras)
            open = @demand.sum(&:sum)
            water = heat = 0r
            @classes.map { |one| [price.call(one), one] }.sort_by(&:first).each do |_, one|
              break unless open.positive?

              amount = (one.amount * @unit).to_i
              taken = network.take(one.mask, @span.fetch([one.last, @days].min), one.extra, amount)
              open -= taken
              water += one.water * taken
              heat += one.heat * taken
            end
            Filling.new(open.zero?, water / @unit, heat / @unit)
          end

          # @return [Boolean] whether there is at least as much food as need, whoever eats it and when
          def enough? = @classes.sum(0r, &:amount) * @unit >= @demand.sum(&:sum)

          private

          # A unit of which every amount, and every share of a need, is a whole number.
          def unit(amounts, share)
            amounts.map { |one| one.to_r.denominator }.uniq.inject(1) { |all, one| all.lcm(one) } * share.denominator
          end

          def demand(needs, last_needs)
            needs.zip(last_needs).map do |need, last|
              before = 0
              @ends.map do |day|
                length = day - before
                before = day
                each = day == @days ? (need * (length - 1)) + last : need * length
                (each * @unit).to_i
              end
            end
          end
        end
      end
    end
  end
end
