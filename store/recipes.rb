# frozen_string_literal: true

require_relative "table"
require_relative "../core/reference/recipe"

module NutShelf
  module Store
    # Dishes, their lines and what may stand in. A row is one version of a dish and is never changed; who planned or
    # cooked it keeps the one they had.
    class Recipes < Table
      # SELECT * FROM recipes WHERE household_id = 7 ORDER BY name; and their lines and substitutes in two more queries
      # @param ids [Array<Integer>, nil] nil: every version of every dish
      # @return [Hash{Integer=>Core::Recipe}] by id
      def values(ids = nil)
        found = ids ? rows(:recipes).where(id: ids) : rows(:recipes)
        followed = rows(:recipes).exclude(follows_id: nil).select_map(:follows_id).to_set
        lines = lines_of(ids)
        found.order(:name, :id).all.to_h do |row|
          [row.id, value(row, lines.fetch(row.id, []), followed.include?(row.id))]
        end
      end

      # SELECT max(id) FROM recipes WHERE household_id = 7
      # @return [Integer, nil] the version that came last; none is changed, so that it stands for all of them
      def latest = rows(:recipes).max(:id)

      # @return [Core::Recipe]
      # @raise [Missing]
      def find(id) = found(values([id])[id], "dish")

      # Copies the shipped dishes into a new household.
      # @param list [Array<Core::Recipe>]
      # @param food_ids [Hash{String=>Integer}] by food key
      def seed(list, food_ids) = write(list.map { |recipe| { recipe: recipe, version: 1, follows_id: nil } }, food_ids)

      # Brings in dishes that were shipped since, and what was put right in those a household has, as further versions.
      # @param list [Array<Core::Recipe>]
      # @param food_ids [Hash{String=>Integer}] by food key
      # @return [Integer] how many
      def take_in(list, food_ids)
        had = values.reject { |_, recipe| recipe.followed }.to_h { |id, recipe| [recipe.key, [id, recipe]] }
        fresh =
          list.filter_map do |recipe|
            id, known = had[recipe.key]
            next if known&.same?(recipe)

            { recipe: recipe, version: (known&.version || 0) + 1, follows_id: id }
          end
        write(fresh, food_ids)
        fresh.size
      end

      private

      def write(list, food_ids)
        return if list.empty?

        ids = db[:recipes].multi_insert(list.map { |one| recipe_row(**one) }, return: :primary_key)
        lines = list.zip(ids).flat_map { |one, id| one[:recipe].lines.map { |line| [line, id] } }
        line_ids =
          db[:recipe_lines].multi_insert(
            lines.map { |line, id| line_row(line, id, food_ids) },
            return: :primary_key
          )
        db[:recipe_substitutes].multi_insert(
          lines.zip(line_ids).flat_map { |(line, _), id| substitute_rows(line, id, food_ids) }
        )
      end

      # @param ids [Array<Integer>, nil] nil: of every dish, which asks for no list of a thousand numbers
      def lines_of(ids)
        found = ids ? rows(:recipe_lines).where(recipe_id: ids) : rows(:recipe_lines)
        lines = keyed(found, :recipe_lines, Rows::KeyedLine)
        standing = rows(:recipe_substitutes)
        standing = standing.where(line_id: lines.map(&:id)) if ids
        substitutes = keyed(standing, :recipe_substitutes, Rows::KeyedSubstitute).group_by(&:line_id)
        lines.group_by(&:recipe_id).transform_values do |list|
          list.map { |line| line_value(line, substitutes.fetch(line.id, [])) }.freeze
        end
      end

      def keyed(found, table, made)
        key = Sequel.function(:coalesce, Sequel[:foods][:reference_key], Sequel[:foods][:key]).as(:food_key)
        rows_as(found, made)
          .join(:foods, { household_id: Sequel[table][:household_id], id: Sequel[table][:food_id] })
          .order(Sequel[table][:id])
          .select_all(table)
          .select_append(key)
          .all
      end

      FACTS = %i[key name meal servings active_minutes total_minutes leftover_days freezes].freeze
      LISTS = %i[gear steps tags].freeze
      private_constant :FACTS, :LISTS

      def value(row, lines, followed)
        Core::Recipe.new(**row.slice(*FACTS, *LISTS, :version), followed: followed, lines: lines)
      end

      def line_value(row, substitutes)
        Core::RecipeLine.new(
          **row.slice(:food_key, :optional, :note),
          quantity: Core::Quantity.new(row.amount, row.dimension.to_sym),
          substitutes: substitutes.to_h { |one| [one.food_key, one.factor] }.freeze
        )
      end

      def recipe_row(recipe:, version:, follows_id:)
        {
          household_id: household_id, version: version, follows_id: follows_id,
          **recipe.slice(*FACTS),
          **recipe.slice(*LISTS).transform_values { |list| array(list) }
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
          note: line.note
        }
      end

      def substitute_rows(line, line_id, food_ids)
        line.substitutes.map do |key, factor|
          { household_id: household_id, line_id: line_id, food_id: food_ids.fetch(key), factor: factor }
        end
      end
    end
  end
end
