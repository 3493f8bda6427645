# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What a pack really costs: of a large one part may turn before it is eaten (docs/buying.md).
    class BigPack
      # What becomes of one pack: base units eaten, of them out of the freezer, minor units a thousand base units that
      # are eaten (nil where nothing is), weeks it lasts. Frozen.
      Eaten = Value.of(:eaten, :to_freeze, :true_minor_per_thousand, :weeks)

      # Days in the freezer, and base units there is room for (nil: as many as need be). Frozen.
      Freezer = Value.of(:days, :room)

      # @param use_per_week [Rational] base units
      # @param good_days [Integer] once it is open, where it is kept
      # @param freezer [Freezer, nil]
      # @param sealed_days [Integer, nil] it keeps as it is bought; nil for longer than anybody plans
      def initialize(use_per_week, good_days, freezer: nil, sealed_days: nil)
        @use = use_per_week
        @days = good_days
        @freezer = freezer
        @sealed_days = sealed_days
      end

      # @param pack [BuyablePack]
      # @return [Eaten]
      def of(pack)
        fresh = one_after_the_other(pack)
        frozen = @freezer ? frozen(pack.size, fresh) : 0r
        eaten = fresh + frozen
        Eaten.new(
          eaten: eaten, to_freeze: frozen, true_minor_per_thousand: (if eaten.positive?
                                                                       pack.price_minor * 1000r / eaten
                                                                     end),
          weeks: (eaten / @use if @use.positive?)
        )
      end

      # @param packs [Array<BuyablePack>]
      # @return [Integer, nil] place of the one that costs least for what is eaten of it, the smaller where two cost the
      #   same; nil where nothing of any would be eaten
      def choice(packs)
        costs = packs.each_with_index.filter_map do |pack, at|
          cost = of(pack).true_minor_per_thousand
          cost && [cost, pack.size, at]
        end
        costs.min&.last
      end

      private

      # Sealed ones wait for their turn: each is opened when the one before is eaten or over, and none is good for
      # longer than it would have been sealed.
      def one_after_the_other(pack)
        one = pack.size / pack.count
        lasts = @use.positive? ? [one * 7 / @use, @days].min : @days
        (0...pack.count).sum(0r) do |turn|
          window = [@days, @sealed_days && (@sealed_days - (turn * lasts))].compact.min
          [one, eaten_in(window.clamp(0r, nil))].min
        end
      end

      def eaten_in(days) = @use * days / 7

      # What is eaten of it until it has been frozen too long, and has room.
      def frozen(size, fresh)
        most = [size, eaten_in([@days, @freezer.days].max)].min - fresh
        [most, @freezer.room].compact.min.clamp(0r, nil)
      end
    end
  end
end
