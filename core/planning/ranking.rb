# frozen_string_literal: true

require_relative "../buying/missing_list"
require_relative "../buying/price_book"
require_relative "ranker"
require_relative "../rotation/shelf"
require_relative "../value"

module NutShelf
  module Core
    # The ranking of all dishes for a day as a job (see Work), drawn on what the coming meals leave of a shelf. Frozen.
    Ranking =
      Value.of(:recipes, :meals, :servings, :on, :prices, :diet, habits: Habits::NONE, allow_look: true,
        strict: false) do
        # @param shelf [Shelf]
        # @return [Array<Ranker::Ranked>] best first
        def call(shelf)
          cursor = shelf.cursor(allow_look: allow_look, strict: strict, habits: habits)
          left = MissingList.draw(meals, cursor: cursor, diet: diet).last
          Ranker.rank(recipes, cursor: left, servings: servings, on: on, prices: prices, diet: diet)
        end
      end
  end
end
