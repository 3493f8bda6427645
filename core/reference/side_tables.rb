# frozen_string_literal: true

module NutShelf
  module Core
    # Tables that say one thing more of some foods: what dishes and lines call it, which animals it comes from, when it
    # is in season.
    class SideTables
      # Regions a season is told for.
      REGIONS = %w[cool-north cool-south warm-north warm-south].freeze

      # @param tables [Hash{String=>Array<Hash>}]
      def initialize(tables)
        @facts = Hash.new { |all, key| all[key] = {} }
        read(tables, "animal_kinds") { |row| { animal_kinds: row["animal_kind"].split(";").freeze } }
        read(tables, "line_names") { |row| { line_name: row["name"] } }
        read(tables, "dish_words") { |row| { dish_words: [row["word"], *row["also"].split(";")].freeze } }
        read(tables, "seasons") do |row|
          months = row["months"].split(";").map { |month| Integer(month) }.freeze
          { season: { **@facts[row["food_key"]].fetch(:season, {}), row["region"] => months }.freeze }
        end
        @facts.each_value(&:freeze)
        @facts.default_proc = nil
        freeze
      end

      # @param key [String] of a food
      # @return [Hash{Symbol=>Object}] what these tables say of it, by field of Food
      def of(key) = @facts.fetch(key, {})

      private

      def read(tables, name)
        tables.fetch(name, []).each { |row| @facts[row["food_key"]] = { **@facts[row["food_key"]], **yield(row) } }
      end
    end
  end
end
