# frozen_string_literal: true

require "date"
require_relative "stock"
require_relative "../value"

module NutShelf
  module Core
    # First expired, first out: which stack to take from, and how much.
    # Earliest-deadline order wastes least when nothing but deadlines counts (Jackson's rule for one
    # machine); spec/core/rotation_spec.rb holds it against every other order.
    module Fefo
      FAR = Date.new(9999, 12, 31)

      # What to take from one stack: `amount` in base units; `opens` when a sealed pack must be opened for
      # it; `look` when somebody must look at it first. Frozen.
      Pick = Value.of(:stock, :amount, :opens, :look)

      module_function

      # @param stocks [Array<Stock>] of one food
      # @return [Array<Stock>] front first: what is open of foods that opening does not shorten, then the
      #   earliest last good day (undated last), then opened, working place, older purchase, id
      def order(stocks) = stocks.sort_by { |stock| key(stock) }

      def key(stock)
        [after(stock.no_opened_limit && stock.open), stock.usable_until || FAR, after(stock.open), after(stock.working),
         stock.acquired_on || FAR, stock.id]
      end

      # What is so comes before what is not, as "false" sorts before "true".
      def after(so) = (!so).to_s

      # @param stocks [Array<Stock>] of one food
      # @param wanted [Rational] amount in base units, as it comes from the pack
      # @param on [Date] day of use
      # @param allow_look [Boolean]
      # @return [Array(Array<Pick>, Rational)] the picks in order, and what is missing
      def draw(stocks, wanted, on:, allow_look: false)
        left = wanted
        picks = order(stocks.select { |stock| stock.eligible?(on, allow_look: allow_look) }).filter_map do |stock|
          next unless left.positive?

          amount = [stock.amount, left].min
          left -= amount
          pick(stock, amount, on)
        end
        [picks.freeze, left]
      end

      def pick(stock, amount, on)
        Pick.new(stock: stock, amount: amount, opens: opens?(stock, amount), look: !stock.usable_until.nil? && stock.usable_until < on)
      end

      def opens?(stock, amount)
        return false if stock.open || stock.pack.nil? || stock.pack <= 1

        (amount / stock.pack).denominator != 1
      end
    end
  end
end
