# frozen_string_literal: true

require_relative "../support/api"

# The list from every source, ticked by two people, put away, and what it says of itself.
RSpec.describe "The list", :api do
  let!(:ines) { sign_in(household!) }
  let(:today) { HouseSupport::TODAY }

  def list(query = "") = ask("/api/list#{query}")

  def items(query = "") = list(query)["aisles"].flat_map { |aisle| aisle["items"] }

  def item(text) = items.find { |one| one["text"] == text }

  def put(line)
    draft = tell("/api/label-line", { text: line })
    tell("/api/stacks", {
      food_id: draft["food"]["id"], place_id: draft.dig("place", "id") || draft["usual_place"]["id"],
      count: draft["count"], amount: draft["amount"], unit: draft["unit"], price_minor: draft["price_minor"],
      printed_on: draft["date"], printed_kind: draft["date_kind"]
    }.compact)
  end

  def ref = SecureRandom.hex(8)

  def write(text, **more) = tell("/api/list", { ref: ref, text: text, **more })["ref"]

  def mark(line, status) = tell("/api/list/#{line}/mark", { status: status })

  it "says why, for when, how much is at home and where, and in which packs" do
    put("2 tins chickpeas 400 g cupboard bb 5/2028 0.89 each")
    recipe = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first }
    tell("/api/meals", { recipe_id: recipe, on: (today + 2).iso8601 })
    tell("/api/wants/#{food_id(ines, "canned-chickpeas")}", { par: "2000" })
    found = item("Chickpeas, canned")
    expect(found["reasons"]).to include({ "kind" => "wanted", "amount" => "1.6 kg" })
    expect(found["at_home"].map { |one| one["amount"] }).to eq(["2 x 400 g"])
    expect(found["packs"]).to match([include("count" => 4, "size" => "400 g", "price_minor" => 89,
      "basis" => "latest")])
    expect(found["cost_minor"]).to eq(356)
    meal = items.flat_map { |one| one["reasons"] }.find { |one| one["kind"] == "meal" }
    expect(meal).to include("on" => (today + 2).iso8601, "name" => a_string_matching(/chilli/i))
  end

  it "asks for soap and batteries on par, outside meals, and stays silent with a reason and an end" do
    soap = food_id(ines, "batteries-aa")
    tell("/api/wants/#{soap}", { par: "8", standing: true })
    expect(item("AA alkaline batteries")["packs"].sum { |pack| pack["count"] * pack["size"].to_i }).to be >= 8
    expect(list["standing"].map { |one| one["food"] }).to eq(["AA alkaline batteries"])
    tell("/api/wants/#{soap}/silence", { until: (today + 30).iso8601, because: "plenty in the boat shed" })
    expect(items).to be_empty
    expect(list["silent"]).to match([include("because" => "plenty in the boat shed", "until" => (today + 30).iso8601)])
    clock.day = today + 31
    expect(item("AA alkaline batteries")).not_to be_nil
    clock.day = today
    tell("/api/wants/#{soap}/silence", { until: nil })
    expect(item("AA alkaline batteries")).not_to be_nil
  end

  it "reads a person's own line as a food where that is certain, and keeps the words else" do
    write("2 tins chickpeas 400 g")
    write("something nice for Juna")
    chickpeas, other = items.sort_by { |one| one["aisle"] == "Other" ? 1 : 0 }
    expect(chickpeas).to include("food_id" => food_id(ines, "canned-chickpeas"), "amount" => "800 g",
      "by" => a_string_starting_with("Keeper"))
    expect(other).to include("food_id" => nil, "text" => "something nice for Juna", "aisle" => "Other")
    expect(tell("/api/list", { ref: ref, text: "   " })).to include("status" => 422)
  end

  it "takes the list along, says what is new and what is not needed any more, and nothing vanishes" do
    tell("/api/wants/#{food_id(ines, "honey")}", { par: "400" })
    mine = write("birthday candles for the cake please")
    tell("/api/shoppings", {})
    expect(tell("/api/shoppings", {})).to include("status" => 409)
    put("1 jar honey 500 g cupboard")
    tell("/api/wants/#{food_id(ines, "rolled-oats")}", { par: "500" })
    expect(item("Honey")).to include("lessened" => true, "status" => "open")
    expect(list["additions"].map { |one| one["text"] }).to eq(["Rolled oats"])
    expect(items.map { |one| one["ref"] }).to include(mine)
  end

  it "asks nobody for what is in the basket, puts it away with its price by shop, and takes that back whole" do
    shop = tell("/api/shops", { name: "Quay Stores" })["shop_id"]
    tell("/api/wants/#{food_id(ines, "honey")}", { par: "400" })
    shopping = tell("/api/shoppings", { shop_id: shop })["shopping_id"]
    line = item("Honey")["ref"]
    mark(line, "ticked")
    tell("/api/list/#{line}", { paid_minor: 420, note: "the last one" })
    tell("/api/shoppings/#{shopping}/end")
    expect(items.map { |one| one.values_at("ref", "status") }).to eq([[line, "ticked"]])
    bought = ask("/api/bought")["lines"]
    expect(bought).to match([include("ref" => line, "paid_minor" => 420, "near" => false,
      "place_id" => place_id(ines, "cupboard"))])
    stack = { ref: line, food_id: bought.first["food_id"], place_id: bought.first["place_id"], price_minor: 420,
              **bought.first["packs"].first }
    done = tell("/api/bought", { stacks: [stack] })
    expect(done["touched"]["stacks"].map { |one| one["food"] }).to eq(["Honey"])
    expect(inside(ines) do |house|
      house.packs.paid([stack[:food_id]]).map do |one|
        [one.price_minor, one.shop_id]
      end
    end).to eq([[420, shop]])
    expect(ask("/api/bought")["lines"]).to be_empty
    expect(tell("/api/bought", { stacks: [stack] })).to include("status" => 409, "reason" => "put_away_already")
    tell("/api/acts/#{done["act_id"]}/undo")
    expect(ask("/api/bought")["lines"].map { |one| one["ref"] }).to eq([line])
    expect(ask("/api/stacks")["stacks"]).to be_empty
  end

  it "walks the aisles as they were walked the last time there" do
    shop = tell("/api/shops", { name: "Quay Stores" })["shop_id"]
    %w[honey rolled-oats carrots].each { |key| tell("/api/wants/#{food_id(ines, key)}", { par: "300" }) }
    shopping = tell("/api/shoppings", { shop_id: shop })["shopping_id"]
    aisles = items.to_h { |one| [one["text"], one["aisle"]] }
    order = ["Honey", "Carrots", "Rolled oats"]
    order.each { |text| mark(item(text)["ref"], "ticked") }
    tell("/api/shoppings/#{shopping}/end")
    expect(list["shops"].first["aisles"]).to eq(order.map { |text| aisles[text] })
  end

  it "says what could be left out to stay within the budget, least harm first, and leaves nothing out itself" do
    version = inside(ines) { |house| house.household.row.version }
    tell("/api/wants/#{food_id(ines, "honey")}", { par: "400" })
    recipe = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first }
    tell("/api/meals", { recipe_id: recipe, on: (today + 2).iso8601 })
    all = items.map { |one| one["text"] }
    expect(list).to include("leave_out" => [], "budget_minor" => nil)
    cost = list["cost_minor"]
    act(:SetHousehold, ines, { version: version, settings: { week_budget_minor: cost - 1 } })
    expect(list["leave_out"].map { |one| one.values_at("text", "reason") }).to eq([%w[Honey wanted]])
    expect(items.map { |one| one["text"] }).to eq(all)
  end

  it "asks for what runs low until a further pack is in the basket or at home" do
    low = put("750 g salt cupboard 0.60")["lot_id"]
    tell("/api/stacks/#{low}/level", { level: "low" })
    tell("/api/shoppings", {})
    line = item("Table salt")["ref"]
    mark(line, "ticked")
    tell("/api/shoppings/#{list["shopping"]["id"]}/end")
    expect(items.map { |one| one["status"] }).to eq(["ticked"])
    bought = ask("/api/bought")["lines"].first
    tell("/api/bought", { stacks: [{ ref: line, food_id: bought["food_id"], place_id: place_id(ines, "cupboard"),
                                     **bought["packs"].first }] })
    expect(items).to be_empty
  end

  it "holds a receipt against the basket, which changes nothing" do
    honey = write("450 g honey", ticked: true)
    wick = write("lamp wick for the stairs", ticked: true)
    told = tell("/api/bought/receipt", { text: "HONEY 450 G  4.10 A\nCHEWING GUM 0.60\nTOTAL 4.70" })
    expect(told).to include("paid_minor" => 470, "extra" => [{ "text" => "CHEWING GUM", "price_minor" => 60 }])
    expect(told["pairs"]).to match([include("ref" => honey, "paid_minor" => 410, "same" => false)])
    expect(told["unpaid"].map { |one| one["ref"] }).to eq([wick])
    expect(ask("/api/bought")["lines"].map { |one| one["paid_minor"] }).to eq([nil, nil])
  end

  it "buys no more than is needed where the place holds no more" do
    put("500 g white rice cupboard 2.00")
    put("5 kg white rice cupboard 2.50")
    inside(ines) { |house| house.lots.all }.each { |one| tell("/api/stacks/#{one.id}/take") }
    act(:SetFood, ines, { food_id: food_id(ines, "white-rice"), g_per_ml: "0.85", weekly_said: "2000" })
    tell("/api/wants/#{food_id(ines, "white-rice")}", { par: "900" })
    packs = -> { item("White rice, long grain")["packs"].map { |pack| pack.values_at("count", "size") } }
    expect(packs.call).to eq([[1, "5 kg"]])
    cupboard = inside(ines) { |house| house.places.all.find { |place| place.kind == "cupboard" } }
    act(:ChangePlace, ines, { place_id: cupboard.id, inner_mm: [400, 300, 300], fill_percent: 90 })
    expect(packs.call).to eq([[6, "500 g"]])
  end
end
