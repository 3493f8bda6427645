# frozen_string_literal: true

require_relative "../../core/buying/aisle_order"
require_relative "../command"
require_relative "../refusal"

module NutShelf
  module Desk
    # Comes home: what is in the basket is to be put away, a person's own lines wait for the next trip, and the shop's
    # aisles are walked next time as they were ticked this time.
    class EndShopping < Command
      private

      # @param input [Hash] :shopping_id
      def perform(input)
        shopping = house.shopping.shopping(input[:shopping_id])
        raise Refusal.of(:shopping_ended) unless shopping.status == "open"

        learn(shopping)
        house.shopping.end(shopping.id)
        { shopping_id: shopping.id, summary: "Back home. What was bought waits to be put away." }
      end

      def learn(shopping)
        return unless shopping.shop_id

        ticked = house.shopping.of(shopping.id).select { |line| line.status == "ticked" }
        walked = ticked.sort_by { |line| [line.ticked_seq, line.id] }.map(&:aisle)
        shop = house.shopping.shop(shopping.shop_id)
        order = Core::AisleOrder.learn(shop.aisles, walked)
        house.records.update("shop", shop.id, { aisles: order }) unless order == shop.aisles
      end
    end
  end
end
