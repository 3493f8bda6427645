# frozen_string_literal: true

require_relative "../dating/look_list"
require_relative "../errors"
require_relative "catalog"
require_relative "kit_tables"
require_relative "recipe"
require_relative "side_tables"
require_relative "trip_tables"
require_relative "../quantity/quantity"

module NutShelf
  module Core
    # Turns the rows of the reference tables (hashes of text) into a Catalog, refusing what does not fit.
    class TableReader
      PLACES = %w[cupboard cool_dark fridge freezer].freeze

      # @param tables [Hash{String=>Array<Hash{String=>String}>}] rows by table name without ".csv"
      # @return [Catalog]
      # @raise [BadTable] naming table, key and column
      def self.read(tables) = new(tables).read

      def initialize(tables)
        @tables = tables
      end

      # @return [Catalog]
      # @raise [BadTable]
      def read
        Catalog.new(
          foods: foods.merge(home_classes),
          rows: keeping.merge(methods_of_storing),
          states: states,
          stand_ins: stand_ins,
          no_rules: no_rules,
          targets: targets,
          recipes: recipes,
          class_names: class_names,
          home_classes: class_names.keys - class_of.values,
          signs: signs,
          losses: losses,
          revivals: revivals,
          kits: KitTables.read(@tables),
          trips: TripTables.read(@tables)
        )
      end

      private

      def rows(table) = @tables.fetch(table) { raise BadTable, "The table #{table} is missing." }

      def class_of
        @class_of ||=
          rows("food_classes")
            .reject { |row| row["food_key"].empty? }
            .to_h { |row| row.values_at("food_key", "class_key") }
      end

      def class_names = rows("food_classes").to_h { |row| row.values_at("class_key", "class_name") }

      def rules = @rules ||= rows("rules").to_h { |row| [row["food_or_class"], rule(row)] }

      def rule(row)
        {
          high_risk: yes(row, "high_risk"),
          past_date_tolerance_days: row["past_date_tolerance_days"].to_i,
          no_opened_limit: yes(row, "no_opened_limit"),
          opened_where: row["opened_where"],
          edible_yield: share(row, "edible"),
          drained_share: share(row, "drained"),
          freezes: row["freezes"],
          freeze_note: row["freeze_note"],
          freezing_damage: yes(row, "freezing_damage"),
          thaw_hours_fridge: number(row, "thaw_hours_fridge"),
          infant: yes(row, "infant"),
          vulnerable_avoid: row["vulnerable_avoid"],
          pest_risk: yes(row, "pest_risk")
        }
      end

      # A drained share is for the plate only: recipe lines weigh tins as they come from stock.
      def share(row, kind) = row["yield_kind"] == kind ? number(row, "edible_yield") : 1r

      def soaking = @soaking ||= rows("rules").to_h { |row| [row["food_or_class"], number(row, "soak_hours")] }

      def kit = @kit ||= @tables.fetch("foods_kit", []).to_h { |row| [row["key"], row] }

      def beside = @beside ||= SideTables.new(@tables)

      def foods
        @foods ||= rows("foods").to_h { |row| [row["key"], food(row)] }.freeze
      end

      def food(row)
        key = row["key"]
        klass = class_of[key]
        Food.new(
          key: key,
          name: row["name"],
          aisle: row["aisle"],
          food_group: row["food_group"],
          dimension: row["base_dimension"].to_sym,
          g_per_ml: number(row, "g_per_ml"),
          g_per_piece: number(row, "g_per_piece"),
          typical_packs: list(row, "typical_packs").map { |text| pack_size(text) }.freeze,
          class_key: klass,
          allergens: list(row, "allergens"),
          date_kind_usual: row["date_kind_usual"],
          ready_to_eat: yes(row, "ready_to_eat"),
          serving_g: number(row, "serving_g"),
          nutrition: nutrition(row),
          preparing: preparing(row, kit.fetch(key, {}), soaking[key] || soaking[klass]),
          fragile_glass_common: yes(row, "fragile_glass_common"),
          **packed(kit[key]),
          **beside.of(key, klass),
          **(rules[key] || rules[klass] || no_food(row))
        )
      end

      def nutrition(row)
        Nutrition.new(
          kcal: number(row, "kcal_per_100g"), protein_g: number(row, "protein_g_per_100g"),
          fat_g: number(row, "fat_g_per_100g"), carbs_g: number(row, "carbs_g_per_100g"),
          sodium_mg: number(row, "sodium_mg_per_100g")
        )
      end

      def preparing(row, kit, soak_hours)
        heat = row["needs_heat"].to_s
        Preparing.new(
          heat: heat.empty? || heat == "no" ? "none" : heat, minutes: number(row, "cook_minutes"),
          water_ml: number(row, "cook_water_ml_per_100g"), soak_hours: soak_hours,
          pour_on: yes(kit, "pour_on"), water_is_drunk: yes(kit, "water_is_drunk")
        )
      end

      # What the table of kits says of a food and its usual pack.
      def packed(row)
        return {} unless row

        said = row.transform_values { |text| text.empty? ? nil : text }
        {
          animal_kinds: list(row, "animal_kind"), kit_group: said["kit_group"],
          plate_serving_g: number(row, "plate_serving_g"), pet: said["pet"],
          packing: Packing.new(
            wrapping: said["wrapping_usual"], opening: said["opening_usual"],
            tare_g: number(row, "tare_g_per_100g"), box_ml: number(row, "box_ml_per_100g")
          )
        }
      end

      # "400g" and "1.5l" are sizes, a bare number counts pieces.
      def pack_size(text)
        number, unit = text.match(/\A([\d.]+)(kg|g|ml|l)?\z/).captures
        Quantity.of(number, unit || "piece")
      end

      # Supplies have no rules row: nothing grows in a torch, and opened bleach stays where it is.
      def no_food(row) = row["food_group"] == "supplies" ? { high_risk: false, opened_where: "cupboard" } : {}

      # States made at home (soup, broth, jars) have no bought food behind them; stand-ins may also point
      # at the class of bought food. Either way the class answers as if it were a food.
      def home_classes
        class_names.keys.to_h do |key|
          [
            key,
            Food.new(
              key: key,
              name: class_names[key],
              aisle: "Home leftovers",
              food_group: "protein",
              dimension: :count,
              **(rules[key] || {})
            )
          ]
        end
      end

      def keeping
        @keeping ||=
          rows("keeping").to_h do |row|
            scope, place, state = row.values_at("food_or_class", "place", "state")
            refuse("keeping", scope, "place") unless PLACES.include?(place)
            [[scope, place, state].freeze, keeping_row(row, scope, place, state)]
          end
      end

      def keeping_row(row, scope, place, state)
        low, high = row.values_at("quality_days_low", "quality_days_high").map { |text| Integer(text, 10) }
        refuse("keeping", scope, "quality_days_low") if low > high
        KeepingRow.new(
          scope: scope,
          place: place,
          state: state,
          low: low,
          high: high,
          kind: row["kind"].to_sym,
          after_thaw_days: number(row, "after_thaw_days")&.to_i,
          method: row["method"],
          care_every_days: number(row, "care_every_days")&.to_i,
          care_text: row["care_text"],
          signs_to_discard: row["signs_to_discard"],
          caution: row["caution"]
        )
      end

      # Figures that hold for one way of storing only.
      def methods_of_storing
        @tables.fetch("methods", []).to_h do |row|
          scope, place, state, storage = row.values_at("food_or_class", "place", "state", "storage")
          refuse("methods", scope, "storage") unless KeepingRow::STORAGE.key?(storage) && PLACES.include?(place)
          low, high = row.values_at("days_low", "days_high").map { |text| Integer(text, 10) }
          base = keeping[[scope, place, state]] || keeping[[class_of[scope], place, state]]
          [
            [scope, place, state, storage].freeze,
            KeepingRow.new(
              scope: scope,
              place: place,
              state: state,
              low: low,
              high: high,
              kind: base&.kind || :quality,
              after_thaw_days: base&.after_thaw_days,
              method: row["advice"],
              care_every_days: number(row, "care_every_days")&.to_i,
              care_text: row["care_text"],
              signs_to_discard: base&.signs_to_discard,
              caution: base&.caution,
              storage: storage
            )
          ]
        end
      end

      def states
        rows("keeping_states").to_h do |row|
          [row.values_at("situation", "place"), row["states_in_order"].split(";").freeze]
        end
      end

      def stand_ins
        rows("stand_ins").map { |row| symbols(row, %w[scope situation place mode use_instead use_situation use_place]) }
      end

      def no_rules = rows("no_rule").map { |row| symbols(row, %w[scope situation place outcome reason]) }

      def targets = rows("targets").to_h { |row| [row["key"], row] }

      def recipes
        lines = rows("recipe_lines").group_by { |row| row["recipe_key"] }
        made = @tables.fetch("recipe_makes", []).group_by { |row| row["recipe_key"] }
        rows("recipes").map do |row|
          own = lines.fetch(row["key"]) { refuse("recipes", row["key"], "lines") }
          Recipe.from_row(row, own, made.fetch(row["key"], []), foods)
        end
      end

      # What to look for, by kind of pack, and what each sign means.
      def signs
        @tables.fetch("look_signs", []).group_by { |row| row["pack_type"] }.transform_values do |list|
          list.map { |row| LookList::Sign.new(sign: row["sign"], means: row["means"].to_sym) }.freeze
        end
      end

      def revivals
        @tables
          .fetch("revive", [])
          .to_h { |row| [row["food"], { minutes: Integer(row["minutes"], 10), how: row["how"] }.freeze] }
      end

      def losses
        @tables
          .fetch("losses", [])
          .group_by { |row| row["food_group"] }
          .transform_values { |list| list.map { |row| symbols(row, %w[process what about]) }.freeze }
      end

      def symbols(row, columns) = columns.to_h { |column| [column.to_sym, blank(row[column])] }.freeze

      def blank(text) = text.to_s.empty? ? nil : text

      def yes(row, column) = row[column] == "yes"

      def list(row, column) = row[column].split(";").freeze

      def number(row, column)
        row[column].to_s.empty? ? nil : Rational(row[column])
      rescue ArgumentError
        refuse("a table", row["key"], column)
      end

      def refuse(table, key, column) = raise(BadTable, "#{table}: #{key} has no usable #{column}.")
    end
  end
end
