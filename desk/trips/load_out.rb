# frozen_string_literal: true

require_relative "../../core/trips/carriers"
require_relative "../../core/value"

module NutShelf
  module Desk
    module Trips
      # A bag with its days and grams, its carrier among them. Frozen.
      Bag = Core::Value.of(:days, :carrier, :grams, full: false)
      # The days from a shop to the eve of the next, and grams of food with its packing for them. Frozen.
      Leg = Core::Value.of(:from, :to, :grams)

      # How food is carried: bags by day that add up, and the way from shop to shop.
      class LoadOut
        # What food is carried in, on a back or a bicycle, and in a vehicle.
        CARRIERS = { "vehicle" => /\A(food-box|crate)-/ }.freeze
        ON_A_BACK = /\Adry-bag-/

        # @param book [TripBook]
        def initialize(book)
          @book = book
          @tables = book.catalog.trips
        end

        # @return [Array<Bag>]
        def bags
          return [] if loads.empty?

          plans = Core::Trips::Carriers.new(@tables, carriers).call(loads, shops: shops)
          weights = weighed(plans)
          plans.map do |plan|
            Bag.new(days: plan.days, carrier: plan.carrier, grams: weights.fetch(plan.name), full: plan.full)
          end
        end

        # @return [Array<Leg>] one for a trip without a shop
        def legs
          dates = @book.route.dates
          starts = [dates.first, *shops.select { |day| day > dates.first && day <= dates.last }].uniq
          starts.zip([*starts.drop(1).map { |day| day - 1 }, dates.last]).map do |from, to|
            Leg.new(from: from, to: to, grams: grams(loads.select { |day, _| (from..to).cover?(day) }.values.flatten))
          end
        end

        # @return [Array<Date>] days with a shop on the way
        def shops = @shops ||= @book.trip.shops.map { |day| Date.iso8601(day) }.sort

        private

        # Of what is eaten that day, by the day.
        def loads
          @loads ||= @book.entries.filter_map(&:cell).group_by(&:day)
            .transform_values { |cells| cells.flat_map { |cell| @book.balance.loads_of(cell) } }
            .reject { |_, list| list.empty? }.sort.to_h
        end

        def carriers
          wanted = CARRIERS.fetch(@book.trip.carried_by, ON_A_BACK)
          @tables.packaging.values.select { |one| one.key.match?(wanted) }
        end

        def weighed(plans)
          by_day = plans.flat_map { |plan| plan.days.map { |day| [day, plan.name] } }.to_h
          all = loads.flat_map { |day, list| list.map { |load| load.with(bag: by_day.fetch(day)) } }
          Core::Trips::Weight.new(@tables, plans.to_h { |plan| [plan.name, plan.carrier] }).call(all).bags_g
        end

        def grams(list)
          sums = Core::Trips::Weight.new(@tables, {}).call(list)
          sums.net_g + sums.tare_g
        end
      end
    end
  end
end
