# frozen_string_literal: true

require_relative "../../core/value"

module NutShelf
  module Exchange
    # What the print room prints: one make for every paper, whether it becomes a page of the browser or a PDF.
    module Papers
      # A paper: `title`, a line below it, and parts in their order. `back`: where it came from. Frozen.
      Paper = Core::Value.of(:title, :subtitle, :back, parts: [].freeze)

      # Rows under headings; `shares`: how wide each column is, of all of them. A cell is text, lines divided by line
      # breaks. Frozen.
      Table = Core::Value.of(:heading, :columns, :shares, rows: [].freeze) do
        # @return [Hash] as JSON
        def told = { kind: "table", heading: heading, columns: columns, shares: shares, rows: rows, items: [] }
      end

      # Lines under a heading. Frozen.
      Lines = Core::Value.of(:heading, items: [].freeze) do
        # @return [Hash] as JSON
        def told = { kind: "lines", heading: heading, columns: [], shares: [], rows: [], items: items }
      end
    end
  end
end
