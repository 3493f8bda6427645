# frozen_string_literal: true

require_relative "../errors"
require_relative "../value"

module NutShelf
  module Core
    # What a kit holds that is no food, by level: `low`, `usual` and `high` pieces for what `per` names ("kit",
    # "person", "person_week", "torch", "ten_litres", "fuel"; with "_ml" at its end millilitres), nil where another sum
    # says; only `when` it is of use ("always", "tin_opener", "burner", "no_water", "home_filled"). `unit_g` and
    # `unit_ml`: one piece in a box. Frozen.
    Supply = Value.of(:food_key, :per, :low, :usual, :high, :when, :unit_g, :unit_ml, :note)

    # A thing to do before an event: best finished `aim_hours` before its hour, of use only `wait_hours` before it;
    # `hands_minutes` of one pair of hands for what `per` names ("once", "ten_litres", "ten_litres_flush"); a task of
    # `rank` 1 is never left out; `when` the house has what it is about ("always", "medicines", "freezer", "fridge",
    # "car", "pets"). Frozen.
    EventTask = Value.of(:key, :name, :aim_hours, :wait_hours, :hands_minutes, :rank, :when, :per, :note)

    # What a food is made with: grams of `needs_key` for 100 g, or of a stand-in so many for one; `alone`: the share of
    # it that can be eaten without. Frozen.
    Companion = Value.of(:food_key, :needs_key, :g_per_100g, :alone, :note, stand_ins: {}.freeze)

    # The tables of kits beside the foods': supplies, what is done before an event, what is made with what, what is
    # crisp and goes soft once open in hot, damp air (`crunch`: keys of foods).
    KitTables =
      Value.of(:supplies, :event_tasks, :companions, crunch: [].freeze) do
        # @param tables [Hash{String=>Array<Hash>}] rows of text by table
        # @return [KitTables]
        def self.read(tables)
          new(
            supplies: tables.fetch("supplies", []).map { |row| supply(row) }.freeze,
            event_tasks: tables.fetch("event_tasks", []).map { |row| event_task(row) }.freeze,
            companions: tables.fetch("needs_others", []).map { |row| companion(row) }.freeze,
            crunch: tables.fetch("loses_crunch", []).map { |row| row["food_key"] }.freeze
          )
        end

        # @return [Array<String>] what is wrong with them, by table, key and column
        def self.faults(tables, catalog)
          [
            *tables.fetch("supplies", []).flat_map { |row| supply_faults(row, catalog) },
            *tables.fetch("event_tasks", []).flat_map { |row| task_faults(row) },
            *tables.fetch("needs_others", []).flat_map { |row| companion_faults(row, catalog) },
            *tables.fetch("loses_crunch", []).reject { |row| catalog.foods.key?(row["food_key"]) }
              .map { |row| "loses_crunch: there is no food #{row["food_key"]}" },
            *tables.fetch("warm_hours", []).reject { |row| known?(row["food_or_class"], catalog) }.map do |row|
              "warm_hours: #{row["food_or_class"]} is neither food nor class"
            end
          ]
        end

        # @return [Boolean] whether it is a food or a class
        def self.known?(key, catalog) = catalog.foods.key?(key) || catalog.class_names.key?(key)

        # @return [Array<String>] what is wrong with one row
        def self.supply_faults(row, catalog)
          key, per, at = row.values_at("food_key", "per", "when")
          wrong = []
          wrong << "there is no food #{key}" unless catalog.foods.key?(key)
          wrong << "#{key} has per #{per}" unless KitTables::PER.include?(per)
          wrong << "#{key} has when #{at}" unless KitTables::OF_USE.include?(at)
          wrong << "#{key} has no figures" if per != "fuel" && row.values_at("low", "usual", "high").any?("")
          wrong.map { |text| "supplies: #{text}" }
        end

        # @return [Array<String>] what is wrong with one row
        def self.companion_faults(row, catalog)
          keys = [row["food_key"], row["needs_key"], *companion(row).stand_ins.keys]
          keys.reject { |key| catalog.foods.key?(key) }.map { |key| "needs_others: there is no food #{key}" }
        end

        # @return [Array<String>] what is wrong with one row
        def self.task_faults(row)
          wrong = []
          wrong << "per #{row["per"]}" unless KitTables::TASK_PER.include?(row["per"])
          wrong << "when #{row["when"]}" unless KitTables::HAS.include?(row["when"])
          wrong << "wait_hours after its aim" if row["wait_hours"].to_r > row["aim_hours"].to_r
          wrong << "no hands_minutes" unless row["hands_minutes"].to_r.positive?
          wrong.map { |text| "event_tasks: #{row["key"]} has #{text}" }
        end

        # @return [Supply]
        def self.supply(row)
          Supply.new(
            food_key: row["food_key"], per: row["per"], when: row["when"], note: row["note"],
            **%w[low usual high unit_g unit_ml].to_h { |column| [column.to_sym, number(row, column)] }
          )
        end

        # @return [Companion]
        def self.companion(row)
          stand_ins = row["stand_ins"].split(";").to_h do |text|
            text.split(":").then do |key, factor|
              [key, Rational(factor)]
            end
          end
          Companion.new(
            food_key: row["food_key"], needs_key: row["needs_key"], g_per_100g: number(row, "g_per_100g"),
            alone: number(row, "alone"), note: row["note"], stand_ins: stand_ins.freeze
          )
        end

        # @return [EventTask]
        def self.event_task(row)
          EventTask.new(
            **%w[key name when per note].to_h { |column| [column.to_sym, row[column]] },
            **%w[aim_hours wait_hours hands_minutes].to_h { |column| [column.to_sym, number(row, column)] },
            rank: Integer(row["rank"], 10)
          )
        end

        # @return [Rational, nil]
        def self.number(row, column)
          row[column].to_s.empty? ? nil : Rational(row[column])
        rescue ArgumentError
          raise BadTable, "a table of kits: #{row["key"] || row["food_key"]} has no usable #{column}."
        end

        private_class_method :known?, :supply_faults, :task_faults, :companion_faults, :supply,
          :event_task, :companion, :number
      end

    KitTables::PER = %w[kit kit_ml person person_week person_week_ml torch ten_litres fuel].freeze
    KitTables::OF_USE = %w[always tin_opener burner no_water home_filled].freeze
    KitTables::TASK_PER = %w[once ten_litres ten_litres_flush].freeze
    KitTables::HAS = %w[always medicines freezer fridge car pets].freeze
  end
end
