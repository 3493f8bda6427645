# frozen_string_literal: true

require_relative "../label_line/stem"
require_relative "../quantity/measures"

module NutShelf
  module Core
    module Recipes
      # The lines of a dish as a cook reads them: as they were written, else in plain words that read in again.
      module LineWords
        METRIC = Measures.of("metric")

        module_function

        # @param recipe [Recipe]
        # @param foods [Hash{String=>Food}]
        # @param measures [Measures] of whoever reads it
        # @return [Array<Array(String, RecipeLine or nil)>] in their order; nil: no food was found for it
        def all(recipe, foods, measures: METRIC)
          known = [*recipe.lines, *recipe.makes].map do |line|
            [line.position, of(line, foods[line.food_key], measures), line]
          end
          plain = recipe.texts.map { |one| [one.position, one.text, nil] }
          [*known, *plain].each_with_index.sort_by do |one, at|
            [one.first, at]
          end.map { |(_, text, line), _| [text, line] }
        end

        # @param line [RecipeLine]
        # @param food [Food, nil]
        # @return [String] "400 g canned chickpeas, drained (optional)", "makes 500 ml broth"
        def of(line, food, measures = METRIC)
          return line.text unless line.text.empty?

          [
            *(if line.made
                "makes "
              end), measures.free(line.quantity), " ", food ? named(food, line.quantity) : line.food_key,
            *(", #{line.note}" unless line.note.empty?), *(" (optional)" if line.optional)
          ].join
        end

        # One onion, two onions.
        # @return [String]
        def named(food, quantity)
          name = plain(food)
          return name unless quantity.dimension == :count && quantity.amount <= 1

          name.sub(/\p{L}+\z/) { |word| LabelLine::Stem.singular(word) }
        end

        # @param food [Food] shipped: "Chickpeas, canned"; the household's own: "Sea beans"
        # @return [String] "tinned chickpeas", "Sea beans"
        def plain(food) = food.line_name || food.name
      end
    end
  end
end
