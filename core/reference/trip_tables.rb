# frozen_string_literal: true

require_relative "../value"
require_relative "trip_table_reader"

module NutShelf
  module Core
    # The tables of the bench and of trips beside the foods': bags, cold, drying, what people forget, packs and bags by
    # weight, steps of preserving, produce for jars, what recipes take on a flame, how loosely food fills a bag. Each by
    # its key; `moisture` by class, `volumes` grams in a litre by food. Frozen.
    TripTables =
      Value.of(
        assemblies: {}.freeze, cold: {}.freeze, moisture: {}.freeze, drying: {}.freeze, essentials: [].freeze,
        pack_kinds: {}.freeze, packaging: {}.freeze, steps: [].freeze, produce_jars: [].freeze,
        recipe_gear: {}.freeze, volumes: {}.freeze
      ) do
        # @param tables [Hash{String=>Array<Hash>}] rows of text by table
        # @return [TripTables]
        # @raise [BadTable]
        def self.read(tables) = TripTableReader.new(tables).read

        # What a food weighs empty as it is sold: by itself, else its class, else its aisle.
        # @param food [Food]
        # @return [PackKind, nil]
        def pack_kind(food)
          pack_kinds[food.key] || pack_kinds[food.class_key] || pack_kinds["aisle:#{food.aisle}"]
        end
      end
  end
end
