# frozen_string_literal: true

require "json"
require_relative "../core/buying/on_shelf"
require_relative "../core/quantity/quantity"

module NutShelf
  module Devices
    # What a shop has today and for how much, as the house sees it. The one that ships is a stand-in that reads a file
    # of made-up shops; a driver for a real one answers the same.
    class ShopFeed
      # @param text [String] JSON: shop to rows of {"food", "amount", "unit", "price_minor", "offer", "there"}
      # @return [ShopFeed]
      def self.read(text) = new(JSON.parse(text))

      # @param shops [Hash{String=>Array<Hash>}]
      def initialize(shops)
        @shops = shops.transform_values { |rows| rows.map { |told| packed(told) }.freeze }.freeze
        freeze
      end

      # @param shop [String] as the household calls it
      # @return [Array<Core::OnShelf>] none of a shop that says nothing
      def on_shelf(shop) = @shops.fetch(shop, [])

      private

      def packed(told)
        food, amount, unit, price, offer = told.values_at("food", "amount", "unit", "price_minor", "offer")
        Core::OnShelf.new(
          food_key: food, quantity: Core::Quantity.of(amount.to_r, unit), price_minor: Integer(price), offer: offer,
          there: told.fetch("there", true)
        )
      end
    end
  end
end
