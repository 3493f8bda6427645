# frozen_string_literal: true

require "csv"
require_relative "../core/quantity/decimal"

module NutShelf
  module Exchange
    # Writes the stock as CSV that a spreadsheet opens, formulas defused, and that reads in again.
    module StockCsv
      COLUMNS = ["food", "label", "count", "size", "unit", "place", "best before", "use by", "made on", "opened on", "frozen on", "bought on", "price", "state"].freeze
      FORMULA = /\A[=+\-@\t\r]/
      BOM = "\uFEFF"

      module_function

      # @param lots [Array<Hash>] stacks with :food_name and :place_name
      # @return [String]
      def write(lots)
        BOM + CSV.generate(row_sep: "\r\n") do |csv|
          csv << COLUMNS
          lots.each { |lot| csv << row(lot).map { |cell| defuse(cell) } }
        end
      end

      def row(lot)
        count, size, unit = amounts(lot)
        best = lot[:printed_kind] == "best_before" ? lot[:printed_on] : nil
        use_by = lot[:printed_kind] == "use_by" ? lot[:printed_on] : nil
        [lot[:food_name].to_s, lot[:label], count, size, unit, lot[:place_name].to_s, best, use_by, lot[:made_on], event_day(lot, "opened"), event_day(lot, "frozen", "moved"), lot[:acquired_on],
         format("%.2f", Rational(lot[:value_minor], 100)), state(lot)]
      end

      def amounts(lot)
        on_hand = lot[:on_hand].to_r
        return [Core::Decimal.print(on_hand), nil, lot[:noun]] if lot[:noun]

        pack = lot[:open] ? on_hand : lot[:pack_amount]&.to_r || on_hand
        pack = on_hand if pack.zero? || (on_hand / pack).denominator != 1
        unit = { "mass" => "g", "volume" => "ml", "count" => "piece" }.fetch(lot[:dimension])
        [Core::Decimal.print(on_hand / pack), Core::Decimal.print(pack), unit]
      end

      # A move into a freezer is a freezing; other moves say nothing about dates here.
      def event_day(lot, *kinds)
        return if kinds.include?("frozen") && !lot[:frozen]

        lot[:history].to_a.reverse.find { |event| kinds.include?(event["kind"]) }&.fetch("on")
      end

      def state(lot)
        return "opened" if lot[:open] || lot[:situation] == "opened"

        lot[:situation] == "left_over" ? "leftover" : nil
      end

      def defuse(cell) = cell.is_a?(String) && cell.match?(FORMULA) ? "'#{cell}" : cell
    end
  end
end
