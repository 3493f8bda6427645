# frozen_string_literal: true

require "csv"
require "json"
require_relative "clock"
require_relative "reference"
require_relative "../core/label_line/reader"

module NutShelf
  module Boot
    # Sets up the label line reader from the shipped names, with or without a household.
    module LabelLine
      NAMES = File.join(Reference::FOLDER, "food_names.csv")
      WORDS = File.join(Reference::FOLDER, "food_words.csv")
      DEMO = File.expand_path("../demo/places.json", __dir__)
      NUMBERS = %w[count amount].freeze

      module_function

      # @return [Array<Array(String, Array<String>)>] food key and its names
      def names = CSV.read(NAMES, headers: true).map { |row| [row["food_key"], row["names"].split(";")] }

      # Words of other languages for foods, for lists brought in from elsewhere.
      # @return [Hash{String=>Array<String>}] food keys by down-cased word
      def foreign_words
        rows = CSV.read(WORDS, headers: true)
        rows.flat_map { |row| %w[de fr es].flat_map { |language| row[language].to_s.split(";").map { |word| [word.downcase, row["food_key"]] } } }
            .group_by(&:first).transform_values { |pairs| pairs.map(&:last).uniq }
      end

      # @return [Core::LabelLine::Reader] with the demo's foods and places
      def demo_reader
        places = JSON.parse(File.read(DEMO)).map { |place| Core::LabelLine::KnownPlace.new(name: place["name"], kind: place["kind"]) }
        Core::LabelLine::Reader.new(Core::LabelLine::Lexicon.new(foods: Reference.catalog.foods, names: names, places: places))
      end

      # @param draft [Core::LabelLine::Draft]
      # @return [Hash] for one JSON object
      def as_json(draft)
        keys = %i[count amount unit food date date_kind opened_on frozen_on place price_minor state]
        keys.to_h { |key| [key, plain(draft[key])] }.merge(questions: draft.questions.map(&:to_h), unread: draft.unread)
      end

      def plain(value)
        case value
        when Rational then value.denominator == 1 ? value.to_i : value.to_f
        when Date then value.iso8601
        else value
        end
      end
    end
  end
end
