# frozen_string_literal: true

require_relative "../rotation/stock"
require_relative "../quantity/conversion"
require_relative "../value"

module NutShelf
  module Core
    # A stack weighed for cooking. `stock` counts in grams; `grams_per_unit` brings grams back to the
    # stack's own units (g, ml, pieces); `value_minor` is what the whole stack is worth. `guessed` when the
    # size of a jar or tin is not known and a usual pack stands for it. Frozen.
    Holding = Value.of(:stock, :grams_per_unit, :value_minor, guessed: false) do
      # @return [Rational] grams in one unit of the stack, or nil when nothing says so
      # @param food [Food]
      # @param dimension [Symbol] of the stack
      # @param noun [String, nil] of a stack whose packs have no known size
      def self.grams_per_unit(food, dimension, noun)
        return usual_pack(food) if noun && dimension == :count

        Conversion.to(Quantity.new(1r, dimension), :mass, food).amount
      rescue MissingFigure
        nil
      end

      # A jar nobody weighed counts as the smallest usual pack of that food.
      def self.usual_pack(food)
        sizes = food.typical_packs.reject { |size| size.dimension == :count }
        sizes.filter_map { |size| pack_grams(food, size) }.min || food.g_per_piece
      end

      # @param size [Quantity] of one pack
      # @return [Rational, nil] grams, where the food's figures tell
      def self.pack_grams(food, size)
        Conversion.to(size, :mass, food).amount
      rescue MissingFigure
        nil
      end
    end
  end
end
