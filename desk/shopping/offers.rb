# frozen_string_literal: true

require_relative "../../core/buying/on_shelf"
require_relative "../../core/buying/pack_prices"

module NutShelf
  module Desk
    # What each food's packs cost, from what was paid, in the shop somebody goes to before any other.
    class Offers
      # @param work [UnitOfWork]
      # @param shop_id [Integer, nil]
      # @param feed [Array<Core::OnShelf>] what that shop says it has today
      def initialize(work, shop_id: nil, feed: [])
        @work = work
        @shop_id = shop_id
        @feed = feed.select(&:there).group_by(&:food_key)
      end

      # Finds out about many foods at once, before a list asks for each.
      # @param ids [Array<Integer>]
      def know(ids)
        rows = @work.house.packs.paid(ids).group_by(&:food_id)
        ids.each { |id| paid[id] = [*rows.fetch(id, []).map { |row| once(row) }, *today(id)] }
      end

      # @param food_id [Integer]
      # @return [Core::PackPrices]
      def of(food_id)
        know([food_id]) unless paid.key?(food_id)
        (@known ||= {})[food_id] ||= Core::PackPrices.new(
          @work.food(food_id), paid.fetch(food_id), shop_id: @shop_id,
          estimates: @work.household.settings.fetch("price_per_kg", {}), largest: largest[food_id]
        )
      end

      private

      def paid = @paid ||= {}

      # Grams of the packs nobody here buys a larger one of.
      def largest = @largest ||= @work.house.shopping.wants.transform_values(&:largest).compact

      # What the shop asks for today is as good as paid; of "two for" nobody says what one costs.
      def today(id)
        rows = @feed.empty? ? [] : @feed.fetch(@work.food(id).key, [])
        rows.reject { |row| row.offer == "two_for" }.map do |row|
          size = row.quantity
          Core::PaidOnce.new(
            price_minor: row.price_of_one, amount: size.amount, dimension: size.dimension.to_s,
            pack: size.amount, shop_id: @shop_id, on: @work.today, asked: true
          )
        end
      end

      def once(row)
        Core::PaidOnce.new(**row.slice(:price_minor, :amount, :dimension, :pack, :shop_id), on: row.observed_on)
      end
    end
  end
end
