# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # A bag for one on the way, eaten with `water_ml` added ("boil", "cold" or "none"), standing `stand_minutes`;
    # `eat_from` "bag", "cup" or "pot"; `packaging` of Packagings; foods a scoop suits. Lines are of RecipeLine. Frozen.
    Assembly =
      Value.of(
        :key, :name, :meal, :water_ml, :water_heat, :stand_minutes, :eat_from, :packaging, :closing, :suits_scoop,
        :directions, :tags, :lines
      )

    # A way of keeping food cold, with cautious hours by degrees Celsius around it (empty for none). Frozen.
    ColdKeeping = Value.of(:key, :name, :hours, :holds_ml, :tare_g, :note)

    # A food in one cut, dried: yields out / in, load of the trays, what must be heated first, how it is tested, days it
    # is conditioned, how dense it is dried, and as what it is kept (`keep_as` food or class, nil: by the log). Frozen.
    Drying =
      Value.of(
        :key, :name, :food_key, :first, :heat_first_c, :yield_low, :yield_usual, :yield_high, :load_g_per_dm2,
        :temp_target, :hours_target, :done_test, :condition_days, :dried_g_per_ml, :rehydrate_target, :keep_as, :note
      )

    # A thing people forget: one for each `per` ("trip", "person"), `needed_when` ("always", "cooks", "tins",
    # "untreated", "meat", "cold"); what else it serves as. Frozen.
    Essential = Value.of(:key, :item, :per, :needed_when, :weight_g, :stands_in_for, :often_forgotten, :note)

    # What a shop pack of a food, class or aisle (`scope`) weighs empty. Frozen.
    PackKind = Value.of(:scope, :pack_kind, :tare_fixed_g, :tare_per_100g, :carried_out, :note)

    # A bag, pouch, jar, carrier, bottle or canister. Frozen.
    Packaging = Value.of(:key, :name, :kind, :holds_ml, :tare_g, :carried_out, :reusable, :note)

    # A step of freezing, drying or bottling, with the field it logs and what follows after hours. Frozen.
    PreservingStep = Value.of(:process, :step_no, :applies_to, :step, :log_field, :follow_up_hours, :follow_up)

    # Grams of produce as picked for a litre of jars of one product. Frozen.
    ProduceJar = Value.of(:food_key, :product, :jar_class, :low, :usual, :high, :other_g_per_litre, :note)

    # What a recipe takes on the flame: pots, minutes after boiling, the share of its water that is boiled, whether a
    # pot must be washed. Frozen.
    RecipeGear = Value.of(:recipe_key, :pots, :burners_at_once, :simmer_minutes, :boiled_share, :washes_pot, :note)
  end
end
