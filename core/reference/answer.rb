# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What the keeping tables say to one question: a row, or an outcome and the reason why there is none.
    # `outcome` is :row, :unsafe, :not_applicable or :no_figure. Frozen.
    Answer =
      Value.of(:outcome, :row, :reason) do
        # @return [Answer] that is a row
        def self.row(row) = new(outcome: :row, row: row)

        # @return [Boolean] whether there is a figure
        def row? = outcome == :row
      end
  end
end
