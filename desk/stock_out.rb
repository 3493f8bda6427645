# frozen_string_literal: true

require "base64"
require_relative "../exchange/stock_csv"
require_relative "new_stack"
require_relative "redate"
require_relative "stock_file"

module NutShelf
  module Desk
    # The stock as a list that reads in again. A list has no room for a story (frozen, thawed, topped up, looked at):
    # each row is read back as an import would, and where that would make it good for longer, its last good day stands
    # in the list as a use-by and says so. What is not to eat goes out as set apart.
    class StockOut
      REMARK = "Its story does not go into a list: its last good day stands here as a use-by."
      NO_AGE = "Nobody knows how old it is."

      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @return [String] CSV
      def csv
        lots = @work.house.lots.for_export
        rows = lots.map { |lot| Exchange::StockCsv.row(lot) }
        again = read_back(rows)
        Exchange::StockCsv.write(rows.zip(lots, again).map { |row, lot, dating| safe(row, lot, dating) })
      end

      private

      def safe(row, lot, dating)
        return Exchange::StockCsv.apart(row, lot.steps.last.to_s) if lot.stopped && !dating&.stopped
        return undated(row, dating) if lot.usable_until.nil?
        return row if dating && !later?(dating, lot)

        Exchange::StockCsv.held(row, lot.usable_until, REMARK)
      end

      # A list would date it from the day it is read in (leftovers, what was thawed): what has no date gets none that
      # way.
      def undated(row, dating) = dating&.usable_until ? Exchange::StockCsv.apart(row, NO_AGE) : row

      def later?(dating, lot) = dating.usable_until.nil? || dating.usable_until > lot.usable_until

      # @return [Array<Core::Dating, nil>] what an import would make of each row, nil where it would refuse it
      def read_back(rows)
        file = StockFile.new(@work, { content: Base64.strict_encode64(Exchange::StockCsv.write(rows)) })
        file.rows.map { |row| row.input && dating(row.input) }
      end

      def dating(input)
        facts = NewStack.new(@work, input, acquired: input.key?(:occurred_on)).facts(dry: true)
        Redate.new(@work).judge(Store::Rows::Lot.new(**facts, start_place_id: facts[:place_id]))
      rescue Invalid
        nil
      end
    end
  end
end
