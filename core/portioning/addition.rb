# frozen_string_literal: true

require_relative "../quantity/money"
require_relative "../value"

module NutShelf
  module Core
    module Portioning
      # Less than that is no stack of its own, in grams.
      CRUMBS_G = 1/100r

      # Something of another stack that goes into each portion. `each_g` exact as it was asked, `on_hand_g` and
      # `value_minor` of its stack. Frozen.
      Addition =
        Value.of(:food, :each_g, :on_hand_g, :value_minor) do
          # @return [Rational] to a millionth of a gram
          def each = each_g.floor(6)

          # @param count [Integer] portions
          # @return [Rational] grams that leave the stack: crumbs under a hundredth of a gram go along
          def taken(count)
            exact = each * count
            on_hand_g - exact < CRUMBS_G ? on_hand_g : exact
          end

          # @param count [Integer]
          # @return [Rational] grams of those that reach no portion
          def crumbs(count) = taken(count) - (each * count)

          # @return [Integer] minor units that go along
          def value(count) = Money.share(value_minor, taken(count), on_hand_g)
        end
    end
  end
end
