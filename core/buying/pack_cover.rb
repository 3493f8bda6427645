# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # A pack that can be bought: its size in base units and its price in minor units. Frozen.
    BuyablePack = Value.of(:size, :price_minor)

    # Which packs to buy for a need: so many of each, what that comes to, and whether it stays within what will be eaten
    # while good and has room. Frozen.
    Cover = Value.of(:counts, :amount, :price_minor, :within_cap)

    # Finds the packs that cover a need (docs/buying.md): the cheapest within the cap, then the fewer packs, then the
    # smaller amount; where nothing stays within the cap the need still wins, by the smallest amount. Exact: only sets
    # of which every pack is needed are looked at, because one pack less is never dearer.
    class PackCover
      # @param packs [Array<BuyablePack>] sizes above zero
      def initialize(packs)
        @packs = packs
        @order = packs.each_index.sort_by { |at| [-packs[at].size, packs[at].price_minor, at] }
        @cheapest = packs.map { |pack| pack.price_minor / pack.size }.min
      end

      # @param need [Rational] base units
      # @param eaten_while_good [Rational, nil] what will be eaten before it turns, nil where nobody knows
      # @param room [Rational, nil] what the place holds, nil where nobody knows
      # @return [Cover, nil] nil where there is no pack
      def call(need, eaten_while_good: nil, room: nil)
        return if @packs.empty?

        limit = [eaten_while_good, room].compact.min
        @cap = limit && [need, limit].max
        @best = nil
        search(0, Array.new(@packs.size, 0), need, 0, 0)
        @best.last
      end

      private

      def search(place, counts, rest, price, number)
        return settle(counts, price, number) unless rest.positive?
        return if place == @order.size || hopeless?(price + (rest * @cheapest))

        at = @order[place]
        pack = @packs[at]
        most = (rest / pack.size).ceil
        most.downto(0) do |count|
          counts[at] = count
          search(place + 1, counts, rest - (count * pack.size), price + (count * pack.price_minor), number + count)
        end
        counts[at] = 0
      end

      # Within the cap nothing dearer can win any more.
      def hopeless?(least) = @best && @best.first.first.zero? && least > @best.first[1]

      def settle(counts, price, number)
        amount = counts.each_index.sum { |at| counts[at] * @packs[at].size }
        within = @cap.nil? || amount <= @cap
        rank = within ? [0, price, number, amount] : [1, amount, price, number]
        return if @best && (@best.first <=> rank) <= 0

        @best = [rank, Cover.new(counts: counts.dup.freeze, amount: amount, price_minor: price, within_cap: within)]
      end
    end
  end
end
