# frozen_string_literal: true

require_relative "../support/api"

# The thin slice, shelf to shopping list and back, every answer held against the contract.
RSpec.describe "The slice", :api do
  let!(:who) { sign_in(household!) }

  def put(line, **corrections)
    draft = tell("/api/label-line", { text: line })
    printed = %w[best_before use_by].include?(draft["date_kind"])
    tell(
      "/api/stacks",
      {
        food_id: draft.dig("food", "id"),
        place_id: draft.dig("place", "id"),
        count: draft["count"],
        amount: draft["amount"],
        unit: draft["amount"] && draft["unit"],
        noun: draft["amount"] ? nil : draft["unit"],
        printed_on: printed ? draft["date"] : nil,
        printed_kind: printed ? draft["date_kind"] : nil,
        price_minor: draft["price_minor"],
        state: draft["state"],
        opened_on: draft["opened_on"],
        **corrections
      }.compact
    )
  end

  it "goes from a line of words to a stack, a meal, a missing list and a cooked dish, and back" do
    put("3 tins chickpeas 400 g bb 5/2028 cupboard 0.89 each")
    put("250 g passata ub tomorrow fridge")
    shelf = ask("/api/stacks")
    expect(shelf["stacks"].map { |stack| stack["amount"] }).to contain_exactly("250 g", "3 x 400 g")
    expect(shelf["totals"]).to include("stacks" => 2, "front" => 1)

    dish = ask("/api/dishes")["dishes"].find { |entry| entry["uses"].any? && entry["missing"].any? }
    expect(dish["rescued_minor"]).to be_positive
    meal = tell("/api/meals", { recipe_id: dish["recipe_id"], on: "2026-11-25" })["meal_id"]
    listed = ask("/api/meals")
    expect(listed["meals"].map { |entry| entry["id"] }).to eq([meal])
    expect(listed["ties"].map { |tie| tie["meal_id"] }.uniq).to eq([meal])

    items = ask("/api/list")["aisles"].flat_map { |aisle| aisle["items"] }
    expect(items.map { |item| item["food_id"] }).to match_array(dish["missing"].map { |one| one["food_id"] })
    expect(items.first["reasons"].first).to include("meal_id" => meal, "name" => dish["name"])

    page = ask("/api/meals/#{meal}")
    picked = page["lines"].flat_map { |line| line["picks"] }
    expect(picked).not_to be_empty
    cooked =
      tell(
        "/api/meals/#{meal}/cook",
        { used: picked.map { |pick| { lot_id: pick["lot_id"], amount: pick["amount"] } } }
      )
    after = ask("/api/stacks")["totals"]["value_minor"]
    expect(after).to be < shelf["totals"]["value_minor"]

    tell("/api/acts/#{cooked["act_id"]}/undo")
    expect(ask("/api/stacks")["totals"]["value_minor"]).to eq(shelf["totals"]["value_minor"])
  end

  it "answers everything about one stack, with reasons and history" do
    id = put("1 l uht milk bb 31.3.27 cupboard 1.09")["lot_id"]
    child = tell("/api/stacks/#{id}/open")["lot_id"]
    detail = ask("/api/stacks/#{child}")
    expect(detail["steps"].join(" ")).to include("Best before 31 Mar 2027", "Opened since 24 Nov 2026")
    expect(detail["history"].map { |row| row["kind"] }).to eq(%w[put_away open])
    tell("/api/stacks/#{child}/take", { amount: "100" })
    tell("/api/stacks/#{child}/look", { result: "good" })
    tell("/api/stacks/#{child}/level", { level: "half" })
    freezer = ask("/api/places")["places"].find { |place| place["kind"] == "freezer" }
    tell("/api/stacks/#{child}/move", { place_id: freezer["id"] })
    tell("/api/stacks/#{child}/throw", { outcome: "binned", why: "turned" })
    expect(ask("/api/acts")["acts"].first).to include("kind" => "throw", "undoable" => true)
    expect(ask("/api/today")).to include("front", "needs")
  end

  it "pages by cursor and filters by place, state, food and words" do
    5.times { |number| put("1 tin chickpeas 400 g bb #{number + 1}/2028 cupboard") }
    put("250 g butter bb tomorrow fridge")
    first = ask("/api/stacks", { limit: 4 })
    rest = ask("/api/stacks", { limit: 4, cursor: first["next"] })
    ids = (first["stacks"] + rest["stacks"]).map { |stack| stack["id"] }
    expect([ids.size, ids.uniq.size, rest["next"]]).to eq([6, 6, nil])
    expect(ask("/api/stacks", { state: "front" })["stacks"].map { |stack| stack["food"] }).to eq(["Butter, salted"])
    expect(ask("/api/stacks", { q: "chick" })["stacks"].size).to eq(5)
    expect(ask("/api/stacks", { place_id: first["stacks"].first["place_id"] })["stacks"].size).to eq(1)
    expect(ask("/api/stacks", { food_id: rest["stacks"].first["food_id"] })["stacks"].size).to eq(5)
  end

  it "answers an unchanged view with 304 and a changed one anew" do
    ask("/api/stacks")
    tag = last_response.headers["etag"]
    ask("/api/stacks", {}, { "HTTP_IF_NONE_MATCH" => tag })
    expect(status).to eq(304)
    put("1 tin chickpeas 400 g cupboard")
    ask("/api/stacks", {}, { "HTTP_IF_NONE_MATCH" => tag })
    expect(status).to eq(200)
  end

  it "finds foods by part of a word and by near misses, and takes new ones with their nicknames" do
    expect(ask("/api/foods", { q: "chickpe" })["foods"].map { |food| food["key"] }).to include("canned-chickpeas")
    expect(ask("/api/foods", { q: "chikpeas" })["foods"].map { |food| food["key"] }).to include("canned-chickpeas")
    jam = ask("/api/foods", { q: "jam" })["foods"].first
    tell("/api/foods", { name: "Sea buckthorn jelly", like_food_id: jam["id"], nicknames: ["orange stuff"] })
    expect(tell("/api/label-line", { text: "2 jars orange stuff cupboard" })["food"]["name"]).to eq(
      "Sea buckthorn jelly"
    )
    tell("/api/places", { name: "Attic", kind: "cupboard", tier: "backstock" })
    expect(ask("/api/places")["places"].map { |place| place["name"] }).to include("Attic")
    meal =
      tell(
        "/api/meals",
        { recipe_id: ask("/api/dishes")["dishes"].first["recipe_id"], on: "2026-11-26", meal: "lunch", servings: "4" }
      )[
        "meal_id"
      ]
    tell("/api/meals/#{meal}/drop")
    expect(ask("/api/meals")["meals"]).to be_empty
  end

  it "lists what is kept by level and runs low, without any meal asking for it" do
    id = put("750 g salt cupboard 0.60")["lot_id"]
    expect(ask("/api/list")["aisles"]).to be_empty
    tell("/api/stacks/#{id}/level", { level: "low" })
    item = ask("/api/list")["aisles"].first["items"].first
    expect(item).to include("text" => "Table salt", "reasons" => [{ "kind" => "level", "level" => "low" }])
    expect(item["packs"]).to match([include("count" => 1, "size" => "750 g", "price_minor" => 60)])
  end

  it "undoes with words when something stands in the way" do
    put_done = put("3 tins chickpeas 400 g cupboard")
    take = tell("/api/stacks/#{put_done["lot_id"]}/take")
    problem = tell("/api/acts/#{put_done["act_id"]}/undo")
    expect(problem).to include("status" => 409, "code" => "depended_on", "act_id" => take["act_id"])
  end
end
