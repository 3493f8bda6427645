# frozen_string_literal: true

require_relative "../errors"

module NutShelf
  module Core
    # Units of measure: exact factors to the base units g, ml and piece.
    #
    # Sources: international avoirdupois pound (0.45359237 kg) and its ounce; US customary gallon of
    # 231 cubic inches and its parts; imperial pint. Spoons and the metric cup are kitchen measures.
    module Unit
      # Base units by dimension.
      BASE = { mass: "g", volume: "ml", count: "piece" }.freeze

      # Factor of each unit to its base unit, as exact rationals.
      TABLE =
        {
          "mg" => [:mass, "0.001"], "g" => [:mass, "1"], "kg" => [:mass, "1000"], "oz" => [:mass, "28.349523125"],
          "lb" => [:mass, "453.59237"], "ml" => [:volume, "1"], "cl" => [:volume, "10"], "dl" => [:volume, "100"],
          "l" => [:volume, "1000"], "tsp" => [:volume, "5"], "tbsp" => [:volume, "15"],
          "metric_cup" => [:volume, "250"], "us_cup" => [:volume, "236.5882365"], "uk_cup" => [:volume, "284.130625"],
          "us_floz" => [:volume, "29.5735295625"], "uk_floz" => [:volume, "28.4130625"],
          "us_pint" => [:volume, "473.176473"], "uk_pint" => [:volume, "568.26125"],
          "us_quart" => [:volume, "946.352946"], "uk_quart" => [:volume, "1136.5225"],
          "us_gallon" => [:volume, "3785.411784"], "uk_gallon" => [:volume, "4546.09"], "piece" => [:count, "1"]
        }.transform_values { |dimension, factor| [dimension, factor.to_r].freeze }.freeze

      module_function

      # @param unit [String] a key of TABLE
      # @return [Symbol] :mass, :volume or :count
      # @raise [Unknown] when there is no such unit
      def dimension(unit) = fetch(unit)[0]

      # @param unit [String] a key of TABLE
      # @return [Rational] base units in one of this unit (g, ml or piece)
      # @raise [Unknown] when there is no such unit
      def factor(unit) = fetch(unit)[1]

      # @param dimension [Symbol] :mass, :volume or :count
      # @return [String] its base unit
      def base(dimension) = BASE.fetch(dimension)

      # @return [Unit]
      # @raise [Unknown]
      def fetch(unit)
        TABLE.fetch(unit) do
          raise Unknown.new("There is no unit #{unit.inspect}.", remedy: "Use one of #{TABLE.keys.join(", ")}.")
        end
      end
    end
  end
end
