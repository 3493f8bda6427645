# frozen_string_literal: true

require_relative "../../core/quantity/quantity"
require_relative "../../core/reference/recipe"
require_relative "../../core/reference/trip_rows"

module NutShelf
  module Desk
    module Bench
      # The bags there are: those of the tables, and the household's own. One of which a food is not known any more is
      # left out, for nobody could say what is in it.
      module Assemblies
        module_function

        # @param work [UnitOfWork]
        # @return [Hash{String=>Core::Assembly}] by key
        def of(work)
          own = work.house.own_bags.all.select { |row| known?(work, row) }
          work.catalog.trips.assemblies.merge(own.to_h { |row| [row.key, assembly(row)] })
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

        # @return [Boolean] whether every food of it is still there
        def known?(work, row)
          row.lines.all? { |said| work.shelf.foods.key?(said["food_key"]) || work.catalog.foods.key?(said["food_key"]) }
        end
      end
    end
  end
end
