# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # The least that covering one or two amounts can cost if packs could be cut, for what may still be bought: the
      # most that any prices of the two amounts come to at which no pack is worth more than it costs (duality of linear
      # programmes). Those prices fill a polygon; each pack cuts a piece off it. Exact. Frozen.
      class CostFloor
        # A price that stands for "cannot be had".
        HUGE = 10r**12

        # @return [CostFloor] where nothing may be bought
        def self.bare = new([[0r, 0r], [HUGE, 0r], [HUGE, HUGE], [0r, HUGE]])

        # @param corners [Array<Array(Rational, Rational)>] of the polygon, in turn
        def initialize(corners)
          @corners = corners.freeze
          freeze
        end

        # @param gives [Array<Rational>] of one pack, by amount
        # @param price [Numeric]
        # @return [CostFloor] where that pack may be bought too
        def with(gives, price)
          over = @corners.map { |corner| worth(corner, gives) - price }
          turn = @corners.each_index.to_a.push(0)
          CostFloor.new(turn.each_cons(2).flat_map { |at, after| side(at, after, over) }.uniq)
        end

        # @param amounts [Array<Rational>] still open
        # @return [Rational] in the unit of prices
        def of(amounts) = @corners.map { |corner| worth(corner, amounts) }.max

        private

        def worth(corner, amounts) = amounts.zip(corner).sum(0r) { |amount, each| amount * each }

        # What the cut leaves of the side from one corner to the next: the first corner, and where it was cut.
        def side(from, upto, over)
          kept = over[from].positive? ? [] : [@corners[from]]
          return kept unless (over[from] * over[upto]).negative?

          share = over[from] / (over[from] - over[upto])
          kept << @corners[from].zip(@corners[upto]).map { |one, two| one + ((two - one) * share) }
        end
      end
    end
  end
end
