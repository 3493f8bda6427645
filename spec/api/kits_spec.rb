# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "Kits over the wire", :api do
  let!(:ines) { sign_in(household!(people: 3)) }
  let!(:kit) do
    tell("/api/kits",
      { name: "Ferry box", days: 3, refresh_days: ["12-12"], budget_minor: 800, canister: "230" })["kit_id"]
  end

  def tins(key, count)
    put_away(ines, key, "cupboard", count: count, printed_on: "2029-06-30", printed_kind: "best_before")["lot_id"]
  end

  it "tells what is needed, there and missing, and how that is closed" do
    tell("/api/kits/pets", { name: "Biscuit", species: "cat", kg: "4.5" })
    tins("canned-chickpeas", "12")
    page = ask("/api/kits/#{kit}")
    expect(page.values_at("refresh_on", "must_reach")).to eq(%w[2026-12-12 2027-01-11])
    lines = page["lines"].to_h { |line| [line["line"], line] }
    expect(lines["cat"].slice("per_day", "need", "have", "gap")).to eq(
      "per_day" => "248", "need" => "743", "have" => "0", "gap" => "743"
    )
    expect(lines["protein"]["short"].size).to eq(3)
    closing = ask("/api/kits/#{kit}/closing")
    expect(closing["fetch"].map { |one| one["name"] }).to eq(["Chickpeas, canned"])
    alone = ask("/api/kits/#{kit}/closing?shelf=leave")
    expect([alone["fetch"], alone["cost_minor"] > closing["cost_minor"]]).to eq([[], true])
    expect(closing["steps"].sum { |step| step["cost_minor"] }).to eq(closing["cost_minor"])
    tell("/api/kits/#{kit}/close", { fetch: true, buy: "step" })
    after = ask("/api/kits/#{kit}")
    expect(after["stacks"].map { |one| one["reason"] }).to eq(["counts"])
    expect(ask("/api/kits/#{kit}/closing")["listed"]).not_to be_empty
    expect(ask("/api/list")["waiting"].to_s + ask("/api/list").to_s).to include("Ferry box")
  end

  it "puts what is no food on the list, once, and counts what was bought for the kit" do
    bags = -> { ask("/api/kits/#{kit}")["supplies"].find { |one| one["name"] == "Heavy bin bags" } }
    missing = bags.call
    expect(missing.values_at("have", "coming", "gap")).to eq([0, 0, missing["amount"]])
    done = tell("/api/kits/#{kit}/close", { fetch: false, buy: "none", supplies: true })
    expect(bags.call.values_at("coming", "gap")).to eq([missing["amount"], 0])
    expect(tell("/api/kits/#{kit}/close", { fetch: false, buy: "none", supplies: true })["code"]).to eq("not_fit")
    tell("/api/acts/#{done["act_id"]}/undo")
    expect(bags.call["gap"]).to eq(missing["amount"])
    place = ask("/api/places")["places"].find { |one| one["kind"] == "cupboard" }
    tell("/api/places/#{place["id"]}/change", { kit_id: kit, kit_box: 1 })
    put_away(ines, "bin-bags", "cupboard", count: missing["amount"].to_s, amount: "1", unit: "piece")
    expect(bags.call.values_at("have", "gap")).to eq([missing["amount"], 0])
  end

  it "says what is wrong with figures that cannot be, and keeps nothing of them" do
    odd = [
      ["/api/kits", { name: "A", days: 3, box_tare_g: 12_000 }],
      ["/api/kits", { name: "A", days: 3, canister: "0" }], ["/api/kits", { name: "A", days: 3, fuel_amount: "-3" }],
      ["/api/kits/pets", { name: "Rex", species: "dog", kg: "0" }],
      ["/api/people", { name: "B", portion_factor: "1", kg: "0.5" }],
      ["/api/people", { name: "B", portion_factor: "1", kg: "400.5" }]
    ]
    answers = odd.map { |path, body| tell(path, body).slice("status", "code") }
    expect(answers.uniq).to eq([{ "status" => 422, "code" => "invalid" }])
    expect(tell(*odd.first)["title"]).to eq("An empty box weighs as much as one person is to carry.")
    expect(ask("/api/kits")["kits"].size).to eq(1)
  end

  it "gives the menu by days and the boxes with what each weighs" do
    %w[canned-chickpeas canned-beef-stew canned-peaches].each { |key| tins(key, "8") }
    tell("/api/kits/#{kit}/close", { fetch: true, buy: "none" })
    menu = ask("/api/kits/#{kit}/menu")
    expect(menu["days"].map { |day| day["meals"].map { |meal| meal["meal"] } }).to eq([%w[morning midday evening]] * 3)
    boxes = ask("/api/kits/#{kit}/boxes")["boxes"]
    packs = ask("/api/kits/#{kit}")["stacks"].size
    expect(boxes.flat_map { |box| box["packs"].map { |one| one["lot_id"] } }.uniq.size).to eq(packs)
    expect(boxes.map { |box| box["kg"].to_f }).to all(be_between(1.5, 12))
  end

  def boxes = ask("/api/kits/#{kit}/boxes")["boxes"]

  # As the page sends it.
  def as_packed(list)
    { boxes: list.map do |box|
      { **box.slice("number", "holds"), packs: box["packs"].map { |one| one.slice("lot_id", "count") } }
    end }
  end

  def standing = boxes.flat_map { |box| box["packs"].map { |one| one["in"] } }

  it "packs boxes as dealt: places of their own, nothing set apart twice, the rest dealt around them" do
    tins("canned-chickpeas", "12")
    tins("canned-beef-stew", "8")
    tell("/api/kits/#{kit}/close", { fetch: true, buy: "none" })
    page = -> { ask("/api/kits/#{kit}")["lines"].map { |line| line.values_at("line", "have") } }
    before = page.call
    dealt = boxes
    first = tell("/api/kits/#{kit}/pack", as_packed(dealt.first(1)))
    packed = boxes.first
    expect(packed["packs"].map { |one| one.values_at("name", "count", "in") })
      .to eq(dealt.first["packs"].map { |one| [one["name"], one["count"], true] })
    expect(packed.values_at("place_id", "holds")).to match([Integer, dealt.first["packs"].sum { |one| one["count"] }])
    second = tell("/api/kits/#{kit}/pack", as_packed(boxes.drop(1)))
    expect(standing).to all(be true)
    expect(page.call).to eq(before)
    expect(ask("/api/places")["places"].map { |one| one["name"] }).to include("Ferry box, box 1", "Ferry box, box 2")
    expect(tell("/api/kits/#{kit}/pack", as_packed(dealt.first(1)))["title"]).to eq("Somebody packed box 1 meanwhile.")
    [second, first].each { |done| expect(tell("/api/acts/#{done["act_id"]}/undo")["status"]).to be_nil }
    expect(standing).to all(be false)
    expect(page.call).to eq(before)
  end

  it "leaves containers of water with a handle beside the boxes, and counts the walks for them" do
    tins("canned-chickpeas", "4")
    put_away(ines, "bottled-water", "cupboard", count: "6", amount: "5000", unit: "ml", printed_on: "2029-06-30",
      printed_kind: "best_before")
    tell("/api/kits/#{kit}/close", { fetch: true, buy: "none" })
    told = ask("/api/kits/#{kit}/boxes")
    expect(told["loose"].map { |one| one.values_at("name", "count", "pack") })
      .to eq([["Bottled still water", 6, "5 l"]])
    expect(told["boxes"].flat_map { |box| box["packs"].map { |one| one["name"] } }.uniq).to eq(["Chickpeas, canned"])
    expect(told["carry_trips"]).to eq(told["boxes"].size + 3)
    expect(ask("/api/print/kits/#{kit}/boxes")["parts"].last["heading"]).to eq("Beside the boxes")
  end

  it "warns on the kit's page of what freezes where it stands" do
    attic = tell("/api/places", { name: "Attic", kind: "cupboard", low_c: -5, high_c: 20 })["place_id"]
    jar = tell("/api/stacks", { food_id: food_id(ines, "canned-beef-stew"), place_id: attic, count: "2", amount: "400",
                                unit: "g", printed_on: "2029-06-30", printed_kind: "best_before" })["lot_id"]
    tell("/api/places/#{attic}/change", { version: 1, kit_id: kit })
    found = ask("/api/kits/#{kit}")["stacks"].find { |one| one["lot_id"] == jar }
    expect(found["warnings"].join).to match(/will freeze there/)
  end

  it "makes a box that neither cools nor freezes, wherever its first pack comes from" do
    frozen = put_away(ines, "frozen-peas", "freezer", amount: "1000", printed_on: "2028-01-31",
      printed_kind: "best_before")["lot_id"]
    tin = put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-12-10", printed_kind: "use_by")["lot_id"]
    tell("/api/kits/#{kit}/pack", { boxes: [
           { number: 1, holds: 0, packs: [frozen, tin].map { |id| { lot_id: id, count: 1 } } }
         ] })
    box = ask("/api/places")["places"].find { |one| one["name"] == "Ferry box, box 1" }
    expect(box.values_at("kind", "tier")).to eq(%w[cupboard set_apart])
    expect(ask("/api/stacks/#{tin}")["stack"]["usable_until"]).to be <= "2026-12-10"
  end

  it "prints the menu, the box cards and, once boxes are packed, their lids" do
    tins("canned-chickpeas", "12")
    tins("couscous", "2")
    tins("bottled-water", "60")
    tell("/api/kits/#{kit}/change", { fuel_amount: "2000" })
    tell("/api/kits/#{kit}/close", { fetch: true, buy: "none" })
    menu = ask("/api/print/kits/#{kit}/menu")
    expect(menu["parts"].map { |part| part["heading"] }).to include("Day 1", "Day 2", "Day 3")
    warm = menu["parts"].flat_map { |part| part["rows"] }.find { |row| row[1].include?("Couscous") }
    expect(warm[2]).to match(/\A\d+ min\z/)
    expect(warm[3]).to match(/\A\d+ ml\z/)
    get "/api/labels/lids.pdf?kit=#{kit}"
    expect(JSON.parse(last_response.body)["code"]).to eq("not_fit")
    tell("/api/kits/#{kit}/pack", as_packed(boxes))
    cards = ask("/api/print/kits/#{kit}/boxes")["parts"]
    expect(cards.first["heading"]).to match(/\ABox 1 of 3, [\d.]+ kg\z/)
    chickpeas = cards.first["rows"].find { |row| row[1].start_with?("Chickpeas") }
    expect(chickpeas.values_at(0, 2, 3)).to eq(["4", "with an opener", "30 Jun 2029"])
    %W[print/kits/#{kit}/menu.pdf print/kits/#{kit}/boxes.pdf labels/lids.pdf?kit=#{kit}].each do |path|
      get "/api/#{path}"
      expect([last_response.status, last_response.content_type]).to eq([200, "application/pdf"])
    end
  end

  it "says how long the household would last, side by side, and what one more would change" do
    tins("canned-chickpeas", "30")
    told = ask("/api/kits/lasting?freezer=50")
    expect(told["columns"].map { |one| one["name"] }).to eq(%w[all dark dry dark_dry])
    expect(told["columns"].first["days"]).to be > 0
    expect(told["columns"].last).to include("days" => 0, "runs_out_first" => "water")
    expect(told["one_more"].map { |one| one["name"] }).to eq(%w[canister water tins rice])
    get "/api/kits/lasting?freezer=101"
    expect(last_response.status).to eq(422)
  end

  it "tells the next refresh, and takes one thing at a touch" do
    due = put_away(ines, "canned-chickpeas", "cupboard", count: "3", printed_on: "2027-03-31",
      printed_kind: "best_before")["lot_id"]
    tell("/api/kits/#{kit}/refresh", { put_in: due, packs: 3 })
    plan = ask("/api/kits/#{kit}/refresh")
    expect(plan.values_at("on", "next_on", "must_reach")).to eq(%w[2026-12-12 2027-12-12 2028-01-11])
    expect(plan["kitchen"].map { |one| one.values_at("lot_id", "weeks", "per_week") }).to eq([[due, 15, 1]])
    expect(plan["buy"]).to eq([{ "food" => "Chickpeas, canned", "pack" => "400 g", "count" => 3 }])
    tell("/api/kits/#{kit}/refresh", { take_out: due })
    expect(ask("/api/kits/#{kit}")["stacks"]).to eq([])
    deep = tell("/api/kits", { name: "Pantry", days: 3, school: "deep_pantry" })["kit_id"]
    get "/api/kits/#{deep}/refresh"
    expect(last_response.status).to eq(409)
  end

  it "counts a tin as it was said to open, and asks for an opener" do
    tin = tins("canned-sardines", "4")
    tell("/api/kits/#{kit}/refresh", { put_in: tin, packs: 4 })
    expect([ask("/api/stacks/#{tin}")["facts"]["opening"], ask("/api/kits/#{kit}")["checks"]["opener"]]).to eq(
      ["ring", false]
    )
    tell("/api/stacks/#{tin}/amend", { opening: "opener" })
    expect([ask("/api/stacks/#{tin}")["facts"]["opening"], ask("/api/kits/#{kit}")["checks"]["opener"]]).to eq(
      ["opener", true]
    )
    expect(tell("/api/stacks/#{tin}/amend", { opening: "teeth" })["code"]).to eq("invalid")
  end

  it "tells in look back what became of what was kept for the kit, once a refresh brought it out" do
    due = put_away(ines, "canned-chickpeas", "cupboard", count: "3", price_minor: 300, printed_on: "2027-03-31",
      printed_kind: "best_before")["lot_id"]
    tell("/api/kits/#{kit}/refresh", { put_in: due, packs: 3 })
    tell("/api/kits/#{kit}/refresh", { take_out: due })
    tell("/api/stacks/#{due}/take", { amount: "400" })
    tell("/api/stacks/#{due}/throw", { amount: "400", outcome: "binned", why: "turned" })
    honey = put_away(ines, "honey", "cupboard", price_minor: 500)["lot_id"]
    tell("/api/stacks/#{honey}/take", { amount: "100" })
    rows = ask("/api/look-back/by/kit")["rows"].to_h { |row| [row["name"], row["wasted_minor"]] }
    expect(rows).to eq("Ferry box" => 100, "No kit" => 0)
  end

  it "counts a day more than once where a box gets warm, so that what just reached does so no more" do
    box = ask("/api/places")["places"].find { |one| one["kind"] == "cupboard" }["id"]
    tell("/api/places/#{box}/change", { kit_id: kit, kit_box: 1 })
    tin = put_away(ines, "canned-chickpeas", "cupboard", count: "3", printed_on: "2027-01-20",
      printed_kind: "best_before")["lot_id"]
    told = -> { ask("/api/kits/#{kit}")["stacks"].map { |one| one.values_at("lot_id", "until", "reason") } }
    expect(told.call).to eq([[tin, "2027-01-20", "counts"]])
    tell("/api/places/#{box}/change", { low_c: 5, high_c: 34 })
    expect(told.call).to eq([[tin, "2027-01-01", "early"]])
    expect(ask("/api/stacks/#{tin}")["stack"]["usable_until"]).to eq("2027-01-20")
    expect(ask("/api/kits/#{kit}/closing")["must_reach"]).to eq("2027-02-04")
  end

  it "tells today of a refresh that is near, of an event and of a power cut until each is over" do
    ready = -> { ask("/api/today")["ready"].map { |one| one.values_at("kind", "name", "packs") } }
    due = put_away(ines, "canned-chickpeas", "cupboard", count: "3", printed_on: "2027-03-31",
      printed_kind: "best_before")["lot_id"]
    tell("/api/kits/#{kit}/refresh", { put_in: due, packs: 3 })
    expect(ready.call).to eq([["refresh", "Ferry box", 3]])
    now = Time.now.utc
    event = tell("/api/events", {
      name: "Gale", hour: (now + 86_400).iso8601, fill_l: "5", flush_l: "0", helpers: 1, days: 2, has: []
    })["event_id"]
    cut = tell("/api/outages", { started_at: (now - 3600).iso8601, freezer_percent: 50 })["outage_id"]
    expect(ready.call.map(&:first)).to eq(%w[power_cut event refresh])
    tell("/api/outages/#{cut}/change", { ended_at: now.iso8601 })
    tell("/api/events/#{event}/change", { gone: true })
    expect(ready.call.map(&:first)).to eq(%w[after_power_cut refresh])
    tell("/api/kits/#{kit}/change", { refresh_days: ["03-12"] })
    expect(ready.call.map(&:first)).to eq(%w[after_power_cut])
  end

  it "refuses at the shelf what a deep pantry must hold, until somebody says why" do
    tell("/api/kits", { name: "Pantry", days: 3, school: "deep_pantry" })
    beans = tins("baked-beans", "4")
    tell("/api/stacks/#{beans}/take", { amount: "400" })
    expect([last_response.status, JSON.parse(last_response.body)["code"]]).to eq([409, "below_floor"])
    told = tell("/api/stacks/#{beans}/take", { amount: "400", despite: "guests" })
    expect(told["summary"]).to end_with("guests")
    jar = tell("/api/containers", { name: "Jar", kind: "jar", capacity_ml: 1500, owned: 1 })["container_id"]
    ways = {
      "stacks/#{beans}/open" => {}, "stacks/#{beans}/decant" => { container_id: jar },
      "look-back/give-away" => { stacks: [{ lot_id: beans }] }
    }
    ways.each { |path, body| expect(tell("/api/#{path}", body)["code"]).to eq("below_floor") }
    expect(tell("/api/stacks/#{beans}/open", { despite: "supper" })["summary"]).to end_with("supper")
    expect(tell("/api/stacks/#{beans}/throw", { amount: "400", outcome: "binned", why: "disliked" })["code"]).to be_nil
  end

  it "lets a helper read kits and set packs apart, and a keeper alone change what they are" do
    helper = sign_in(joined(ines, "helper"))
    expect(ask("/api/kits")["kits"].map { |one| one["name"] }).to eq(["Ferry box"])
    tell("/api/kits/#{kit}/change", { days: 5 })
    expect(last_response.status).to eq(403)
    expect(helper.role).to eq("helper")
  end
end
