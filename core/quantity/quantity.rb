# frozen_string_literal: true

require "bigdecimal"
require_relative "unit"

module NutShelf
  module Core
    # An exact amount of one dimension, held in its base unit (g, ml or piece) as a Rational.
    # Frozen. Never a Float: a float is refused at the door.
    class Quantity
      include Comparable

      # Amounts are stored to this quantum.
      QUANTUM = Rational(1, 1_000_000)

      attr_reader :amount, :dimension

      # @param number [Integer, Rational, BigDecimal, String] how many of `unit`
      # @param unit [String] a unit of Unit::TABLE
      # @return [Quantity] the same amount in base units
      # @raise [Unknown] for an unknown unit
      # @raise [ArgumentError] for a Float or a text that is no number
      def self.of(number, unit) = new(exact(number) * Unit.factor(unit), Unit.dimension(unit))

      # @param number [Integer, Rational, BigDecimal, String]
      # @return [Rational]
      # @raise [ArgumentError] for a Float or a text that is no number
      def self.exact(number)
        case number
        when Float
          raise ArgumentError, "#{number} is a Float; stock and money are exact"
        when String
          Rational(number)
        else
          number.to_r
        end
      end

      # @param amount [Rational] in base units
      # @param dimension [Symbol] :mass, :volume or :count
      def initialize(amount, dimension)
        @amount = amount.to_r
        @dimension = dimension
        Unit.base(dimension)
        freeze
      end

      # @return [String] "g", "ml" or "piece"
      def unit = Unit.base(dimension)

      # @raise [DimensionMismatch] when the other amount is of another dimension
      def +(other) = same(other, amount + checked(other).amount)

      # @raise [DimensionMismatch] when the other amount is of another dimension
      def -(other) = same(other, amount - checked(other).amount)

      # @param factor [Integer, Rational, BigDecimal]
      # @return [Quantity]
      def *(other) = self.class.new(amount * self.class.exact(other), dimension)

      # @param other [Quantity, Integer, Rational] an amount gives a ratio, a number gives an amount
      # @return [Rational, Quantity]
      def /(other)
        if other.is_a?(Quantity)
          amount / checked(other).amount
        else
          self.class.new(amount / self.class.exact(other), dimension)
        end
      end

      # @raise [DimensionMismatch] when the other amount is of another dimension
      def <=>(other) = other.is_a?(Quantity) ? amount <=> checked(other).amount : nil

      # Two that are the same are one key of a hash.
      def eql?(other) = other.is_a?(Quantity) && [amount, dimension] == [other.amount, other.dimension]
      alias == eql?

      # @return [Integer]
      def hash = [amount, dimension].hash

      # @return [Boolean]
      def zero? = amount.zero?

      # @return [Quantity] rounded half up to the stored quantum of 10^-6
      def stored = self.class.new(amount.round(6), dimension)

      # Split into parts by largest remainder, on the stored quantum; the parts add up to the whole.
      # @param weights [Array<Integer, Rational>] relative sizes, at least one above zero
      # @return [Array<Quantity>]
      def split(weights)
        quanta = (stored.amount / QUANTUM).to_i
        LargestRemainder.split(quanta, weights).map { |part| self.class.new(part * QUANTUM, dimension) }
      end

      # @return [String] the exact base amount without needless zeros, such as "400" or "0.5"
      def to_decimal = Decimal.print(stored.amount)

      # @return [String] such as "400 g"
      def to_s = "#{to_decimal} #{unit}"
      alias inspect to_s

      private

      def same(_other, sum) = self.class.new(sum, dimension)

      def checked(other)
        return other if other.is_a?(Quantity) && other.dimension == dimension

        raise DimensionMismatch.new(
          "#{self} is a #{dimension} and #{other} is a #{other.dimension}: they do not add up.",
          remedy: "Say how much one weighs, and both can be counted in grams."
        )
      end
    end
  end
end

require_relative "largest_remainder"
require_relative "decimal"
