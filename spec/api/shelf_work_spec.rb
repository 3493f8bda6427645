# frozen_string_literal: true

require_relative "../support/api"
require_relative "../support/pictures"
require "open3"

RSpec.describe "Work at the shelf", :api do
  let!(:ines) { sign_in(household!) }
  let(:cupboard) { place_id(ines, "cupboard") }

  def stack(key = "canned-chickpeas", kind = "cupboard", **more)
    put_away(
      ines,
      key,
      kind,
      count: "5",
      printed_on: "2028-05-31",
      printed_kind: "best_before",
      price_minor: 1000,
      **more
    )[
      "lot_id"
    ]
  end

  it "counts a place from start to finish and explains each difference in the history" do
    id = stack
    overview = ask("/api/counts")
    expect(overview["places"].find { |row| row["id"] == cupboard }).to include(
      "due" => true,
      "reason" => "never counted"
    )
    count = tell("/api/counts", { place_id: cupboard })["count_id"]
    expect(ask("/api/counts/#{count}")["expected"].first).to include("packs" => 5, "line" => nil, "quarters" => false)
    line = tell("/api/counts/#{count}/lines", { lot_id: id, found: "amount", packs: "3" })["line_id"]
    tell(
      "/api/counts/#{count}/lines",
      { draft: { food_id: food_id(ines, "honey"), place_id: cupboard, count: "1", amount: "450", unit: "g" } }
    )
    differences = ask("/api/counts/#{count}/differences")["differences"]
    expect(differences.map { |row| row.values_at("name", "delta", "ask", "likely", "value_minor") }.first).to eq(
      ["Chickpeas, canned", "−2 x 400 g", true, "eaten", 400]
    )
    done = tell("/api/counts/#{count}/finish", { reasons: { line.to_s => "given_away" } })
    expect(done).to include("differences" => 2, "summary" => "Counted Cupboard: 2 stacks, 2 different")
    history = ask("/api/stacks/#{id}")["history"]
    expect(history.last).to include("amount" => "−2 x 400 g", "value_minor" => -400, "kind" => "count")
    expect(ask("/api/counts")["open"]).to be_empty
    tell("/api/acts/#{done["act_id"]}/undo")
    expect(ask("/api/counts")["open"].map { |row| row["id"] }).to eq([count])
    tell("/api/counts", { place_id: cupboard })
    expect([status, JSON.parse(last_response.body)["current"]]).to eq([409, { "count_id" => count.to_s }])
    tell("/api/counts/#{count}/throw")
    expect(ask("/api/counts")["open"]).to be_empty
  end

  it "refuses half a line" do
    count = tell("/api/counts", { place_id: cupboard })["count_id"]
    [
      {},
      { found: "gone" },
      { lot_id: stack },
      { lot_id: 1, found: "gone", draft: { food_id: 1, place_id: 1, count: "1" } }
    ].each do |body|
      tell("/api/counts/#{count}/lines", body)
      expect(status).to eq(422)
    end
  end

  it "foresees every act's effect on dates as the act then makes it" do
    acts = {
      "open" => {},
      "move" => {
        place_id: place_id(ines, "fridge")
      },
      "look" => {
        result: "turning"
      },
      "prepare" => {
        how: "cooked",
        place_id: place_id(ines, "fridge")
      },
      "store" => {
        method: "jar"
      },
      "portion" => {
        size: "100",
        amount: "400"
      },
      "amend" => {
        printed_on: "2027-01-31"
      },
      "correct" => {
        amount: "800"
      },
      "take" => {
        amount: "100"
      }
    }
    acts.each do |name, input|
      id = stack
      seen = tell("/api/stacks/#{id}/foresee", { act: name, input: input })
      done = tell("/api/stacks/#{id}/#{name}", input)
      real = lot(ines, done["lot_id"])
      expect(seen["summary"]).to eq(done["summary"])
      expect(seen["stacks"].map { |one| [one["usable_until"], one["steps"]] }).to include(
        [real.usable_until&.iso8601, real.steps]
      )
    end
    tell("/api/stacks/#{stack}/foresee", { act: "move", input: { place: 1 } })
    expect(status).to eq(422)
  end

  it "knows a stack by its square code, a pack by its barcode, and learns an unknown one once" do
    id = stack
    expect(tell("/api/scan", { text: "http://127.0.0.1:9380/s/#{id}" })).to include(
      "kind" => "stack",
      "stack" => include("id" => id)
    )
    expect(tell("/api/scan", { text: "4006381333931" })).to include(
      "kind" => "unknown_pack",
      "code" => "04006381333931"
    )
    tell(
      "/api/barcodes",
      { code: "4006381333931", food_id: food_id(ines, "canned-chickpeas"), amount: "400", unit: "g" }
    )
    expect(tell("/api/scan", { text: "4006381333931" })).to include(
      "kind" => "pack",
      "food" => include("name" => "Chickpeas, canned"),
      "pack" => "400 g",
      "stacks" => [include("id" => id)]
    )
    gs1 = tell("/api/scan", { text: "(01)04006381333931(15)280500(10)L7" })
    expect(gs1["draft"]).to include(
      "printed_on" => "2028-05-31", "printed_kind" => "best_before", "lot_text" => "L7", "amount" => "400"
    )
    expect(tell("/api/scan", { text: "(01)04006381333932" })["kind"]).to eq("unreadable")
    expect(tell("/api/scan", { text: "4006381333932" })["kind"]).to eq("wrong_digit")
    expect(tell("/api/scan", { text: "/s/999999999" })["kind"]).to eq("unknown_stack")
    expect(tell("/api/scan", { text: "hello" })["kind"]).to eq("text")
  end

  it "finds what a recall means and sets it apart, all at once" do
    ids = [stack(lot_text: "L7-B"), stack("honey", lot_text: "L7-C")]
    other = stack(lot_text: "M1")
    found = ask("/api/recall?lot=L7")["stacks"].map { |row| row["stack"]["id"] }
    expect(found).to match_array(ids)
    expect(ask("/api/recall?food_id=#{food_id(ines, "honey")}")["stacks"].size).to eq(1)
    expect(ask("/api/recall")["stacks"]).to be_empty
    tell("/api/recall", { lot_ids: found, reason: "recall", note: "lot L7" })
    expect(ask("/api/stacks?state=stop")["stacks"].map { |row| row["id"] }).to match_array(ids)
    expect(lot(ines, other).quarantined).to be(false)
  end

  it "says what to bring forward, and how much goes into a jar" do
    act(:ChangePlace, ines, { place_id: cupboard, tier: "backstock", reach: "away" })
    shelf = act(:AddPlace, ines, { name: "By the cooker", kind: "cupboard", tier: "working" })["place_id"]
    rice = stack("white-rice", amount: "1000")
    tell("/api/keeping/#{food_id(ines, "white-rice")}/figures", { working_amount: "1500" })
    item = ask("/api/bring-forward")["items"].first
    expect(item).to include(
      "food" => "White rice, long grain", "working_amount" => "1.5 kg", "own" => true, "to_place_id" => shelf
    )
    expect(item["picks"]).to eq(
      [
        {
          "lot_id" => rice, "amount" => "2000", "words" => "2 bags of 1 kg", "place" => "Cupboard",
          "usable_until" => "2028-05-31", "then_until" => "2028-05-31"
        }
      ]
    )
    tell("/api/stacks/#{rice}/move", { place_id: shelf, amount: "2000" })
    expect(ask("/api/bring-forward")["items"]).to be_empty
    jar =
      tell("/api/containers", { name: "Tall jar", kind: "jar", capacity_ml: 1000, owned: 3, tare_g: "420" })[
        "container_id"
      ]
    expect(ask("/api/containers")["containers"].first).to include("empty" => 3, "in_use" => 0)
    expect(ask("/api/containers/#{jar}/fill?food_id=#{food_id(ines, "white-rice")}")).to include(
      "amount" => "780 g",
      "short" => nil
    )
    ask("/api/containers/#{jar}/fill")
    expect(status).to eq(422)
    ask("/api/containers/#{jar}/fill?food_id=#{food_id(ines, "canned-chickpeas")}")
    expect(status).to eq(services.catalog.food("canned-chickpeas").g_per_ml ? 200 : 422)
  end

  it "weighs with the scale, tare by container" do
    expect(ask("/api/scale")).to include("gross_g" => nil, "steady" => false)
    jar = tell("/api/containers", { name: "Tall jar", kind: "jar", capacity_ml: 1000, tare_g: "420" })["container_id"]
    tell("/api/scale", { grams: "765.5", steady: true })
    expect(ask("/api/scale?container_id=#{jar}")).to eq(
      "gross_g" => "765.5", "net_g" => "345.5", "tare_g" => "420", "steady" => true
    )
  end

  it "says what a place is like, what fits, and what stands wrong in it" do
    tell("/api/places/#{cupboard}/fit", { box_mm: [200, 150, 180] })
    expect(JSON.parse(last_response.body)["code"]).to eq("unknown_figure")
    version = ask("/api/places/#{cupboard}")["place"]["version"]
    tell("/api/places/#{cupboard}/change", { version: version, inner_mm: [800, 350, 400], fill_percent: 25, low_c: -5 })
    expect(tell("/api/places/#{cupboard}/fit", { box_mm: [200, 150, 180] })["count"]).to eq(18)
    stack
    put_away(ines, "flour-white", "cupboard", amount: "1000")
    detail = ask("/api/places/#{cupboard}")
    expect(detail["room_left"]).to include("litres" => 84, "of" => 112)
    expect(detail["warnings"].map { |row| row["kind"] }).to eq(["will_freeze"])
    expect(detail["at_risk"].map { |row| row["food"] }).to eq(
      [inside(ines) { |house| house.foods.by_key(["flour-white"]).values.first.name }]
    )
    tell("/api/places/#{cupboard}/change", { version: version, reach: "away" })
    expect([status, JSON.parse(last_response.body)["current"]["fill_percent"]]).to eq([409, "25"])
  end

  it "warns when the newer stands where it would be eaten first" do
    back = act(:AddPlace, ines, { name: "Loft", kind: "cupboard", tier: "backstock" })["place_id"]
    stack
    old = stack(place_id: back, printed_on: "2027-01-31")
    expect(ask("/api/places/#{cupboard}")["warnings"]).to match(
      [include("kind" => "crossed", "stack" => include("id" => old), "text" => include("the older in Loft"))]
    )
  end

  it "keeps a picture of a place and gives it back, without what the camera wrote into it" do
    bytes = Pictures.jpeg
    tell("/api/places/#{cupboard}/photo", { content: Base64.strict_encode64(bytes) })
    get("/api/places/#{cupboard}/photo")
    expect([status, last_response.headers["content-type"], last_response.body.b]).to eq(
      [200, "image/jpeg", NutShelf::Exchange::Photo.new(bytes).bytes]
    )
    expect(last_response.body.b).not_to include("GPS")
    expect(ask("/api/places")["places"].find { |row| row["id"] == cupboard }["photo"]).to be(true)
  end

  it "asks at most three times a day whether something is still there, and only where a meal counts on it" do
    recipe =
      inside(ines) do |house|
        house.recipes.values.find { |_, one| one.lines.any? { |line| line.food_key == "canned-chickpeas" } }.first
      end
    clock.day = Date.new(2026, 8, 1)
    id = stack
    clock.day = Date.new(2026, 11, 24)
    tell("/api/keeping/#{food_id(ines, "canned-chickpeas")}/figures", { weekly_said: "400" })
    expect(ask("/api/today")["questions"]).to be_empty
    tell("/api/meals", { recipe_id: recipe, on: "2026-11-25", servings: "2" })
    question = ask("/api/today")["questions"].first
    expect(question).to include(
      "stack" => include("id" => id),
      "meals" => [inside(ines) { |house| house.recipes.values.fetch(recipe).name }]
    )
    expect(question["steps"].join).to include("115 days ago")
    tell("/api/stacks/#{id}/seen", { amount: "1200" })
    expect(ask("/api/today")["questions"]).to be_empty
    expect(lot(ines, id).on_hand).to eq(1200)
    clock.day = Date.new(2027, 11, 30)
    tell("/api/meals", { recipe_id: recipe, on: "2027-12-01", servings: "2" })
    expect(ask("/api/today")["questions"].size).to eq(1)
    3.times { act(:Seen, ines, { lot_id: stack("honey") }) }
    expect(ask("/api/today")["questions"]).to be_empty
  end

  it "shows care that is due, what must thaw, and the days counts are due" do
    id = stack
    tell("/api/care", { title: "Turn the tins", lot_id: id, first_on: "2026-11-20", every_days: 90 })
    today = ask("/api/today")
    expect(today["care"].map { |row| [row["title"], row["late_days"]] }).to eq([["Turn the tins", 4]])
    tell("/api/care/#{today["care"].first["id"]}/done")
    expect(ask("/api/today")["care"]).to be_empty
    expect(ask("/api/stacks/#{id}")["care"].first).to include("next_on" => "2027-02-22")
  end

  it "prints labels in grids and on a roll, as many as asked for" do
    ids = [stack(directions: "Rinse under cold water"), stack("honey", bought_for: "the fair")]
    grids = ask("/api/labels/grids")["grids"].map { |grid| grid["key"] }
    expect(grids).to include("3x8", "roll")
    get("/api/labels/sheet.pdf?stacks=#{ids.join(",")}&grid=3x8&copies=240")
    pages = last_response.body.b.scan(%r{/Type /Page\b}).size
    expect([status, last_response.headers["content-type"], pages]).to eq([422, "application/problem+json", 0])
    get("/api/labels/sheet.pdf?stacks=#{ids.join(",")}&grid=3x8&copies=199&skip=82")
    expect([status, last_response.body.b[0, 5]]).to eq([200, "%PDF-"])
    expect(last_response.headers["content-security-policy"]).to include("object-src 'self'").and include(
            "default-src 'none'"
          )
    get("/api/labels/label.png?stacks=#{ids.first}")
    expect(last_response.body.b[0, 8]).to eq("\x89PNG\r\n\x1A\n".b)
    ["stacks=", "stacks=1;2", "stacks=#{ids.first}&grid=9x9", "stacks=#{ids.first}&copies=0"].each do |query|
      get("/api/labels/sheet.pdf?#{query}")
      expect([query, status]).to eq([query, 422])
    end
    get("/api/labels/sheet.pdf?stacks=999999999")
    expect(status).to eq(404)
  end

  it "tells of a stack how it is stored, what care the guide advises, what to look for and what it is made of" do
    parsley = put_away(ines, "fresh-parsley", "fridge", amount: "50", method: "water")["lot_id"]
    detail = ask("/api/stacks/#{parsley}")
    expect(detail["storage"]).to eq("now" => "water", "ways" => %w[water paper bag])
    expect(detail["care_advised"]).to eq([{ "every_days" => 2, "text" => "Change the water and trim stems" }])
    tell(
      "/api/care",
      { title: "Change the water and trim stems", lot_id: parsley, first_on: "2026-11-26", every_days: 2 }
    )
    expect(ask("/api/stacks/#{parsley}")).to include("care_advised" => [], "care" => [include("every_days" => 2)])
    expect(detail["look"]).to include(
      "kind" => "fresh",
      "signs" => include({ "sign" => "Slime, or a bad smell", "means" => "bad" })
    )
    tin = ask("/api/stacks/#{stack}")
    expect([tin["look"]["kind"], tin["facts"]["wrapping"], tin["care_advised"].map { |row| row["every_days"] }]).to eq(
      ["tin", "tin", [180]]
    )
    tell("/api/stacks/#{tin["stack"]["id"]}/amend", { wrapping: "glass" })
    expect(ask("/api/stacks/#{tin["stack"]["id"]}")["look"]["kind"]).to eq("jar")
  end

  it "advises for a batch of unripe fruit how many go to the cold, and when" do
    pears = put_away(ines, "pears", "cupboard", count: "12", amount: "1", unit: "piece", state: "unripe")["lot_id"]
    advice = ask("/api/stacks/#{pears}")["ripening"]
    expect(advice.first).to match(/12 are ripe from about/)
    tell("/api/stacks/#{pears}/prepare", { how: "ripened", amount: "3" })
    ripe = inside(ines) { |house| house.lots.all.find { |row| row.on_hand == 3 } }
    expect(ripe.ready_on).to eq(Date.new(2026, 11, 24))
    expect(ask("/api/stacks/#{pears}")["stack"]["state"]).to eq("not_ready")
  end

  it "remembers what a jar was topped up with" do
    act(:AddContainer, ines, { name: "Oat jar", kind: "jar", capacity_ml: 2000 })
    jar = inside(ines) { |house| house.containers.all.first.id }
    oats =
      put_away(ines, "rolled-oats", "cupboard", amount: "500", printed_on: "2027-05-30", printed_kind: "best_before")[
        "lot_id"
      ]
    more =
      put_away(
        ines, "rolled-oats", "cupboard", amount: "500", printed_on: "2027-01-31", printed_kind: "best_before",
        label: "Older oats"
      )[
        "lot_id"
      ]
    tell("/api/stacks/#{oats}/decant", { container_id: jar })
    tell("/api/stacks/#{oats}/top-up", { from_lot_id: more })
    expect(ask("/api/stacks/#{oats}")).to include(
      "parts" => [{ "name" => "Older oats", "on" => "2026-11-24", "good_until" => "2027-01-31" }],
      "facts" => include("container" => "Oat jar")
    )
  end

  it "finds a recalled pack by its bar code" do
    id = stack
    tell(
      "/api/barcodes",
      { code: "4006381333931", food_id: food_id(ines, "canned-chickpeas"), amount: "400", unit: "g" }
    )
    put_away(ines, "canned-chickpeas", "cupboard", amount: "800")
    expect(ask("/api/recall?code=4006381333931")["stacks"].map { |row| row["stack"]["id"] }).to eq([id])
    expect(ask("/api/recall?code=96385074")["stacks"]).to be_empty
  end

  it "tells how to keep a food, and keeps an own time" do
    id = food_id(ines, "fresh-parsley")
    page = ask("/api/keeping/#{id}")
    expect(page["methods"].map { |row| row["storage"] }).to eq(%w[water paper bag])
    tell(
      "/api/keeping/#{id}/own",
      { place: "fridge", state: "whole", storage: "bag", low: 8, high: 11, reason: "In the drawer it lasts" }
    )
    page = ask("/api/keeping/#{id}")
    expect(page["own"].first).to include("high" => 11, "storage" => "bag", "reason" => "In the drawer it lasts")
    expect(page["methods"].find { |row| row["storage"] == "bag" }).to include("high" => 11, "own" => true)
    tell("/api/keeping/#{id}/drop", { rule_id: page["own"].first["id"] })
    expect(ask("/api/keeping/#{id}")["own"]).to be_empty
  end

  it "puts a food right, lets it go into another, and puts it out of sight" do
    relish = tell("/api/foods", { name: "Aunt's relish", like_food_id: food_id(ines, "chutney") })["food_id"]
    known = ask("/api/keeping/#{relish}")["known"]
    expect(known).to include("own" => true, "name" => "Aunt's relish", "nicknames" => [])
    tell(
      "/api/keeping/#{relish}/food",
      { version: known["version"], name: "Tomato relish", packs: [{ amount: "280", unit: "g" }] }
    )
    expect(ask("/api/keeping/#{relish}")["known"]).to include(
      "name" => "Tomato relish",
      "packs" => include(include("words" => "280 g"))
    )
    other = tell("/api/foods", { name: "Old relish", like_food_id: relish })["food_id"]
    tell("/api/keeping/#{other}/merge", { into_food_id: relish })
    expect(ask("/api/keeping/#{relish}")["known"]["nicknames"]).to eq(["Old relish"])
    tell("/api/keeping/#{relish}/archive")
    expect(ask("/api/foods?q=relish")["foods"].map { |food| food["name"] }).not_to include("Tomato relish")
    expect(ask("/api/keeping/#{food_id(ines, "celery")}")["revival"]).to include("cold water")
  end
end
