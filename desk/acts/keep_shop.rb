# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # A shop the household goes to, its name and the order of its aisles; or one it goes to no more.
    class KeepShop < Act
      private

      # @param input [Hash] :shop_id (nil: a new one) with :version, :name, :aisles, :gone
      def perform(input)
        name = input[:name]&.strip
        twin = house.shopping.shops.find { |shop| shop.name.casecmp?(name.to_s) && shop.id != input[:shop_id] }
        raise Refusal.of(:shop_name_taken, at: "/name", name: name) if twin
        return made(name) unless input[:shop_id]

        change(input, name)
      end

      def made(name)
        raise Refusal.of(:shop_without_name, at: "/name") if name.to_s.empty?

        kept = entry("keep_shop", "New shop: #{name}")
        done(kept, shop_id: kept.make("shop", { name: name }))
      end

      def change(input, name)
        shop = house.records.lock("shop", input[:shop_id])
        refuse_stale(shop, input[:version], { name: shop.name })
        changes = { name: name, aisles: input[:aisles]&.uniq,
                    archived_at: (Time.now.utc.iso8601 if input[:gone]) }.compact
        raise Refusal.of(:says_that_already) if changes.all? { |field, value| shop.public_send(field) == value }

        kept = entry("keep_shop", input[:gone] ? "No more shopping at #{shop.name}" : "Changed #{name || shop.name}")
        kept.alter("shop", shop, changes)
        done(kept, shop_id: shop.id)
      end
    end
  end
end
