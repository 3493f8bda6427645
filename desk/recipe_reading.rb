# frozen_string_literal: true

require_relative "../core/recipes/ingredient_reader"
require_relative "household_lexicon"

module NutShelf
  module Desk
    # Reads what goes into a dish by the household's own foods, nicknames, cups and languages.
    class RecipeReading
      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
        @lexicon = HouseholdLexicon.new(work)
      end

      # @param text [String]
      # @return [Core::Recipes::Ingredient]
      def line(text) = reader.read(text)

      # @param key [String, nil]
      # @return [Integer, nil] the household's id of a food the reader names
      def food_id(key) = key && @lexicon.rows[key]&.id

      # @return [String, nil]
      def food_name(key) = key && @lexicon.rows[key]&.name

      private

      def reader
        @reader ||=
          Core::Recipes::IngredientReader.new(
            @lexicon.reader, foods: @lexicon.lexicon.foods, today: @work.today, measures: @lexicon.measures
          )
      end
    end
  end
end
