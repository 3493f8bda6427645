# frozen_string_literal: true

require "securerandom"
require_relative "../command"
require_relative "../refusal"
require_relative "../shopping/shopping_list"
require_relative "../shopping/written_line"

module NutShelf
  module Desk
    # Takes the list along: as it stands now, so that nothing vanishes from under a thumb, with everybody's own lines.
    class BeginShopping < Command
      private

      # The list is worked out before anybody has to wait.
      def prepare(input)
        shop_id = input[:shop_id] && house.shopping.shop(input[:shop_id]).id
        @lines = lines(ShoppingList.new(work, days: input[:days], shop_id: shop_id))
      end

      # @param input [Hash] :shop_id, :days (see ShoppingList), :budget_minor
      def perform(input)
        raise Refusal.of(:out_shopping_already) if house.shopping.open

        id = house.shopping.begin(
          account_id: work.caller.account_id, on_date: work.on, **input.slice(:shop_id, :budget_minor)
        )
        house.shopping.take_along(id, house.shopping.waiting.map(&:id))
        @lines.each { |facts| house.shopping.add_line({ **facts, shopping_id: id }) }
        { shopping_id: id, summary: "The list is taken along." }
      end

      def lines(list)
        written = WrittenLine.new(work, list)
        list.lines.reject { |line| written.now(line).empty? }.map do |line|
          { ref: SecureRandom.hex(10), account_id: work.caller.account_id, source: "list", **written.of(line).to_h }
        end
      end
    end
  end
end
