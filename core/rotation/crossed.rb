# frozen_string_literal: true

require_relative "fefo"
require_relative "../value"

module NutShelf
  module Core
    # The same food in two places so that the newer would be eaten first: what stands at hand turns later than what
    # stands further off.
    module Crossed
      # `near` would be taken, `far` should be. Frozen.
      Pair = Value.of(:near, :far)

      MARGIN_DAYS = 14

      module_function

      # @param stocks [Array<Stock>] of one food, in every place
      # @param on [Date]
      # @return [Pair, nil] the first stack at hand and the older one elsewhere, when they differ by more than a fortnight
      def pair(stocks, on:)
        usable = stocks.select { |stock| stock.eligible?(on) && stock.usable_until && !stock.open }
        near = Fefo.order(usable.select(&:working)).first
        far = Fefo.order(usable.reject(&:working)).first
        return unless near && far && (near.usable_until - far.usable_until).to_i > MARGIN_DAYS

        Pair.new(near: near, far: far)
      end
    end
  end
end
