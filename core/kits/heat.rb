# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # Heat in litres of water brought to the boil, and the water a dish is cooked in.
      class Heat
        # @param figures [Figures]
        def initialize(figures)
          @warm = figures.usual("heat-warm-per-kg")
          @simmer = figures.usual("heat-simmer-minute")
          freeze
        end

        # @param food [Food]
        # @param grams [Rational] edible
        # @return [Rational] litres of cooking water; none for what is drunk, it is part of drinking
        def cook_water(food, grams) = food.preparing.water_is_drunk ? 0r : make_up(food, grams)

        # @param food [Food]
        # @param grams [Rational] edible
        # @param sittings [Rational] how often the pot is put on for it
        # @return [Rational] litres brought to the boil
        def litres(food, grams, sittings)
          preparing = food.preparing
          return 0r unless preparing.heat?
          return make_up(food, grams) if preparing.pour_on

          warm = grams / 1000 * @warm
          case preparing.heat
          when "warm" then warm
          when "bake" then warm + simmered(preparing, sittings)
          else wet(make_up(food, grams), warm) + simmered(preparing, sittings)
          end
        end

        private

        def wet(water, warm) = water.zero? ? warm : water

        def simmered(preparing, sittings) = (preparing.minutes || 0) * @simmer * sittings

        def make_up(food, grams) = grams * (food.preparing.water_ml || 0) / 100 / 1000
      end
    end
  end
end
