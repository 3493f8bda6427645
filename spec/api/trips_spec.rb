# frozen_string_literal: true

require "csv"
require_relative "../support/api"

# A trip over the wire: its grid, its table, its days in the calendar.
RSpec.describe "Trips over the wire", :api do
  before { @me = sign_in(household!) }

  def trip
    answer = tell("/api/trips",
      { name: "Lochs", leaves_on: "2026-12-01", back_on: "2026-12-02", last_meal: "breakfast" })
    tell("/api/trips/#{answer["trip_id"]}/meals",
      { on: "2026-12-01", meal: "dinner", kind: "bag", dish: "tomato-couscous-bag" })
    answer["trip_id"]
  end

  it "is a table of meals, bags, food and what people forget" do
    get "/api/trips/#{trip}/file"
    expect(last_response.headers["content-disposition"]).to include("trip.csv")
    rows = CSV.parse(last_response.body.delete_prefix("\uFEFF"), headers: true)
    expect(rows.map { |row| row["part"] }.uniq).to eq(%w[meal bag thing])
    expect(rows[0].to_h).to include("day" => "2026-12-01", "meal" => "dinner", "what" => "Tomato couscous with seeds")
    expect(rows[1]["remark"]).to match(/to fill first/)
  end

  it "is a paper and a PDF of meals, bags and what is packed" do
    id = trip
    get "/api/print/trips/#{id}"
    paper = JSON.parse(last_response.body)
    expect(paper["parts"].map { |part| part["heading"] }).to eq(
      ["Meals", "Day by day", "Bags", "To pack", "Besides food"]
    )
    expect(paper["parts"].first["rows"].first.last).to eq("Tomato couscous with seeds")
    get "/api/print/trips/#{id}/pdf"
    expect([last_response.content_type, last_response.body[0, 5]]).to eq(["application/pdf", "%PDF-"])
  end

  describe "proposals" do
    def lines(id, **more)
      send_json("/api/trips/#{id}/proposals", more)
      last_response.body.lines.map { |line| JSON.parse(line) }
    end

    def dishes(id) = ask("/api/trips/#{id}")["days"].flat_map { |day| day["meals"].flat_map { |one| one["dishes"] } }

    it "are told better and better, write nothing, and are put there as they were looked at" do
      id = trip
      told = lines(id, seconds: 0.3)
      expect(told.size).to be >= 2
      expect(told.map { |line| line["done"] }).to eq([*([false] * (told.size - 1)), true])
      expect(told.last).to include("open" => 0, "faults" => 0)
      expect(dishes(id).map { |one| one["name"] }).to eq(["Tomato couscous with seeds"])
      meals = told.last["meals"].map { |one| one.except("name") }
      done = tell("/api/trips/#{id}/fill", { meals: meals })
      expect(done).to include("empty" => 0, "faults" => 0)
      mains = dishes(id).reject { |one| one["kind"] == "food" }
      expect(mains.map { |one| one["key"] }).to match_array(meals.map { |one| one["dish"] })
      tell("/api/acts/#{done["act_id"]}/undo")
      expect(dishes(id).map { |one| one["name"] }).to eq(["Tomato couscous with seeds"])
    end

    it "keep what stands there, and are refused where the trip changed under them" do
      id = trip
      kept = lines(id, keep: true, seconds: 0.2).last["meals"].find { |one| one["meal"] == "dinner" }
      expect(kept["dish"]).to eq("tomato-couscous-bag")
      meals = lines(id, seconds: 0.2).last["meals"].map { |one| one.except("name") }
      bags = %w[jerky-mash-bag tomato-couscous-bag]
      other = bags.find { |key| meals.none? { |one| one["meal"] == "dinner" && one["dish"] == key } }
      tell("/api/trips/#{id}/meals", { on: "2026-12-01", meal: "dinner", kind: "bag", dish: other, pinned: true })
      expect(tell("/api/trips/#{id}/fill", { meals: meals })).to include("code" => "stale")
      tell("/api/trips/#{id}/change", { back_on: "2026-12-01", last_meal: "dinner" })
      expect(tell("/api/trips/#{id}/fill", { meals: meals.last(1) })).to include("reason" => "meal_not_on_trip")
      unknown = { **meals.first, "dish" => "no-such-dish" }
      expect(tell("/api/trips/#{id}/fill", { meals: [unknown] })).to include("code" => "stale")
    end

    it "refuse to put there what nobody may eat then, whoever sends it" do
      id = trip
      ham = { on: "2026-12-01", meal: "lunch", kind: "recipe", dish: "ham-crispbread-plate" }
      tell("/api/trips/#{id}/change", { cold: "none", high_c: 25 })
      expect(tell("/api/trips/#{id}/fill", { meals: [ham] })).to include("status" => 409)
      expect(dishes(id).map { |one| one["name"] }).to eq(["Tomato couscous with seeds"])
    end
  end

  it "stands in the calendar on the day it leaves and the day bags are packed" do
    trip
    path = tell("/api/feeds")["path"]
    get path
    expect(last_response.body).to include("Lochs begins").and include("Fill bags and pack for Lochs")
  end

  it "answers with days, balance and what is to be got, and its choices with what stands against them" do
    id = trip
    get "/api/trips/#{id}"
    told = JSON.parse(last_response.body)
    expect(told["days"].map { |day| day["meals"].size }).to eq([3, 1])
    expect(told["shorts"].map { |one| one["name"] }).to include("Couscous")
    get "/api/trips/#{id}/choices?on=2026-12-01&meal=dinner"
    choices = JSON.parse(last_response.body)["choices"]
    expect(choices.first["faults"]).to be_empty
    expect(choices.find { |one| one["key"] == "macaroni-cheese" }["faults"]).to include("needs a hob")
    get "/api/trips/#{id}/choices?on=2026-12-01"
    expect(last_response.status).to eq(422)
  end

  it "is changed, filled, packed and over, each answer as the contract has it" do
    id = trip
    meal = tell("/api/trips/#{id}/meals", { on: "2026-12-01", meal: "snack", kind: "food", dish: "walnuts",
      grams: "40" })["trip_meal_id"]
    tell("/api/trips/meals/#{meal}/change", { pinned: false })
    tell("/api/trips/#{id}/change", { ticked: ["cup"], days: { "2026-12-01" => { effort: "hard" } } })
    expect(tell("/api/trips/#{id}/fill", {}).slice("empty", "faults")).to eq("empty" => 0, "faults" => 0)
    walnuts = tell("/api/stacks", { food_id: food_id(@me, "walnuts"), place_id: place_id(@me, "cupboard"), count: "2",
      amount: "200", unit: "g" })["lot_id"]
    along = tell("/api/trips/#{id}/pack", { takes: [{ lot_id: walnuts, amount: "200" }] })["lot_id"]
    get "/api/trips/#{id}/packing"
    expect(JSON.parse(last_response.body)["packed"].map { |one| one["words"] }).to eq(["200 g"])
    tell("/api/trips/#{id}/home", { back: [{ lot_id: along, amount: "50" }] })
    get "/api/trips"
    told = JSON.parse(last_response.body)
    expect(told["trips"].map { |one| one["status"] }).to eq(["home"])
    expect(told["learned"]["trips"]).to eq(1)
  end
end
