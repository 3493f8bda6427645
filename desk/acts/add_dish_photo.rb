# frozen_string_literal: true

require_relative "../act"
require_relative "../picture"
require_relative "../refusal"
require_relative "../../core/limits"

module NutShelf
  module Desk
    # A photograph of a dish, whichever of its versions it was cooked by.
    class AddDishPhoto < Act
      private

      # @param input [Hash] :recipe_id, :content in base64
      def perform(input)
        recipe = house.recipes.find(input[:recipe_id])
        dish = house.recipes.dish(recipe.key)
        picture = Picture.read(input[:content])
        most = Core::Limits::PHOTOS_OF_A_PLACE
        raise Refusal.of(:photos_full, most: most, place: recipe.name) if house.dish_photos.count(dish.id) >= most

        added = entry("add_dish_photo", "New picture of #{recipe.name}")
        id = house.dish_photos.add(dish.id, picture.media_type, picture.bytes)
        added.made("dish_photo", id, { dish_id: dish.id })
        done(added, dish_id: dish.id)
      end
    end
  end
end
