# frozen_string_literal: true

require_relative "../core/value"

module NutShelf
  module Store
    # What the rows of trips travel as.
    module Rows
      # A trip: from the first meal of a day to the last of another; `people` [{"person_id", "figure"}], `days` by day
      # {"effort", "hours", "hot"}; gear, pots, how food is kept cold and how hot it gets around it, `temps` by meal,
      # `sources` of water ("2027-04-06 day"), containers for it, fuel. Home again: kcal that were planned and eaten,
      # and keys of foods that came back. `ticked`: essentials that are packed; `shops`: days on which one passes a
      # shop; `carried_by` "back", "bicycle" or "vehicle"; grams of gas that were burnt and millilitres boiled with it.
      Trip =
        Core::Value.of(
          :id, :name, :leaves_on, :back_on, :eaten_kcal, :planned_kcal, :archived_at, :gas_used_g, :boiled_ml,
          status: "planned", leaves_hour: 8, first_meal: "lunch", last_meal: "lunch", people: [].freeze,
          days: {}.freeze, gear: ["burner"].freeze, pots: 1, pot_ml: 1500,
          cold: "none", high_c: 20, temps: {}.freeze, no_tins: true, no_glass: true, sources: [].freeze,
          containers_ml: [].freeze, spare_days: 0, canister_g: 230, gas_left_g: 0,
          came_back: [].freeze, ticked: [].freeze, shops: [].freeze, carried_by: "back", version: 1
        )
      # What is eaten at a meal of it: a "recipe", a "bag", so many grams of a "food" for each, or the "leftover" of a
      # recipe, by its key; `soaked`: water was poured on it the evening before.
      TripMeal =
        Core::Value.of(:id, :trip_id, :on_date, :meal, :kind, :dish, :grams, :archived_at, pinned: false, soaked: false,
          version: 1)
      # So many packs of a food that are to stand in a box.
      BoxWant = Core::Value.of(:id, :place_id, :food_id, :packs, :archived_at, version: 1)
      # A bag of several foods that a household put together: `lines` [{"food_key", "grams"}] of one.
      OwnBag =
        Core::Value.of(
          :id, :key, :name, :meal, :packaging, :archived_at, water_ml: 0, water_heat: "none", stand_minutes: 0,
          eat_from: "bag", closing: "airtight", directions: "", lines: [].freeze, version: 1
        )
      # What is to be bottled (`cut`: a product, amounts in ml) or dried (`cut`: of the drying table, in g) at a
      # harvest; `weekly`: eaten a week, nil: as the ledger tells; `food_ids`: own foods that count as it; `target` and
      # `target_jars` [{"ml", "count"}] as planned, `done_before`: what batches had given by then. `get_by`: "grow" or
      # "buy".
      SeasonLine =
        Core::Value.of(
          :id, :process, :cut, :weekly, :harvest_on, :next_harvest_on, :pot_jars, :trays, :tray_dm2, :day_hours,
          :planned_on, :archived_at, food_ids: [].freeze, margin_percent: 0, get_by: "", note: "", target: 0r,
          target_jars: [].freeze, done_before: 0r, version: 1
        )
    end
  end
end
