# frozen_string_literal: true

require_relative "../errors"
require_relative "../quantity/quantity"
require_relative "recipe"
require_relative "trip_rows"

module NutShelf
  module Core
    # Turns rows of text into those tables.
    class TripTableReader
      # @param tables [Hash{String=>Array<Hash>}]
      def initialize(tables)
        @tables = tables
      end

      # @return [TripTables]
      # @raise [BadTable]
      def read
        TripTables.new(
          assemblies: keyed("assemblies") { |row| assembly(row) }, cold: keyed("cold") { |row| cold(row) },
          moisture: rows("dry_parts").to_h { |row| [row["class_key"], row["moisture"].to_sym] }.freeze,
          drying: keyed("drying") { |row| typed(Drying, row, Drying::FIELDS - DRYING_WORDS) },
          essentials: rows("essentials").map { |row| essential(row) }.freeze,
          pack_kinds: keyed("pack_kinds", "scope") { |row| pack_kind(row) },
          packaging: keyed("packaging") { |row| packaging(row) },
          steps: rows("preserving_steps").map { |row| step(row) }.freeze,
          produce_jars: rows("produce_jars").map { |row| produce(row) }.freeze,
          recipe_gear: keyed("recipe_gear", "recipe_key") { |row| recipe_gear(row) },
          volumes: rows("volumes").to_h { |row| [row["food_key"], number(row, "g_per_litre")] }.freeze
        )
      end

      private

      DRYING_WORDS = %i[key name food_key first temp_target hours_target done_test rehydrate_target keep_as note].freeze
      private_constant :DRYING_WORDS

      def rows(table) = @tables.fetch(table, [])

      def keyed(table, column = "key") = rows(table).to_h { |row| [row[column], yield(row)] }.freeze

      # A row by the names of a value's fields: numbers where they are, words elsewhere.
      def typed(kind, row, numbers, **more)
        said = kind::FIELDS.reject { |name| more.key?(name) }.to_h do |name|
          [name, numbers.include?(name) ? number(row, name.to_s) : blank(row[name.to_s])]
        end
        kind.new(**said, **more)
      end

      def assembly(row)
        lines = rows("assembly_lines").select { |line| line["assembly_key"] == row["key"] }
        refuse("assemblies", row["key"], "lines") if lines.empty?
        typed(
          Assembly, row, %i[water_ml stand_minutes], lines: lines.map { |line| line(line) }.freeze,
          suits_scoop: list(row, "suits_scoop"), tags: list(row, "tags")
        )
      end

      def line(row)
        RecipeLine.new(
          food_key: row["food_key"], quantity: Quantity.of(row["quantity"], row["unit"]),
          optional: row["optional"] == "yes", note: row["prep_note"],
          substitutes: list(row, "substitutes").to_h { |text| text.split(":") }.transform_values(&:to_r).freeze
        )
      end

      def cold(row)
        hours = { 10 => "hours_at_10c", 20 => "hours_at_20c", 30 => "hours_at_30c" }
          .transform_values { |column| number(row, column) }.compact.freeze
        typed(ColdKeeping, row, %i[holds_ml tare_g], hours: hours)
      end

      def essential(row)
        typed(
          Essential, row, %i[weight_g], often_forgotten: yes(row, "often_forgotten"),
          stands_in_for: list(row, "stands_in_for")
        )
      end

      def pack_kind(row)
        typed(PackKind, row, %i[tare_fixed_g tare_per_100g], carried_out: yes(row, "carried_out"))
      end

      def packaging(row)
        typed(
          Packaging, row, %i[holds_ml tare_g], carried_out: yes(row, "carried_out"), reusable: yes(row, "reusable")
        )
      end

      def step(row)
        typed(PreservingStep, row, %i[follow_up_hours], step_no: Integer(row["step_no"], 10),
          log_field: list(row, "log_field"))
      end

      def produce(row)
        typed(
          ProduceJar, row, %i[other_g_per_litre],
          **%i[low usual high].to_h { |name| [name, number(row, "produce_g_per_litre_#{name}")] }
        )
      end

      def recipe_gear(row)
        typed(
          RecipeGear, row, %i[simmer_minutes boiled_share], washes_pot: yes(row, "washes_pot"),
          pots: Integer(row["pots"], 10), burners_at_once: Integer(row["burners_at_once"], 10)
        )
      end

      def yes(row, column) = row[column] == "yes"

      def list(row, column) = row[column].to_s.split(";").freeze

      def blank(text) = text.to_s.empty? ? nil : text

      def number(row, column)
        row[column].to_s.empty? ? nil : Rational(row[column])
      rescue ArgumentError
        refuse("a table of trips", row.values.first, column)
      end

      def refuse(table, key, column) = raise(BadTable, "#{table}: #{key} has no usable #{column}.")
    end
  end
end
