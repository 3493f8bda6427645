# frozen_string_literal: true

require_relative "pack_cover"

module NutShelf
  module Core
    # What a shop offers on a pack, as the pack it comes to: two for a price, half the price, the third one free.
    module ShelfOffer
      KINDS = %w[two_for half_price third_free].freeze
      PACKS = { "two_for" => 2, "half_price" => 1, "third_free" => 3 }.freeze

      module_function

      # @param pack [BuyablePack] one, at the price on the shelf; of "two_for" the price of both
      # @param kind [String, nil] of KINDS
      # @return [BuyablePack] what is carried home and paid
      def of(pack, kind)
        count = PACKS.fetch(kind, 1)
        price = { "half_price" => (pack.price_minor/2r).ceil, "third_free" => pack.price_minor * 2 }
        pack.with(size: pack.size * count, count: count, price_minor: price.fetch(kind, pack.price_minor))
      end
    end
  end
end
