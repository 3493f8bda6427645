# frozen_string_literal: true

require_relative "../errors"
require_relative "../quantity/conversion"
require_relative "../value"

module NutShelf
  module Core
    module Recipes
      # What one usual portion of a dish costs and gives, by the household's prices and the table of foods; `unknown`
      # names the foods that have no figure, `estimated` those whose price nobody has seen. Optional lines are left out.
      # Frozen.
      PerPortion =
        Value.of(:cost_minor, :kcal, :protein_g, :estimated, :unknown, :allergens) do
          # @param recipe [Recipe]
          # @param foods [Hash{String=>Food}]
          # @param prices [PriceBook]
          # @return [PerPortion]
          def self.of(recipe, foods:, prices:)
            known = recipe.lines.select { |line| foods.key?(line.food_key) }
            needed = known.reject(&:optional).to_h { |line| [line, grams(line, foods[line.food_key])] }
            share = 1r / recipe.servings
            new(
              cost_minor: (needed.sum(0r) { |line, grams| cost(line, grams, foods, prices)&.first || 0 } * share).round,
              kcal: (needed.sum(0r) { |line, grams| given(line, grams, foods, :kcal) || 0 } * share).round,
              protein_g: (needed.sum(0r) { |line, grams| given(line, grams, foods, :protein_g) || 0 } * share).round,
              estimated: names(needed, foods) { |line, grams| cost(line, grams, foods, prices)&.last == false },
              unknown: names(needed, foods) { |line, grams| given(line, grams, foods, :kcal) },
              allergens: known.flat_map { |line| foods[line.food_key].allergens }.uniq.sort.freeze
            )
          end

          # @return [Rational, nil] edible grams of a line, nil where nothing says what it weighs
          def self.grams(line, food)
            Conversion.to(line.quantity, :mass, food).amount
          rescue MissingFigure
            nil
          end

          # @return [Array(Integer, Boolean), nil] minor units, and whether that is an estimate
          def self.cost(line, grams, foods, prices)
            return [0, false] if line.food_key == "tap-water"

            grams && prices.cost(line.food_key,
              Conversion.gross(Quantity.new(grams, :mass), foods[line.food_key]).amount)
          end

          # @return [Rational, nil]
          def self.given(line, grams, foods, name)
            figure = foods[line.food_key].nutrition.public_send(name)
            figure ||= 0 if line.food_key == "tap-water"
            grams && figure && (grams * figure / 100)
          end

          # @return [Array<String>] of the foods for which the block has no figure
          def self.names(needed, foods, &block)
            needed.reject(&block).keys.map { |line| foods[line.food_key].name }.uniq.freeze
          end
        end
    end
  end
end
