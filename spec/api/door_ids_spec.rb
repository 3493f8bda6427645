# frozen_string_literal: true

require_relative "../support/doors"

# One household's ids, in another one's hands, at every route that takes one.
RSpec.describe "Another household's ids", :api do
  include Doors

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
  Doors::INSIDE.select { |_, path| path.include?("{id}") }.each do |verb, path|
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
