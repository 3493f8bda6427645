# frozen_string_literal: true

require_relative "../value"
require_relative "outcome"

module NutShelf
  module Core
    # How the worth of what is in the house went from one day to another. `came`: way in to minor units (bought, made,
    # brought_in, found, corrected, which may be below zero); `left`: kind of outcome to minor units. Frozen.
    Balance =
      Value.of(:opening, :closing, :came, :left) do
        # @return [Boolean] whether not a cent is missing
        def even? = opening + came.values.sum - left.values.sum == closing
      end

    class Balance
      IN = %w[bought made brought_in found corrected].freeze
    end
  end
end
