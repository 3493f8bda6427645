# frozen_string_literal: true

require_relative "../planner/problem"
require_relative "../value"
require_relative "weight"

module NutShelf
  module Core
    # How the packs of a food bear on a plan of some days: what a sealed one is good for once it is opened, and the
    # pack it is bought in, where what is left of that will not keep beyond the days. Whatever keeps is bought by the
    # gram there: the rest of a bag of rice is no loss.
    class PackPlan
      # `opened_days` nil where opening makes no difference to the days, `shop` nil where any amount is bought. Frozen.
      Packing = Value.of(:opened_days, :shop)

      # @param shelf [Shelf]
      # @param days [Integer] that are planned
      # @param strict [Boolean]
      # @param rests [#call] food key to the days what is left of a bought pack is good, nil for longer than anybody
      #   plans
      def initialize(shelf, days, strict:, rests:)
        @shelf = shelf
        @days = days
        @strict = strict
        @rests = rests
      end

      # @param stack [Stack]
      # @return [Rational, nil] grams of a sealed pack of it
      def self.sealed(stack) = stack.sealed_packs? ? stack.pack : nil

      # @param key [String] of a food
      # @return [Packing]
      def of(key) = Packing.new(opened_days: opened_days(key), shop: shop(key))

      private

      def opened_days(key)
        sealed = @shelf.of(key, strict: @strict).select { |stack| self.class.sealed(stack) && stack.opened }
        days = sealed.filter_map { |stack| @strict ? stack.opened.strict_days : stack.opened.days }.min
        days if days && days < @days
      end

      def shop(key)
        return if @shelf.free?(key)

        days = @rests.call(key)
        pack = Weight.usual_pack(@shelf.foods.fetch(key))
        pack&.positive? ? Planner::Shop.new(pack: pack.to_r, days: (days if days && days < @days)) : nil
      end
    end
  end
end
