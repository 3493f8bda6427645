# frozen_string_literal: true

require_relative "recipe_input"

module NutShelf
  module Desk
    # Writes down a dish nobody had yet, within an act.
    class NewDish
      # @param work [UnitOfWork]
      # @param at [String] JSON pointer to where the dish stands in what was sent
      def initialize(work, at: "")
        @work = work
        @input = RecipeInput.new(work, at: at)
      end

      # @param input [Hash] of KeepRecipe, without a version it was made from
      # @return [Core::Recipe] as it will be kept
      # @raise [Refusal]
      def recipe(input) = @input.recipe(input, key: free_key(input[:name]))

      # @param kept [Entry]
      # @param recipe [Core::Recipe]
      # @return [Array(Integer, Integer)] ids of its version and of its dish
      def write(kept, recipe)
        id = house.recipes.keep(recipe, version: 1, follows_id: nil, food_ids: house.foods.ids_by_key)
        [id, kept.make("dish", { key: recipe.key, recipe_id: id })]
      end

      private

      def house = @work.house

      # Dishes are known by a word of their own, whatever they are called later.
      def free_key(name)
        base = name.unicode_normalize(:nfkd).downcase.gsub(/[^a-z0-9]+/, "-").gsub(/\A-|-\z/, "")[0, 60]
        base = "dish" if base.empty?
        taken = house.recipes.dishes.map(&:key)
        further = (2..).lazy.map { |number| "#{base}-own-#{number}" }
        ["#{base}-own", *further.first(500)].find { |key| !taken.include?(key) }
      end
    end
  end
end
