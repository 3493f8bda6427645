# frozen_string_literal: true

require "csv"
require "json"
require_relative "reference"
require_relative "../core/label_line/reader"
require_relative "../core/label_line/tongues"

module NutShelf
  module Boot
    # Sets up the label line reader from the shipped names, with or without a household.
    module LabelLine
      NAMES = File.join(Reference::FOLDER, "food_names.csv")
      WORDS = File.join(Reference::FOLDER, "food_words.csv")
      LINE_WORDS = File.join(Reference::FOLDER, "line_words.csv")
      LANGUAGES = %w[de fr es].freeze
      DEMO = File.expand_path("../demo/places.json", __dir__)
      NUMBERS = %w[count amount].freeze

      module_function

      # @return [Array<Array(String, Array<String>)>] food key and its names
      def names = CSV.read(NAMES, headers: true).map { |row| [row["food_key"], row["names"].split(";")] }

      # Words of other languages for foods, for lists brought in from elsewhere.
      # @return [Hash{String=>Array<String>}] food keys by down-cased word
      def foreign_words = food_words.values.reduce({}) { |all, words| all.merge(words) { |_, one, two| one | two } }

      # @return [Hash{String=>Hash{String=>Array<String>}}] by language, food keys by down-cased word
      def food_words
        rows = CSV.read(WORDS, headers: true)
        LANGUAGES.to_h do |language|
          pairs = rows.flat_map { |row| row[language].to_s.split(";").map { |word| [word.downcase, row["food_key"]] } }
          [language, pairs.group_by(&:first).transform_values { |list| list.map(&:last).uniq }]
        end
      end

      # @return [Core::LabelLine::Tongues]
      def tongues
        rows = CSV.read(LINE_WORDS, headers: true)
        words =
          rows.group_by { |row| row["language"] }.transform_values do |list|
            list.flat_map { |row| row["words"].split(";").map { |word| [word, row["means"]] } }.to_h
          end
        Core::LabelLine::Tongues.new(words: words, foods: food_words)
      end

      # @param places [Array<Core::LabelLine::KnownPlace>]
      # @param languages [Array<String>]
      # @param settings [Hash] :day_order, :currency, :measures
      # @return [Core::LabelLine::Reader] without a household
      def reader(places:, languages: ["en"], **settings)
        known = tongues
        lexicon =
          Core::LabelLine::Lexicon.new(
            foods: Reference.catalog.foods,
            names: names,
            places: places,
            **known.foods(languages)
          )
        Core::LabelLine::Reader.new(lexicon, tongue: known.tongue(languages, kept: places.map(&:name)), **settings)
      end

      # @return [Array<Core::LabelLine::KnownPlace>] the demo's
      def demo_places
        JSON
          .parse(File.read(DEMO))
          .map { |place| Core::LabelLine::KnownPlace.new(name: place["name"], kind: place["kind"]) }
      end

      # @param json [String] a list of names, or of objects with name and kind
      # @return [Array<Core::LabelLine::KnownPlace>] a name alone says by its words what kind of place it is
      def places(json)
        JSON.parse(json).map do |place|
          name, kind = place.is_a?(Hash) ? place.values_at("name", "kind") : [place, nil]
          Core::LabelLine::KnownPlace.new(
            name: name.to_s,
            kind: kind || Core::LabelLine::PlaceField.kind_of(name.to_s)
          )
        end
      end

      # @return [Core::LabelLine::Reader] with the demo's foods and places
      def demo_reader = reader(places: demo_places)

      # @param draft [Core::LabelLine::Draft]
      # @return [Hash] for one JSON object
      def as_json(draft)
        keys = %i[count amount unit food date date_kind opened_on frozen_on thawed_on place price_minor state lot_text]
        keys
          .to_h { |key| [key, plain(draft.public_send(key))] }
          .merge(questions: draft.questions.map(&:to_h), unread: draft.unread, notes: draft.notes)
      end

      def plain(value)
        case value
        when Rational
          value.denominator == 1 ? value.to_i : value.to_f
        when Date
          value.iso8601
        else
          value
        end
      end
    end
  end
end
