# frozen_string_literal: true

require_relative "../support/api"

# A meal of a kit's menu is eaten in one act.
RSpec.describe "A meal out of a kit", :api do
  let!(:ines) { sign_in(household!(people: 2)) }
  let(:kit) { tell("/api/kits", { name: "Ferry box", days: 2, gear: "burner" })["kit_id"] }
  let!(:tin) { tins("canned-chickpeas", "6") }
  let!(:oats) { tins("rolled-oats", "2", amount: "500") }

  before { tell("/api/kits/#{kit}/close", { fetch: true, buy: "none" }) }

  def tins(key, count, **more)
    put_away(ines, key, "cupboard", count: count, printed_on: "2029-06-30", printed_kind: "best_before",
      **more)["lot_id"]
  end

  def meals = ask("/api/kits/#{kit}/menu")["days"].flat_map { |day| day["meals"].map { |meal| [day["day"], meal] } }

  def first_with(name) = meals.find { |_, meal| meal["food"].any? { |food| food["name"].include?(name) } }

  def eat(day, meal, **more)
    foods = meal["food"].map { |food| food.slice("food_id", "grams") }
    tell("/api/kits/#{kit}/eaten", { day: day, meal: meal["meal"], foods: foods, **more })
  end

  def stock
    ask("/api/stacks")["stacks"].group_by { |one| one["food"] }
      .transform_values { |list| list.sum { |one| one["on_hand"].to_r } }
  end

  it "takes what the menu says, opens what it must, and gives it all back" do
    before = stock
    day, meal = first_with("oats")
    grams = meal["food"].find { |food| food["name"].include?("oats") }["grams"].to_r
    kept = ask("/api/stacks/#{oats}")["reserved"].size
    done = eat(day, meal)
    expect(before["Rolled oats"] - stock["Rolled oats"]).to eq(grams)
    expect(ask("/api/stacks")["stacks"].count { |one| one["food"] == "Rolled oats" && one["open"] }).to eq(1)
    tell("/api/acts/#{done["act_id"]}/undo")
    expect(stock).to eq(before)
    expect(ask("/api/stacks/#{oats}")["reserved"].size).to eq(kept)
  end

  it "leaves no more set apart than is there, and nothing of the kit that is not" do
    menu = meals.select { |_, meal| meal["food"].any? }
    menu.each { |day, meal| eat(day, meal) }
    eaten = menu.flat_map { |_, meal| meal["food"] }.group_by { |food| food["name"] }
    expect(eaten.transform_values { |list| list.sum { |food| food["grams"].to_r } }).to include("Rolled oats" => be > 0)
    held = inside(ines) { |house| house.reservations.all(clock.day) }
    held.each { |row| expect(row.amount).to be <= lot(ines, row.lot_id).on_hand }
  end

  it "refuses what is no longer there in one piece, and takes what is there for a letter that comes late" do
    day, meal = first_with("Chickpeas")
    act(:Throw, ines, { lot_id: tin, outcome: "given_away", why: "other" })
    refused = eat(day, meal)
    expect(refused["title"]).to eq("Ferry box does not hold that much Chickpeas, canned any more.")
    input = { kit_id: kit, day: day, meal: meal["meal"],
              foods: meal["food"].map { |food| food.slice("food_id", "grams").transform_keys(&:to_sym) } }
    late = NutShelf::Desk::Envelope.new(on: clock.day, held: true)
    eater = NutShelf::Desk::EatKitMeal.new(services, ines)
    others = [{ food_id: food_id(ines, "rolled-oats"), grams: "100" }]
    done = eater.call({ **input, foods: [*input[:foods], *others] }, key: key!, envelope: late)
    expect(done["unsettled"].join).to include("was not in Ferry box any more")
  end

  it "keeps what stays of an opened pack for the kit" do
    day, meal = first_with("oats")
    eat(day, meal)
    rest = ask("/api/stacks")["stacks"].find { |one| one["food"] == "Rolled oats" && one["open"] }
    expect(inside(ines) { |house| house.reservations.of_lot(rest["id"], clock.day) })
      .to contain_exactly(have_attributes(kit_id: kit, amount: rest["on_hand"].to_r))
  end

  it "takes nothing that a power cut left in doubt" do
    yoghurt = put_away(ines, "plain-yoghurt", "fridge", printed_on: "2027-02-05", printed_kind: "use_by")["lot_id"]
    inside(ines) do |house|
      house.records.add("reservation", { lot_id: yoghurt, kit_id: kit, amount: 400r, holder: "Ferry box" })
    end
    act(:BeginOutage, ines, { started_at: (Time.now.utc - (9 * 3600)).iso8601, freezer_percent: 100 })
    food = { food_id: food_id(ines, "plain-yoghurt"), grams: "100" }
    refused = tell("/api/kits/#{kit}/eaten", { day: 1, meal: "morning", foods: [food] })
    expect(refused["title"]).to include("power cut")
  end

  it "is not refused for the floor of the pantry it is eaten from" do
    tell("/api/kits/#{kit}/change", { version: ask("/api/kits/#{kit}")["kit"]["version"], gone: true })
    deep = tell("/api/kits", { name: "Pantry", days: 30, school: "deep_pantry", gear: "burner" })["kit_id"]
    food = { food_id: food_id(ines, "canned-chickpeas"), grams: "240" }
    expect(tell("/api/stacks/#{tin}/take", { amount: "400" })["title"]).to include("Pantry")
    expect(tell("/api/kits/#{deep}/eaten", { day: 1, meal: "midday", foods: [food] })).to include("act_id")
  end
end
