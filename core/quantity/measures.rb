# frozen_string_literal: true

require_relative "decimal"
require_relative "unit"

module NutShelf
  module Core
    # Amounts as a household measures: grams and millilitres, pounds and ounces, or pints. A pack keeps the size that is
    # printed on it: what is a whole number of grams and no round number of ounces was printed in grams.
    class Measures
      SYSTEMS = %w[metric imperial us].freeze
      # By system and dimension, smallest first: the unit, the word for it, and the least amount it is used for, in
      # units.
      LADDERS = {
        "us" => {
          mass: [["oz", "oz", Rational(1, 2)], ["lb", "lb", 1]],
          volume: [["us_floz", "fl oz", Rational(1, 2)], ["us_quart", "qt", 1], ["us_gallon", "gal", 1]]
        },
        "imperial" => {
          mass: [["oz", "oz", 1], ["lb", "lb", 1]],
          volume: [["uk_floz", "fl oz", 1], ["uk_pint", "pt", 1]]
        }
      }.freeze
      METRIC = { mass: %w[g kg], volume: %w[ml l] }.freeze
      # Sizes that are printed: eighths of an ounce, halves of a pint. What is stored is exact to a millionth.
      PRINTED = 8
      # So many pounds or quarts come in halves.
      LARGE = 3
      STORED = Rational(1, 50_000)

      # @param system [String] of SYSTEMS
      # @return [Measures]
      def self.of(system) = new(system)

      # @param system [String] of SYSTEMS
      # @raise [ArgumentError] for another system
      def initialize(system)
        raise ArgumentError, "#{system} is no system of measures" unless SYSTEMS.include?(system)

        @system = system
        @ladders = LADDERS[system]
        freeze
      end

      # @return [String] of SYSTEMS
      attr_reader :system

      # @return [Boolean]
      def metric? = @ladders.nil?

      # @param quantity [Quantity]
      # @return [String] "250 g", "1.2 kg", "6"; in the United States "8.8 oz", "2.61 lb"
      def free(quantity)
        unit, word = step(quantity) if @system == "us"
        unit ? "#{Decimal.short(quantity.amount / Unit.factor(unit), word == "lb" ? 2 : 1)} #{word}" : metric(quantity)
      end

      # @param quantity [Quantity] one pack
      # @return [String] its size as it was printed on it
      def size(quantity)
        number, word = printed(quantity)
        return "#{Decimal.short(number, 3)} #{word}" if number

        near_whole?(quantity.amount) ? metric(quantity) : free(quantity)
      end

      # @param dimension [Symbol] :mass or :volume
      # @return [Array(Array(String, Rational))] the units an amount may be typed in, the usual one first, each with
      #   what
      #   one of it is in g or ml
      def units(dimension)
        own = (@ladders&.fetch(dimension) || []).map { |unit, word, _| [word, Unit.factor(unit)] }
        base = [[Unit.base(dimension), 1r]]
        @system == "us" ? own + base : base + own
      end

      private

      # The largest unit that the amount is worth saying in.
      def step(quantity)
        ladder = @ladders&.fetch(quantity.dimension, nil) or return
        ladder.reverse.find { |unit, _, least| quantity.amount >= (Unit.factor(unit) * least) - STORED }
      end

      # The largest unit that leaves no odd rest: "24 oz", not "1.5 lb", and "52 fl oz", not "1.625 qt"; halves of what
      # is large.
      def printed(quantity)
        smallest, = (ladder = @ladders&.fetch(quantity.dimension, nil) or return).first
        ladder.reverse_each do |unit, word, least|
          number = quantity.amount / Unit.factor(unit)
          next if number < least - STORED

          parts =
            if unit == smallest
              PRINTED
            else
              number >= LARGE ? 2 : 1
            end
          return Rational((number * parts).round, parts), word if near_whole?(number * parts)
        end
        nil
      end

      def near_whole?(number) = (number - number.round).abs < STORED

      def metric(quantity)
        amount = quantity.amount
        return Decimal.short(amount) if quantity.dimension == :count

        small, big = METRIC.fetch(quantity.dimension)
        amount >= 1000 ? "#{Decimal.short(amount / 1000, 3)} #{big}" : "#{Decimal.short(amount)} #{small}"
      end
    end
  end
end
