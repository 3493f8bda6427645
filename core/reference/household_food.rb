# frozen_string_literal: true

require_relative "catalog"
require_relative "food"

module NutShelf
  module Core
    # A food as a household has it: what it said over what the tables say, and a food of its own over the class it keeps
    # like.
    module HouseholdFood
      module_function

      # @param said [#reference_key, #class_key, #allergens] what the household keeps of it
      # @param catalog [Catalog]
      # @return [Food]
      def of(said, catalog)
        base = catalog.foods[said.reference_key] || catalog.foods[said.class_key]
        own = {
          **said.slice(:name, :aisle, :food_group, :kept_by_level, :class_key),
          **said.slice(:g_per_ml, :g_per_piece).compact,
          key: said.reference_key || said.key,
          dimension: said.dimension.to_sym,
          allergens: allergens(said, base, catalog)
        }
        base ? base.with(**own) : Food.new(**own)
      end

      # What somebody said it holds, else what the shipped food does, else all that foods of its kind may.
      # @return [Array<String>]
      def allergens(said, base, catalog)
        return said.allergens if said.allergens
        return base.allergens if said.reference_key && base

        [*base&.allergens, *catalog.allergens_of_class(said.class_key)].uniq.freeze
      end
    end
  end
end
