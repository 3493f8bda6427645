# frozen_string_literal: true

require_relative "../act"
require_relative "../new_dish"
require_relative "../recipe_input"
require_relative "../refusal"

module NutShelf
  module Desk
    # Writes down a dish: a new one, or a further version of one there is. Meals that are planned or cooked keep the
    # version they had.
    class KeepRecipe < Act
      private

      # @param input [Hash] :recipe_id (the version it was made from) or nil for a new dish, :name, :meal, :servings,
      #   :active_minutes, :total_minutes, :gear, :leftover_days, :freezes, :tags, :steps, :notes, :source and :lines,
      #   each with :text and, where a food was found, :food_id, :amount, :unit, :optional, :note, :substitutes
      def perform(input)
        input[:recipe_id] ? change(input) : begin_with(input)
      end

      def begin_with(input)
        dish = NewDish.new(work)
        recipe = dish.recipe(input)
        kept = entry("keep_recipe", "Wrote down #{recipe.name}")
        id, dish_id = dish.write(kept, recipe)
        done(kept, recipe_id: id, dish_id: dish_id)
      end

      def change(input)
        before = house.recipes.find(input[:recipe_id])
        dish = house.records.lock("dish", house.recipes.dish(before.key).id)
        if dish.recipe_id != input[:recipe_id]
          raise Refusal.of(:changed_meanwhile,
            current: { recipe_id: dish.recipe_id })
        end

        recipe = RecipeInput.new(work).recipe(input, key: before.key)
        raise Refusal.of(:says_that_already) if recipe.same?(before)

        kept = entry("keep_recipe", "Changed #{recipe.name}")
        id = house.recipes.keep(
          recipe, version: house.recipes.versions(before.key).values.max + 1, follows_id: input[:recipe_id],
          food_ids: house.foods.ids_by_key
        )
        kept.alter("dish", dish, { recipe_id: id, archived_at: nil })
        done(kept, recipe_id: id, dish_id: dish.id)
      end
    end
  end
end
