# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # What is no food: so much of it (pieces, or millilitres), with what must be minded. Frozen.
      SupplyNeed = Value.of(:supply, :amount, :unit)

      # How much of what is no food a kit needs, by its level (docs/kits.md).
      class SuppliesNeeded
        # @param table [Array<Supply>]
        # @param level [Symbol] :low, :usual or :high
        # @param people [Integer]
        # @param days [Integer]
        # @param canisters [Integer] from the heat line
        # @param home_filled_l [Rational] water in containers filled at home
        # @param of_use [Array<String>] which conditions hold: "tin_opener", "burner", "no_water", "home_filled"
        def initialize(table, level:, people:, days:, canisters:, home_filled_l:, of_use:)
          @table = table
          @level = level
          @people = people
          @days = days
          @canisters = canisters
          @home_filled_l = home_filled_l
          @of_use = ["always", *of_use]
          freeze
        end

        # @return [Array<SupplyNeed>]
        def call
          @table.select { |supply| @of_use.include?(supply.when) }.filter_map do |supply|
            amount = amount(supply).ceil
            unit = supply.per.end_with?("_ml") ? "ml" : "piece"
            SupplyNeed.new(supply: supply, amount: amount, unit: unit) if amount.positive?
          end
        end

        private

        def amount(supply)
          return @canisters if supply.per == "fuel"

          supply.public_send(@level) * times(supply.per.delete_suffix("_ml"))
        end

        def times(per)
          case per
          when "person" then @people
          when "person_week" then @people * @days/7r
          when "torch" then torches
          when "ten_litres" then @home_filled_l / 10
          else 1
          end
        end

        def torches
          torch = @table.find { |supply| supply.food_key == "torch" }
          torch ? (torch.public_send(@level) * @people).ceil : 0
        end
      end
    end
  end
end
