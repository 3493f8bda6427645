# frozen_string_literal: true

require_relative "../dating/breaking"
require_relative "../planning/weight"
require_relative "../quantity/money"
require_relative "../value"
require_relative "pack_cover"

module NutShelf
  module Core
    # What was paid once for some packs of a food: minor units for an amount in base units of a dimension, `pack`: base
    # units of one of them (nil: loose), the day, the shop (nil: nobody said); `asked`: nobody paid it yet, the shop
    # asks so much. Frozen.
    PaidOnce = Value.of(:price_minor, :amount, :dimension, :pack, :on, :shop_id, asked: false)

    # A pack that can be bought: `quantity` as it is sold, `size` in grams, minor units; `basis`: "latest" (what was
    # last paid for it), "asked" (what the shop asks today), "per_unit" (reckoned from other packs of that food) or
    # "estimate" (by food group); for the first two the day, the shop and what it cost the time before. Frozen.
    PricedPack = Value.of(:quantity, :size, :price_minor, :basis, :on, :shop_id, :before_minor) do
      # @return [BuyablePack]
      def plain = BuyablePack.new(size: size, price_minor: price_minor)

      # @return [Boolean] whether nobody here ever paid for that food
      def estimate? = basis == "estimate"
    end

    # The packs a food can be bought in and what each costs: those that were bought before, else the usual ones. The
    # latest price of that very pack counts, in the shop somebody goes to before any other; else the median of what was
    # paid by the gram; else an estimate, marked so. Frozen.
    class PackPrices
      # Minor units that stand in for a price nobody knows of a thing nobody weighs.
      A_PACK = 250

      # @param food [Food]
      # @param paid [Array<PaidOnce>]
      # @param shop_id [Integer, nil] where somebody goes
      # @param estimates [Hash{String=>Integer}] the household's own minor units per kg by food group
      # @param largest [Rational, nil] grams of the largest pack the household wants
      def initialize(food, paid, shop_id: nil, estimates: {}, largest: nil)
        @food = food
        @paid = paid.filter_map { |one| weighed(one) }.sort_by { |_, _, one| one.on }.reverse
        @shop_id = shop_id
        @estimates = estimates
        @largest = largest
        freeze
      end

      # @return [Array<PricedPack>] smallest first; none where no size of it is known
      def packs = priced_all(bought_before.empty? ? [*@food.typical_packs, *single] : [*bought_before, *single])

      # @return [Array<PricedPack>] the sizes it usually comes in, smallest first
      def usual = priced_all([*@food.typical_packs, *single])

      # @return [Rational, nil] minor units a gram, the median of what was paid
      def per_gram
        list = @paid.map { |grams, _, one| one.price_minor / grams }.sort
        middle = list.size / 2
        return list[middle] if list.size.odd?

        list.empty? ? nil : (list[middle - 1] + list[middle]) / 2
      end

      # So many days a price stands for what it costs now; of so many prices one can say what is usual, and a tenth
      # below that is cheap.
      NOW_DAYS = 21
      ENOUGH = 3
      CHEAP = 9/10r

      # @param today [Date]
      # @return [Boolean] whether what was last paid, or is asked, is well below what is usually paid by the gram
      def cheap_now?(today)
        grams, _, last = @paid.first
        return false if @paid.size < ENOUGH || today - last.on > NOW_DAYS

        last.price_minor / grams <= per_gram * CHEAP
      end

      # Loose, by the gram.
      # @param grams [Rational]
      # @return [Array(Integer, Boolean)] minor units, and whether that is an estimate
      def loose(grams)
        known = per_gram
        known ? [(known * grams).round, false] : [guess(grams), true]
      end

      # @param quantity [Quantity]
      # @return [Rational, nil] in the food's own units where nothing says what it weighs
      def grams(quantity)
        Weight.of_pack(@food, quantity) || (quantity.dimension == @food.dimension ? quantity.amount : nil)
      end

      private

      # What nothing says the weight of costs about as much a pack as another.
      def guess(grams)
        weighable? ? Money.estimate(grams, @food.food_group, @estimates) : A_PACK
      end

      def weighable? = !Weight.of_unit(@food, @food.dimension, nil).nil?

      # Fruit and vegetables that are counted are sold by the piece as well.
      def single
        by_piece = Breaking::PRODUCE.include?(@food.aisle) && @food.dimension == :count
        by_piece ? [Quantity.new(1r, :count)] : []
      end

      # @return [Array(Rational, Quantity, PaidOnce), nil] grams in all, and one pack
      def weighed(one)
        grams = grams(Quantity.new(one.amount, one.dimension.to_sym))
        pack = one.pack && Quantity.new(one.pack, one.dimension.to_sym)
        [grams, pack, one] if grams&.positive? && one.price_minor.positive?
      end

      # Where only larger ones are known than somebody wants, the smallest of them.
      def priced_all(sizes)
        packs = sizes.filter_map { |one| priced(one) }.sort_by { |pack| [pack.size, pack.price_minor] }
        small = @largest ? packs.select { |pack| pack.size <= @largest } : packs
        small.empty? ? packs.first(1) : small
      end

      def bought_before = @paid.filter_map { |_, pack, _| pack if pack && pack.amount > 1 }.uniq

      def priced(quantity)
        size = grams(quantity)
        return unless size&.positive?

        mine = @paid.select { |_, pack, _| pack == quantity }
        here = mine.select { |_, _, one| one.shop_id == @shop_id }
        return latest(quantity, size, here.empty? ? mine : here) if mine.any?

        minor, estimated = loose(size)
        PricedPack.new(
          quantity: quantity, size: size, price_minor: minor, basis: estimated ? "estimate" : "per_unit"
        )
      end

      def latest(quantity, size, list)
        (grams, _, one), before = list.first(2)
        PricedPack.new(
          quantity: quantity, size: size, price_minor: share(one, grams, size), basis: one.asked ? "asked" : "latest",
          on: one.on,
          shop_id: one.shop_id, before_minor: before && share(before.last, before.first, size)
        )
      end

      def share(one, grams, size) = (one.price_minor * size / grams).round
    end
  end
end
