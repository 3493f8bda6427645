# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # A pack that can be bought: `given` is what one pack gives, `price_minor` what it costs, `max` how many of it can
      # be had (nil: as many as one likes); `name` for sorting those of one food by size. Frozen.
      Offer =
        Value.of(:given, :price_minor, :max, estimated: false) do
          # @return [Food]
          def food = given.stack.food

          # @return [Array] by which offers stand in order: key, then size
          def rank = [food.key, given.stack.pack_g]
        end
    end
  end
end
