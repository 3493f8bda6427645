# frozen_string_literal: true

require_relative "../label_line/draft"
require_relative "../value"

module NutShelf
  module Core
    module Recipes
      # One ingredient line as it was understood: `food` by key, `amount` in `unit` (g, ml or piece), both nil where the
      # line gives none; `substitutes` as a recipe line has them; `questions` (LabelLine::Question) are for a person.
      # A line without a food stays as it was written. `made`: it comes out besides the dish. Frozen.
      Ingredient =
        Value.of(
          :text, :food, :amount, :unit, optional: false, note: "", substitutes: {}.freeze, questions: [].freeze,
          heading: false, made: false
        ) do
          # @return [Boolean] whether the plan can reckon with it
          def reckoned? = !food.nil? && !amount.nil?
        end
    end
  end
end
