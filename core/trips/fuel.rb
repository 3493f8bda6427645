# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Trips
      # A meal that is cooked: millilitres boiled, minutes at a simmer, degrees Celsius around it. Frozen.
      HotMeal = Value.of(:boil_ml, :temp_c, simmer_minutes: 0r)

      # Gas for a trip: grams by meal, in all, with what is kept in hand, canisters, whether it gets too cold for plain
      # butane. Exact. Frozen.
      FuelPlan = Value.of(:per_meal_g, :need_g, :with_spare_g, :canisters, :cold)

      # How much gas the cooking takes (docs/trips.md 5). Stoves that burn fuel only outdoors.
      class Fuel
        # Below that a meal needs a canister more, and plain butane fails.
        COLD_C = 5

        # @param figures [Kits::Figures]
        # @param own_g_per_litre [Rational, nil] as one's own stove burns in mild weather
        def initialize(figures, own_g_per_litre: nil)
          @figures = figures
          @mild = own_g_per_litre || figures.usual("fuel-gas-canister-mild")
        end

        # @param meals [Array<HotMeal>]
        # @param days [Integer]
        # @param spare_days [Integer]
        # @param net_g [Rational] gas in a canister
        # @param left_g [Rational] gas in one that is begun, by its weight
        # @return [FuelPlan]
        def call(meals, days:, net_g:, spare_days: 0, left_g: 0r)
          each = meals.map { |meal| grams(meal) }
          need = each.sum(0r)
          total = need * (1 + [@figures.usual("trip-fuel-spare"), Rational(spare_days, days)].max)
          cold = meals.any? { |meal| meal.temp_c < COLD_C }
          FuelPlan.new(
            per_meal_g: each, need_g: need, with_spare_g: total, cold: cold,
            canisters: [canisters(total - left_g, net_g), cold ? canisters(need - left_g, net_g) + 1 : 0].max
          )
        end

        private

        def canisters(grams, net_g) = [(grams / net_g).ceil, 0].max

        def grams(meal)
          rate = per_litre(meal.temp_c)
          (meal.boil_ml / 1000 * rate) + (meal.simmer_minutes * simmer * rate / mild)
        end

        def mild = @figures.usual("fuel-gas-canister-mild")

        def simmer = @figures.usual("fuel-simmer-canister")

        # Mild from one temperature up, cold from another down, straight between; one's own stove in the same measure.
        def per_litre(temp)
          cold = @figures.usual("fuel-gas-canister-cold")
          from = @figures.usual("fuel-cold-from")
          share = ((temp - from) / (@figures.usual("fuel-mild-from") - from)).clamp(0, 1)
          (cold + ((mild - cold) * share)) * @mild / mild
        end
      end
    end
  end
end
