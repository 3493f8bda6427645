# frozen_string_literal: true

require_relative "../support/house"
require_relative "../support/pictures"
require_relative "../../store/backup"

# Every kind of act, taken back: the household is what it was before, byte for byte as its backup tells it, but for ids,
# versions, the two acts and what they own. Kinds that cannot be taken back are named, so that a new act is either here
# or there.
RSpec.describe NutShelf::Desk::Undo do
  include HouseSupport

  # What an act cannot take back: another undo.
  never = %w[Undo]
  # Tables that only ever grow, by acts.
  ledger = %w[acts movements lot_events lot_sources record_events]
  # What stands for "was never there", by table.
  gone = {
    "lots" => ->(row, sums) { sums.fetch(row["id"], 0).zero? },
    "meals" => ->(row, _) { row["status"] == "dropped" },
    "keeping_rules" => ->(row, _) { row["removed"] },
    "counts" => ->(row, _) { row["status"] == "thrown" },
    "count_lines" => ->(row, _) { row["removed"] }
  }
  gone.default = ->(row, _) { !row["archived_at"].nil? }
  # What may stay: a size of pack is no fact that could be wrong, and of a dish all versions stay; `dishes` says which
  # is in force.
  learnt = %w[packs recipes recipe_lines recipe_substitutes recipe_texts]

  let(:ines) { household!(people: 2) }
  let(:tins) do
    printed = { printed_on: "2026-11-20", printed_kind: "best_before" }
    put_away(ines, "canned-chickpeas", "cupboard", count: "3", price_minor: 267, **printed)["lot_id"]
  end
  let(:rice) { put_away(ines, "white-rice", "cupboard", count: "2", amount: "500", price_minor: 300)["lot_id"] }
  let(:jar) do
    act(:AddContainer, ines, { name: "Litre jar", kind: "jar", capacity_ml: 1000, owned: 3 })["container_id"]
  end
  let(:chilli) { inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first } }
  let(:meal) do
    act(:PlanMeal, ines, { recipe_id: chilli, on: HouseSupport::TODAY.iso8601 })["meal_id"]
  end
  let(:person) { inside(ines) { |house| house.household.people.first.id } }
  let(:own_food) do
    act(:AddFood, ines, { name: "Sea beans", like_food_id: food_id(ines, "canned-chickpeas") })["food_id"]
  end
  let(:care) { act(:AddCare, ines, { title: "Fresh water", first_on: "2026-11-24", every_days: 2 })["care_id"] }
  let(:kit) { act(:SetKit, ines, { name: "Ferry box", days: 7 })["kit_id"] }
  let(:gale) do
    hour = (Time.now.utc + 36_000).iso8601
    act(:SetEvent, ines,
      { name: "Gale", hour: hour, fill_l: "25", flush_l: "20", helpers: 2, days: 3, has: [] })["event_id"]
  end
  let(:dark) do
    act(:BeginOutage, ines, { started_at: (Time.now.utc - 36_000).iso8601, freezer_percent: 50 })["outage_id"]
  end
  let(:shed) { act(:AddPlace, ines, { name: "Shed", kind: "cupboard" })["place_id"] }
  let(:counting) do
    tins
    count = act(:StartCount, ines, { place_id: place_id(ines, "cupboard") })["count_id"]
    act(:EnterLine, ines, { count_id: count, lot_id: tins, found: "amount", packs: "2" })
    count
  end

  def version(kind, id)
    inside(ines) { |house| house.records.lock(kind, id).version }
  end

  def list(text) = { content: Base64.strict_encode64(text) }

  def feast
    {
      name: "Feast", recurrence: { kind: "date", month: 12, day: 5 }, meal: "dinner", serve_at: "18:30",
      dishes: [{ dish: "two-bean-chilli" }], ideas: [{ text: "Lanterns on the quay" }]
    }
  end

  def shop = @shop ||= act(:KeepShop, ines, { name: "Quay Stores" })["shop_id"]

  def occasion = @occasion ||= act(:KeepOccasion, ines, feast)["occasion_id"]

  def trip
    @trip ||= act(:KeepTrip, ines, { name: "Ridge", leaves_on: "2027-04-06", back_on: "2027-04-06",
      first_meal: "dinner", last_meal: "dinner" })["trip_id"]
  end

  def batch
    lot = put_away(ines, "tomatoes", "fridge", count: "2", amount: "1000")["lot_id"]
    @batch ||= act(:BeginBatch, ines, { process: "drying", cut: "tomatoes", takes: [{ lot_id: lot }] })["batch_id"]
  end

  # Each with what must be there before, and what is then told the act.
  told = {
    AddCare: -> { { title: "Turn the jars", first_on: "2026-12-01", every_days: 7 } },
    AddContainer: -> { { name: "Tub", kind: "tub", capacity_ml: 500 } },
    AddFood: -> { { name: "Kelp", like_food_id: food_id(ines, "honey") } },
    AddPerson: -> { { name: "Mo", portion_factor: "1" } },
    AddPlace: -> { { name: "Attic", kind: "cupboard" } },
    Amend: -> { { lot_id: tins, printed_on: "2027-01-31", printed_kind: "best_before", label: "Old tins" } },
    ArchiveRecipe: -> { { recipe_id: chilli, archived: true } },
    KeepRecipe: lambda do
      {
        recipe_id: chilli, name: "Our chilli", meal: "dinner", servings: 6, active_minutes: 10, total_minutes: 40,
        gear: ["hob"], leftover_days: 2, freezes: true, steps: ["Simmer."],
        lines: [{ text: "2 tins beans", food_id: food_id(ines, "canned-kidney-beans"), amount: "800", unit: "g" }]
      }
    end,
    KeepRecipes: lambda do
      one = {
        meal: "dinner", servings: 6, active_minutes: 10, total_minutes: 40, gear: ["hob"], leftover_days: 2,
        freezes: true, steps: ["Simmer."], lines: [{ text: "a secret" }]
      }
      { recipes: [{ name: "One", **one }, { name: "Two", **one }] }
    end,
    ArchiveFood: -> { { food_id: own_food } },
    BeginSpan: -> { { name: "No ferry", days: 14, fresh: [food_id(ines, "eggs")] } },
    KeepOccasion: -> { feast.merge(occasion_id: occasion, version: 1, name: "A feast", cooks: 2) },
    ArchiveOccasion: -> { { occasion_id: occasion } },
    HoldOccasion: -> { { occasion_id: occasion, on: "2026-12-05" } },
    NoteOccasion: lambda do
      act(:HoldOccasion, ines, { occasion_id: occasion, on: HouseSupport::TODAY.iso8601 })
      {
        occasion_id: occasion, on: HouseSupport::TODAY.iso8601, heads: 6, notes: "Less rice.",
        dishes: [{ dish: "two-bean-chilli", cooked: "8", left: "1.5" }]
      }
    end,
    KeepShop: -> { { shop_id: shop, version: 1, name: "Harbour Stores", aisles: %w[Bread Tins] } },
    SetWant: -> { { food_id: food_id(ines, "canned-chickpeas"), par: "2000", standing: true } },
    SilenceFood: lambda do
      { food_id: food_id(ines, "canned-chickpeas"), until: "2026-12-24", because: "plenty" }
    end,
    PutAwayBought: lambda do
      act(:AddListLine, ines, { ref: "jam00000", text: "500 g honey", ticked: true })
      { stacks: [{ ref: "jam00000", food_id: food_id(ines, "honey"), place_id: place_id(ines, "cupboard"), count: "1",
                   amount: "500", unit: "g", price_minor: 410 }] }
    end,
    RefreshKit: lambda do
      printed = { printed_on: "2026-12-20", printed_kind: "best_before" }
      lot = put_away(ines, "canned-peaches", "cupboard", count: "2", **printed)["lot_id"]
      { kit_id: kit, put_in: lot, packs: 2 }
    end,
    PackBox: lambda do
      printed = { printed_on: "2029-06-30", printed_kind: "best_before" }
      whole = put_away(ines, "canned-peaches", "cupboard", count: "2", **printed)["lot_id"]
      part = put_away(ines, "canned-chickpeas", "cupboard", count: "30", **printed)["lot_id"]
      act(:CloseGap, ines, { kit_id: kit, fetch: true, buy: "none" })
      { kit_id: kit, boxes: [{ number: 1, holds: 0, packs: [{ lot_id: whole, count: 2 }, { lot_id: part, count: 3 }] },
                             { number: 2, holds: 0, packs: [{ lot_id: part, count: 4 }] }] }
    end,
    EatKitMeal: lambda do
      printed = { printed_on: "2029-06-30", printed_kind: "best_before" }
      put_away(ines, "canned-peaches", "cupboard", count: "3", **printed)
      act(:CloseGap, ines, { kit_id: kit, fetch: true, buy: "none" })
      { kit_id: kit, day: 1, meal: "midday", foods: [{ food_id: food_id(ines, "canned-peaches"), grams: "550" }] }
    end,
    SetEvent: -> { { event_id: gale, name: "Storm", helpers: 3 } },
    TickTask: -> { { event_id: gale, key: "fill-water", done: true } },
    BeginOutage: -> { { started_at: (Time.now.utc - 3600).iso8601, freezer_percent: 50 } },
    ChangeOutage: -> { { outage_id: dark, ended_at: Time.now.utc.iso8601 } },
    SettleOutage: lambda do
      yoghurt = put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-12-05", printed_kind: "use_by")["lot_id"]
      cold = put_away(ines, "white-bread", "freezer", amount: "800")["lot_id"]
      act(:ChangeOutage, ines, { outage_id: dark, ended_at: Time.now.utc.iso8601 })
      { outage_id: dark, replace: true, stacks: [{ lot_id: yoghurt }, { lot_id: cold, finding: "warm" }] }
    end,
    KeepPet: -> { { name: "Biscuit", species: "cat", kg: "4.5" } },
    SetKit: -> { { kit_id: kit, version: 1, days: 14, gear: "kettle" } },
    CloseGap: lambda do
      long = { printed_on: "2029-06-30", printed_kind: "best_before" }
      put_away(ines, "canned-chickpeas", "cupboard", count: "30", price_minor: 3000, **long)
      { kit_id: kit, fetch: true, buy: "all" }
    end,
    AnswerAdvice: lambda do
      2.times { act(:Throw, ines, { lot_id: tins, amount: "400", outcome: "binned", why: "disliked" }) }
      { food_id: food_id(ines, "canned-chickpeas"), kind: "stop", take: true }
    end,
    HandOver: lambda do
      long = put_away(ines, "honey", "cupboard", printed_on: "2028-01-31", printed_kind: "best_before")["lot_id"]
      { stacks: [{ lot_id: long }], to: "the food bank" }
    end,
    NoteSpan: -> { { span_id: act(:BeginSpan, ines, { name: "No ferry", days: 9 })["span_id"], text: "Good soup" } },
    EndSpan: -> { { span_id: act(:BeginSpan, ines, { name: "No ferry", days: 14 })["span_id"] } },
    CarryOver: lambda do
      meal
      HouseSupport.clock.day = HouseSupport::TODAY + 2
      {}
    end,
    ChangeMeal: -> { { meal_id: meal, pinned: true, servings: "3", choices: {} } },
    FillMeals: lambda do
      dish = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first }
      {
        replace: [meal],
        meals: [
          { on: (HouseSupport::TODAY + 1).iso8601, meal: "dinner", recipe_id: dish, choices: {} },
          { on: (HouseSupport::TODAY + 2).iso8601, meal: "dinner", leftovers_of: 0 }
        ]
      }
    end,
    SlideMeal: -> { { meal_id: meal, on: (HouseSupport::TODAY + 2).iso8601, meal: "lunch" } },
    SetSlot: lambda do
      { on: HouseSupport::TODAY.iso8601, meal: "dinner", evening: "shifts", minutes: 20, eaters: { people: [person] } }
    end,
    SetPattern: -> { { weekday: 3, meal: "dinner", name: "Football", evening: "shifts", minutes: 20 } },
    DropPattern: lambda do
      pattern = { weekday: 3, meal: "dinner", name: "Football", evening: "shifts", minutes: 20 }
      { pattern_id: act(:SetPattern, ines, pattern)["pattern_id"] }
    end,
    ChangeContainer: -> { { container_id: jar, version: version("container", jar), owned: 5 } },
    ChangeFood: lambda do
      { food_id: own_food, version: version("food", own_food), name: "Sea peas", nicknames: ["peas of the sea"] }
    end,
    ChangePerson: -> { { person_id: person, version: version("person", person), excludes: ["peanut"], strict: true } },
    ChangePlace: lambda do
      { place_id: shed, version: version("place", shed), name: "Barn", low_c: -3, inner_mm: [800, 300, 400] }
    end,
    Clear: -> { { lot_id: act(:Quarantine, ines, { lot_ids: [tins], reason: "pest" }) && tins } },
    Cook: -> { { meal_id: meal, leftovers: { portions: "2", place_id: place_id(ines, "fridge") } } },
    Correct: -> { { lot_id: tins, amount: "800" } },
    Decant: -> { { lot_id: rice, container_id: jar } },
    DoneCare: -> { { care_id: care } },
    DropCare: -> { { care_id: care } },
    DropKeeping:
      lambda do
        own = {
          food_id: food_id(ines, "honey"),
          place: "cupboard",
          state: "opened",
          low: 10,
          high: 20,
          reason: "Ants."
        }
        act(:SetKeeping, ines, own)
        { rule_id: inside(ines) { |house| house.rules.all.last.id } }
      end,
    EatMeal: lambda do
      { meal_id: act(:PlanMeal, ines, { lot_id: tins, on: HouseSupport::TODAY.iso8601 })["meal_id"] }
    end,
    DropMeal: -> { { meal_id: meal } },
    FinishCount: -> { { count_id: counting } },
    ImportStock: -> { { **list("food,place,amount\nhoney,Cupboard,450 g\n") } },
    LikeDish: -> { { recipe_id: chilli, person_id: person, liking: "loves" } },
    LearnBarcode: -> { { code: "4006381333931", food_id: food_id(ines, "honey"), amount: "450", unit: "g" } },
    Look: -> { { lot_id: tins, result: "good" } },
    MergeFood:
      lambda do
        stack = { food_id: own_food, place_id: place_id(ines, "cupboard"), count: "1", amount: "300", unit: "g" }
        act(:PutAway, ines, stack)
        { food_id: own_food, into_food_id: food_id(ines, "canned-chickpeas") }
      end,
    Move: -> { { lot_id: tins, place_id: place_id(ines, "fridge"), amount: "400" } },
    Open: -> { { lot_id: tins } },
    PlanMeal: lambda do
      { recipe_id: inside(ines) { |house| house.recipes.values.keys.first }, on: HouseSupport::TODAY.iso8601 }
    end,
    Portion: -> { { lot_id: rice, count: 3, place_id: place_id(ines, "freezer") } },
    Prepare: -> { { lot_id: tins, how: "cooked", amount: "400", place_id: place_id(ines, "fridge") } },
    PutAway: lambda do
      {
        food_id: food_id(ines, "honey"),
        place_id: place_id(ines, "cupboard"),
        count: "2",
        amount: "450",
        unit: "g",
        price_minor: 700
      }
    end,
    Quarantine: -> { { lot_ids: [tins, rice], reason: "pest", note: "moths" } },
    Release: lambda do
      { reservation_id: act(:SetApart, ines, { lot_id: tins, for: "the boat", amount: "400" })["reservation_id"] }
    end,
    RemovePlace: -> { { place_id: shed } },
    Seen: -> { { lot_id: tins, amount: "800" } },
    SetApart: -> { { lot_id: tins, for: "the boat", until: "2026-12-24" } },
    SetFood: -> { { food_id: food_id(ines, "honey"), weekly_said: "100" } },
    SetHousehold: -> { { school: "by_the_date", settings: { front_days: 4 } } },
    SetKeeping: lambda do
      tins &&
        {
          food_id: food_id(ines, "canned-chickpeas"),
          place: "fridge",
          state: "opened",
          low: 1,
          high: 2,
          reason: "Ours sour."
        }
    end,
    SetLevel: -> { { lot_id: rice, level: "low" } },
    StoreAs: -> { { lot_id: rice, method: "jar" } },
    PortionBench: lambda do
      mince = -> { put_away(ines, "beef-mince", "fridge", count: "2", amount: "500")["lot_id"] }
      { takes: [{ lot_id: mince.call, amount: "700" }, { lot_id: mince.call }], trim_g: "50", spoiled_g: "20", count: 7,
        fresh: 2, frozen_place_id: place_id(ines, "freezer"),
        additions: [{ lot_id: put_away(ines, "canned-tuna-water", "cupboard", amount: "140")["lot_id"], per_pack: 7 }] }
    end,
    AssembleBags: lambda do
      put_away(ines, "couscous", "cupboard", amount: "1000")
      put_away(ines, "dried-onion", "cupboard", amount: "100")
      lines = { "couscous" => "80", "dried-onion" => "5" }.map { |key, g| { food_id: food_id(ines, key), amount: g } }
      { lines: lines, label: "Onion couscous", count: 3, place_id: place_id(ines, "cupboard") }
    end,
    KeepBag: lambda do
      lines = [{ food_id: food_id(ines, "couscous"), amount: "80" }]
      { name: "Onion couscous", lines: lines, meal: "lunch", water_ml: 160, water_heat: "boil", stand_minutes: 5 }
    end,
    KeepTrip: -> { { name: "Round the lochs", leaves_on: "2027-04-05", back_on: "2027-04-07" } },
    BuyOnTheWay: lambda do
      act(:PackTrip, ines, { trip_id: trip, takes: [{ lot_id: tins, amount: "400" }] })
      { trip_id: trip, food_id: food_id(ines, "honey"), place_id: place_id(ines, "cupboard"), count: "1",
        amount: "250", unit: "g" }
    end,
    SwapTripDays: lambda do
      act(:KeepTrip, ines, { trip_id: trip, back_on: "2027-04-08" })
      act(:SetTripMeal, ines, { trip_id: trip, on: "2027-04-06", meal: "dinner", kind: "bag", dish: "oat-apple-bag" })
      { trip_id: trip, on: "2027-04-06", with: "2027-04-07" }
    end,
    TakeApart: lambda do
      put_away(ines, "sugar-white", "cupboard", amount: "1000")
      done = act(:AssembleBags, ines, { lines: [{ food_id: food_id(ines, "sugar-white"), amount: "20" }], count: 3,
                                        label: "Sugar", place_id: place_id(ines, "cupboard") })
      { lot_id: done["lot_id"], amount: "2" }
    end,
    SwitchPlace: lambda do
      put_away(ines, "ham-sliced", "fridge", printed_on: "2026-12-20", printed_kind: "use_by")
      { place_id: place_id(ines, "fridge"), off: true }
    end,
    ShareBowl: lambda do
      { takes: [{ lot_id: tins, amount: "400" }], bowl_g: "380", count: 2, place_id: place_id(ines, "fridge"),
        label: "A bowl" }
    end,
    PlanSeason: lambda do
      {
        process: "bottling", cut: "Plum jam", weekly: "100", harvest_on: "2027-08-01", next_harvest_on: "2028-08-01"
      }
    end,
    SetBoxWant: -> { { place_id: place_id(ines, "cupboard"), food_id: food_id(ines, "honey"), packs: 2 } },
    RefreshBox: lambda do
      box = act(:AddPlace, ines, { name: "Car", kind: "cupboard", high_c: 34 })["place_id"]
      put_away(ines, "crackers", "cupboard", place_id: box, printed_on: "2027-01-15", printed_kind: "best_before")
      act(:SetBoxWant, ines, { place_id: box, food_id: food_id(ines, "crackers"), packs: 2 })
      { place_id: box }
    end,
    PackTrip: -> { { trip_id: trip, takes: [{ lot_id: tins, amount: "400" }] } },
    ComeHome: lambda do
      along = act(:PackTrip, ines, { trip_id: trip, takes: [{ lot_id: tins, amount: "800" }] })["lot_id"]
      cold = act(:AddPlace, ines, { name: "Camper fridge", kind: "fridge" })["place_id"]
      { trip_id: trip, back: [{ lot_id: along, amount: "500" }], switch_off: [cold] }
    end,
    FillTrip: -> { { trip_id: trip } },
    SetTripMeal: lambda do
      { trip_id: trip, on: "2027-04-06", meal: "dinner", kind: "bag", dish: "tomato-couscous-bag", pinned: true }
    end,
    BeginBatch: lambda do
      { process: "drying", cut: "tomatoes", in_g: "1900",
        takes: [{ lot_id: put_away(ines, "tomatoes", "fridge", count: "2", amount: "1000")["lot_id"] }] }
    end,
    ChangeBatch: -> { { batch_id: batch, ticked: [1, 4], more_hours: "5", temp_c: 57 } },
    FinishBatch: lambda do
      { batch_id: batch, out_g: "150", more_hours: "9", passed: true, place_id: place_id(ines, "cupboard") }
    end,
    GiveUpBatch: -> { { batch_id: batch } },
    SortPests: lambda do
      put_away(ines, "rolled-oats", "cupboard", count: "2", amount: "500", unit: "g")
      { lot_id: rice, packs: 1, inner: 5, kept: 3 }
    end,
    CheckPlace: -> { { place_id: place_id(ines, "cupboard"), found: [{ lot_id: tins, result: "good" }], damp: true } },
    Take: -> { { lot_id: tins, amount: "250" } },
    Throw: -> { { lot_id: tins, outcome: "binned", why: "turned" } },
    TopUp:
      lambda do
        open = act(:Decant, ines, { lot_id: rice, container_id: jar, amount: "300" })["lot_id"]
        { lot_id: open, from_lot_id: rice, amount: "100" }
      end
  }

  told[:AddDishPhoto] = -> { { recipe_id: chilli, content: Base64.strict_encode64(Pictures.png) } }
  told[:AddPhoto] = lambda {
    { place_id: place_id(ines, "cupboard"), content: Base64.strict_encode64(Pictures.png) }
  }

  before { stub_const("NutShelf::Store::Backup::TABLES", NutShelf::Store::Backup::TABLES - learnt.map(&:to_sym)) }

  define_method(:household_now) do
    document = inside(ines) { |house| JSON.parse(NutShelf::Store::Backup.write(house.db, ines.household_id)) }
    tables = document["tables"]
    sums =
      tables["movements"]
        .group_by { |row| row["lot_id"] }
        .transform_values { |rows| rows.sum { |row| row["quantity"].to_r } }
    standing =
      tables
        .except(*ledger)
        .to_h do |table, rows|
          [table, rows.reject { |row| gone[table].(row, sums) }.map { |row| row.except("version") }]
        end
    standing["lots"].each { |row| row["on hand"] = sums.fetch(row["id"], 0).to_s }
    # A price is told by a purchase that stands: what was paid for an undone one is looked up no more.
    undone = tables["acts"].filter_map { |row| row["undoes_act_id"] }
    standing["price_observations"].reject! { |row| undone.include?(row["act_id"]) }
    { household: document["household"].except("revision", "version"), **standing }
  end

  told.each do |kind, input|
    it "puts everything back after #{kind}" do
      facts = instance_exec(&input)
      before = household_now
      done = act(kind, ines, facts)
      expect(household_now).not_to eq(before)
      act(:Undo, ines, { act_id: done.fetch("act_id") })
      household_now.each { |table, rows| expect([table, rows]).to eq([table, before[table]]) }
      faults = inside(ines) { |house| [house.lots.out_of_balance, house.soundness.faults] }
      expect(faults).to eq([[], []])
    end
  end

  it "keeps the food of a dish while some of it is there by another cook" do
    id = inside(ines) { |house| house.recipes.values.find { |_, recipe| recipe.key == "two-bean-chilli" }.first }
    cook =
      lambda do
        meal = act(:PlanMeal, ines, { recipe_id: id, on: HouseSupport::TODAY.iso8601 })["meal_id"]
        kept = { portions: "1", place_id: place_id(ines, "fridge") }
        act(:Cook, ines, { meal_id: meal, used: [{ lot_id: tins, amount: "100" }], leftovers: kept })
      end
    first = cook.call
    second = cook.call
    act(:Undo, ines, { act_id: first["act_id"] })
    food = lot(ines, second["leftover_lot_id"]).food_id
    expect(inside(ines) { |house| house.foods.find(food).archived_at }).to be_nil
    act(:Undo, ines, { act_id: second["act_id"] })
    expect(cook.call["leftover_lot_id"]).to be_positive
  end

  it "knows every act there is" do
    kinds = Dir[File.expand_path("../../desk/acts/*.rb", __dir__)].map { |path| File.basename(path, ".rb") }
    expect(kinds.map { |name| name.split("_").map(&:capitalize).join }).to match_array(told.keys.map(&:to_s) + never)
  end
end
