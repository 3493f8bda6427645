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
          .sort_by { |row| [row[:on_date], ORDER.fetch(row[:meal]), row[:id]] }
      end

      # @return [Hash] locked
      # @raise [Missing]
      def one(id) = found(rows(:meals).where(id: id).for_update.first, "meal")

      # @return [Hash] with its dish's name and minutes
      # @raise [Missing]
      def listed_one(id) = found(listed.where(Sequel[:meals][:id] => id).first, "meal")

      # @return [Integer] id
      def add(on_date:, meal:, recipe_id:, servings:, status: "planned")
        insert(:meals, on_date: on_date, meal: meal, recipe_id: recipe_id, servings: servings, status: status)
      end

      # @param changes [Hash] by column
      def update(id, changes) = rows(:meals).where(id: id).update(changes)

      private

      def listed
        rows(:meals)
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
