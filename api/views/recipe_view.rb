# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../core/recipes/line_words"
require_relative "../../core/recipes/per_portion"
require_relative "../../desk/plan"

module NutShelf
  module Api
    # Dishes as JSON: the list of them, and one with everything it says.
    class RecipeView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @plan = Desk::Plan.new(work)
      end

      # @return [Array<Hash>] those in force and those put away, by name
      def list
        dishes = @work.house.recipes.dishes
        dishes.map { |dish| brief(dish, @plan.recipes.fetch(dish.recipe_id)) }.sort_by { |one| one[:name].downcase }
      end

      # @param id [Integer] of a version
      # @param servings [Integer, nil] portions, where they are others than it is written for
      # @return [Hash]
      def one(id, servings: nil)
        recipe = @work.house.recipes.find(id)
        recipe = recipe.scaled(servings) if servings
        dish = @work.house.recipes.dish(recipe.key)
        versions = @work.house.recipes.versions(recipe.key)
        {
          **brief(dish, recipe),
          **recipe.slice(:freezes, :leftover_days, :steps, :notes, :source),
          recipe_id: id,
          current_id: dish.recipe_id,
          lines: lines(recipe),
          picture: @work.house.dish_photos.stamp(dish.id),
          per_portion: per_portion(recipe),
          versions: versions.map { |number, version| { recipe_id: number, version: version } }
        }
      end

      private

      def brief(dish, recipe)
        {
          recipe_id: dish.recipe_id, dish_id: dish.id, key: recipe.key, name: recipe.name,
          meal: recipe.meal, own: recipe.own, servings: recipe.servings, minutes: recipe.total_minutes,
          active_minutes: recipe.active_minutes, gear: recipe.gear, tags: recipe.tags,
          archived: !dish.archived_at.nil?, likes: dish.likes,
          food_ids: recipe.lines.filter_map { |line| @plan.shelf.food_ids[line.food_key] }.uniq
        }
      end

      def lines(recipe)
        Core::Recipes::LineWords.all(recipe, @plan.shelf.foods, measures: @work.measures).map do |text, line|
          line ? line(text, line) : { text: text, optional: false, made: false, note: "", substitutes: [] }
        end
      end

      def line(text, line)
        {
          text: text, food_id: @plan.shelf.food_ids[line.food_key], food: @plan.shelf.foods.fetch(line.food_key).name,
          amount: Core::Decimal.print(line.quantity.amount), unit: line.quantity.unit,
          words: @work.amount(line.quantity), optional: line.optional, made: line.made, note: line.note,
          substitutes: line.substitutes.map { |key, factor| substitute(key, factor) }
        }
      end

      def substitute(key, factor)
        food = @plan.shelf.foods.fetch(key)
        { food_id: @plan.shelf.food_ids[key], food: Core::Recipes::LineWords.plain(food), factor: Core::Decimal.print(factor) }
      end

      def per_portion(recipe)
        Core::Recipes::PerPortion.of(recipe, foods: @plan.shelf.foods, prices: @plan.prices).to_h
      end
    end
  end
end
