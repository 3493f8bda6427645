# frozen_string_literal: true

require_relative "meal_of_day"

module NutShelf
  module Core
    module Kits
      # The days and meals of a menu while it is laid out: what stands where, and what of flame, heat and water is left.
      class MenuTable
        # A meal of a day. Frozen.
        Place = Struct.new(:day, :meal)

        attr_reader :heat_used, :water_used

        # @param days [Integer]
        # @param need [Rational] kcal a day
        # @param flame [Rational] minutes a meal
        # @param heat_l [Rational, nil] for all days, nil for no limit
        # @param water_l [Rational, nil] cooking water for all days, nil for no limit
        def initialize(days, need:, flame:, heat_l: nil, water_l: nil)
          @days = days
          @need = need
          @flame = flame
          @heat_l = heat_l
          @water_l = water_l
          @heat_used = @water_used = 0r
          @food = Hash.new { |all, place| all[place] = Hash.new(0r) }
          @kcal = Hash.new(0r)
          @minutes = Hash.new(0r)
        end

        # @return [Array<Place>] where a food may still stand: it suits the meal, the day is below its need, and there
        #   is flame for it
        def places(food, minutes)
          (1..@days).select { |day| day_kcal(day) < @need }.product(MealOfDay::SHARES.keys)
            .map { |day, meal| Place.new(day, meal) }
            .select { |place| MealOfDay.suits?(food, place.meal) && @minutes[place] + minutes <= @flame }
        end

        # @return [Rational] kcal of a day so far
        def day_kcal(day) = MealOfDay::SHARES.each_key.sum(0r) { |meal| @kcal[Place.new(day, meal)] }

        # @return [Rational] kcal a day still lacks
        def lacking(day) = [@need - day_kcal(day), 0r].max

        # @return [Rational] how full a meal is, of its share of the day
        def fullness(place) = @kcal[place] / MealOfDay::SHARES.fetch(place.meal)

        # @return [Boolean] whether a food stands there that day
        def that_day?(food, day)
          MealOfDay::SHARES.each_key.any? { |meal| @food[Place.new(day, meal)].key?(food) }
        end

        # @return [Boolean]
        def allows?(heat, water)
          (@heat_l.nil? || @heat_used + heat <= @heat_l) && (@water_l.nil? || @water_used + water <= @water_l)
        end

        # @param heat [Rational] litres for a gram
        # @param water [Rational] litres for a gram
        # @return [Rational, nil] grams that heat and water are left for, nil for as many as one likes
        def grams_left(heat, water)
          [[@heat_l, @heat_used, heat], [@water_l, @water_used, water]].filter_map do |whole, used, rate|
            (whole - used) / rate if whole && rate.positive?
          end.min
        end

        # @return [void]
        def put(place, food, grams:, kcal:, heat:, water:, minutes:)
          @food[place][food] += grams
          @kcal[place] += kcal
          @minutes[place] += minutes
          @heat_used += heat
          @water_used += water
        end

        # @yield [Place, Hash{Food=>Rational}, Rational] each meal in order: its grams by food, its kcal
        def each_meal
          (1..@days).each do |day|
            MealOfDay::SHARES.each_key { |meal| yield(place = Place.new(day, meal), @food[place].dup, @kcal[place]) }
          end
        end
      end
    end
  end
end
