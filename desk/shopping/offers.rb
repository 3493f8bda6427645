# frozen_string_literal: true

require_relative "../../core/buying/pack_prices"

module NutShelf
  module Desk
    # What each food's packs cost, from what was paid, in the shop somebody goes to before any other.
    class Offers
      # @param work [UnitOfWork]
      # @param shop_id [Integer, nil]
      def initialize(work, shop_id: nil)
        @work = work
        @shop_id = shop_id
      end

      # Finds out about many foods at once, before a list asks for each.
      # @param ids [Array<Integer>]
      def know(ids)
        rows = @work.house.packs.paid(ids).group_by(&:food_id)
        ids.each { |id| paid[id] = rows.fetch(id, []).map { |row| once(row) } }
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

      def once(row)
        Core::PaidOnce.new(**row.slice(:price_minor, :amount, :dimension, :pack, :shop_id), on: row.observed_on)
      end
    end
  end
end
