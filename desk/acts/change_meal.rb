# frozen_string_literal: true

require_relative "../act"
require_relative "../meal_rules"
require_relative "../refusal"
require_relative "../slots"

module NutShelf
  module Desk
    # Changes what is planned for a meal where it stands: another dish, a choice within it, portions, kept or free.
    class ChangeMeal < Act
      private

      # @param input [Hash] :meal_id, and any of :recipe_id, :choices, :servings, :pinned, :note
      def perform(input)
        @meal = house.records.lock("meal", input[:meal_id])
        raise Refusal.of(:meal_settled, status: @meal.status) unless @meal.status == "planned"

        changes = changes(input).reject { |name, value| @meal.public_send(name) == value }
        raise Refusal.of(:says_that_already) if changes.empty?

        changed = entry("change_meal", words(changes))
        changed.alter("meal", @meal, changes)
        done(changed, meal_id: @meal.id)
      end

      def changes(input)
        changes = input.slice(:pinned, :note)
        changes[:servings] = servings(input[:servings]) if input[:servings]
        changes.merge!(dish(input)) if input[:recipe_id] || input[:choices]
        changes
      end

      def servings(text)
        raise Refusal.of(:portions_out_of_range, at: "/servings") unless text.to_r.between?(1/10r, 500)

        text.to_r
      end

      # Another dish begins without choices; whoever eats its leftovers must be able to.
      def dish(input)
        id = input[:recipe_id] || @meal.recipe_id
        raise Refusal.of(:no_dish_there) unless id

        recipe = house.recipes.find(id)
        rules = MealRules.new(work)
        choices = rules.choices(recipe, input[:choices] || {})
        slot = slot(@meal)
        fed = house.meals.fed_by(@meal.id)
        tables = [slot, *fed.map { |one| slot(one) }].compact
        rules.eaters(recipe, tables, choices, at: "/recipe_id") if tables.any?
        fed.each do |one|
          rules.leftovers(recipe, @meal.on_date, one.on_date, tables, choices: choices, at: "/recipe_id")
        end
        { kind: "cook", recipe_id: id, choices: choices, from_meal_id: nil, lot_id: nil }
      end

      def slot(meal) = meal.on_date && Slots.new(work).of(meal.on_date, meal.meal)

      def words(changes)
        name = house.meals.listed_one(@meal.id).recipe_name || "The meal"
        return changes[:pinned] ? "Kept #{name}" : "Let #{name} be changed" if changes.keys == [:pinned]
        return "#{house.recipes.find(changes[:recipe_id]).name} instead of #{name}" if changes[:recipe_id]

        "Changed #{name}"
      end
    end
  end
end
