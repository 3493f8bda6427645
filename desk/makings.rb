# frozen_string_literal: true

require_relative "../core/planning/weight"
require_relative "../core/quantity/conversion"
require_relative "../core/rotation/stack"

module NutShelf
  module Desk
    # What dishes make besides (cold meat, broth, cooked rice): how long it is good, and what will stand in the fridge
    # once a planned dish is cooked, so that a later one can use it.
    class Makings
      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
        @days = {}
      end

      # By the careful figure of cooked food in the fridge.
      # @param recipe [Core::Recipe]
      # @param line [Core::RecipeLine] of what it makes
      # @return [Integer, nil] days from the cook; nil where nobody knows, nothing is there to keep it cold, or it would
      #   hold what nobody expects in that food
      def days(recipe, line)
        return if recipe.doubtful? || unexpected(line.food_key, recipe.lines.map(&:food_key)).any?

        key = line.food_key
        @days.fetch(key) { @days[key] = fridge && careful(@work.shelf.foods[key]) }
      end

      # @param key [String] of a food that was made
      # @param keys [Array<String>] foods that went into the dish
      # @return [Array<String>] allergens it may hold by that, and does not by itself
      def unexpected(key, keys)
        foods = @work.shelf.foods
        keys.flat_map { |one| foods[one]&.allergens.to_a }.uniq.sort - (foods[key]&.allergens || [])
      end

      # @param meals [Array<Core::MissingList::Planned>]
      # @return [Array<Core::Stack>] what will stand there from the day after each, by numbers that no stack has
      def stacks(meals)
        meals.flat_map do |meal|
          meal.recipe.makes.each_with_index.filter_map do |line, at|
            days = days(meal.recipe, line)
            stack(meal, line, -((meal.id * MOST) + at + 1), days) if days
          end
        end
      end

      private

      # Things one dish makes.
      MOST = 100
      private_constant :MOST

      def fridge = @fridge ||= @work.places.values.find { |place| place.kind == "fridge" }

      def careful(food) = food && @work.catalog.keeping(food, "left_over", "fridge").row&.low

      def stack(meal, line, number, days)
        grams = grams(line, meal.servings / meal.recipe.servings) or return
        last = meal.on + days
        Core::Stack.new(
          id: number, food_id: @work.shelf.food_ids[line.food_key], food_key: line.food_key, label: "",
          place_id: fridge.id, place: fridge.name, dimension: :mass, on_hand: grams, amount: grams,
          grams_per_unit: 1r, minor_per_gram: 0r, usable_until: last, strict_until: last, safety_until: last,
          ready_on: meal.on + 1, acquired_on: meal.on, situation: "left_over", open: true
        )
      end

      def grams(line, share)
        Core::Conversion.to(line.quantity, :mass, @work.shelf.foods.fetch(line.food_key)).amount * share
      rescue Core::MissingFigure
        nil
      end
    end
  end
end
