# frozen_string_literal: true

require_relative "../errors"
require_relative "../value"

module NutShelf
  module Core
    module Kits
      # The planning figures of data/targets.csv for one level of a kit. The level picks the column for people, pets and
      # water; everything else goes by what is usual. Frozen.
      Figures =
        Value.of(:targets, level: :usual) do
          # @param key [String] of a row
          # @return [Rational] in the unit of the row, at the level of the kit
          # @raise [Unknown]
          def at(key) = cell(key, level)

          # @param key [String]
          # @return [Rational] what is usual, whatever the level
          # @raise [Unknown]
          def usual(key) = cell(key, :usual)

          # @param key [String]
          # @param column [Symbol] :low, :usual or :high
          # @return [Rational]
          # @raise [Unknown]
          def cell(key, column)
            row = targets.fetch(key) { raise Unknown, "No planning figure is called #{key.inspect}." }
            Rational(row.fetch(column.to_s))
          end

          # @return [Boolean] whether there is such a row
          def row?(key) = targets.key?(key)
        end

      Figures::LEVELS = %i[low usual high].freeze
    end
  end
end
