# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # Fresh food bought for an event: how many days of it the food lasts, from which day to which it serves, and how
      # much to buy (`unit` "piece" or "g"). Frozen.
      FreshFood = Value.of(:food, :life, :from, :to, :amount, :unit)

      # Fresh food that serves the days without shops, and the first day that is left to tins (nil: none). Frozen.
      FreshPlan = Value.of(:foods, :tins_from_day)

      # What fresh food to buy before an event, so that each day is served by what lasts until then (docs/kits.md 6):
      # the shortest lived first.
      class FreshFoods
        # @param catalog [Catalog]
        # @param place [String] where it will stand
        def initialize(catalog, place: "cupboard")
          @catalog = catalog
          @place = place
          freeze
        end

        # @param foods [Array<Food>]
        # @param bought [Date]
        # @param event [Date] day 1
        # @param days [Integer]
        # @param per_day [Rational] servings
        # @param have [Hash{String=>Rational}] servings that are there, by food key
        # @return [FreshPlan]
        def call(foods, bought:, event:, days:, per_day:, have: {})
          day = 1
          served = lives(foods, (event - bought).to_i).filter_map do |food, life|
            to = [life, days].min
            next if to < day

            from = day
            day = to + 1
            fresh(food, life, from, to, [((to - from + 1) * per_day) - have.fetch(food.key, 0r), 0r].max)
          end
          FreshPlan.new(foods: served.freeze, tins_from_day: day > days ? nil : day)
        end

        private

        def lives(foods, before)
          foods.filter_map do |food|
            answer = @catalog.keeping(food, "bought_sealed", @place)
            [food, answer.row.low - before + 1] if answer.row?
          end.sort_by { |food, life| [life, food.key] }
        end

        def fresh(food, life, from, to, servings)
          grams = servings * (food.plate_serving_g || food.serving_g)
          piece = food.g_per_piece
          amount = grams / (piece || food.edible_yield)
          FreshFood.new(food: food, life: life, from: from, to: to, amount: amount.ceil, unit: piece ? "piece" : "g")
        end
      end
    end
  end
end
