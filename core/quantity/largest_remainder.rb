# frozen_string_literal: true

module NutShelf
  module Core
    # Shares a whole number of indivisible units by weight, by the largest-remainder method
    # (Hamilton's apportionment): the parts always add up to the whole.
    module LargestRemainder
      module_function

      # @param total [Integer] units to share, such as cents
      # @param weights [Array<Integer, Rational>] not negative, not all zero
      # @return [Array<Integer>] one share for each weight; ties go to the later ones, so that the
      #   first portion is never the dear one
      # @raise [ArgumentError] when the weights add up to nothing
      def split(total, weights)
        sum = weights.sum(&:to_r)
        raise ArgumentError, "weights add up to #{sum}" unless sum.positive?

        exact = weights.map { |weight| total * weight.to_r / sum }
        shares = exact.map(&:floor)
        most_left_over(exact, shares).first(total - shares.sum).each { |index| shares[index] += 1 }
        shares
      end

      # @return [Array<Integer>] places by what rounding down took from them, the most first
      def most_left_over(exact, shares)
        exact.each_index.sort_by { |index| [-(exact[index] - shares[index]), -index] }
      end
    end
  end
end
