# frozen_string_literal: true

module NutShelf
  module Core
    # Tables that say one thing more of some foods: what dishes and lines call it, when it is in season, whether its
    # energy is alcohol's, how long it may stand warm once it is open.
    class SideTables
      # Regions a season is told for.
      REGIONS = %w[cool-north cool-south warm-north warm-south].freeze

      # @param tables [Hash{String=>Array<Hash>}]
      def initialize(tables)
        @facts = Hash.new { |all, key| all[key] = {} }
        read(tables, "line_names") { |row| { line_name: row["name"] } }
        read(tables, "dish_words") { |row| { dish_words: [row["word"], *row["also"].split(";")].freeze } }
        read(tables, "seasons") do |row|
          months = row["months"].split(";").map { |month| Integer(month) }.freeze
          { season: { **@facts[row["food_key"]].fetch(:season, {}), row["region"] => months }.freeze }
        end
        read(tables, "warm_hours", "food_or_class") { |row| { warm_hours: Rational(row["warm_hours"]) } }
        read(tables, "energy_exceptions", "key") { |row| row["reason"] == "alcohol" ? { alcohol: true } : {} }
        @facts.each_value(&:freeze)
        @facts.default_proc = nil
        freeze
      end

      # @param key [String] of a food
      # @param klass [String, nil] its class
      # @return [Hash{Symbol=>Object}] what these tables say of it, else of its class, by field of Food
      def of(key, klass = nil) = { **@facts.fetch(klass, {}), **@facts.fetch(key, {}) }

      private

      def read(tables, name, by = "food_key")
        tables.fetch(name, []).each { |row| @facts[row[by]] = { **@facts[row[by]], **yield(row) } }
      end
    end
  end
end
