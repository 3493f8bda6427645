# frozen_string_literal: true

require_relative "../../core/kits/counting"
require_relative "../../core/kits/gap"
require_relative "../../core/kits/gives"
require_relative "../../core/kits/needs"
require_relative "../../core/kits/refresh_day"
require_relative "../../core/kits/rounding"
require_relative "../../core/kits/shown"
require_relative "reading"

module NutShelf
  module Exchange
    module KitCases
      ROUND = Core::Kits::Rounding
      SHOWN = Core::Kits::Shown

      # What people and animals need.
      class NeedsCase < Reading
        # @return [Hash]
        def answer
          need = Core::Kits::Needs.new(
            figures, activity: choice("activity", %w[rest light hiking hard], "light"), hot: yes("hot"),
            basis: "water-#{choice("water_basis", %w[drink-cook light-hygiene comfortable], "light-hygiene")}"
              .sub("water-light", "water-drink-light")
          ).call(people("people"), pets, cook_water_l: @case.amount("cook_water_l_per_day") || 0r)
          { per_day: told(need, 1), total: told(need, @case.whole("days")), by_person: by_person(need) }
        end

        private

        def told(need, days)
          {
            water_l: up(need.water_l * days, 1), kcal: up(need.kcal * days), protein_g: up(need.protein_g * days),
            formula_g: up(need.formula_g * days),
            servings: need.servings.transform_values { |number| up(number * days, 1) },
            pets: need.pets.to_h { |pet, kcal| [pet.name, kcal && up(kcal * days)] }
          }
        end

        def by_person(need)
          need.people.to_h do |one|
            [one.person.name, { kcal: up(one.kcal), protein_g: up(one.protein_g), drink_l: up(one.drink_l, 1) }]
          end
        end

        def up(number, places = 0) = self.class.plain(ROUND.up(number, places))
      end

      # What a stack gives.
      class GivesCase < Reading
        # @return [Hash]
        def answer
          given = Core::Kits::Gives.new(
            catalog, figures, eaters: people("eaters"), cold: yes("cold"), gear: gear,
            water_l: @case.amount("water_l_per_day") || 0r, pet_kcal: @case.amount("pet_kcal") || 0r
          ).of(stack(@case.part("stack") || @case.bad("stack", nil, "Say its food and pack, {...}.")))
          SHOWN.given(given).transform_values { |value| value.is_a?(Numeric) ? self.class.plain(value) : value }
        end

        private

        def gear = choice("gear", Core::Kits::Gear::WORDS.map(&:to_s), "full")
      end

      # Whether stacks count until the next refresh.
      class CountsCase < Reading
        # @return [Hash]
        def answer
          refresh = Core::Kits::RefreshDay.after(refresh_days, @case.the_day("today"))
          reach = refresh + margin
          counting = Core::Kits::Counting.new(
            catalog, figures, must_reach: reach, people: people("people"), disliked: yes("count_disliked"),
            gear: choice("gear", Core::Kits::Gear::WORDS.map(&:to_s), "full")
          )
          { refresh_on: refresh.iso8601, must_reach: reach.iso8601,
            stacks: stacks.to_h { |stack| [stack.id, counting.of(stack).to_s] } }
        end
      end

      # What the best sharing leaves open.
      class GapCase < Reading
        # @return [Hash]
        def answer
          eaters = people("people")
          given = Core::Kits::Gives.new(catalog, figures, eaters: eaters)
          gives = Hash.new { |all, stack| all[stack] = given.of(stack) }
          gap = Core::Kits::Gap.new(eaters, stacks)
          @case.names("lines").to_h do |line|
            [line, told(line, gap.of(line, needs(line, eaters)) do |one|
              gives[one].line(line)
            end)]
          end
        end

        private

        def needs(line, eaters)
          eaters.zip(@case.list("people")).to_h { |person, one| [person, one.part("need")&.amount(line) || 0r] }
        end

        def told(line, found)
          places = SHOWN.places(line)
          {
            need: self.class.plain(ROUND.up(found.need, places)),
            have: self.class.plain(ROUND.down(found.have, places)),
            gap: self.class.plain(ROUND.up(found.gap, places)), short: found.short.map(&:name)
          }
        end
      end
    end
  end
end
