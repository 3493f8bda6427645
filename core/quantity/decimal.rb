# frozen_string_literal: true

module NutShelf
  module Core
    # Exact decimals as text.
    module Decimal
      module_function

      # @param number [Rational, Integer] a multiple of 10^-6
      # @return [String] without needless zeros: "1.2", "400", "-0.5"
      def print(number)
        micro = (number.to_r * 1_000_000).round
        whole, rest = micro.abs.divmod(1_000_000)
        text = rest.zero? ? whole.to_s : format("%<whole>d.%<rest>06d", whole: whole, rest: rest).sub(/0+\z/, "")
        micro.negative? ? "-#{text}" : text
      end

      # @param number [Numeric]
      # @param places [Integer]
      # @return [String] as people write it: no decimals from a hundred on
      def short(number, places = 2) = print(number.to_r.round(number.abs >= 100 ? 0 : places))
    end
  end
end
