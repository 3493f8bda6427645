# frozen_string_literal: true

require_relative "../../core/kits/lines"
require_relative "../../core/kits/rounding"
require_relative "../../core/kits/shown"
require_relative "../../core/quantity/decimal"

module NutShelf
  module Api
    # How lines and reasons of kits read.
    module KitWords
      UNITS = { "water" => "l", "formula" => "g", "dog" => "kcal", "cat" => "kcal", "kcal" => "kcal",
                "protein_g" => "g" }.freeze

      module_function

      # @param line [String]
      # @return [String]
      def line(line) = Core::Kits::Lines.words(line)

      # @return [String] of what a line is counted in
      def unit(line) = UNITS.fetch(line, "servings")

      # @return [String] at least so much
      def up(line, number) = plain(Core::Kits::Rounding.up(number, Core::Kits::Shown.places(line)))

      # @return [String] no more than that
      def down(line, number) = plain(Core::Kits::Rounding.down(number, Core::Kits::Shown.places(line)))

      # @return [String] without a zero after the point
      def plain(number) = Core::Decimal.print(number.to_r).delete_suffix(".0")
    end
  end
end
