# frozen_string_literal: true

require_relative "../value"
require_relative "weight"

module NutShelf
  module Core
    module Trips
      # A bag that is carried: the days it is for, in which carrier, litres it holds; `full`: no carrier is large
      # enough. Frozen.
      DayBag = Value.of(:name, :days, :carrier, :litres, full: false)

      # Which days of food go into which bag (docs/trips.md 5): days that follow each other together, so that a bag is
      # empty before the next is opened, none across a shop; each in the smallest carrier it fits into with room to
      # spare.
      class Carriers
        # So much of a carrier is filled.
        FULL = 9/10r
        # Days whose food goes into one bag.
        TOGETHER = 2
        # Grams in a litre of what nobody weighed.
        LOOSE = 500r

        # @param tables [TripTables]
        # @param carriers [Array<Packaging>]
        def initialize(tables, carriers)
          @tables = tables
          @carriers = carriers.sort_by(&:holds_ml)
        end

        # @param loads [Hash{Date=>Array<Load, BagLoad>}] by the day they are eaten, in order
        # @param shops [Array<Date>] a day that begins with a shop begins a new bag
        # @return [Array<DayBag>]
        def call(loads, shops: [])
          groups(loads, shops).each_with_index.map do |days, at|
            litres = days.sum(0r) { |day| litres(loads.fetch(day)) }
            fits = @carriers.find { |one| holds?(one, litres) }
            DayBag.new(
              name: "bag-#{at + 1}", days: days.freeze, carrier: fits || @carriers.last, litres: litres, full: fits.nil?
            )
          end
        end

        private

        def groups(loads, shops)
          loads.keys.sort.each_with_object([]) do |day, groups|
            last = groups.last
            joins = last && last.size < TOGETHER && !shops.include?(day) && together?(loads, [*last, day])
            joins ? last << day : groups << [day]
          end
        end

        def together?(loads, days) = holds?(@carriers.last, days.sum(0r) { |day| litres(loads.fetch(day)) })

        def holds?(carrier, litres) = litres * 1000 <= carrier.holds_ml * FULL

        def litres(loads)
          loads.sum(0r) do |load|
            next load.parts.sum(0r) { |part| volume(part.food, part.drawn_g) } * load.count if load.is_a?(BagLoad)

            volume(load.food, load.edible_g / load.food.edible_yield)
          end
        end

        def volume(food, grams)
          grams / (@tables.volumes[food.key] || (food.g_per_ml && (food.g_per_ml * 1000)) || LOOSE)
        end
      end
    end
  end
end
