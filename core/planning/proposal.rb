# frozen_string_literal: true

require_relative "../quantity/quantity"

module NutShelf
  module Core
    # Rounds what a recipe works out to what a hand takes: whole grams, half pieces, whole eggs. Planning
    # stays exact; only what is proposed to a person is rounded.
    module Proposal
      EGGS = "Dairy and eggs"

      module_function

      # @param units [Rational] amount in the stack's own units
      # @param on_hand [Rational] what the stack has; more is never proposed, and all of it stays all of it
      # @param dimension [Symbol] of the stack
      # @param food [Food]
      # @return [Rational]
      def amount(units, on_hand:, dimension:, food:)
        return units if units >= on_hand

        [dimension == :count ? pieces(units, food) : [units.round, 1].max.to_r, on_hand].min
      end

      # How much of a food is meant, as hands count it: never less than what is needed.
      # @param quantity [Quantity] in the food's own dimension
      # @param food [Food]
      # @return [Quantity]
      def need(quantity, food)
        amount = quantity.dimension == :count ? pieces(quantity.amount, food) : quantity.amount.ceil.to_r
        Quantity.new(amount, quantity.dimension)
      end

      # @return [Rational] whole eggs, halves of anything else that is counted
      def pieces(units, food) = food.aisle == EGGS ? units.ceil.to_r : Rational((units * 2).ceil, 2)
    end
  end
end
