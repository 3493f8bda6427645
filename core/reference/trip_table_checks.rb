# frozen_string_literal: true

module NutShelf
  module Core
    # What of the tables of trips contradicts itself or the foods'.
    class TripTableChecks
      MOISTURE = %w[dry chewy moist].freeze
      NEEDED = %w[always cooks tins untreated meat cold].freeze
      HEAT = %w[boil cold none].freeze
      EAT_FROM = %w[bag cup pot].freeze

      # @param tables [Hash{String=>Array<Hash>}] rows of text by table
      # @param catalog [Catalog] built from them
      def initialize(tables, catalog)
        @tables = tables
        @catalog = catalog
      end

      # @return [Array<String>] what is wrong, by table, key and column
      def faults
        [*foods, *assemblies, *cold, *dry_parts, *drying, *pack_kinds, *recipe_gear, *essentials]
      end

      private

      def rows(table) = @tables.fetch(table, [])

      def known?(key) = @catalog.foods.key?(key) || @catalog.class_names.key?(key)

      # Every table that names foods names foods there are.
      def foods
        %w[assembly_lines volumes produce_jars drying].flat_map do |table|
          rows(table).map { |row| row["food_key"] }.reject { |key| known?(key) }
            .map { |key| "#{table}: there is no food #{key}" }
        end
      end

      def assemblies
        packaging = rows("packaging").map { |row| row["key"] }
        rows("assemblies").flat_map do |row|
          wrong = []
          wrong << "packaging #{row["packaging"]}" unless packaging.include?(row["packaging"])
          wrong << "water_heat #{row["water_heat"]}" unless HEAT.include?(row["water_heat"])
          wrong << "eat_from #{row["eat_from"]}" unless EAT_FROM.include?(row["eat_from"])
          wrong << "suits_scoop of no food" unless row["suits_scoop"].split(";").all? { |key| known?(key) }
          wrong.map { |text| "assemblies: #{row["key"]} has #{text}" }
        end
      end

      # Warmer weather never keeps food cold for longer.
      def cold
        rows("cold").reject do |row|
          hours = row.values_at("hours_at_10c", "hours_at_20c", "hours_at_30c").reject(&:empty?).map(&:to_r)
          hours == hours.sort.reverse
        end.map { |row| "cold: #{row["key"]} keeps longer where it is warmer" }
      end

      def dry_parts
        rows("dry_parts").reject { |row| known?(row["class_key"]) && MOISTURE.include?(row["moisture"]) }
          .map { |row| "dry_parts: #{row["class_key"]} has moisture #{row["moisture"]}" }
      end

      def drying
        rows("drying").flat_map do |row|
          wrong = []
          yields = row.values_at("yield_low", "yield_usual", "yield_high").map(&:to_r)
          wrong << "yields out of order" unless yields == yields.sort && yields.first.positive? && yields.last < 1
          %w[temp_target hours_target].each do |column|
            wrong << "#{column} #{row[column]}" unless @catalog.targets.key?(row[column])
          end
          wrong << "keep_as #{row["keep_as"]}" unless known?(row["keep_as"])
          wrong.map { |text| "drying: #{row["key"]} has #{text}" }
        end
      end

      def pack_kinds
        aisles = @catalog.foods.values.map { |food| "aisle:#{food.aisle}" }
        rows("pack_kinds").reject { |row| known?(row["scope"]) || aisles.include?(row["scope"]) }
          .map { |row| "pack_kinds: #{row["scope"]} is neither food, class nor aisle" }
      end

      def recipe_gear
        keys = rows("recipes").map { |row| row["key"] }
        rows("recipe_gear").reject { |row| keys.include?(row["recipe_key"]) }
          .map { |row| "recipe_gear: there is no recipe #{row["recipe_key"]}" }
      end

      def essentials
        rows("essentials").reject { |row| NEEDED.include?(row["needed_when"]) }
          .map { |row| "essentials: #{row["key"]} is needed_when #{row["needed_when"]}" }
      end
    end
  end
end
