# frozen_string_literal: true

require_relative "table"
require_relative "../core/reference/recipe"

module NutShelf
  module Store
    # Dishes, their lines and what may stand in. A row is one version of a dish and is never changed; who planned or
    # cooked it keeps the one they had. Which version is in force says a row of `dishes`.
    class Recipes < Table
      # SELECT * FROM recipes WHERE household_id = 7 ORDER BY name; and their lines and substitutes in two more queries
      # @param ids [Array<Integer>, nil] nil: every version of every dish
      # @return [Hash{Integer=>Core::Recipe}] by id
      def values(ids = nil)
        found = ids ? rows(:recipes).where(id: ids) : rows(:recipes)
        in_force = rows(:dishes).where(archived_at: nil).select_map(:recipe_id).to_set
        lines = lines_of(ids)
        texts = texts_of(ids)
        found.order(:name, :id).all.to_h do |row|
          makes, goes_in = lines.fetch(row.id, []).partition(&:made)
          whole = { lines: goes_in.freeze, makes: makes.freeze, texts: texts.fetch(row.id, []),
                    followed: !in_force.include?(row.id) }
          [row.id, value(row, **whole)]
        end
      end

      # SELECT max(id) FROM recipes WHERE household_id = 7; SELECT count(*), sum(version) FROM dishes WHERE ...
      # @return [Array<Integer, nil>] what all dishes are known by: no version changes, and what is in force counts up
      def standing = [rows(:recipes).max(:id), rows(:dishes).count, rows(:dishes).sum(:version)]

      # SELECT * FROM dishes WHERE household_id = 7 AND key = 'two-bean-chilli'
      # @return [Rows::Dish, nil] which of its versions is in force
      def dish(key) = rows(:dishes).where(key: key).first

      # @return [Array<Rows::Dish>] of all keys, those put away too
      def dishes = rows(:dishes).order(:id).all

      # SELECT id, version FROM recipes WHERE household_id = 7 AND key = 'two-bean-chilli' ORDER BY version
      # @return [Hash{Integer=>Integer}] version by id, the first one ahead
      def versions(key) = rows(:recipes).where(key: key).order(:version).as_hash(:id, :version)

      # @return [Core::Recipe]
      # @raise [Missing]
      def find(id) = found(values([id])[id], "dish")

      # Copies the shipped dishes into a new household.
      # @param list [Array<Core::Recipe>]
      # @param food_ids [Hash{String=>Integer}] by food key
      def seed(list, food_ids)
        ids = write(list.map { |recipe| { recipe: recipe, version: 1, follows_id: nil } }, food_ids)
        point(list.zip(ids))
      end

      # Writes a version of a dish; which one is in force, its row of `dishes` says.
      # @param recipe [Core::Recipe]
      # @param version [Integer]
      # @param follows_id [Integer, nil] the version it was made from
      # @param food_ids [Hash{String=>Integer}] by food key
      # @return [Integer] its id
      def keep(recipe, version:, follows_id:, food_ids:)
        write([{ recipe: recipe, version: version, follows_id: follows_id }], food_ids).first
      end

      # Brings in dishes that were shipped since, and what was put right in those a household has, as further versions.
      # A version somebody wrote stays in force.
      # @param list [Array<Core::Recipe>]
      # @param food_ids [Hash{String=>Integer}] by food key
      # @return [Integer] how many
      def take_in(list, food_ids)
        all = values.group_by { |_, recipe| recipe.key }
        fresh =
          list.filter_map do |recipe|
            versions = all.fetch(recipe.key, [])
            id, known = versions.reject { |_, one| one.own }.max_by { |_, one| one.version }
            next if known&.same?(recipe)

            { recipe: recipe, version: (versions.map { |_, one| one.version }.max || 0) + 1, follows_id: id }
          end
        point_on(fresh, write(fresh, food_ids))
        fresh.size
      end

      private

      # @param pairs [Array<Array(Core::Recipe, Integer)>] dishes that are new here, with the id of their first version
      def point(pairs)
        db[:dishes].multi_insert(
          pairs.map { |recipe, id| { household_id: household_id, key: recipe.key, recipe_id: id } }
        )
      end

      def point_on(fresh, ids)
        known, unknown = fresh.zip(ids).partition { |one, _| one[:follows_id] }
        point(unknown.map { |one, id| [one[:recipe], id] })
        known.each do |one, id|
          rows(:dishes)
            .where(key: one[:recipe].key, recipe_id: one[:follows_id])
            .update(recipe_id: id, version: Sequel[:version] + 1)
        end
      end

      # @return [Array<Integer>] their ids
      def write(list, food_ids)
        return [] if list.empty?

        ids = db[:recipes].multi_insert(list.map { |one| recipe_row(**one) }, return: :primary_key)
        lines = list.zip(ids).flat_map do |one, id|
          one[:recipe].then do |of|
            [*of.lines, *of.makes]
          end.map { |line| [line, id] }
        end
        line_ids =
          db[:recipe_lines].multi_insert(
            lines.map { |line, id| line_row(line, id, food_ids) },
            return: :primary_key
          )
        db[:recipe_substitutes].multi_insert(
          lines.zip(line_ids).flat_map { |(line, _), id| substitute_rows(line, id, food_ids) }
        )
        db[:recipe_texts].multi_insert(list.zip(ids).flat_map { |one, id| text_rows(one[:recipe], id) })
        ids
      end

      def text_rows(recipe, id)
        recipe.texts.map { |one| { household_id: household_id, recipe_id: id, **one.to_h } }
      end

      def texts_of(ids)
        found = ids ? rows(:recipe_texts).where(recipe_id: ids) : rows(:recipe_texts)
        found.order(:position).all.group_by(&:recipe_id).transform_values do |list|
          list.map { |row| Core::RecipeText.new(text: row.text, position: row.position) }.freeze
        end
      end

      # @param ids [Array<Integer>, nil] nil: of every dish, which asks for no list of a thousand numbers
      def lines_of(ids)
        lines = (ids ? rows(:recipe_lines).where(recipe_id: ids) : rows(:recipe_lines)).order(:id).all
        standing = rows(:recipe_substitutes)
        standing = standing.where(line_id: lines.map(&:id)) if ids
        standing = standing.order(:id).all
        keys = keys_of(ids ? [*lines, *standing].map(&:food_id).uniq : nil)
        factors = standing.group_by(&:line_id).transform_values { |list| factors(list, keys) }
        lines.group_by(&:recipe_id).transform_values do |list|
          list.map { |line| line_value(line, keys.fetch(line.food_id), factors.fetch(line.id, {}.freeze)) }.freeze
        end
      end

      # Looked up here rather than joined: of a household that is new the database thinks it has a row or two, and
      # goes through all its foods again for each line.
      def keys_of(food_ids)
        found = food_ids ? rows(:foods).where(id: food_ids) : rows(:foods)
        found.select_hash(:id, Sequel.function(:coalesce, :reference_key, :key).as(:food_key))
      end

      def factors(list, keys) = list.to_h { |one| [keys.fetch(one.food_id), one.factor] }.freeze

      FACTS = %i[
        key name meal servings active_minutes total_minutes leftover_days freezes own notes source
      ].freeze
      LISTS = %i[gear steps tags].freeze
      private_constant :FACTS, :LISTS

      def value(row, **whole) = Core::Recipe.new(**row.slice(*FACTS, *LISTS, :version), **whole)

      def line_value(row, food_key, factors)
        Core::RecipeLine.new(
          **row.slice(:optional, :note, :text, :position, :made),
          food_key: food_key,
          quantity: Core::Quantity.new(row.amount, row.dimension.to_sym),
          substitutes: factors
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
          **line.slice(:optional, :note, :text, :position, :made)
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
