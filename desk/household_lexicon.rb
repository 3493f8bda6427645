# frozen_string_literal: true

require_relative "../core/label_line/reader"
require_relative "../core/reference/household_food"

module NutShelf
  module Desk
    # The label line reader with the household's foods, nicknames, places and habits.
    class HouseholdLexicon
      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @return [Core::LabelLine::Lexicon]
      def lexicon
        @lexicon ||= @work.kept(:lexicon, :rules) do
          Core::LabelLine::Lexicon.new(
            foods: rows.transform_values { |row| Core::HouseholdFood.of(row, @work.catalog) },
            names: @work.services.names,
            places: places,
            nicknames: nicknames,
            **@work.services.tongues.foods(languages)
          )
        end
      end

      # @return [Core::LabelLine::Reader]
      def reader
        Core::LabelLine::Reader.new(
          lexicon,
          day_order: @work.household.day_order.to_sym,
          currency: @work.household.currency,
          measures: measures,
          tongue: @work.services.tongues.tongue(languages, kept: places.map(&:name))
        )
      end

      # @return [Hash{String=>Hash}] food rows by key
      def rows = @rows ||= @work.house.foods.all.to_h { |row| [row.key, row] }

      # @return [Core::Place, nil] by the name the reader gives
      def place(name) = @work.places.values.find { |row| row.name == name }

      # @return [Hash] whose cups, pints and gallons, see Units::MEASURES
      def measures = Core::LabelLine::Units::MEASURES.fetch(@work.measures.system)

      private

      def places
        @places ||= @work.places.values.map { |row| Core::LabelLine::KnownPlace.new(name: row.name, kind: row.kind) }
      end

      # @return [Array<String>] the languages the household writes in, "en" always among them
      def languages = ["en", *@work.household.settings["languages"]].uniq

      def nicknames = rows.values.flat_map { |row| row.nicknames.map { |name| [name, row.key] } }.to_h
    end
  end
end
