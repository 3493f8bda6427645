# frozen_string_literal: true

require_relative "../value"
require_relative "gear"
require_relative "heat"
require_relative "lines"
require_relative "opened_pack"
require_relative "supply_stack"

module NutShelf
  module Core
    module Kits
      # What a stack gives: kcal, grams of protein, servings of its `group`, litres of water; litres of cooking water
      # and of heat it takes (`heat_for_taste_l`: of what could be eaten cold); whether the gear can make it; what
      # becomes of an opened pack, and of how many grams of one pack the eaters can do with before it is over (nil: it
      # keeps). Exact.
      Given =
        Value.of(
          :stack, :kcal, :protein_g, :group, :servings, :water_l, :cook_water_l, :heat_l, :heat_for_taste_l, :minutes,
          :usable, :opened, :capacity_g
        ) do
          # @param line [String] of Lines::ALL
          # @return [Rational] how much of it the stack gives, in the unit of the line
          def line(line)
            case line
            when "kcal" then for_people? ? kcal : 0r
            when "protein_g" then for_people? ? protein_g : 0r
            when "water" then water_l
            else own_line(line)
            end
          end

          # @return [Boolean] whether it stands on the table, and not in a bowl or a bottle
          def for_people? = stack.food.pet.nil? && !stack.food.formula?

          # Formula by its powder, an animal's food by its energy, people's by servings.
          def own_line(line)
            return 0r unless Lines.of(stack.food) == line

            { "formula" => stack.sold_g, "dog" => pet_kcal, "cat" => pet_kcal }.fetch(line, servings)
          end

          # @return [Rational] kcal for an animal
          def pet_kcal = stack.food.pet ? stack.edible_g * (stack.food.nutrition.kcal || 0) / 100 : 0r

          # @return [Boolean] whether an opened pack is finished before it is over
          def fits? = capacity_g.nil? || stack.pack_edible_g <= capacity_g

          # @return [Rational] grams with packing
          def gross_g = stack.sold_g * (1 + ((stack.food.packing.tare_g || 0) / 100))

          # @return [Rational] millilitres of room in a box
          def box_ml = stack.sold_g * (stack.food.packing.box_ml || 0) / 100

          # @return [Boolean]
          def needs_opener? = stack.opening_word == "opener"

          # @return [Boolean] heavy, and it breaks: not in a box that is carried
          def glass? = stack.wrapping_word == "glass"

          # @return [Boolean] whether it goes into a bag against damp
          def bag? = %w[card paper].include?(stack.wrapping_word)

          # @return [Boolean] whether it goes into something rigid against mice
          def mice? = stack.food.pest_risk && %w[card paper thin_plastic].include?(stack.wrapping_word)
        end

      # Works out what stacks give to those who eat them, with the gear at hand (docs/kits.md 2).
      class Gives
        # @param catalog [Catalog]
        # @param figures [Figures]
        # @param eaters [Array<Person>]
        # @param gear [Symbol] of Gear::WORDS
        # @param cold [Boolean] whether a fridge runs
        # @param disliked [Boolean] whether what somebody does not like counts as eaten
        # @param water_l [Rational] a day, of all
        # @param pet_kcal [Rational] a day, of the animals
        def initialize(catalog, figures, eaters:, gear: :full, cold: false, disliked: false, water_l: 0r, pet_kcal: 0r)
          @catalog = catalog
          @figures = figures
          @eaters = eaters
          @gear = gear
          @cold = cold
          @disliked = disliked
          @water_l = water_l
          @pet_kcal = pet_kcal
          @heat = Heat.new(figures)
          @quick = figures.usual("kit-quick-minutes")
          @most = figures.usual("kit-helping-most")
          freeze
        end

        # @param stack [SupplyStack]
        # @return [Given]
        # @raise [MissingFigure] where nothing says what a pack weighs
        def of(stack)
          food = stack.food
          opened = OpenedPack.of(food, @catalog, cold: @cold)
          heat = @heat.litres(food, stack.edible_g, sittings(stack, opened))
          Given.new(
            stack: stack, **nutrients(stack), group: food.kit_group, servings: servings(stack), water_l: water(stack),
            cook_water_l: @heat.cook_water(food, stack.edible_g), minutes: food.preparing.minutes || 0, opened: opened,
            heat_l: food.ready_to_eat ? 0r : heat, heat_for_taste_l: food.ready_to_eat ? heat : 0r,
            usable: Gear.makes?(food, @gear, quick: @quick), capacity_g: opened.keeps? ? nil : capacity(food, opened)
          )
        end

        # @param food [Food]
        # @return [Rational] grams that those who eat it take at one meal
        def helping(food)
          @eaters.select { |one| one.eats?(food, disliked: @disliked) }.sum(0r, &:factor) * (food.serving_g || 0)
        end

        private

        def nutrients(stack)
          food = stack.food
          kcal = food.alcohol || food.formula? ? 0r : stack.edible_g * (food.nutrition.kcal || 0) / 100
          { kcal: kcal, protein_g: stack.edible_g * (food.nutrition.protein_g || 0) / 100 }
        end

        def servings(stack)
          plate = stack.food.plate_serving_g
          plate ? stack.plate_g / plate : 0r
        end

        # Sold in litres, or weighed: a litre of water is a kilogram.
        def water(stack) = stack.food.food_group == "water" ? stack.sold_g / (stack.food.g_per_ml || 1) / 1000 : 0r

        def sittings(stack, opened)
          return stack.packs.to_r if opened.sitting?

          one = helping(stack.food)
          one.zero? ? stack.packs.to_r : stack.edible_g / one
        end

        # Grams of one pack that are gone in time.
        def capacity(food, opened)
          return pet_capacity(food) if food.pet
          return @water_l * (food.g_per_ml || 1) * 1000 * (opened.days || 1) if food.food_group == "water"

          opened.sitting? ? helping(food) * @most : helping(food) * opened.days
        end

        # Wet food for animals stands half a day.
        def pet_capacity(food) = food.nutrition.kcal ? @pet_kcal / 2 / food.nutrition.kcal * 100 : 0r
      end
    end
  end
end
