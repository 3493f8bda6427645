# frozen_string_literal: true

module NutShelf
  module Core
    # What it means to take a part of one pack or piece: a pack is opened, a piece of fresh produce is cut, and of
    # supplies nothing follows.
    module Breaking
      PRODUCE = ["Fresh fruit", "Fresh vegetables"].freeze
      # A pack that weighs about as much as one piece is that piece: half a cabbage of a kilo is a cut cabbage.
      ABOUT = Rational(3, 2)

      module_function

      # @param food [Food]
      # @param dimension [Symbol] the stack is counted in
      # @param pack [Rational, nil] base units of one pack; nil: single things
      # @return [Symbol, nil] :cut, :opened, or nil where nothing happens to the food
      def kind(food, dimension:, pack: nil)
        return if food.food_group == "supplies"

        PRODUCE.include?(food.aisle) && one_piece?(food, dimension, pack) ? :cut : :opened
      end

      # @return [Boolean] whether a pack is a single piece of produce
      def one_piece?(food, dimension, pack)
        return (pack || 1) == 1 if dimension == :count
        return false unless pack && food.g_per_piece && dimension == :mass

        pack <= food.g_per_piece / (food.edible_yield || 1) * ABOUT
      end
    end
  end
end
