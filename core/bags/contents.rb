# frozen_string_literal: true

require_relative "../quantity/conversion"
require_relative "../value"

module NutShelf
  module Core
    # Bags of several foods for the way: what is in one, until when it is good, how many can be made.
    module Bags
      # So many edible grams of a food in a bag. Frozen.
      Part =
        Value.of(:food, :grams) do
          # @return [Rational] grams that leave the stack for it
          def drawn_g = grams / food.edible_yield
        end

      # What is in a bag, and what becomes of it: `net_g` edible, `gross_g` with its packing, energy, protein, sodium,
      # water to add, `eaten_g` with it, what is in it that somebody may not eat, whether it can be eaten from its bag.
      # Exact. Frozen.
      Sums =
        Value.of(:net_g, :gross_g, :kcal, :protein_g, :sodium_mg, :water_ml, :eaten_g, :allergens, :fits) do
          # @return [Rational]
          def kcal_per_g = net_g.zero? ? 0r : kcal / net_g
        end

      # The parts of a bag and their sums (docs/trips.md 2).
      class Contents
        # How full a bag may be that people eat from.
        FULL = 9/10r

        attr_reader :parts

        # @param lines [Array<RecipeLine>]
        # @param catalog [Catalog]
        # @param assembly [Assembly, nil] what says water, packing and how it is eaten
        # @return [Contents]
        def self.of(lines, catalog, assembly: nil)
          parts = lines.map do |line|
            food = catalog.food(line.food_key)
            Part.new(food: food, grams: Conversion.to(line.quantity, :mass, food).amount)
          end
          new(parts, packaging: assembly && catalog.trips.packaging[assembly.packaging], water_ml: assembly&.water_ml,
            eat_from: assembly&.eat_from)
        end

        # @param parts [Array<Part>]
        # @param packaging [Packaging, nil]
        # @param water_ml [Rational, nil] nil: what its foods take
        # @param eat_from [String, nil] "bag", "cup" or "pot"
        def initialize(parts, packaging: nil, water_ml: nil, eat_from: nil)
          @parts = parts
          @packaging = packaging
          @water = water_ml
          @eat_from = eat_from
        end

        # @return [Sums]
        def sums
          net = parts.sum(0r, &:grams)
          Sums.new(
            net_g: net, gross_g: net + (@packaging&.tare_g || 0r), water_ml: water, eaten_g: net + water,
            kcal: figure(:kcal), protein_g: figure(:protein_g), sodium_mg: figure(:sodium_mg),
            allergens: parts.flat_map { |part| part.food.allergens }.uniq.sort.freeze, fits: fits?(net)
          )
        end

        private

        def figure(name) = parts.sum(0r) { |part| part.grams * (part.food.nutrition.public_send(name) || 0) / 100 }

        def water
          @water || parts.sum(0r) do |part|
            part.food.preparing.heat? ? part.grams * (part.food.preparing.water_ml || 0) / 100 : 0r
          end
        end

        # Only what is eaten from the bag needs room in it for its water.
        def fits?(net)
          return true if @eat_from != "bag" || @packaging&.holds_ml.nil?

          net + water <= @packaging.holds_ml * FULL
        end
      end
    end
  end
end
