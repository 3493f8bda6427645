# frozen_string_literal: true

module NutShelf
  module Core
    # Temperatures of places are kept in whole degrees Celsius. Those said in Fahrenheit become the careful ones: the
    # coldest is never called warmer, the warmest never colder than it was said to be.
    module Degrees
      UNITS = %w[c f].freeze

      module_function

      # @param low [Integer, nil] the coldest, in `unit`
      # @param unit [String] "c" or "f"
      # @return [Integer, nil] degrees Celsius
      def coldest(low, unit) = low && (unit == "f" ? celsius(low).floor : low)

      # @param high [Integer, nil] the warmest
      # @return [Integer, nil] degrees Celsius
      def warmest(high, unit) = high && (unit == "f" ? celsius(high).ceil : high)

      # @return [Rational]
      def celsius(fahrenheit) = Rational((fahrenheit - 32) * 5, 9)
    end
  end
end
