# frozen_string_literal: true

require_relative "table"
require_relative "../core/reference/recipe"

module NutShelf
  module Store
    # Dishes and their lines.
    class Recipes < Table
      # SELECT * FROM recipes WHERE household_id = 7 ORDER BY name; and their lines in one more query
      # @return [Hash{Integer=>Core::Recipe}] by id
      def values(ids = nil)
        found = ids ? rows(:recipes).where(id: ids) : rows(:recipes)
        lines = lines_of(found.select(:id))
        found.order(:name).all.to_h { |row| [row.id, value(row, lines.fetch(row.id, []))] }
      end

      # @return [Core::Recipe]
      # @raise [Missing]
      def find(id) = found(values([id])[id], "dish")

      # Copies the shipped dishes into a new household.
      # @param list [Array<Core::Recipe>]
      # @param food_ids [Hash{String=>Integer}] by food key
      def seed(list, food_ids)
        ids = db[:recipes].multi_insert(list.map { |recipe| recipe_row(recipe) }, return: :primary_key)
        db[:recipe_lines].multi_insert(
          list.zip(ids).flat_map { |recipe, id| recipe.lines.map { |line| line_row(line, id, food_ids) } }
        )
      end

      private

      def lines_of(ids)
        rows(:recipe_lines)
          .join(:foods, { household_id: Sequel[:recipe_lines][:household_id], id: Sequel[:recipe_lines][:food_id] })
          .where(recipe_id: ids)
          .order(Sequel[:recipe_lines][:id])
          .select_all(:recipe_lines)
          .select_append(Sequel.function(:coalesce, Sequel[:foods][:reference_key], Sequel[:foods][:key]).as(:food_key))
          .then { |found| rows_as(found, Rows::KeyedLine).all.group_by(&:recipe_id) }
      end

      def value(row, lines)
        Core::Recipe.new(
          **row.slice(*Rows::Recipe::FIELDS - [:id]),
          lines: lines.map { |line| line_value(line) }.freeze
        )
      end

      def line_value(row)
        Core::RecipeLine.new(
          **row.slice(:food_key, :optional, :note),
          quantity: Core::Quantity.new(row.amount, row.dimension.to_sym),
          substitutes: row.substitutes.transform_values(&:to_r).freeze
        )
      end

      def recipe_row(recipe)
        {
          household_id: household_id,
          **recipe.to_h.slice(:key, :name, :meal, :servings, :active_minutes, :total_minutes, :leftover_days, :freezes),
          gear: array(recipe.gear),
          steps: array(recipe.steps),
          tags: array(recipe.tags)
        }
      end

      def line_row(line, recipe_id, food_ids)
        {
          household_id: household_id,
          recipe_id: recipe_id,
          food_id: food_ids.fetch(line.food_key),
          amount: line.quantity.amount,
          dimension: line.quantity.dimension.to_s,
          optional: line.optional,
          substitutes: json(line.substitutes.transform_values { |factor| Core::Decimal.print(factor) }),
          note: line.note
        }
      end
    end
  end
end
