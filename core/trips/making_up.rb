# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Trips
      # Something to eat besides the meals of a day, so many grams for each. Frozen.
      Besides = Value.of(:day, :food, :grams)

      # Makes up what the meals of a day lack (docs/trips.md 5): food that is eaten as it comes, with much energy for
      # its weight, not the same two days running; from the shelf before from the shop.
      class MakingUp
        # Energy of 100 g from which food is worth its weight.
        DENSE = 350
        # Aisles of what people eat out of their hands, and the grams of a helping from which it is no seasoning.
        OUT_OF_HAND = ["Dried fruit, nuts and seeds", "Snacks"].freeze
        HELPING_G = 20
        # From that share of what a day asks for nothing is added; below, up to that again.
        LACKS = 9/10r
        # Grams for each at a time, of how many foods, and how often at most.
        EACH_G = 40
        FOODS = 4
        TIMES = 2

        # @param foods [Array<Food>] what may be eaten on the way
        # @param people [Integer]
        # @param stock [Hash{String=>Array<Array(Date, Rational)>}] by food, see GridScore
        def initialize(foods, people, stock: {})
          @foods = foods.select { |food| out_of_hand?(food) && (food.nutrition.kcal || 0) >= DENSE }
            .sort_by { |food| [-food.nutrition.kcal, food.key] }
          @people = people
          @left = stock.transform_values { |list| list.map(&:dup) }
        end

        # @param days [Array<Array(Date, Rational, Rational)>] day, kcal planned, kcal asked for
        # @return [Array<Besides>]
        def call(days)
          before = []
          days.flat_map do |day, has, wants|
            added = made_up(day, has, wants, before)
            before = added.map(&:food)
            added
          end
        end

        private

        def out_of_hand?(food)
          food.ready_to_eat && OUT_OF_HAND.include?(food.aisle) && (food.serving_g || 0) >= HELPING_G
        end

        def made_up(day, has, wants, before)
          return [] if has >= wants * LACKS

          foods = in_order(day, before).first(FOODS)
          (foods * TIMES).each_with_object(Hash.new(0r)) do |food, list|
            next if has >= wants

            list[food] += EACH_G
            has += food.nutrition.kcal * EACH_G * @people / 100
            take(food, EACH_G * @people)
          end.map { |food, grams| Besides.new(day: day, food: food, grams: grams) }
        end

        def in_order(day, before)
          @foods.sort_by.with_index { |food, at| [before.include?(food) ? 1 : 0, there?(food, day) ? 0 : 1, at] }
        end

        def there?(food, day)
          (@left[food.key] || []).sum(0r) { |on, grams| on.nil? || on >= day ? grams : 0r } >= EACH_G * @people
        end

        def take(food, grams)
          (@left[food.key] || []).each do |one|
            part = [one[1], grams].min
            one[1] -= part
            grams -= part
          end
        end
      end
    end
  end
end
