# frozen_string_literal: true

require "base64"
require_relative "../exchange/stock_rows"
require_relative "deadline"
require_relative "lexicon_of"

module NutShelf
  module Desk
    # A stock list somebody brings along, read with this household's foods and places.
    class StockFile
      attr_reader :file

      # @param room [Room]
      # @param input [Hash] :content (base64), :columns, :foods, :place_id
      # @raise [Invalid] when it is no table at all
      def initialize(room, input)
        @room = room
        @input = input
        @file = Exchange::CsvFile.new(Base64.strict_decode64(input[:content]))
      rescue ArgumentError
        raise Invalid.new("The file did not arrive whole.", code: "invalid", pointer: "/content", remedy: "Choose it again.")
      rescue Exchange::CsvFile::Unreadable => e
        raise Invalid.new(e.message, code: "invalid", pointer: "/content", remedy: "Save the list as CSV and choose it again.")
      end

      # @return [Array<Hash>] columns with the field in force
      def columns
        changed = (@input[:columns] || {}).to_h { |index, field| [Integer(index.to_s, 10), field] }
        @columns ||= file.columns.map { |column| changed.key?(column[:index]) ? { **column, field: known(changed[column[:index]]) } : column }
      end

      # @return [Array<Exchange::StockRows::Row>]
      def rows
        @rows ||= Exchange::StockRows.new(file, columns: chosen, lexicon: words.lexicon, settings: settings,
                                                tick: Deadline.new(Core::Limits::READING_SECONDS).method(:check)).rows
      end

      # @return [Hash{Integer=>String}] field by column number
      def chosen = columns.select { |column| column[:field] }.to_h { |column| [column[:index], column[:field]] }

      def problems = rows.flat_map(&:problems)

      # @return [Array<Hash>] words that name no food here, how often, and foods they may mean
      # Only the first ones get suggestions: each is a search of its own.
      def unknown_foods
        rows.reject(&:input).select { |row| row.problems.any? { |problem| problem.reason.include?("is no food known") } }.group_by(&:food_text)
            .each_with_index.map { |(text, list), index| { text: text, lines: list.size, likely: index < Core::Limits::SUGGESTIONS ? likely(text) : [] } }
      end

      # @return [Array<Hash>] words that name no place here, how often, and what kind they sound like
      def unknown_places
        rows.select { |row| row.problems.any? { |problem| problem.reason.start_with?("Which place is") } }.group_by(&:place_text)
            .map { |text, list| { text: text, lines: list.size, kind: Exchange::StockWords.place_kind(text) || "cupboard" } }
      end

      private

      def words = @words ||= LexiconOf.new(@room)

      def known(field) = Exchange::Headings::FIELDS.include?(field) ? field : nil

      def likely(text) = @room.house.foods.search(text[0, 60], limit: 3).map { |row| { id: row[:id], name: row[:name].to_s } }

      def settings
        rows = words.rows.values
        ids = rows.to_h { |row| [row[:key], row[:id]] }
        { foreign_words: @room.office.foreign_words.transform_values { |keys| keys.filter_map { |key| ids[key] } },
          day_order: @room.household[:day_order].to_sym, currency: @room.household[:currency], measures: words.measures, today: @room.today, food_ids: ids,
          food_by_name: rows.to_h { |row| [row[:name].to_s.downcase, row[:id]] }, foods: (@input[:foods] || {}).transform_keys(&:to_s), places: (@input[:places] || {}).transform_keys(&:to_s),
          place_ids: @room.places.values.to_h { |row| [row[:name].to_s.downcase, row[:id]] }, place_id: @input[:place_id] }
      end
    end
  end
end
