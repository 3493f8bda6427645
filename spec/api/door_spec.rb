# frozen_string_literal: true

require_relative "../support/api"

# The door and everybody who should not get through it.
RSpec.describe "The door", :api do
  paths = ApiSupport::Contract::DOCUMENT["paths"]
  outside = %w[
    /api/session /api/login /api/first-start /api/demo-sign-in /api/logout /api/change-password /api/close-account
    /api/join /api/join/look /api/calendar/{token}.ics
  ]
  inside =
    paths.flat_map { |path, item| item.keys.map { |verb| [verb, path] } }.reject { |_, path| outside.include?(path) }

  def call_route(verb, path, id: 1, body: {}, **more)
    path = path.sub("{id}", id.to_s)
    verb == "get" ? ask(path) : tell(path, body, **more)
  end

  describe "signed out" do
    inside.each do |verb, path|
      it "does not answer #{verb} #{path}" do
        call_route(verb, path)
        expect([status, JSON.parse(last_response.body)["code"]]).to eq([401, "signed_out"])
      end
    end
  end

  describe "another household's ids" do
    # Made once: every request about it is refused, so no example changes it.
    before(:context) do
      @theirs = household!
      @me = household!
      recipe = inside(@theirs) { |house| house.recipes.values.keys.first }
      cupboard = place_id(@theirs, "cupboard")
      @stack = put_away(@theirs, "canned-chickpeas", "cupboard")
      invitation = act(:Invite, @theirs, { name: "Guest", role: "helper" })["invitation_id"]
      @ids = {
        "meals" => act(:PlanMeal, @theirs, { recipe_id: recipe, on: "2026-11-25" })["meal_id"],
        "acts" => @stack["act_id"],
        "recipes" => recipe,
        "spans" => act(:BeginSpan, @theirs, { name: "No ferry", days: 14 })["span_id"],
        "occasions" => act(:KeepOccasion, @theirs, { name: "Feast", recurrence: { kind: "date", month: 12, day: 5 },
                                                     meal: "dinner", serve_at: "18:30" })["occasion_id"],
        "list" => act(:AddListLine, @theirs, { ref: "theirs00", text: "lamp wick" })["ref"],
        "shoppings" => act(:BeginShopping, @theirs, {})["shopping_id"],
        "shops" => act(:KeepShop, @theirs, { name: "Quay Stores" })["shop_id"],
        "wants" => food_id(@theirs, "honey"),
        "counts" => act(:StartCount, @theirs, { place_id: cupboard })["count_id"],
        "places" => cupboard,
        "containers" => act(:AddContainer, @theirs, { name: "Jar", kind: "jar", capacity_ml: 500 })["container_id"],
        "care" => act(:AddCare, @theirs, { title: "Turn it", first_on: "2026-11-24" })["care_id"],
        "patterns" => act(:SetPattern, @theirs, { weekday: 3, meal: "dinner", name: "Football" })["pattern_id"],
        "people" => act(:AddPerson, @theirs, { name: "Guest", portion_factor: "1" })["person_id"],
        "keeping" => food_id(@theirs, "honey"),
        "trips" => act(:KeepTrip, @theirs, { name: "Ride", leaves_on: "2026-12-01", back_on: "2026-12-02" })["trip_id"],
        "bench" => act(:BeginBatch, @theirs, { process: "drying", cut: "tomatoes", takes: [
                         { lot_id: put_away(@theirs, "tomatoes", "fridge", amount: "900")["lot_id"] }
                       ] })["batch_id"],
        "bench/bags/own" => act(:KeepBag, @theirs, {
          name: "Theirs", lines: [{ food_id: food_id(@theirs, "couscous"), amount: "80" }]
        })["bag_id"],
        "season" => act(:PlanSeason, @theirs, { process: "drying", cut: "apples", weekly: "50",
                                                harvest_on: "2027-09-01", next_harvest_on: "2028-09-01" })["line_id"],
        "events" => act(
          :SetEvent, @theirs,
          { name: "Gale", hour: (Time.now.utc + 7200).iso8601, fill_l: "10", flush_l: "0", helpers: 1, days: 1,
            has: [] }
        )["event_id"],
        "outages" => act(
          :BeginOutage, @theirs, { started_at: (Time.now.utc - 7200).iso8601, freezer_percent: 100 }
        )["outage_id"],
        "kits" => act(:SetKit, @theirs, { name: "Ferry box", days: 7 })["kit_id"],
        "pets" => act(:KeepPet, @theirs, { name: "Biscuit", species: "cat" })["pet_id"],
        "feeds" => act(:OpenFeed, @theirs, {})["feed_id"],
        "members" => invitation,
        "role" => @theirs.account_id
      }
    end

    let(:theirs) { @theirs }

    bodies = {
      "move" => {
        place_id: 1
      },
      "archive" => {
        archived: true
      },
      "like" => {
        person_id: 1,
        liking: "loves"
      },
      "throw" => {
        outcome: "binned",
        why: "turned"
      },
      "look" => {
        result: "good"
      },
      "level" => {
        level: "low"
      },
      "prepare" => {
        how: "cut"
      },
      "store" => {
        method: "jar"
      },
      "portion" => {
        count: 2
      },
      "decant" => {
        container_id: 1
      },
      "top-up" => {
        from_lot_id: 999_999
      },
      "correct" => {
        amount: "1"
      },
      "set-apart" => {
        for: "the boat"
      },
      "quarantine" => {
        reason: "pest"
      },
      "sort-pests" => { packs: 1 },
      "eaten" => { day: 1, meal: "midday", foods: [{ food_id: 999_999_999, grams: "1" }] },
      "check" => { found: [] },
      "foresee" => {
        act: "open"
      },
      "lines" => {
        lot_id: 1,
        found: "gone"
      },
      "clear" => {},
      "rest" => {
        found: "gone"
      },
      "fit" => {
        box_mm: [10, 10, 10]
      },
      "photo" => {
        content: "eA=="
      },
      "role" => {
        role: "helper"
      },
      "own" => {
        place: "fridge", state: "whole", low: 1, high: 2, reason: "why not"
      },
      "change" => {},
      "tick" => { key: "charge", done: true },
      "settle" => { stacks: [{ lot_id: 1 }], replace: false },
      "refresh" => { done: true },
      "close" => { fetch: true, buy: "none" },
      "pack" => { boxes: [{ number: 1, holds: 0, packs: [{ lot_id: 1, count: 1 }] }] },
      "places/box" => { food_id: 1, packs: 1 },
      "places/switch" => { off: true },
      "trips/swap" => { on: "2026-12-01", with: "2026-12-02" },
      "trips/bought" => { food_id: 1, place_id: 1, count: "1" },
      "trips/pack" => { takes: [{ lot_id: 1 }] },
      "trips/home" => { back: [] },
      "trips/meals" => { on: "2026-12-01", meal: "dinner", kind: "bag", dish: "tomato-couscous-bag" },
      "bench/finish" => { place_id: 1, out_g: "100", passed: true },
      "bench/foresee" => { place_id: 1, out_g: "100", passed: true },
      "occasions/archive" => {},
      "occasions/hold" => {
        on: "2026-12-05"
      },
      "plan/note" => {
        text: "Good soup"
      },
      "occasions/note" => {
        on: "2026-11-23", heads: 6
      },
      "occasions/{id}" => {
        name: "Feast", recurrence: { kind: "date", month: 12, day: 5 }, meal: "dinner", serve_at: "18:30"
      },
      "meals/change" => {
        pinned: true
      },
      "slide" => {
        on: "2026-11-26"
      },
      "counts/clear" => {
        line_id: 1
      },
      "counts/throw" => {},
      "keeping/drop" => {
        rule_id: 1
      },
      "containers/change" => {
        owned: 2
      },
      "keeping/food" => {
        nicknames: ["sweet"]
      },
      "keeping/merge" => {
        into_food_id: 1
      },
      "keeping/archive" => {},
      "list/{id}" => { note: "the green one" },
      "list/mark" => { status: "ticked" },
      "shops/{id}" => { name: "Other" },
      "wants/{id}" => { par: "400" },
      "wants/silence" => { until: "2026-12-01" }
    }
    inside.select { |_, path| path.include?("{id}") }.each do |verb, path|
      it "are unknown to #{verb} #{path}" do
        sign_in(@me)
        work, word = path.delete_prefix("/api/").split("/").values_at(0, -1)
        whose = path.delete_prefix("/api/").split("/{id}").first
        id = @ids.fetch(whose) { @ids.fetch(word == "role" ? word : work, @stack["lot_id"]) }
        call_route(
          verb,
          "#{path}#{{ "fill" => "?food_id=1", "choices" => "?on=2026-12-01&meal=dinner" }[word]}",
          id: id,
          body: bodies.fetch("#{work}/#{word}") { bodies.fetch(word, {}) }
        )
        expect(status).to eq(404)
      end
    end

    it "are refused inside a body" do
      me = sign_in(household!)
      tell("/api/stacks", { food_id: food_id(theirs, "honey"), place_id: place_id(me, "cupboard"), count: "1" })
      expect(status).to eq(404)
      tell("/api/stacks", { food_id: food_id(me, "honey"), place_id: place_id(theirs, "cupboard"), count: "1" })
      expect(status).to eq(422)
    end
  end

  describe "what is sent" do
    # Refused requests change nothing, so they share a household.
    before(:context) { @refused = household! }

    let(:who) { sign_in(household!) }
    let(:stack) { put_away(who, "canned-chickpeas", "cupboard") }

    inside.select { |pair| pair.first == "post" }.each do |verb, path|
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

  it "lets a helper take but not bring in or make places" do
    who = sign_in(household!)
    services.database.sequel.transaction do
      Sequel.connect(HouseSupport.owner_url) do |owner|
        owner[:memberships].where(account_id: who.account_id).update(role: "helper")
      end
    end
    stack = put_away(who, "honey", "cupboard")
    tell("/api/stacks/#{stack["lot_id"]}/take")
    expect(status).to eq(200)
    tell("/api/places", { name: "Attic", kind: "cupboard" })
    expect([status, JSON.parse(last_response.body)["code"]]).to eq([403, "keeper_only"])
    tell("/api/import", { content: "YQ==" })
    expect(status).to eq(403)
  end

  it "signs in and out, changes a password, and locks after many wrong tries" do
    who = sign_in(household!)
    expect(ask("/api/session")).to include("signed_in" => true)
    tell(
      "/api/change-password",
      { password: "a long password", "new-password": "another long one", "password-confirm": "another long one" }
    )
    expect(status).to eq(200)
    @csrf = nil
    tell("/api/logout")
    @csrf = nil
    expect(ask("/api/session")).to include("signed_in" => false, "person" => nil)
    email = services.database.outside { |db| db[:accounts].where(id: who.account_id).get(:email) }
    10.times { tell("/api/login", { login: email, password: "guess" }) }
    tell("/api/login", { login: email, password: "another long one" })
    expect(status).to eq(429)
  end

  it "remembers a device that was asked to stay signed in, and no other" do
    who = household!
    sign_in(who)
    email = services.database.outside { |db| db[:accounts].where(id: who.account_id).get(:email) }
    [true, false].each do |remember|
      clear_cookies
      @csrf = nil
      tell("/api/login", { login: email, password: "a long password", remember: remember })
      rack_mock_session.cookie_jar.delete("nut_shelf")
      expect(ask("/api/session")).to include("signed_in" => remember)
    end
  end

  it "asks for TLS in its cookies where there is some" do
    safe = Rack::Test::Session.new(built(secure: true))
    expect(safe.get("https://example.org/api/session").headers["set-cookie"].to_s.downcase).to include("secure")
  end

  it "closes an account, but not that of the only keeper" do
    ines = sign_in(household!)
    expect(tell("/api/close-account", { password: "a long password" })).to include(
      "code" => "last_keeper",
      "title" => /only keeper of House/
    )
    other = services.database.outside do |db|
      db[:accounts].insert(email: "o#{rand(10**9)}@example.test", name: "Other")
    end
    services.database.outside do |db|
      db[:memberships].insert(account_id: other, household_id: ines.household_id, role: "keeper")
    end
    feed = tell("/api/feeds")["path"]
    tell("/api/close-account", { password: "a long password" })
    expect(status).to eq(200)
    @csrf = nil
    expect(ask("/api/session")).to include("signed_in" => false, "account" => nil)
    get(feed)
    expect(status).to eq(404)
    expect(inside(ines) { |house| house.access.members.map(&:account_id) }).to eq([other])
  end

  it "slows guessing at the door" do
    slow = built(throttle: true)
    session = Rack::Test::Session.new(slow)
    token = JSON.parse(session.get("/api/session").body)["csrf"]
    codes =
      Array.new(45) do
        session.post("/api/login", "{}", { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token }).status
      end
    expect(codes).to include(429)
  end

  it "sends a strict policy and cookies no script can read" do
    ask("/api/session")
    policy = last_response.headers["content-security-policy"]
    expect(policy).to include("default-src 'none'", "script-src 'self'").and(
      satisfy { |text| !text.include?("unsafe") }
    )
    expect(last_response.headers["set-cookie"].to_s.downcase).to include("httponly", "samesite=lax")
  end

  it "says that the database is away, and comes back by itself" do
    sign_in(household!)
    broken = NutShelf::Store::Database.new(services.database.sequel)
    def broken.outside = raise(NutShelf::Store::Away, "gone")
    def broken.within(_) = raise(NutShelf::Store::Away, "gone")
    lost = built(services: NutShelf::Desk::Services.new(**services.to_h, database: broken))
    answer = Rack::Test::Session.new(lost).get("/api/session")
    expect([answer.status, JSON.parse(answer.body)["code"]]).to eq([503, "database_away"])
    expect(ask("/api/session")).to include("signed_in" => true)
  end

  describe "the first start" do
    let(:fresh) do
      url = HouseSupport.owner_url.sub(%r{/[^/]*\z}, "/nut_shelf_empty")
      NutShelf::Store::Owner.drop(url)
      app_url = NutShelf::Boot::Wiring.migrated(url)
      NutShelf::Desk::Services.new(**NutShelf::Boot::Wiring.services(app_url).to_h, clock: clock)
    end
    let(:app) { built(services: fresh) }
    let(:wanted) do
      {
        household: "Our house", name: "Ada", email: "ada@example.test", password: "long enough!",
        time_zone: "Europe/Dublin", currency: "EUR", day_order: "dmy", people: 3
      }
    end

    after { fresh.database.disconnect }

    it "makes the household and its keeper once, and never again" do
      expect(ask("/api/session")).to include("first_start" => true)
      expect(tell("/api/first-start", { **wanted, time_zone: "Nowhere/Town" })["errors"].first["pointer"]).to eq(
        "/time_zone"
      )
      expect(tell("/api/first-start", wanted)).to include(
        "signed_in" => true,
        "household" => include("name" => "Our house")
      )
      @csrf = nil
      expect(tell("/api/first-start", { **wanted, email: "eve@example.test" })).to include("code" => "started")
      expect(ask("/api/dishes")).to include("servings" => "3")
      expect(tell("/api/demo-sign-in")).to include("code" => "not_found")
    end
  end

  it "opens the demo's own door only in demo mode" do
    who = household!
    email = services.database.outside { |db| db[:accounts].where(id: who.account_id).get(:email) }
    demo = Rack::Test::Session.new(built(demo_account: email))
    token = JSON.parse(demo.get("/api/session").body)["csrf"]
    answer =
      demo.post("/api/demo-sign-in", "{}", { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token })
    expect(JSON.parse(answer.body)).to include("signed_in" => true, "demo" => true)
    expect(ApiSupport::Checker.faults("post", "/api/demo-sign-in", answer)).to be_empty
  end

  it "agrees between two servers on one database" do
    who = sign_in(household!)
    second =
      Rack::Test::Session.new(
        built(
          services: NutShelf::Desk::Services.new(**NutShelf::Boot::Wiring.services(HouseSupport.app_url).to_h,
clock: clock)
        )
      )
    stack = put_away(who, "honey", "cupboard")
    second.set_cookie(rack_mock_session.cookie_jar.for(URI("http://example.org/")))
    seen = JSON.parse(second.get("/api/stacks").body)
    expect(seen["stacks"].map { |row| row["id"] }).to eq([stack["lot_id"]])
  end
end
