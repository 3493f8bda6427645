# frozen_string_literal: true

require_relative "../support/api"

# The bench over the wire: bags and batches, every answer as the contract has it.
RSpec.describe "The bench over the wire", :api do
  let!(:who) { sign_in(household!) }
  let(:cupboard) { place_id(who, "cupboard") }

  def stack(key, amount, place = cupboard)
    tell("/api/stacks", { food_id: food_id(who, key), place_id: place, count: "1", amount: amount, unit: "g",
      price_minor: 300 })["lot_id"]
  end

  it "lists bags with how many the shelf gives, foresees and fills them" do
    { "whole-milk-powder" => "500", "cocoa-powder" => "125", "sugar-white" => "1000" }.each { |key, g| stack(key, g) }
    get "/api/bench/bags"
    bags = JSON.parse(last_response.body)["bags"]
    expect(bags.first.slice("key", "can")).to eq("key" => "cocoa-cup-bag", "can" => 20)
    body = { assembly: "cocoa-cup-bag", count: 3, place_id: cupboard }
    expect(tell("/api/bench/bags/foresee", body)["bags"]["makes"]).to eq(3)
    expect(tell("/api/bench/bags", body)).to include("bags" => 3, "summary" => "Made 3 bags: Cup of cocoa")
  end

  it "begins, notes, foresees, finishes and gives up batches, and tells the loads" do
    begun = tell("/api/bench/batches",
      { process: "drying", cut: "tomatoes", takes: [{ lot_id: stack("tomatoes", "2400") }] })
    id = begun["batch_id"]
    tell("/api/bench/batches/#{id}/change", { ticked: [1, 4], more_hours: "6.5" })
    done = { place_id: cupboard, out_g: "150", passed: true, more_hours: "5" }
    expect(tell("/api/bench/batches/#{id}/foresee", done)["stacks"].map { |one| one["amount"] }).to eq(["150 g"])
    get "/api/bench/batches"
    expect(JSON.parse(last_response.body)["going"].map { |one| one["hours"] }).to eq(["6.5"])
    tell("/api/bench/batches/#{id}/finish", done)
    other = tell("/api/bench/batches",
      { process: "freezing", takes: [{ lot_id: stack("green-beans", "500") }] })["batch_id"]
    tell("/api/bench/batches/#{other}/give-up", {})
    get "/api/bench/batches"
    told = JSON.parse(last_response.body)
    expect([told["going"], told["done"].map { |one| one["yield_percent"] }]).to eq([[], ["6.3"]])
    get "/api/bench/loads?cut=apples&in_g=9000&trays=6&tray_dm2=9&day_hours=14&watts=500&needed_on=2027-03-27"
    expect(JSON.parse(last_response.body)).to include("loads" => 5, "start_on" => "2027-03-15", "kwh" => "20")
  end

  it "plans the season, changes it and takes it off" do
    get "/api/season"
    expect(JSON.parse(last_response.body)).to include("lines" => [], "products" => include("Plum jam"))
    body = {
      process: "bottling", cut: "Plum jam", weekly: "200", margin_percent: 10, pot_jars: 6,
      harvest_on: "2027-08-01", next_harvest_on: "2028-08-01"
    }
    id = tell("/api/season", body)["line_id"]
    tell("/api/season/#{id}", { version: 1, get_by: "grow", note: "Two young trees" })
    get "/api/season"
    line = JSON.parse(last_response.body)["lines"].first
    expect(line).to include("name" => "Plum jam", "get_by" => "grow", "weekly" => "200 ml", "version" => 2)
    expect(line["plan"]).to include("short" => "7.14 l", "find_ml" => 500, "left" => "0 ml")
    expect(line["target"]["percent"]).to eq(0)
    tell("/api/season", { **body, process: "drying", cut: "apples" })
    expect(tell("/api/season/#{id}", { gone: true })["summary"]).to eq("Took plum jam off the season")
    get "/api/season"
    expect(JSON.parse(last_response.body)["lines"].map { |one| one["plan"]["loads"] }).to contain_exactly(be_positive)
  end

  it "shares out a bowl, says whether it fits the freezer, and names what a ready-made one costs" do
    act(:ChangePlace, who, { place_id: place_id(who, "freezer"), inner_mm: [400, 400, 100], fill_percent: 90 })
    body = {
      takes: [{ lot_id: stack("white-fish", "1200", place_id(who, "fridge")) }], bowl_g: "1600", count: 4,
      additions: [{ lot_id: stack("canned-tuna-water", "280"), each_g: "35" }], label: "Fish for the week",
      place_id: place_id(who, "fridge"), frozen_place_id: place_id(who, "freezer"), fresh: 1
    }
    told = tell("/api/bench/bowls/foresee", body)["portions"]
    expect(told).to include(
      "count" => 4, "share" => "435 g",
      "room" => { "place" => "Chest freezer", "needs" => "1.4 l", "free" => "1.6 l", "fits" => true }
    ).or include("room" => include("needs" => "1.4 l", "free" => "1.6 l", "fits" => true))
    expect(tell("/api/bench/bowls", body)).to include("portions" => 4)
    get "/api/bench/ready"
    packs = JSON.parse(last_response.body)["packs"]
    expect(packs.map do |one|
      one.slice("amount", "price_minor")
    end).to eq([{ "amount" => "280 g", "price_minor" => 300 }])
    thighs = stack("chicken-thighs", "900", place_id(who, "fridge"))
    seen = tell("/api/bench/portions/foresee", { takes: [{ lot_id: thighs }], count: 3, by_products: [{ g: "60" }],
                                                 frozen_place_id: place_id(who, "freezer") })
    expect(seen["portions"]["room"]).to include("needs" => "900 ml", "fits" => true)
  end

  it "keeps a bag of one's own among the others, changes it and takes it off" do
    lines = [{ food_id: food_id(who, "couscous"), amount: "80" }]
    stack("couscous", "400", place_id(who, "cupboard"))
    id = tell("/api/bench/bags/own", { name: "Quay couscous", lines: lines, water_ml: 170,
                                       water_heat: "boil" })["bag_id"]
    told = -> { ask("/api/bench/bags")["bags"].find { |one| one["own"] } }
    expect(told.call).to include("name" => "Quay couscous", "can" => 5, "meal" => "dinner", "low_air" => false)
    tell("/api/bench/bags/own/#{id}/change", { name: "Cliff couscous", meal: "lunch", version: 1 })
    expect(told.call).to include("name" => "Cliff couscous", "meal" => "lunch", "own" => { "id" => id, "version" => 2 })
    expect(tell("/api/bench/bags/own/#{id}/change", { gone: true, version: 1 })).to include("code" => "stale")
    tell("/api/bench/bags/own/#{id}/change", { gone: true, version: 2 })
    expect(told.call).to be_nil
    expect(tell("/api/bench/bags/own", { name: " ", lines: lines })).to include("status" => 422)
  end

  it "takes no line of no weight into a bag, filled or kept" do
    %w[0 -5 0.0].each do |amount|
      lines = [{ food_id: food_id(who, "couscous"), amount: amount }]
      bag = { lines: lines, label: "Air", count: 2, place_id: place_id(who, "cupboard") }
      expect(tell("/api/bench/bags/own", { name: "Air", lines: lines })).to include("status" => 422)
      expect(tell("/api/bench/bags/foresee", bag)).to include("status" => 422)
      expect(tell("/api/bench/bags", bag)).to include("status" => 422)
    end
    heavy = [{ food_id: food_id(who, "couscous"), amount: "999999999999" }]
    expect(tell("/api/bench/bags/own", { name: "Air", lines: heavy })).to include("reason" => "bag_too_heavy")
    expect(ask("/api/bench/bags")["bags"].filter_map { |one| one["own"] }).to eq([])
  end

  it "forgets bags with a food that was put out of sight, on trips, too" do
    keys = -> { ask("/api/bench/bags")["bags"].map { |one| one["key"] } }
    expect(keys.call).to include("tomato-couscous-bag", "oat-apple-bag")
    trip = tell("/api/trips", { name: "Ride", leaves_on: "2026-12-01", back_on: "2026-12-02" })["trip_id"]
    tell("/api/trips/#{trip}/meals", { on: "2026-12-01", meal: "dinner", kind: "bag", dish: "tomato-couscous-bag" })
    tell("/api/keeping/#{food_id(who, "couscous")}/archive")
    left = keys.call
    expect(left).to include("oat-apple-bag")
    expect(left).not_to include("tomato-couscous-bag")
    gone = ask("/api/trips/#{trip}")["days"].flat_map { |day| day["meals"].flat_map { |one| one["dishes"] } }
    expect(gone.map { |one| one["gone"] }).to eq([true])
    expect(ask("/api/trips/#{trip}/packing")["bags"]).to eq([])
  end

  it "adds something to each portion, and pours broth into jars with room to swell" do
    thighs = stack("chicken-thighs", "900", place_id(who, "fridge"))
    tuna = stack("canned-tuna-water", "400", place_id(who, "cupboard"))
    body = { takes: [{ lot_id: thighs }], trim_g: "0", count: 3, additions: [{ lot_id: tuna, each_g: "20" }] }
    expect(tell("/api/bench/portions/foresee", body)["portions"]).to include("share" => "320 g", "jars" => nil)
    expect(tell("/api/bench/portions", { **body, pet: true })).to include("portions" => 3)
    jar = tell("/api/containers", { name: "Half", kind: "jar", capacity_ml: 500, shape: "straight",
                                    owned: 4 })["container_id"]
    broth = tell("/api/stacks", { food_id: food_id(who, "class-home-broth"), place_id: place_id(who, "fridge"),
                                  count: "1", amount: "1400", unit: "ml", state: "leftover",
                                  made_on: "2026-11-24" })["lot_id"]
    body = { takes: [{ lot_id: broth }], container_id: jar, frozen_place_id: place_id(who, "freezer") }
    expect(tell("/api/bench/portions/foresee", body)["portions"]).to include(
      "count" => 4, "share" => "350 ml", "rest" => nil,
      "jars" => { "name" => "Half", "takes" => "450 ml", "empty" => 4, "loose" => true }
    )
    expect(tell("/api/bench/portions", body)).to include("portions" => 4)
    told = JSON.parse(get("/api/containers").body)["containers"]
    expect(told.map { |one| one.slice("name", "in_use", "empty") }).to eq(
      [{ "name" => "Half", "in_use" => 4, "empty" => 0 }]
    )
  end
end
