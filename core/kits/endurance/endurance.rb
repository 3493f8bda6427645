# frozen_string_literal: true

require_relative "../needs"
require_relative "asked"
require_relative "budgets"
require_relative "food_classes"
require_relative "last_day"
require_relative "stock_days"
require_relative "table"
require_relative "water_store"

module NutShelf
  module Core
    module Kits
      module Endurance
        # For how many days a household lasts on what it has: the most days for which some way of eating gives all of
        # them all they need, so that more stock never means fewer days (docs/kits.md 7).
        class Reckoning
          # @param catalog [Catalog]
          # @param figures [Figures]
          # @param needs [Needs]
          # @param asked [Asked]
          # @param stacks [Array<SupplyStack>]
          def initialize(catalog, figures, needs:, asked:, stacks:)
            @asked = asked
            @need = needs.call(asked.people, asked.pets || [])
            @share = figures.usual("kit-extras-share")
            @by_person = @need.people.to_h { |one| [one.person, one] }
            given(catalog, figures, stacks)
            @classes = FoodClasses.new(asked.eaters, @given)
            @made = {}
          end

          # @return [Lasting]
          def call
            days = most { |day| lasts?(day) }
            after = days < @asked.max_days ? day_after(days) : []
            Lasting.new(
              days: days, person_days: (days * @asked.eaters.size) + after.size, day_after: after.freeze,
              runs_out_first: days < @asked.max_days ? first_out(days + 1) : nil,
              water_days: @water.days(drunk_a_day, @asked.max_days), food_days: most { |day| food?(day, :kcal) },
              protein_days: most { |day| food?(day, :protein_g) }, pets: pets, formula_days: formula,
              cook_water_left_l: @water.left(days, days * drunk_a_day), heat_l: @asked.heat_now
            )
          end

          # @param day [Integer]
          # @return [Boolean] whether all have all they need through that day
          def lasts?(day) = day.zero? || feasible?(day, @asked.eaters)

          private

          def given(catalog, figures, stacks)
            last = LastDay.new(
              catalog, figures, start: @asked.start, power: @asked.power, freezer_fill: @asked.freezer_fill
            )
            gives = Gives.new(
              catalog, figures, eaters: @asked.eaters, cold: @asked.power, disliked: true,
              pet_kcal: @need.pets.values.compact.sum(0r)
            )
            @given = stacks.map { |stack| [gives.of(stack), last.of(stack)] }.select { |_, day| day.positive? }
            @water = WaterStore.new(
              @given.select { |one, _| one.water_l.positive? }.map { |one, day| [day, one.water_l] },
              running: @asked.running_water
            )
          end

          # The most days, by halving: what lasts so long lasts shorter too.
          def most
            low = 0
            high = @asked.max_days
            while low < high
              middle = (low + high + 1) / 2
              yield(middle) ? low = middle : high = middle - 1
            end
            low
          end

          # Litres a day of all, with what animals and infants drink.
          def drunk_a_day = @need.drink_l + (@asked.wash_l * @asked.eaters.size)

          # @param chosen [Array<Person>] who eat on the last day
          def feasible?(day, chosen, heat: @asked.heat_now, gear: @asked.gear_now, cooking: :stored)
            left = @water.left(day, ((day - 1) * drunk_a_day) + drunk_by(chosen))
            return false if left&.negative?

            budgets = Budgets.new(water: cooking == :endless ? nil : left, heat: heat)
            budgets.allow?(table(day, chosen, classes(:kcal, gear).select { |one| budgets.makes?(one) }, :kcal))
          end

          # Animals and infants drink with the first.
          def drunk_by(chosen)
            first = @need.drink_l - @asked.eaters.sum(0r) { |one| @by_person.fetch(one).drink_l }
            first + chosen.sum(0r) { |one| @by_person.fetch(one).drink_l + @asked.wash_l }
          end

          def classes(nutrient, gear) = @made[[nutrient, gear]] ||= @classes.of(gear, &nutrient)

          def table(day, chosen, classes, nutrient)
            need = ->(list) { list.sum(0r) { |one| @by_person.fetch(one).public_send(nutrient) } }
            Table.new(
              classes, days: day, extras_share: @share, needs: @classes.groups.map(&need),
              last_needs: @classes.groups.map { |group| need.call(group & chosen) }
            )
          end

          # Whether there is enough of a nutrient, whatever water and heat it takes.
          def food?(day, nutrient, gear: @asked.gear_now)
            Budgets.new(water: nil, heat: nil)
              .allow?(table(day, @asked.eaters, classes(nutrient, gear), nutrient))
          end

          def day_after(days)
            chosen = []
            @asked.in_turn.each do |one|
              break unless feasible?(days + 1, [*chosen, one])

              chosen << one
            end
            chosen
          end

          # What alone would give one more day.
          def first_out(day)
            drunk = @water.left(day, day * drunk_a_day)
            return :water if drunk&.negative?
            return :food unless food?(day, :kcal, gear: :full)
            return :heat if feasible?(day, @asked.eaters, heat: nil, gear: :full)
            return :cooking_water if feasible?(day, @asked.eaters, cooking: :endless)

            :both
          end

          def pets
            (@asked.pets || []).filter_map { |pet| pet.species if @need.pets[pet] }.uniq.to_h do |species|
              [species, StockDays.of(stock(species), pet_need(species), @asked.max_days)]
            end
          end

          def pet_need(species) = @need.pets.sum(0r) { |pet, kcal| pet.species == species ? kcal : 0r }

          # What of a line is there by its last day; a pack gives what is gone in time.
          def stock(line)
            @given.select { |one, _| Lines.of(one.stack.food) == line }.map do |one, last|
              part = one.fits? || line == "formula" ? 1r : one.capacity_g / one.stack.pack_edible_g
              [last, one.line(line) * part]
            end
          end

          def formula
            @need.formula_g.positive? ? StockDays.of(stock("formula"), @need.formula_g, @asked.max_days) : nil
          end
        end
      end
    end
  end
end
