# frozen_string_literal: true

require_relative "../gives"
require_relative "../lines"
require_relative "food_class"

module NutShelf
  module Core
    module Kits
      module Endurance
        # Stacks as classes of food, for people in groups who eat the same. A pack gives at most what those who eat it
        # can do with before it is over.
        class FoodClasses
          # What is alike in all that gear makes: a stack's figures and its last day. Frozen.
          Ready = Struct.new(:given, :last)

          attr_reader :groups

          # @param eaters [Array<Person>]
          # @param stacks [Array<Array(Given, Integer)>] with their last days
          def initialize(eaters, stacks)
            @ready = stacks.select { |given, last| last.positive? && given.for_people? && given.kcal.positive? }
            foods = @ready.map { |given, _| given.stack.food }.uniq
            @groups = eaters.group_by { |one| foods.map { |food| one.eats?(food, disliked: true) } }.values
            @masks = foods.to_h { |food| [food, mask(food)] }
            freeze
          end

          # @param gear [Symbol]
          # @yield [Given] how much of the nutrient a stack gives: kcal or grams of protein
          # @return [Array<FoodClass>] of what the gear makes, those that are alike as one
          def of(gear)
            made = @ready.select { |given, _| Gear.makes?(given.stack.food, gear) }.filter_map do |given, last|
              amount = yield(given)
              food_class(given, last, amount) if amount.positive?
            end
            FoodClass.gathered(made)
          end

          private

          def food_class(given, last, amount)
            food = given.stack.food
            FoodClass.new(
              amount: amount * part(given), water: given.cook_water_l / amount, heat: given.heat_l / amount,
              mask: @masks.fetch(food), last: last, extra: Lines::EXTRAS.include?(food.food_group)
            )
          end

          def part(given)
            return 1r if given.fits?

            given.capacity_g / given.stack.pack_edible_g
          end

          def mask(food)
            @groups.each_with_index.sum { |group, at| group.first.eats?(food, disliked: true) ? 1 << at : 0 }
          end
        end
      end
    end
  end
end
