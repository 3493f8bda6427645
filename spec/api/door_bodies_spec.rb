# frozen_string_literal: true

require_relative "../support/doors"

# What no honest page would send, to every route that takes something.
RSpec.describe "What is sent to the door", :api do
  include Doors

  # Refused requests change nothing, so they share a household.
  before(:context) { @refused = household! }

  let(:who) { sign_in(household!) }
  let(:stack) { put_away(who, "canned-chickpeas", "cupboard") }

  Doors::INSIDE.select { |pair| pair.first == "post" }.each do |verb, path|
    it "#{path} refuses a wrong token, broken JSON, wrong types, NUL bytes and ten megabytes" do
      sign_in(@refused)
      call_route(verb, path, token: "no such token")
      expect([status, JSON.parse(last_response.body)["code"]]).to eq([403, "csrf"])
      ["{", "[]", "7", '{"a":', "\xFF\xFE"].each do |text|
        call_route(verb, path, body: text)
        expect(status).to be_between(400, 422)
      end
      call_route(verb, path, body: '{"text":"a\u0000b","name":"a\u0000b"}')
      expect(status).to be_between(400, 422)
      call_route(verb, path, body: JSON.generate({ text: "x" * 10_000_000 }))
      expect(status).to be_between(413, 422)
      call_route(verb, path, body: { count: [], amount: {}, food_id: "x", unknown: 1 })
      expect(status).to be_between(400, 422)
    end
  end

  it "names the field by a JSON pointer" do
    problem = tell("/api/stacks/#{stack["lot_id"]}/take", { amount: 3 })
    expect(problem["errors"]).to match(
      [include("pointer" => "/amount", "code" => "kind", "params" => { "kind" => "string" })]
    )
  end

  it "needs a key for every write and answers the same key with the same words" do
    tell("/api/stacks/#{stack["lot_id"]}/take", {}, key: nil)
    expect(JSON.parse(last_response.body)["code"]).to eq("key_missing")
    twice = Array.new(2) { tell("/api/stacks/#{stack["lot_id"]}/take", {}, key: "the-same-key") }
    expect(twice.uniq.size).to eq(1)
    expect(lot(who, stack["lot_id"]).on_hand).to eq(0)
  end

  it "refuses ids that are no ids" do
    %w[0 -1 abc 99999999999999999999 1%00 1.5].each do |id|
      ask("/api/stacks/#{id}")
      expect(status).to be_between(400, 404)
    end
  end

  it "refuses odd queries in words" do
    sign_in(@refused)
    [
      ["/api/stacks", { limit: "0" }],
      ["/api/stacks", { limit: "x" }],
      ["/api/stacks", { cursor: "%%%" }],
      ["/api/stacks", { state: "green" }],
      ["/api/dishes", { on: "soon" }],
      ["/api/list", { days: "9999" }],
      ["/api/foods", { q: "x" * 500 }]
    ].each do |path, params|
      ask(path, params)
      expect(status).to eq(422)
    end
  end

  it "answers odd numbers, days and names in words, never with an error of its own" do
    id = stack["lot_id"]
    recipe = inside(who) { |house| house.recipes.values.keys.first }
    meal = act(:PlanMeal, who, { recipe_id: recipe, on: "2026-11-25" })["meal_id"]
    fridge = place_id(who, "fridge")
    honey = food_id(who, "honey")
    odd = [
      ["/api/meals", { recipe_id: recipe, on: "2026-11-25", servings: "999999999999" }],
      ["/api/meals", { recipe_id: recipe, on: "2026-11-25", servings: "0" }],
      ["/api/meals", { recipe_id: recipe, on: "2026-11-25", servings: "-1" }],
      ["/api/meals", { recipe_id: 999_999_999, on: "2026-11-25" }],
      ["/api/meals", { recipe_id: recipe, on: "1999-01-01" }],
      ["/api/meals", { recipe_id: recipe, on: "2026-02-31" }],
      ["/api/stacks/#{id}/take", { amount: "999999999999.999999" }],
      ["/api/stacks/#{id}/take", { amount: "-5" }],
      ["/api/stacks/#{id}/take", { amount: "0" }],
      ["/api/stacks/#{id}/throw", { amount: "-5", outcome: "binned", why: "other" }],
      ["/api/stacks/#{id}/move", { place_id: 999_999_999_999_999 }],
      ["/api/stacks/#{id}/move", { place_id: 10**30 }],
      ["/api/meals/#{meal}/cook", { used: [{ lot_id: id, amount: "999999999" }] }],
      ["/api/meals/#{meal}/cook", { used: [{ lot_id: 10**17, amount: "1" }] }],
      ["/api/meals/#{meal}/cook", { used: [], leftovers: { portions: "999999999999", place_id: fridge } }],
      [
        "/api/stacks",
        { food_id: honey, place_id: fridge, count: "1", printed_on: "2026-02-31", printed_kind: "best_before" }
      ],
      ["/api/stacks", { food_id: honey, place_id: fridge, count: "1", amount: "5" }],
      ["/api/stacks", { food_id: 10**30, place_id: fridge, count: "1" }],
      ["/api/places", { name: "Cupboard", kind: "cupboard" }],
      ["/api/places", { name: "Deep", kind: "cupboard", parent_id: 999_999_999 }],
      ["/api/acts/999999999/undo", {}]
    ]
    answers = odd.map { |path, body| tell(path, body).then { [path, body, status] } }
    expect(answers.reject { |_, _, code| code.between?(400, 422) }).to be_empty
  end

  it "answers odd counts, portions, scans and measures in words too" do
    id = stack["lot_id"]
    cupboard = place_id(who, "cupboard")
    count = act(:StartCount, who, { place_id: cupboard })["count_id"]
    jar = act(:AddContainer, who, { name: "Jar", kind: "jar", capacity_ml: 500 })["container_id"]
    odd = [
      ["/api/counts", { place_id: 10**30 }],
      ["/api/counts", { place_id: 999_999_999 }],
      ["/api/counts/999999999/finish", {}],
      ["/api/counts/#{count}/lines", { lot_id: id, found: "amount", packs: "999999999999" }],
      ["/api/counts/#{count}/lines", { lot_id: id, found: "amount", amount: "-1" }],
      ["/api/counts/#{count}/lines", { lot_id: id, found: "level" }],
      ["/api/counts/#{count}/lines", { lot_id: 10**17, found: "gone" }],
      ["/api/counts/#{count}/lines", { lot_id: id, found: "amount", quarters: 9 }],
      ["/api/counts/#{count}/clear", { line_id: 999_999_999 }],
      ["/api/counts/#{count}/finish", { reasons: { "1" => "vanished" } }],
      ["/api/stacks/#{id}/portion", { size: "0" }],
      ["/api/stacks/#{id}/portion", { size: "-3" }],
      ["/api/stacks/#{id}/portion", {}],
      ["/api/stacks/#{id}/portion", { count: 2, size: "3" }],
      ["/api/stacks/#{id}/portion", { count: 2, amount: "-1" }],
      ["/api/stacks/#{id}/portion", { count: 2, place_id: 999_999_999 }],
      ["/api/stacks/#{id}/decant", { container_id: 10**17 }],
      ["/api/stacks/#{id}/decant", { container_id: jar, amount: "-1" }],
      ["/api/stacks/#{id}/top-up", { from_lot_id: id }],
      ["/api/stacks/#{id}/top-up", { from_lot_id: 10**17 }],
      ["/api/stacks/#{id}/correct", { amount: "999999999999" }],
      ["/api/stacks/#{id}/correct", { amount: "-1" }],
      ["/api/stacks/#{id}/seen", { amount: "999999999999" }],
      ["/api/stacks/#{id}/amend", { printed_on: "2026-02-31" }],
      ["/api/stacks/#{id}/amend", { made_on: "2027-01-01" }],
      ["/api/stacks/#{id}/amend", {}],
      ["/api/stacks/#{id}/prepare", { how: "cut", amount: "0" }],
      ["/api/stacks/#{id}/prepare", { how: "cut", place_id: 999_999_999 }],
      ["/api/stacks/#{id}/foresee", { act: "cook" }],
      ["/api/stacks/#{id}/foresee", { act: "portion", input: { size: "0" } }],
      ["/api/places/#{cupboard}/fit", { box_mm: [1, 1, 1], shelf_mm: [20_000, 20_000, 20_000] }],
      ["/api/places/#{cupboard}/change", { parent_id: 999_999_999 }],
      ["/api/places/#{cupboard}/change", { low_c: 40, high_c: 2 }],
      ["/api/containers", { name: "x", kind: "jar", capacity_ml: 5, tare_g: "-4" }],
      ["/api/containers/#{jar}/change", { owned: -1 }],
      ["/api/care", { title: "x", first_on: "2026-02-31" }],
      ["/api/care", { title: "x", first_on: "2026-12-01", every_days: 2, every_months: 1 }],
      ["/api/care", { title: "x", first_on: "2026-12-01", holds_days: 2 }],
      ["/api/care", { title: "x", first_on: "2026-12-01", lot_id: 10**17 }],
      ["/api/barcodes", { code: "4006381333932", food_id: 1, amount: "1", unit: "g" }],
      ["/api/recall", { lot_ids: [10**17], reason: "recall" }],
      ["/api/recall", { lot_ids: [], reason: "recall" }],
      ["/api/scale", { grams: "-1", steady: true }],
      ["/api/people", { name: "x", portion_factor: "9" }],
      ["/api/people", { name: "x", portion_factor: "1", excludes: ["gravel"] }],
      ["/api/ways", { settings: { front_days: 50, soon_days: 20 } }],
      ["/api/ways", {}],
      [
        "/api/keeping/#{food_id(who, "honey")}/own",
        { place: "fridge", state: "opened", low: 9, high: 2, reason: "why not" }
      ]
    ]
    answers = odd.map { |path, body| tell(path, body).then { [path, body, status] } }
    expect(answers.reject { |_, _, code| code.between?(400, 422) }).to be_empty
    [
      "(01)",
      "(15)",
      "]C1",
      "]C1#{"9" * 200}",
      "\u001D",
      "(3103)",
      "(37)x",
      "\u0001\u0002",
      "/s/",
      "\u{1F41F}"
    ].each { |text| expect(tell("/api/scan", { text: text })["kind"]).to be_answered }
  end

  # A scan is always answered, with a kind of its own for what cannot be read.
  def be_answered = satisfy { |kind| %w[text unreadable unknown_pack wrong_digit unknown_stack].include?(kind) }

  it "refuses amounts of sheer size" do
    tell(
      "/api/stacks",
      {
        food_id: food_id(who, "honey"),
        place_id: place_id(who, "cupboard"),
        count: "999999999999",
        amount: "999999999999",
        unit: "g"
      }
    )
    expect(status).to eq(422)
  end
end
