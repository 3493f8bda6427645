# frozen_string_literal: true

require_relative "../value"
require_relative "band"
require_relative "lines"

module NutShelf
  module Core
    module Kits
      # What a kit is checked for: litres of heat and how much fuel that takes (in the unit of its row) in so many
      # canisters; litres of cooking water; milligrams of sodium for a person and day, and whether that is salty; foods
      # that are more than half of their group; what of the water is left when the largest container is lost. Exact.
      # Frozen.
      Checked =
        Value.of(
          :heat_l, :fuel, :canisters, :cook_water_l, :sodium_mg, :salty, :one_sided, :water_kept, :water_apart
        )

      # Checks a kit as a whole (docs/kits.md 3).
      class Checks
        # @param figures [Figures]
        # @param eaters [Array<Person>]
        # @param days [Integer]
        # @param hot_drinks [Boolean]
        # @param fuel_row [String] of the planning figures
        # @param canister [Rational, nil] fuel in one, in the unit of the row
        def initialize(figures, eaters:, days:, hot_drinks: false, fuel_row: "fuel-gas-canister-mild", canister: nil)
          @figures = figures
          @eaters = eaters
          @days = days
          @hot_drinks = hot_drinks
          @fuel_row = fuel_row
          @canister = canister
          freeze
        end

        # @param stacks [Array<Given>]
        # @return [Checked]
        def call(stacks)
          fuel = heat(stacks) * @figures.usual(@fuel_row)
          sodium = sodium(stacks)
          Checked.new(
            heat_l: heat(stacks), fuel: fuel, canisters: @canister && (fuel / @canister).ceil,
            cook_water_l: stacks.sum(0r, &:cook_water_l), sodium_mg: sodium, salty: sodium > bearable,
            one_sided: one_sided(stacks).freeze, **water(stacks)
          )
        end

        private

        def heat(stacks)
          drinks = @hot_drinks ? @figures.usual("hot-drink-litres") * @eaters.size * @days : 0r
          stacks.sum(0r, &:heat_l) + drinks
        end

        def sodium(stacks)
          return 0r if person_days.zero?

          for_people = stacks.select(&:for_people?)
          for_people.sum(0r) do |one|
            one.stack.edible_g * (one.stack.food.nutrition.sodium_mg || 0) / 100
          end / person_days
        end

        def person_days = @eaters.size * @days

        # Mean of what a day may hold for each of them.
        def bearable
          return 0r if @eaters.empty?

          rows = @eaters.map { |one| Band.child?(one) ? "sodium-child" : "sodium-adult" }
          rows.sum(0r) { |row| @figures.cell(row, :high) } / rows.size
        end

        def one_sided(stacks)
          Lines::SERVINGS.flat_map do |group|
            own = stacks.select { |one| Lines.of(one.stack.food) == group }
            whole = own.sum(0r, &:servings)
            own.group_by { |one| one.stack.food.key }
              .select { |_, list| list.sum(0r, &:servings) > whole / 2 }.keys
          end.sort
        end

        def water(stacks)
          own = stacks.select { |one| one.water_l.positive? }
          whole = own.sum(0r, &:water_l)
          largest = own.map { |one| one.water_l / one.stack.packs }.max || 0r
          kept = whole.zero? ? 0r : (whole - largest) / whole
          { water_kept: kept, water_apart: kept >= Rational(1, 2) }
        end
      end
    end
  end
end
