# frozen_string_literal: true

require_relative "label_line"
require_relative "../core/recipes/ingredient_reader"
require_relative "../exchange/recipes/file"

module NutShelf
  module Boot
    # Reads a recipe as bringing it in would, without a household and without a database.
    module RecipeFile
      module_function

      # @param bytes [String] the file
      # @param today [Date]
      # @param languages [Array<String>]
      # @param settings [Hash] :measures and what else a LabelLine::Reader takes
      # @return [Array<Hash>] for JSON: every recipe with how each of its lines is read
      # @raise [Exchange::Recipes::File::Unreadable]
      def preview(bytes, today:, languages: ["en"], **settings)
        reader =
          Core::Recipes::IngredientReader.new(
            LabelLine.reader(languages: languages, **settings),
            foods: Reference.catalog.foods, today: today, measures: settings.fetch(:measures, {})
          )
        Exchange::Recipes::File.new(bytes).recipes.map { |one| shown(one, reader) }
      end

      # @return [Hash]
      def shown(written, reader)
        {
          name: written.name, servings: written.servings, total_minutes: written.total_minutes,
          active_minutes: written.active_minutes, lines: written.lines.map { |line| line_of(reader.read(line)) },
          steps: written.steps, problems: written.problems.map(&:to_h)
        }
      end

      # @param line [Core::Recipes::Ingredient]
      # @return [Hash]
      def line_of(line)
        {
          text: line.text, food: line.food, amount: line.amount && plain(line.amount), unit: line.unit,
          optional: line.optional, **(line.made ? { made: true } : {}), questions: line.questions.map(&:to_h)
        }
      end

      def plain(number) = number.denominator == 1 ? number.to_i : number.round(2).to_f
    end
  end
end
