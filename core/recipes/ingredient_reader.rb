# frozen_string_literal: true

require_relative "amount_of_food"
require_relative "food_of_line"
require_relative "ingredient"
require_relative "said_amount"

module NutShelf
  module Core
    module Recipes
      # Reads ingredient lines as people write them: "2 tins chopped tomatoes", "1 1/2 cups flour", "a handful of
      # parsley, chopped", "salt to taste", "juice of 1 lemon". What it does not understand stays as it was written.
      class IngredientReader
        BULLET = /\A\s*(?:[-*•·▢☐□–—]|\[[ x]?\]|\d+[.)](?=\s+\d))\s*/
        HEADING = /\A(?:for (?:the|your) [^,\d]+:?|[^\d,]{2,60}:)\s*\z/i
        OPTIONAL =
          /\(?\b(?:optional(?:ly)?|if\s(?:you\slike|liked|desired|using|wanted|available)|to\s(?:serve|garnish|finish)
            |for\s(?:serving|garnish(?:ing)?|sprinkling|dusting|decoration)|as\sa\sgarnish)\b\)?/xi
        TO_TASTE = /\b(?:to|or to|according to) taste\b|\bas (?:needed|required|necessary)\b/i
        PART_OF =
          /\A(?:the\s+)?(?:(?:finely|freshly)\s+)?(?:grated\s+|squeezed\s+)?(?<part>(?:juice|zest|rind|peel)
            (?:\s+and\s+(?:juice|zest|rind))?)\s+(?:of|from)\s+(?<rest>.+)\z/xi
        EXTRA = /[,;+]?\s*(?:\bplus\b|\+|\band\b)\s+(?:a (?:little|bit of)\s+)?(?:extra|more)\b.*\z/i
        MADE = /\A(?:also\s+)?(?:makes|gives|leaves)(?:\s+besides)?\s*:?\s+(?=\S)/i
        LONGEST = 300

        # @param line_reader [LabelLine::Reader] knows the foods' names
        # @param foods [Hash{String=>Food}]
        # @param measures [Hash] whose cups: see LabelLine::Units::MEASURES
        # @param today [Date] the reader of labels asks for one
        def initialize(line_reader, foods:, today:, measures: {})
          @foods = foods
          @amounts = AmountReader.new(measures)
          @food_of = FoodOfLine.new(line_reader, foods: foods, today: today)
          @measures = measures
        end

        # @param written [String] one line
        # @return [Ingredient]
        def read(written)
          text = written.to_s.strip
          plain = Figures.plain(text.sub(BULLET, ""))[0, LONGEST]
          return Ingredient.new(text: text, food: nil, amount: nil, unit: nil, heading: true) if plain.match?(HEADING)

          understood(text, plain)
        end

        private

        def understood(text, plain)
          made = plain.match?(MADE)
          plain = plain.sub(MADE, "")
          optional = plain.match?(OPTIONAL)
          bare = plain.gsub(OPTIONAL, "").sub(TO_TASTE, "").sub(EXTRA, "").strip
          part = bare.match(PART_OF)
          said = @amounts.read(part ? part[:rest] : bare)
          named = @food_of.call(said.rest, tinned: said.noun == "tin",
            dimension: said.unit && Unit.dimension(said.unit))
          amount = AmountOfFood.new(said, named.key && @foods[named.key], @measures)
          Ingredient.new(
            text: text, food: named.key, optional: optional && !made, made: made,
            substitutes: named.substitutes, **amount.to_h,
            note: [part && part[:part].downcase, named.note].compact.reject(&:empty?).join(", "),
            questions: [*named.questions, *amount.questions].freeze
          )
        end
      end
    end
  end
end
