# frozen_string_literal: true

require_relative "../value"
require_relative "cell"

module NutShelf
  module Core
    module Trips
      # A meal of a day that is eaten on the way, by so many. Frozen.
      Slot = Value.of(:day, :meal, :servings)

      # Something that may be eaten at a meal: a recipe, or a bag that is filled at home, `good_until` if it is packed
      # for this trip; at which meals. Frozen.
      Choice =
        Value.of(:recipe, :assembly, :good_until, meals: [].freeze) do
          # @return [String] key of the dish
          def key = (recipe || assembly).key

          # @param slot [Slot]
          # @param opened [Array<String>] keys of foods that an earlier meal opened
          # @param batch [Rational] meals that are cooked at once
          # @param soaked [Boolean] whether a bag is soaked the evening before
          # @return [Cell]
          def cell(slot, opened = [], batch: 1r, soaked: false)
            return bag(slot, soaked: soaked) if assembly

            Cell.new(
              day: slot.day, meal: slot.meal, recipe: recipe, servings: slot.servings.to_r, opened_earlier: opened,
              batch: batch
            )
          end

          private

          def bag(slot, soaked:)
            Cell.new(
              day: slot.day, meal: slot.meal, assembly: assembly, bags: slot.servings, good_until: good_until,
              soaked: soaked
            )
          end
        end
    end
  end
end
