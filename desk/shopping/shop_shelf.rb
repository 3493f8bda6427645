# frozen_string_literal: true

require_relative "../../core/buying/big_pack"
require_relative "../../core/buying/on_shelf"
require_relative "../../core/buying/shelf_offer"
require_relative "../../core/planning/weight"
require_relative "../../core/value"

module NutShelf
  module Desk
    # What the shop somebody goes to has of each food today, and whether its offers are worth it in this house.
    class ShopShelf
      # An offer: `count` packs of `quantity` for minor units in all; grams `eaten` of all of them while good, of
      # `grams`; minor units a kilo that is eaten, and what one pack alone costs so. `worth`: whether that is less.
      # Frozen.
      Offer = Core::Value.of(:kind, :count, :quantity, :price_minor, :eaten, :grams, :kilo_minor, :single_minor) do
        # @return [Boolean]
        def worth? = !kilo_minor.nil? && !single_minor.nil? && kilo_minor < single_minor
      end

      KEEPS = 3650
      # At half the price the price is what it is; of these more has to be carried home.
      MORE = %w[two_for third_free].freeze

      # @param work [UnitOfWork]
      # @param shop [Store::Rows::Shop, nil]
      # @param rests [PackRests] how long a pack is good once it is open
      # @param keeps [#call] food key to days it keeps as it is bought, nil for longer than anybody plans
      # @param prices [#of] see Offers
      def initialize(work, shop, rests:, keeps:, prices:)
        @work = work
        @rows = shop ? work.services.shop_feed.on_shelf(shop.name).group_by(&:food_key) : {}
        @rests = rests
        @keeps = keeps
        @prices = prices
      end

      # @param key [String] of a food
      # @return [Array<Core::OnShelf>] what the shop says of it
      def of(key) = @rows.fetch(key, [])

      # @return [Boolean] whether the shop says it has none in any pack
      def out?(key) = of(key).any? && of(key).none?(&:there)

      # @param key [String]
      # @param weekly [Rational] grams used a week
      # @return [Array<Offer>] that take more than one pack
      def offers(key, weekly)
        food = @work.shelf.foods[key] or return []
        of(key).select { |row| row.there && MORE.include?(row.offer) }.filter_map { |row| offer(row, food, weekly) }
      end

      private

      def offer(row, food, weekly)
        grams = Core::Weight.of_pack(food, row.quantity) or return
        one = Core::BuyablePack.new(size: grams, price_minor: row.price_minor)
        all = Core::ShelfOffer.of(one, row.offer)
        # "Two for" names the price of both; one alone costs more than half of it.
        single = row.offer == "two_for" ? one.with(price_minor: alone(food, row, grams)) : one
        Offer.new(
          kind: row.offer, count: all.count, quantity: row.quantity, price_minor: all.price_minor, grams: all.size,
          eaten: check(food, weekly).of(all).eaten, kilo_minor: kilo(food, weekly, all),
          single_minor: kilo(food, weekly, single)
        )
      end

      # What one pack costs by itself, as far as anybody knows.
      def alone(food, row, grams)
        prices = @prices.of(@work.shelf.food_ids.fetch(food.key))
        prices.packs.find { |pack| pack.quantity == row.quantity }&.price_minor || prices.loose(grams).first
      end

      def kilo(food, weekly, pack) = check(food, weekly).of(pack).true_minor_per_thousand&.round

      def check(food, weekly)
        Core::BigPack.new(weekly, @rests.days(food.key) || KEEPS, sealed_days: @keeps.call(food.key))
      end
    end
  end
end
