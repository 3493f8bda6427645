# frozen_string_literal: true

require_relative "../errors"
require_relative "kit_tables"
require_relative "side_tables"
require_relative "trip_table_checks"

module NutShelf
  module Core
    # Refuses reference tables that contradict themselves, before anything relies on them.
    class TableChecks
      GROUPS = %w[grains vegetables fruit dairy protein fat sweets drinks water condiments supplies pet].freeze
      MACROS = { "protein_g_per_100g" => 4, "fat_g_per_100g" => 9, "carbs_g_per_100g" => 4 }.freeze
      PACK_WORDS = {
        "kit_group" => GROUPS, "wrapping_usual" => %w[tin glass card paper thin_plastic plastic carton loose],
        "opening_usual" => %w[ring opener key screw tear cut], "pet" => %w[dog cat],
        "animal_kind" => %w[meat fish shellfish egg dairy honey]
      }.freeze

      # @param tables [Hash{String=>Array<Hash>}] rows of text by table
      # @param catalog [Catalog] built from the same rows
      # @return [void]
      # @raise [BadTable] with every fault found, one a line
      def self.call(tables, catalog)
        faults = new(tables, catalog).faults
        raise BadTable, faults.join("\n") unless faults.empty?
      end

      def initialize(tables, catalog)
        @tables = tables
        @catalog = catalog
      end

      # @return [Array<String>] what is wrong, by table, key and column
      def faults
        [*duplicates, *groups, *energy, *keeping, *raw_meat, *rules, *answers, *lines, *dish_words,
         *seasons, *methods_of_storing, *packs,
         *without_pack, *KitTables.faults(@tables, @catalog), *TripTableChecks.new(@tables, @catalog).faults]
      end

      private

      def duplicates
        {
          "foods" => ["key"], "foods_kit" => ["key"], "keeping" => %w[food_or_class place state],
          "rules" => ["food_or_class"], "recipes" => ["key"]
        }.flat_map { |table, columns| repeated(table, columns).map { |key| "#{table}: #{key.join("/")} stands twice" } }
      end

      def repeated(table, columns)
        @tables.fetch(table, []).map { |row| row.values_at(*columns) }.tally.select { |_, count| count > 1 }.keys
      end

      def groups
        @tables["foods"]
          .reject { |row| GROUPS.include?(row["food_group"]) }
          .map { |row| "foods: #{row["key"]} has food_group #{row["food_group"]}" }
      end

      # Energy follows 4/4/9 within a quarter (or 5 kcal) but for the listed exceptions.
      def energy
        spared = @tables["energy_exceptions"].map { |row| row["key"] }
        @tables["foods"]
          .reject { |row| spared.include?(row["key"]) || row["kcal_per_100g"].empty? || energy_fits?(row) }
          .map { |row| "foods: kcal of #{row["key"]} does not follow from its protein, fat and carbs" }
      end

      def energy_fits?(row)
        kcal = row["kcal_per_100g"].to_r
        off = (MACROS.sum { |column, factor| row[column].to_r * factor } - kcal).abs
        off <= kcal / 4 || off <= 5
      end

      def keeping
        known = @catalog.foods
        @tables["keeping"].filter_map do |row|
          unless known.key?(row["food_or_class"]) || @catalog.class_names.key?(row["food_or_class"])
            "keeping: #{row["food_or_class"]} is neither food nor class"
          end
        end
      end

      # What the table of kits says must be of foods there are, in words that are known.
      def packs
        @tables.fetch("foods_kit", []).flat_map do |row|
          key = row["key"]
          next ["foods_kit: there is no food #{key}"] unless @catalog.foods.key?(key)

          PACK_WORDS
            .reject { |column, known| (row[column].to_s.split(";") - known).empty? }
            .map { |column, _| "foods_kit: #{key} has #{column} #{row[column]}" }
        end
      end

      # A kit counts in lines and weighs boxes, so every food that is eaten says which line and what its pack weighs.
      def without_pack
        said = @tables.fetch("foods_kit", []).map { |row| row["key"] }
        eaten = @tables["foods"].reject { |row| row["food_group"] == "supplies" }.map { |row| row["key"] }
        said.empty? ? [] : (eaten - said).map { |key| "foods_kit: nothing of #{key}" }
      end

      # Another way of storing may change how well food keeps, never how long it is safe.
      def methods_of_storing
        @tables.fetch("methods", []).filter_map do |row|
          base = @catalog.row(*row.values_at("food_or_class", "place", "state"))
          name = row.values_at("food_or_class", "place", "state", "storage").join("/")
          next "methods: #{name} has no keeping row to stand beside" unless base

          "methods: #{name} would stretch a safety time" if base.kind == :safety && row["days_high"].to_i > base.high
        end
      end

      def raw_meat
        raw =
          @catalog
            .foods
            .values
            .select { |food| food.aisle == "Meat and fish" && food.high_risk && !food.ready_to_eat }
            .map(&:key)
        @tables["keeping"]
          .select { |row| row["place"] == "fridge" && raw.include?(row["food_or_class"]) && row["kind"] != "safety" }
          .map { |row| "keeping: #{row["food_or_class"]} in the fridge must be a safety matter" }
      end

      def rules
        ruled = @tables["rules"].map { |row| row["food_or_class"] }
        @catalog
          .foods
          .values
          .reject do |food|
            food.food_group == "supplies" || bought_class?(food) || ruled.include?(food.key) ||
              ruled.include?(food.class_key)
          end
          .map { |food| "rules: nothing for #{food.key} nor for its class" }
      end

      def bought_class?(food) = food.key.start_with?("class-") && !@catalog.home_class?(food.key)

      # Food that spoils must not get a shelf life once it is open.
      def answers
        @catalog.foods.values.select(&:high_risk).filter_map do |food|
          row = @catalog.keeping(food, "opened", "cupboard").row
          if row && row.high > 30 && !food.key.start_with?("class-")
            "keeping: #{food.key} opened in a cupboard keeps #{row.high} days"
          end
        end
      end

      def lines
        @catalog.recipes.flat_map do |recipe|
          recipe
            .lines
            .flat_map { |line| line.substitutes.keys }
            .reject { |key| @catalog.foods.key?(key) }
            .map { |key| "recipe_lines: #{recipe.key} names the substitute #{key}, which is no food" }
        end
      end

      def seasons
        @tables.fetch("seasons", []).reject do |row|
          SideTables::REGIONS.include?(row["region"]) && row["months"].match?(/\A(1[0-2]|[1-9])(;(1[0-2]|[1-9]))*\z/)
        end.map { |row| "seasons: #{row["food_key"]} in #{row["region"]} has no months from 1 to 12" }
      end

      def dish_words
        %w[dish_words line_names seasons].flat_map do |table|
          unknown = @tables.fetch(table, []).reject { |row| @catalog.foods.key?(row["food_key"]) }
          unknown.map { |row| "#{table}: #{row["food_key"]} is no food" }
        end
      end
    end
  end
end
