# frozen_string_literal: true

require_relative "dish"
require_relative "../value"

module NutShelf
  module Core
    # Orders dishes for a day: what rescues most money and asks for least shopping comes first.
    module Ranker
      # Weights, as a household would say them: a coin rescued counts as much as a coin not spent; each
      # tenth of the dish that is missing counts like a coin and a half of bother.
      BOTHER_MINOR = 1500

      # A ranked dish: `score` in minor units (higher is better) and the reasons for its rank. Frozen.
      Ranked = Value.of(:id, :dish, :score, :buy_minor)

      module_function

      # @param recipes [Hash{Integer=>Recipe}] by id
      # @param cursor [Cursor] left as it is
      # @param servings [Rational]
      # @param on [Date]
      # @param prices [PriceBook] what the missing would cost
      # @param diet [Diet] of those who eat along
      # @return [Array<Ranked>] best first; ties by name
      def rank(recipes, cursor:, servings:, on:, prices:, diet: Diet.new)
        recipes
          .map do |id, recipe|
            ranked(id, Dish.plan(recipe, servings: servings, cursor: cursor.dup, on: on, diet: diet), prices)
          end
          .sort_by { |entry| [-entry.score, entry.dish.recipe.name] }
      end

      # @return [Ranked] one dish with its score
      def ranked(id, dish, prices)
        buy = dish.missing.sum { |line| prices.cost(line.food_key, line.missing).first }
        score = dish.urgency_minor - buy - ((1 - dish.covered) * BOTHER_MINOR).round
        Ranked.new(id: id, dish: dish, score: score, buy_minor: buy)
      end
    end
  end
end
