# frozen_string_literal: true

require_relative "../quantity/largest_remainder"
require_relative "../value"

module NutShelf
  module Core
    module Trips
      # A line of what is carried: food, edible grams, in what it is packed: `packs` shop packs, or so many of a
      # `packaging`. `bag`: which carrier it goes into. Frozen.
      Load = Value.of(:food, :edible_g, :bag, :packaging, packs: 1, count: 1)

      # A bag of several foods, so many of it, as one line. Frozen.
      BagLoad = Value.of(:parts, :bag, :packaging, count: 1)

      # What it all weighs: food, energy, packing, by bag with its carrier. Exact; bags in whole grams that add up.
      # Frozen.
      Weighed =
        Value.of(:net_g, :kcal, :tare_g, :rubbish_g, :bags_g, :total_g) do
          # @return [Rational]
          def kcal_per_g = net_g.zero? ? 0r : kcal / net_g

          # @return [Rational] with what it is packed in
          def kcal_per_g_packed = (net_g + tare_g).zero? ? 0r : kcal / (net_g + tare_g)
        end

      # Weight by line and bag, with tare and what is carried out again (docs/trips.md 5).
      class Weight
        # A line as it weighs. Frozen.
        Line = Value.of(:bag, :net_g, :kcal, :tare_g, :out_g)

        # @param tables [TripTables]
        # @param carriers [Hash{String=>Packaging}] by bag
        def initialize(tables, carriers)
          @tables = tables
          @carriers = carriers
        end

        # @param loads [Array<Load, BagLoad>]
        # @return [Weighed]
        def call(loads)
          lines = loads.map { |load| load.is_a?(BagLoad) ? bag(load) : line(load) }
          bags = @carriers.to_h do |name, carrier|
            [name, carrier.tare_g + lines.select { |one| one.bag == name }.sum(0r) { |one| one.net_g + one.tare_g }]
          end
          total = (bags.values.sum(0r) + (1/2r)).floor
          Weighed.new(
            net_g: lines.sum(0r, &:net_g), kcal: lines.sum(0r, &:kcal), tare_g: lines.sum(0r, &:tare_g),
            rubbish_g: lines.sum(0r, &:out_g), total_g: total, bags_g: shared(total, bags)
          )
        end

        private

        def shared(total, bags)
          bags.empty? ? {}.freeze : bags.keys.zip(LargestRemainder.split(total, bags.values)).to_h.freeze
        end

        def bag(load)
          net = load.parts.sum(0r, &:drawn_g) * load.count
          kcal = load.parts.sum(0r) { |part| energy(part.food, part.grams) } * load.count
          tare = load.packaging.tare_g * load.count
          Line.new(bag: load.bag, net_g: net, kcal: kcal, tare_g: tare, out_g: load.packaging.carried_out ? tare : 0r)
        end

        def line(load)
          net = load.edible_g / load.food.edible_yield
          tare, out = packing(load, net)
          Line.new(
            bag: load.bag, net_g: net, kcal: energy(load.food, load.edible_g), tare_g: tare, out_g: out ? tare : 0r
          )
        end

        def packing(load, net)
          return [load.packaging.tare_g * load.count, load.packaging.carried_out] if load.packaging

          kind = @tables.pack_kind(load.food) or return [0r, false]
          [(kind.tare_fixed_g * load.packs) + (kind.tare_per_100g * net / 100), kind.carried_out]
        end

        def energy(food, grams) = grams * (food.nutrition.kcal || 0) / 100
      end
    end
  end
end
