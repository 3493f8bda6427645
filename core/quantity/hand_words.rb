# frozen_string_literal: true

require_relative "conversion"
require_relative "wording"
require_relative "../reference/marks"

module NutShelf
  module Core
    # Grams as hands say them: so many packs where packs are what hands carry, else in the way the food is counted.
    module HandWords
      module_function

      # @param grams [Rational]
      # @param food [Food]
      # @param pack [Rational, nil] grams of one usual pack
      # @param measures [Measures] of the household
      # @return [String] "2 x 400 g", "1.5 l", "6"
      def of(grams, food, pack: nil, measures: Wording::METRIC)
        whole = pack&.positive? && grams >= pack && (grams / pack).denominator == 1
        Wording.stack(rounded(counted(grams, food)), pack: whole ? counted(pack, food) : nil, measures: measures)
      end

      # @param amount [Rational] of a stack, in its own units
      # @param pack [Rational, nil] one pack of it
      # @param mark [String] what its packs are drawn as
      # @return [String, nil] "2 tins", where that is a whole number of packs hands count; nil else
      def packs(amount, pack, mark)
        return unless pack&.positive? && Marks::PACKS.include?(mark) && (amount / pack).denominator == 1

        Wording.counted(amount / pack, mark)
      end

      # @return [Quantity] in the food's own dimension, in grams where nothing says how heavy it is for its size
      def counted(grams, food)
        quantity = Quantity.new(grams, :mass)
        food.dimension == :mass ? quantity : Conversion.to(quantity, food.dimension, food)
      rescue MissingFigure
        quantity
      end

      # @return [Quantity] as hands say it: whole grams, tenths of a piece
      def rounded(quantity)
        Quantity.new(
          quantity.dimension == :count ? quantity.amount.round(1) : quantity.amount.round,
          quantity.dimension
        )
      end
    end
  end
end
