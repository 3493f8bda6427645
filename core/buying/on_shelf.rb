# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # A pack on a shop's shelf: `food_key`, `quantity` of one, minor units (of "two_for" those of both), `offer` of
    # ShelfOffer::KINDS or nil, `there`: whether any is left. Frozen.
    OnShelf = Value.of(:food_key, :quantity, :price_minor, :offer, there: true) do
      # @return [Integer] minor units for one pack
      def price_of_one = offer == "half_price" ? (price_minor/2r).ceil : price_minor
    end

    # Where no shop says anything.
    module NoShopSays
      module_function

      # @param _shop [String]
      # @return [Array<OnShelf>]
      def on_shelf(_shop) = []
    end
  end
end
