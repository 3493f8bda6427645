# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Which dish stands on which day.
    class Meals < Table
      ORDER = { "breakfast" => 0, "lunch" => 1, "dinner" => 2, "snack" => 3 }.freeze

      # SELECT meals.*, recipes.name FROM meals JOIN recipes ... WHERE on_date BETWEEN ... AND status <> 'dropped'
      def between(from, to)
        listed
          .where(on_date: from..to)
          .exclude(status: "dropped")
          .all
          .sort_by { |meal| [meal.on_date, ORDER.fetch(meal.meal), meal.id] }
      end

      # @return [Rows::ListedMeal] with its dish's name and minutes
      # @raise [Missing]
      def listed_one(id) = found(listed.where(Sequel[:meals][:id] => id).first, "meal")

      private

      def listed
        rows_as(rows(:meals), Rows::ListedMeal)
          .join(:recipes, { household_id: Sequel[:meals][:household_id], id: Sequel[:meals][:recipe_id] })
          .select_all(:meals)
          .select_append(
            Sequel[:recipes][:name].as(:recipe_name),
            Sequel[:recipes][:total_minutes],
            Sequel[:recipes][:active_minutes]
          )
      end
    end
  end
end
