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
