# frozen_string_literal: true

require_relative "../act"
require_relative "../new_dish"

module NutShelf
  module Desk
    # Writes down several dishes at once, as a file brought them: all of them or none, one undo.
    class KeepRecipes < Act
      private

      # @param input [Hash] :recipes, each as KeepRecipe takes a new one
      def perform(input)
        kept = entry("keep_recipe", "Wrote down #{input[:recipes].size} dishes")
        ids = input[:recipes].each_with_index.map do |said, at|
          dish = NewDish.new(work, at: "/recipes/#{at}")
          dish.write(kept, dish.recipe(said)).first
        end
        done(kept, recipe_ids: ids)
      end
    end
  end
end
