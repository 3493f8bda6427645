# frozen_string_literal: true

require_relative "../quantity/conversion"
require_relative "../reference/wrapping"
require_relative "../value"

module NutShelf
  module Core
    module Kits
      # Packs of one food as kits look at them: so many `packs` of the size `pack` (Quantity), nil `usable_until` where
      # nothing gives a date. `place` "cupboard", "cool_dark", "fridge" or "freezer"; `situation` as the keeping rules
      # have it; `opening` and `wrapping` of this pack, nil for the usual ones; `place_low_c`: how cold its place gets;
      # `reserved_elsewhere`: set apart for something else; `state` :stop, :look and so on. Frozen.
      SupplyStack =
        Value.of(
          :id, :food, :packs, :pack, :usable_until, :opening, :wrapping, :place_low_c, :state,
          place: "cupboard", situation: "bought_sealed", reserved_elsewhere: false, open: false
        ) do
          # @return [Rational] grams one pack is sold as
          # @raise [MissingFigure] naming what to weigh once
          def pack_g = Conversion.to(pack, :mass, food).amount

          # @return [Rational] grams of one pack that are eaten, with the liquid a tin's figures count
          def pack_edible_g = Conversion.to(Conversion.edible(pack, food), :mass, food).amount

          # @return [Rational] grams of all packs
          def sold_g = pack_g * packs

          # @return [Rational] grams that are eaten
          def edible_g = pack_edible_g * packs

          # @return [Rational] grams on the plate
          def plate_g = edible_g * food.drained_share

          # @return [String] "opener", "ring" and so on, nil for what is no pack
          def opening_word = opening || food.packing.opening

          # @return [String]
          def wrapping_word = Wrapping.of(self, food)

          # @param day [Date]
          # @return [Boolean] whether it is good through that day; what has no date only where its kind never has one
          def reaches?(day) = usable_until ? usable_until >= day : food.date_kind_usual == "none"

          # @param count [Integer] packs
          # @return [SupplyStack] so many of them
          def of(count) = with(packs: count)
        end
    end
  end
end
