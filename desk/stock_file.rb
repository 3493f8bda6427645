# frozen_string_literal: true

require "base64"
require "digest"
require_relative "../exchange/stock_rows"
require_relative "deadline"
require_relative "belonging"
require_relative "household_lexicon"
require_relative "refusal"

module NutShelf
  module Desk
    # A stock list somebody brings along, read with this household's foods and places.
    class StockFile
      attr_reader :file

      # @param work [UnitOfWork]
      # @param input [Hash] :content (base64), :columns, :foods, :places, :place_id, :default_places (kind to id),
      #   :heading (line, 0 for none), :skip (lines)
      # @raise [Invalid] when it is no table at all
      def initialize(work, input)
        @work = work
        @input = input
        @bytes = Base64.strict_decode64(input[:content])
        @file = Exchange::CsvFile.new(@bytes, heading: input[:heading], skip: input[:skip] || [])
      rescue ArgumentError
        raise Refusal.of(:file_torn, at: "/content")
      rescue Exchange::CsvFile::Unreadable => e
        raise Refusal.of(:file_unreadable, at: "/content", words: e.message)
      end

      # @return [Array<Hash>] columns with the field in force
      def columns
        changed = (@input[:columns] || {}).to_h { |index, field| [Integer(index.to_s, 10), field] }
        @columns ||=
          file.columns.map do |column|
            changed.key?(column[:index]) ? { **column, field: known(changed[column[:index]]) } : column
          end
      end

      # @return [Array<Exchange::StockRows::Row>]
      def rows
        @rows ||=
          Exchange::StockRows.new(
            file,
            columns: chosen,
            units: units,
            lexicon: words.lexicon,
            settings: settings,
            tick: Deadline.new(Core::Limits::READING_SECONDS).method(:check)
          ).rows
      end

      # @return [Hash{Integer=>String}] field by column number
      def chosen = columns.select { |column| column[:field] }.to_h { |column| [column[:index], column[:field]] }

      # @return [Hash{Integer=>String}] units that stand in headings
      def units = columns.select { |column| column[:unit] }.to_h { |column| [column[:index], column[:unit]] }

      # @return [Array<Hash>] columns that hold something and are not read
      def unread = columns.select { |column| column[:field].nil? && column[:cells].positive? }

      # @return [Integer] what a list is known by, when it comes again
      def fingerprint = Digest::SHA256.digest(@bytes).unpack1("q>") & ((2**52) - 1)

      # @return [Array<Hash>] :line and :text of what a person should know before they say yes
      def notes
        first = {}
        rows.select(&:input).filter_map do |row|
          same = first[row.input] and
            next { line: row.line, text: "The same as line #{same}: leave it out if it is there once only." }
          first[row.input] = row.line
          nil
        end
      end

      # @return [String, nil] when this very list was brought in before
      def before
        act = @work.house.ledger.imported(fingerprint) or return
        "This list was brought in on #{Core::Words.day(act.occurred_on)} by #{act.person}. Bringing it in again " \
          "doubles what it holds."
      end

      # @return [Array<Exchange::StockRows::Problem>] what cannot be read, by line and column
      def problems = rows.flat_map(&:problems)

      # @return [Array<Hash>] words that name no food here, how often, and foods they may mean
      # Only the first ones get suggestions: each is a search of its own.
      def unknown_foods
        rows
          .reject(&:input)
          .select { |row| row.problems.any? { |problem| problem.reason.include?("is no food known") } }
          .group_by(&:food_text)
          .each_with_index
          .map do |(text, list), index|
            { text: text, lines: list.size, likely: index < Core::Limits::SUGGESTIONS ? likely(text) : [] }
          end
      end

      # @return [Array<Hash>] words that name no place here, how often, and what kind they sound like
      def unknown_places
        rows
          .select { |row| row.problems.any? { |problem| problem.reason.start_with?("Which place is") } }
          .group_by(&:place_text)
          .map do |text, list|
            { text: text, lines: list.size, kind: Exchange::StockWords.place_kind(text) || "cupboard" }
          end
      end

      private

      def words = @words ||= HouseholdLexicon.new(@work)

      # @return [String] the kind of place such food belongs into as it is bought
      def belongs(food_id) = food_id ? belonging.kinds(@work.food_row(food_id)).first : "cupboard"

      # @return [Integer, nil] the place the household said it belongs
      def home(food_id) = food_id && @work.food_row(food_id).home_place_id.then { |id| id if @work.places.key?(id) }

      def belonging = @belonging ||= Belonging.new(@work)

      def known(field) = Exchange::Headings::FIELDS.include?(field) ? field : nil

      def likely(text)
        @work.house.foods.search(text[0, 60], limit: 3).map { |row| { id: row.id, name: row.name } }
      end

      def settings
        rows = words.rows.values
        ids = rows.to_h { |row| [row.key, row.id] }
        {
          foreign_words: @work.services.foreign_words.transform_values { |keys| keys.filter_map { |key| ids[key] } },
          day_order: @work.household.day_order.to_sym,
          currency: @work.household.currency,
          measures: words.measures,
          today: @work.today,
          food_ids: ids,
          food_by_name: rows.to_h { |row| [row.name.downcase, row.id] },
          foods: (@input[:foods] || {}).transform_keys(&:to_s),
          places: (@input[:places] || {}).transform_keys(&:to_s),
          place_ids: @work.places.values.to_h { |row| [row.name.downcase, row.id] },
          place_id: @input[:place_id],
          default_places: @input[:default_places]&.transform_keys(&:to_s),
          belongs: method(:belongs),
          home: method(:home)
        }
      end
    end
  end
end
