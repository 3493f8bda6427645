# frozen_string_literal: true

require "csv"
require "json"
require_relative "../../core/recipes/line_words"

module NutShelf
  module Exchange
    module Recipes
      # A recipe for other programs and people: JSON-LD of schema.org that reads in again to the same recipe, text,
      # a table.
      class Out
        # @param recipe [Core::Recipe]
        # @param foods [Hash{String=>Core::Food}]
        def initialize(recipe, foods)
          @recipe = recipe
          @foods = foods
        end

        # @return [String] https://schema.org/Recipe
        def json
          steps = @recipe.steps.map { |text| { "@type": "HowToStep", text: text } }
          JSON.pretty_generate(
            "@context": "https://schema.org", "@type": "Recipe", name: @recipe.name,
            recipeYield: "#{@recipe.servings} servings", prepTime: "PT#{@recipe.active_minutes}M",
            totalTime: "PT#{@recipe.total_minutes}M", recipeCategory: @recipe.meal, keywords: @recipe.tags.join(", "),
            recipeIngredient: lines, recipeInstructions: steps,
            **{ description: @recipe.notes, author: @recipe.source }.reject { |_, text| text.empty? }
          )
        end

        # @return [String]
        def txt
          <<~TEXT
            #{@recipe.name}

            Serves #{@recipe.servings}
            Active: #{@recipe.active_minutes} min | Total: #{@recipe.total_minutes} min

            Ingredients
            #{lines.map { |line| "- #{line}" }.join("\n")}

            Method
            #{@recipe.steps.each.with_index(1).map { |step, number| "#{number}. #{step}" }.join("\n")}
            #{"\nNotes: #{@recipe.notes}\n" unless @recipe.notes.empty?}
          TEXT
        end

        # @return [String] a row of headings and one of the recipe
        def csv
          CSV.generate do |table|
            table << ["Name", "Servings", "Active minutes", "Total minutes", "Meal", "Ingredients", "Steps", "Notes"]
            table << [
              @recipe.name, @recipe.servings, @recipe.active_minutes, @recipe.total_minutes, @recipe.meal,
              lines.join("\n"), @recipe.steps.join("\n"), @recipe.notes
            ].map { |cell| guarded(cell) }
          end
        end

        # @return [Array<String>] what goes in, as it was written, in its order
        def lines = Core::Recipes::LineWords.all(@recipe, @foods).map(&:first)

        private

        # A cell that a spreadsheet would reckon with is kept a text.
        def guarded(cell) = cell.is_a?(String) && cell.match?(/\A[=+\-@\t\r]/) ? "'#{cell}" : cell
      end
    end
  end
end
