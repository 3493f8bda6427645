# frozen_string_literal: true

module NutShelf
  module Desk
    # What is wanted in the house of a food, changed within an act.
    module Wants
      module_function

      # @param entry [Entry]
      # @param house [Store::House]
      # @param food_id [Integer]
      # @param changes [Hash] columns of the store
      # @return [Boolean] whether that changes anything
      def change(entry, house, food_id, changes)
        want = house.shopping.want(food_id)
        return !entry.make("want", { food_id: food_id, **changes }).nil? unless want

        locked = house.records.lock("want", want.id)
        entry.alter("want", locked, changes)
        true
      end

      # @param want [Store::Rows::Want, nil]
      # @param changes [Hash]
      # @return [Boolean] whether it says so already
      def same?(want, changes)
        changes.all? { |name, value| (want ? want.public_send(name) : Store::Rows::Want.new.public_send(name)) == value }
      end
    end
  end
end
