# frozen_string_literal: true

require_relative "lines"
require_relative "rounding"

module NutShelf
  module Core
    module Kits
      # Figures as they are shown: rounded so that none promises too much.
      module Shown
        module_function

        # @param line [String] of a kit
        # @return [Integer] digits after the point
        def places(line) = Lines::SERVINGS.include?(line) || line == "water" ? 1 : 0

        # @param given [Given]
        # @return [Hash{Symbol=>Object}]
        def given(given)
          {
            **what_is_there(given), **what_it_takes(given), **what_to_mind(given),
            usable: given.usable, opened: given.opened.kind.to_s, opened_days: given.opened.days, fits: given.fits?,
            capacity_g: given.capacity_g && Rounding.down(given.capacity_g)
          }
        end

        # @return [Hash{Symbol=>Boolean}] what a box must mind
        def what_to_mind(given)
          { needs_opener: given.needs_opener?, glass: given.glass?, bag: given.bag?, mice: given.mice? }
        end

        # @return [Hash{Symbol=>Object}] rounded down
        def what_is_there(given)
          {
            kcal: Rounding.down(given.kcal), protein_g: Rounding.down(given.protein_g), group: given.group,
            servings: Rounding.down(given.servings, 1), water_l: Rounding.down(given.water_l, 1)
          }
        end

        # @return [Hash{Symbol=>Numeric}] rounded up
        def what_it_takes(given)
          {
            cook_water_l: Rounding.up(given.cook_water_l, 2), heat_l: Rounding.up(given.heat_l, 2),
            heat_for_taste_l: Rounding.up(given.heat_for_taste_l, 2), minutes: given.minutes,
            gross_g: Rounding.up(given.gross_g), box_ml: Rounding.up(given.box_ml)
          }
        end
      end
    end
  end
end
