# frozen_string_literal: true

require "base64"
require_relative "../base"
require_relative "../../desk/acts/add_dish_photo"
require_relative "../../desk/acts/archive_recipe"
require_relative "../../desk/acts/keep_recipe"
require_relative "../../desk/acts/keep_recipes"
require_relative "../../desk/acts/like_dish"
require_relative "../../exchange/recipes/file"
require_relative "../../exchange/recipes/out"
require_relative "../views/recipe_view"
require_relative "../views/written_view"

module NutShelf
  module Api
    # The household's dishes: read, written down, brought in and taken along.
    class Recipes < Base
      TYPES = { "json" => "application/ld+json", "csv" => "text/csv; charset=utf-8",
                "txt" => "text/plain; charset=utf-8" }
        .freeze

      get("/") { view(:stock, :plan, :rules) { |work| { recipes: RecipeView.new(work).list } } }

      post("/") { act(Desk::KeepRecipe, body_as("KeepRecipe")) }

      # Several at once, as a file brought them: all or none.
      post("/all") { act(Desk::KeepRecipes, body_as("KeepRecipes")) }

      # How a file or pasted text would be read; changes nothing.
      post("/read") do
        asked = body_as("ReadRecipe")
        read_only do |work|
          shown = WrittenView.new(work)
          json(recipes: file(asked).recipes.map { |one| shown.call(one) })
        end
      rescue Exchange::Recipes::File::Unreadable => e
        refuse("invalid", e.message, "Paste the text of the recipe instead.")
      end

      # How lines would be read, while somebody types them.
      post("/lines") do
        asked = body_as("ReadLines")
        read_only do |work|
          shown = WrittenView.new(work)
          json(lines: asked[:lines].map { |text| shown.line(text) })
        end
      end

      get("/:id") do
        id = id_param
        servings = params[:servings] && number_param(:servings, 1, 1..500)
        view(:stock, :plan, :rules) { |work| RecipeView.new(work).one(id, servings: servings) }
      end

      get("/:id/file") do
        id = id_param
        kind = params.fetch(:as, "json")
        read_only do |work|
          recipe = work.house.recipes.find(id)
          refuse("invalid", "There is no such form.", "Use json, txt or csv.") unless TYPES.key?(kind)

          content_type TYPES.fetch(kind)
          attachment "#{recipe.key}.#{kind}"
          Exchange::Recipes::Out.new(recipe, work.shelf.foods).public_send(kind)
        end
      end

      post("/:id/photo") { act(Desk::AddDishPhoto, { recipe_id: id_param, **body_as("AddPhoto") }) }

      get("/:id/photo") do
        id = id_param
        photo = read_only do |work|
          dish = work.house.recipes.dish(work.house.recipes.find(id).key)
          work.house.dish_photos.latest(dish.id)
        end
        photo or refuse("not_found", "There is no picture of it.", "Take one.")
        picture(photo)
      end

      post("/:id/like") { act(Desk::LikeDish, { **body_as("LikeDish"), recipe_id: id_param }) }

      post("/:id/archive") do
        asked = body_as("ArchiveRecipe")
        act(Desk::ArchiveRecipe, { **asked, recipe_id: id_param })
      end

      helpers do
        def file(asked)
          Exchange::Recipes::File.new(asked[:content] ? Base64.decode64(asked[:content]) : asked[:text].to_s)
        end
      end
    end
  end
end
