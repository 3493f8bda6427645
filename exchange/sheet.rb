# frozen_string_literal: true

require "csv"

module NutShelf
  module Exchange
    # Rows as CSV that a spreadsheet opens in the right letters, formulas defused.
    module Sheet
      FORMULA = /\A[=+\-@\t\r]/
      BOM = "\uFEFF"

      module_function

      # @param columns [Array<String>]
      # @param rows [Array<Array>]
      # @return [String]
      def write(columns, rows)
        BOM +
          CSV.generate(row_sep: "\r\n") do |csv|
            csv << columns
            rows.each { |row| csv << row.map { |cell| defuse(cell) } }
          end
      end

      # @return [Object] the cell, with a mark before it where a spreadsheet would reckon with it
      def defuse(cell) = cell.is_a?(String) && cell.match?(FORMULA) ? "'#{cell}" : cell
    end
  end
end
