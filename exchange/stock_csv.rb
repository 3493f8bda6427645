# frozen_string_literal: true

require_relative "../core/quantity/decimal"
require_relative "../core/quantity/money"
require_relative "../core/quantity/unit"
require_relative "sheet"

module NutShelf
  module Exchange
    # Writes the stock as CSV that a spreadsheet opens, formulas defused, and that reads in again.
    module StockCsv
      COLUMNS = [
        "food", "label", "count", "size", "unit", "place", "best before", "use by", "made on", "opened on",
        "frozen on", "bought on", "price", "state", "lot", "directions", "kept in", "bought for", "set apart",
        "remark"
      ].freeze
      # What a household made, or how it came: words that read in again.
      STATES = {
        "left_over" => "leftover", "home_canned" => "home-bottled", "home_dried" => "home-dried",
        "ripening" => "unripe", "thawed" => "thawed", "opened" => "opened"
      }.freeze

      module_function

      # @param rows [Array<Array>] see row
      # @return [String]
      def write(rows) = Sheet.write(COLUMNS, rows)

      # The same row with its date held by a use-by, where its story does not go into a list.
      # @param remark [String] why, for whoever opens the list
      def held(row, until_on, remark)
        row.each_with_index.map do |cell, index|
          { "best before" => nil, "use by" => until_on, "remark" => remark }.fetch(COLUMNS[index], cell)
        end
      end

      # The same row as not to eat.
      def apart(row, reason)
        row.each_with_index.map { |cell, index| COLUMNS[index] == "set apart" ? cell || reason : cell }
      end

      # @param lot [Hash] a stack with :food_name and :place_name
      # @return [Array] cells by COLUMNS
      def row(lot)
        count, size, unit = amounts(lot)
        best = lot.printed_kind == "best_before" ? lot.printed_on : nil
        use_by = lot.printed_kind == "use_by" ? lot.printed_on : nil
        [
          lot.food_name,
          lot.label,
          count,
          size,
          unit,
          lot.place_name,
          best,
          use_by,
          lot.made_on,
          event_day(lot, "opened"),
          event_day(lot, "frozen", "moved"),
          lot.acquired_on,
          Core::Money.plain(lot.value_minor),
          state(lot),
          blank(lot.lot_text),
          blank(lot.directions),
          blank(lot.method),
          blank(lot.bought_for),
          reason_apart(lot),
          nil
        ]
      end

      def amounts(lot)
        on_hand = lot.on_hand
        return Core::Decimal.print(on_hand), nil, lot.noun if lot.noun

        pack = lot.open ? on_hand : lot.pack_amount || on_hand
        pack = on_hand if pack.zero? || (on_hand / pack).denominator != 1
        [Core::Decimal.print(on_hand / pack), Core::Decimal.print(pack), Core::Unit.base(lot.dimension.to_sym)]
      end

      # A move into a freezer is a freezing; other moves say nothing about dates here.
      def event_day(lot, *kinds)
        return if kinds.include?("frozen") && !lot.frozen

        lot.history.reverse.find { |event| kinds.include?(event["kind"]) }&.fetch("on")
      end

      def state(lot)
        return "opened" if lot.open && !%w[left_over home_canned home_dried thawed].include?(lot.situation)

        STATES[lot.situation]
      end

      def reason_apart(lot) = lot.quarantined ? blank(lot.quarantine_reason) || "yes" : nil

      def blank(text) = text.to_s.strip.empty? ? nil : text.to_s
    end
  end
end
