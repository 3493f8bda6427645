# frozen_string_literal: true

require "csv"
require "fileutils"
require_relative "../core/reference/table_reader"
require_relative "../core/reference/table_checks"

module NutShelf
  module Boot
    # Reads the shipped reference tables of data/ once; what it builds is frozen.
    module Reference
      FOLDER = File.expand_path("../data", __dir__)
      TABLES = %w[
        foods food_classes energy_exceptions keeping keeping_states stand_ins no_rule rules targets recipes
        recipe_lines recipe_makes methods look_signs losses revive foods_kit dish_words line_names
        seasons warm_hours supplies event_tasks needs_others loses_crunch assemblies assembly_lines cold dry_parts
        drying essentials pack_kinds packaging preserving_steps produce_jars recipe_gear volumes
      ].freeze

      module_function

      # @return [Core::Catalog]
      def catalog = CATALOG[0] ||= Core::TableReader.read(tables(FOLDER))

      CATALOG = [] # rubocop:disable Style/MutableConstant -- filled once, on first use

      # @param folder [String] where the tables lie
      # @return [Hash{String=>Array<Hash>}]
      def tables(folder)
        TABLES.select { |name| File.file?(File.join(folder, "#{name}.csv")) }.to_h do |name|
          [
            name,
            CSV.read(File.join(folder, "#{name}.csv"), headers: true).map { |row| row.to_h.transform_values(&:to_s) }
          ]
        end
      end

      # Checks every table of `folder` and only then copies them all into data/, with plain line ends.
      # @raise [Core::BadTable] listing what is wrong, by table, key and column
      def import(folder)
        read = tables(folder)
        Core::TableChecks.call(read, Core::TableReader.read(read))
        FileUtils.mkdir_p(FOLDER)
        read.each { |name, rows| File.write(File.join(FOLDER, "#{name}.csv"), CSV.generate { |csv| write(csv, rows) }) }
        CATALOG.clear
      end

      # The tables' own words, where they would send a person to a file.
      PLAIN_WORDS = {
        "Keep where it was sold or where the class row says" => "Keep it where it was sold",
        "Once opened it belongs where rules.csv opened_where says" => "It does not keep here once opened",
        "Freeze it as frozen_at_home, prepared and decanted" => "Not in its pack: prepare and decant it, then freeze it"
      }.freeze

      def write(csv, rows)
        csv << rows.first.keys
        rows.each { |row| csv << row.values.map { |text| PLAIN_WORDS.fetch(text, text) } }
      end
    end
  end
end
