# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Puts a dish out of sight, or back: it is offered and planned by nobody while it is away.
    class ArchiveRecipe < Act
      private

      # @param input [Hash] :recipe_id, :archived
      def perform(input)
        recipe = house.recipes.find(input[:recipe_id])
        dish = house.records.lock("dish", house.recipes.dish(recipe.key).id)
        raise Refusal.of(:says_that_already) if !dish.archived_at.nil? == input[:archived]

        put = entry("archive_recipe", input[:archived] ? "Put away #{recipe.name}" : "Brought back #{recipe.name}")
        put.alter("dish", dish, { archived_at: input[:archived] ? Time.now.utc.iso8601 : nil })
        done(put, recipe_id: dish.recipe_id, dish_id: dish.id)
      end
    end
  end
end
