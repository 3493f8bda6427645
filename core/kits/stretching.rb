# frozen_string_literal: true

require_relative "../quantity/conversion"
require_relative "../value"

module NutShelf
  module Core
    module Kits
      # What a small leftover lacks to feed all (a share of it), and how many tins make up for it. Frozen.
      Stretched =
        Value.of(:lacking, :tins) do
          # @param leftover [Food]
          # @param grams [Rational] of it
          # @param factors [Rational] helpings of all who eat
          # @param tin [Food]
          # @param pack [Quantity] of a tin
          # @return [Stretched]
          def self.of(leftover, grams, factors:, tin:, pack:)
            lacking = [1 - (grams / (factors * leftover.serving_g)), 0r].max
            tins = lacking * factors * tin.serving_g / Conversion.to(pack, :mass, tin).amount
            new(lacking: lacking, tins: tins.ceil)
          end
        end
    end
  end
end
