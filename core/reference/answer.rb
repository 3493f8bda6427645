# frozen_string_literal: true

module NutShelf
  module Core
    # What the keeping tables say to one question: a row, or an outcome and the reason why there is none.
    # `outcome` is :row, :unsafe, :not_applicable or :no_figure. Frozen.
    Answer = Struct.new(:outcome, :row, :reason, keyword_init: true) do
      def initialize(**facts)
        super
        freeze
      end

      def self.row(row) = new(outcome: :row, row: row)

      def row? = outcome == :row
    end
  end
end
