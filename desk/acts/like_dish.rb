# frozen_string_literal: true

require_relative "../act"
require_relative "../../core/planning/liking"
require_relative "../refusal"

module NutShelf
  module Desk
    # Says whether somebody loves a dish, does not want it, or does not mind.
    class LikeDish < Act
      SAID = { "loves" => "loves", "not" => "would rather not have", nil => "does not mind" }.freeze

      private

      # @param input [Hash] :recipe_id, :person_id, :liking "loves", "not" or nil
      def perform(input)
        recipe = house.recipes.find(input[:recipe_id])
        person = work.eaters.find { |one| one.id == input[:person_id] }
        raise Refusal.of(:not_at_this_table, at: "/person_id") unless person

        dish = house.records.lock("dish", house.recipes.dish(recipe.key).id)
        likes = { **dish.likes.to_h, person.id.to_s => input[:liking] }.compact
        raise Refusal.of(:says_that_already) if likes == dish.likes.to_h

        said = entry("like_dish", "#{person.name} #{SAID.fetch(input[:liking])} #{recipe.name}")
        said.alter("dish", dish, { likes: likes })
        done(said, recipe_id: dish.recipe_id, dish_id: dish.id)
      end
    end
  end
end
