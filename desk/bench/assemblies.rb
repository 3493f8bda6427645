# frozen_string_literal: true

require_relative "../../core/quantity/quantity"
require_relative "../../core/reference/recipe"
require_relative "../../core/reference/trip_rows"

module NutShelf
  module Desk
    module Bench
      # The bags there are: those of the tables, and the household's own. One of which a food was put out of sight is
      # left out, as lists forget that food.
      module Assemblies
        module_function

        # @param work [UnitOfWork]
        # @return [Hash{String=>Core::Assembly}] by key
        def of(work)
          own = work.house.own_bags.all.to_h { |row| [row.key, assembly(row)] }
          known = work.shelf.foods
          work.catalog.trips.assemblies.merge(own)
            .select { |_, one| one.lines.all? { |line| known.key?(line.food_key) } }
        end

        # @param row [Store::Rows::OwnBag]
        # @return [Core::Assembly]
        def assembly(row)
          Core::Assembly.new(
            **row.slice(:key, :name, :meal, :water_heat, :eat_from, :packaging, :closing, :directions),
            water_ml: row.water_ml.to_r, stand_minutes: row.stand_minutes.to_r, suits_scoop: [].freeze,
            tags: [].freeze, lines: row.lines.map { |line| line(line) }.freeze
          )
        end

        # @return [Core::RecipeLine]
        def line(said)
          Core::RecipeLine.new(
            food_key: said["food_key"], quantity: Core::Quantity.new(said["grams"].to_r, :mass), optional: false,
            substitutes: {}.freeze
          )
        end
      end
    end
  end
end
