# frozen_string_literal: true

require_relative "../../value"
require_relative "../person"

module NutShelf
  module Core
    module Kits
      module Endurance
        # What somebody asks: from which day, for whom, with or without `power` and running water, the gear without
        # power, litres of heat (nil for no limit), how full the freezer is, litres to wash for a person and day, days
        # to look at. Frozen.
        Asked =
          Value.of(
            :start, :people, :pets, :heat_l,
            gear: :full, power: true, running_water: true, freezer_fill: 1r, wash_l: 0r, max_days: 90
          ) do
            # @return [Array<Person>] who eat
            def eaters = people.reject(&:infant?)

            # @return [Symbol] what can be made
            def gear_now = power ? :full : gear

            # @return [Rational, nil] litres brought to the boil, nil for no limit
            def heat_now = power ? nil : heat_l

            # Who eats a day longer where not all can: children first, then pregnant and nursing, then the old.
            # @return [Array<Person>]
            def in_turn
              eaters.sort_by { |one| [*turn(one), eaters.index(one)] }
            end

            # @return [Array(Integer, Integer)] by which people stand in turn
            def turn(one)
              return [0, one.age] if one.age && one.age < 14
              return [1, -(one.age || 0)] if one.pregnant || one.nursing

              [2, -(one.age || 0)]
            end
          end

        # How long a household lasts: whole days for all, person-days, what runs out first (:water, :food, :heat,
        # :cooking_water, :both; nil where nothing does within the days looked at), and days of each by itself: water to
        # drink, food, protein, food of animals by species, formula (nil where water runs, or nobody has formula);
        # `day_after`: who eats a day more; litres of cooking water left and of heat (nil for no limit). Frozen.
        Lasting =
          Value.of(
            :days, :person_days, :runs_out_first, :water_days, :food_days, :protein_days, :pets, :formula_days,
            :day_after, :cook_water_left_l, :heat_l
          )
      end
    end
  end
end
