# frozen_string_literal: true

require_relative "label_line"
require_relative "../exchange/csv_file"
require_relative "../exchange/stock_rows"

module NutShelf
  module Boot
    # Reads a stock list as an import would, without a household and without a database: foods by their keys, places by
    # their names.
    module StockList
      module_function

      # @param bytes [String] the file
      # @param places [Array<Core::LabelLine::KnownPlace>] the first one takes what names none
      # @param languages [Array<String>]
      # @param today [Date]
      # @param settings [Hash] :day_order, :currency, :measures
      # @return [Hash] for JSON: how it was read, its columns, rows and problems
      # @raise [Exchange::CsvFile::Unreadable] when it is no table
      def preview(bytes, places:, today:, languages: ["en"], **settings)
        file = Exchange::CsvFile.new(bytes)
        rows =
          Exchange::StockRows.new(
            file,
            columns: fields(file),
            units: units(file),
            lexicon: lexicon(places, languages),
            settings: known(places, today, settings)
          ).rows
        {
          encoding: file.encoding,
          delimiter: file.delimiter,
          decimal: file.decimal,
          heading: file.heading_line,
          columns: file.columns,
          unread:
            file
              .columns
              .select { |column| column[:field].nil? && column[:cells].positive? }
              .map { |column| column[:heading] },
          rows: rows.map { |row| shown(row) },
          problems: rows.flat_map(&:problems).map(&:to_h)
        }
      end

      def units(file) = file.columns.select { |column| column[:unit] }.to_h { |column| [column[:index], column[:unit]] }

      def fields(file)
        file.columns.select { |column| column[:field] }.to_h { |column| [column[:index], column[:field]] }
      end

      def lexicon(places, languages)
        Core::LabelLine::Lexicon.new(
          foods: Reference.catalog.foods,
          names: LabelLine.names,
          places: places,
          **LabelLine.tongues.foods(languages)
        )
      end

      def known(places, today, settings)
        foods =
          Reference.catalog.foods.reject { |key, _| key.start_with?("class-") && !Reference.catalog.home_class?(key) }
        {
          day_order: :dmy,
          currency: "EUR",
          measures: {},
          **settings,
          today: today,
          food_ids: foods.keys.to_h { |key| [key, key] },
          food_by_name: foods.values.to_h { |food| [food.name.downcase, food.key] },
          foods: {},
          foreign_words: LabelLine.foreign_words,
          places: {},
          place_ids: places.to_h { |place| [place.name.downcase, place.name] },
          place_id: places.first&.name
        }
      end

      def shown(row)
        return { line: row.line, food: row.food_text, place: row.place_text, read: false } unless row.input

        {
          line: row.line,
          read: true,
          food: row.input[:food_id],
          place: row.input[:place_id],
          **row.input.except(:food_id, :place_id)
        }
      end
    end
  end
end
