# frozen_string_literal: true

require_relative "../value"
require_relative "food_parts"

module NutShelf
  module Core
    # What a food is, whatever its pack, with the handling rules that follow it. Frozen.
    #
    # Amount figures are exact: g_per_ml (grams), g_per_piece (grams of the edible part), both may be nil. `dimension`
    # says how the food is usually counted. Rule fields come from the food's own row of the rules table, else its class
    # row; a food without either behaves cautiously. `nutrition`, `preparing` and `packing`: see food_parts.rb.
    # `edible_yield`: share of a pack that is eaten; `drained_share`: share of a tin that reaches the plate, which
    # counts for helpings alone. `serving_g`: what people usually take; `plate_serving_g`: what counts as a serving of
    # its `kit_group`. `pet`: whose food it is; `animal_kinds`: which animals it comes from. `dish_words`: what dishes
    # call it, the plain word first; `line_name`: what a recipe's line calls it, to read in again. `season`: region to
    # months. `warm_hours`: how long an opened pack of it may stand above the fridge's limit, though it is not high
    # risk; nil where there is no such figure.
    Food =
      Value.of(
        :key,
        :name,
        :aisle,
        :food_group,
        :dimension,
        :g_per_ml,
        :g_per_piece,
        :class_key,
        :serving_g,
        :kit_group,
        :plate_serving_g,
        :pet,
        :fragile_glass_common,
        :thaw_hours_fridge,
        :warm_hours,
        typical_packs: [].freeze,
        allergens: [].freeze,
        date_kind_usual: "none",
        ready_to_eat: false,
        high_risk: true,
        past_date_tolerance_days: 0,
        no_opened_limit: false,
        opened_where: "fridge",
        edible_yield: 1,
        drained_share: 1r,
        animal_kinds: [].freeze,
        nutrition: Nutrition.new,
        preparing: Preparing.new,
        packing: Packing.new,
        freezes: "yes",
        freeze_note: "",
        freezing_damage: false,
        infant: false,
        alcohol: false,
        vulnerable_avoid: "",
        kept_by_level: false,
        dish_words: [].freeze,
        line_name: nil,
        season: {}.freeze,
        pest_risk: false
      ) do
        # @return [Boolean] whether a sealed pack of it belongs on a shelf without cold
        def shelf_stable? = !Food::PERISHABLE.include?(aisle) && date_kind_usual != "use_by"

        # @return [Boolean] whether it is meat, fish or of them, as people mean it who eat none
        def flesh? = animal_kinds.intersect?(%w[meat fish shellfish])

        # @return [Boolean]
        def fish? = animal_kinds.intersect?(%w[fish shellfish])

        # @return [Boolean] whether it is in season that month, where it has one and is sold fresh
        def in_season?(region, month) = season.empty? || season.fetch(region, [month]).include?(month)

        # @return [Boolean] whether what nobody will eat in time is worth freezing: fresh food that freezes as it is
        def freezes_well? = freezes == "yes" && aisle != "Frozen" && Food::PERISHABLE.include?(aisle)

        # @return [Boolean] whether anybody eats it: torches, bleach and cat litter stand on shelves, too
        def eaten? = food_group != "supplies"

        # @return [Boolean] whether people eat it
        def for_people? = eaten? && pet.nil?

        # @return [Boolean] whether it is powder that is made up into an infant's feeds
        def formula? = infant && preparing.water_is_drunk

        # @return [Boolean] whether it goes into the pot or the toaster as it comes out of the freezer
        def from_frozen? = freeze_note.to_s.include?("from frozen")
      end

    # Aisles of what lives in the cold or is eaten within days.
    Food::PERISHABLE = [
      "Frozen", "Fresh fruit", "Fresh vegetables", "Meat and fish", "Dairy and eggs", "Bread", "Home leftovers"
    ].freeze
  end
end
