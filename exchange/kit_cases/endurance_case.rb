# frozen_string_literal: true

require_relative "../../core/kits/endurance/endurance"
require_relative "shelf_cases"

module NutShelf
  module Exchange
    module KitCases
      # How long a household would last.
      class EnduranceCase < Reading
        # @return [Hash]
        def answer
          found = Core::Kits::Endurance::Reckoning.new(
            catalog, figures, asked: asked, stacks: stacks,
            needs: Core::Kits::Needs.new(
              figures, activity: choice("activity", %w[rest light hiking hard], "light"), hot: yes("hot")
            )
          ).call
          {
            days: found.days, person_days: found.person_days,
            runs_out_first: found.runs_out_first&.to_s&.tr("_", " "), water_days: found.water_days,
            food_days: found.food_days, protein_days: found.protein_days, pets: found.pets,
            formula_days: found.formula_days, day_after: found.day_after.map(&:name),
            cook_water_left_l: down(found.cook_water_left_l, 1), heat_l: down(found.heat_l, 2)
          }
        end

        private

        def asked
          Core::Kits::Endurance::Asked.new(
            start: @case.the_day("start"), people: people("people"), pets: pets,
            heat_l: yes("heat_unlimited") ? nil : heat,
            gear: choice("gear", Core::Kits::Gear::WORDS.map(&:to_s), "full"), power: yes("power"),
            running_water: yes("running_water"), freezer_fill: @case.amount("freezer_fill") || 1r,
            wash_l: @case.amount("wash_l") || 0r, max_days: @case["max_days"] ? @case.whole("max_days") : 90
          )
        end

        # Fuel in litres brought to the boil; without any there is no heat.
        def heat
          fuel = @case.part("fuel") or return 0r
          fuel.number("amount") / figures.usual(fuel["row"])
        end

        def down(number, places) = number && self.class.plain(ROUND.down(number, places))
      end
    end
  end
end
