# frozen_string_literal: true

require_relative "wording"

module NutShelf
  module Core
    # Amounts of a stack in words. Anything will do that answers to `on_hand`, `dimension`, `pack_amount`, `noun` and
    # `open`, amounts in its own base units.
    module StackWords
      module_function

      # @param stack [#on_hand, #dimension, #pack_amount, #noun, #open]
      # @param amount [Rational] of it
      # @param measures [Measures] of the household
      # @return [String] "3 x 400 g", "250 g, open"
      def of(stack, amount: stack.on_hand, measures: Wording::METRIC)
        phrase(stack, amount, stack.pack_amount, stack.open, measures)
      end

      # How a part of a stack reads: "222 g", whether the pack is open or not.
      # @return [String]
      def part(stack, amount, measures: Wording::METRIC)
        phrase(stack, amount, stack.open ? nil : stack.pack_amount, false, measures)
      end

      # How much a hand takes of it, in packs or not: "800 g", "2 jars".
      # @return [String]
      def loose(stack, amount, measures: Wording::METRIC) = phrase(stack, amount, nil, false, measures)

      # @return [String] the words for an amount with this pack, open or not
      def phrase(stack, amount, pack, open, measures)
        dimension = stack.dimension.to_sym
        Wording.stack(
          Quantity.new(amount.to_r, dimension),
          pack: pack && Quantity.new(pack.to_r, dimension),
          noun: stack.noun,
          open: open,
          measures: measures
        )
      end
    end
  end
end
