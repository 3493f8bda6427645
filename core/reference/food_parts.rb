# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What 100 g of a food give, as the table has it: kcal, grams of protein, fat and carbohydrate, milligrams of
    # sodium; nil where nobody knows. Of a tin in water, brine or oil they are of what is drained. Frozen.
    Nutrition = Value.of(:kcal, :protein_g, :fat_g, :carbs_g, :sodium_mg)

    # What it takes until a food can be eaten: `heat` "none", "warm", "boil", "simmer" or "bake", for so many `minutes`;
    # `water_ml` for 100 g, drunk with it (`water_is_drunk`) or poured away; `pour_on`: boiling water and a lid will do;
    # `soak_hours` before. Frozen.
    Preparing =
      Value.of(:minutes, :water_ml, :soak_hours, heat: "none", water_is_drunk: false, pour_on: false) do
        # @return [Boolean] whether it needs a flame
        def heat? = heat != "none"
      end

    # The pack a food usually comes in: `wrapping` (see Wrapping), how it is opened, grams of packing and millilitres of
    # box for 100 g of what it says; nil for what has no place in a box. Frozen.
    Packing =
      Value.of(:wrapping, :opening, :tare_g, :box_ml) do
        # @return [Boolean] whether a tool is needed
        def opener? = opening == "opener"
      end
  end
end
