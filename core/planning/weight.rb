# frozen_string_literal: true

require_relative "../quantity/conversion"

module NutShelf
  module Core
    # What things weigh, where the food's figures tell.
    module Weight
      module_function

      # @param food [Food]
      # @param dimension [Symbol] a stack is counted in
      # @param noun [String, nil] of a stack whose packs have no known size
      # @return [Rational, nil] grams in one unit of the stack, nil when nothing says so
      def of_unit(food, dimension, noun)
        return usual_pack(food) if noun && dimension == :count

        Conversion.to(Quantity.new(1r, dimension), :mass, food).amount
      rescue MissingFigure
        nil
      end

      # A jar nobody weighed counts as the smallest usual pack of that food.
      # @param food [Food]
      # @return [Rational, nil] grams
      def usual_pack(food)
        sizes = food.typical_packs.reject { |size| size.dimension == :count }
        sizes.filter_map { |size| of_pack(food, size) }.min || food.g_per_piece
      end

      # @param food [Food]
      # @param size [Quantity] of one pack
      # @return [Rational, nil] grams
      def of_pack(food, size)
        Conversion.to(size, :mass, food).amount
      rescue MissingFigure
        nil
      end
    end
  end
end
