# frozen_string_literal: true

require_relative "../value"
require_relative "grid_scoring"

module NutShelf
  module Core
    module Trips
      # A dish by its number in a table. Frozen.
      Option =
        Value.of(:number, :key) do
          # Asked over and over.
          def ==(other) = number == other&.number
        end

      # All that is to know of a trip to weigh its grids, without the food tables: it can be sent to another process.
      class GridTable
        include GridScoring

        # @param rows [Array<Hash{Integer=>AtMeal}>] by slot, by the number of the dish
        # @param slots [Array<Slot>]
        # @param stock [Hash{String=>Array<Array(Date, Rational)>}] see GridScore, first date first
        # @param targets [Hash{Date=>Rational}]
        def initialize(rows:, slots:, stock:, targets:)
          @rows = rows
          @slots = slots
          @stock = stock
          @targets = targets
        end

        # @param option [Option]
        # @param at [Integer] slot
        # @return [AtMeal]
        def weighed(option, at) = @rows[at].fetch(option.number)
      end
    end
  end
end
