# frozen_string_literal: true

require_relative "../support/api"

# Days without shopping over the wire: asked for, begun, looked after, ended.
RSpec.describe "Days without shopping", :api do
  let!(:ines) { sign_in(household!(people: 2)) }
  let(:today) { HouseSupport::TODAY }

  def span = ask("/api/plan")["span"]

  it "says how long the shelf carries them, and changes nothing" do
    put_away(ines, "split-peas", "cupboard", amount: "1000", unit: "g")
    found = tell("/api/plan/eat-down", { days: 5, fresh: %w[onions carrots].map { |key| food_id(ines, key) } })
    expect(found).to include("days" => 5, "possible" => false, "lasts" => be_between(0, 4))
    expect(found["meals"].size + found["open"].size).to be_between(1, 5)
    expect(found["meals"]).to all include("name", "missing")
    expect(ask("/api/plan")["days"].flat_map { |day| day["slots"].flat_map { |one| one["meals"] } }).to eq([])
  end

  it "plans anew what was planned with shopping, but for what somebody keeps" do
    chilli = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first }
    free, kept = [today, today + 1].map do |day|
      tell("/api/meals", { recipe_id: chilli, on: day.iso8601, meal: "dinner" })["meal_id"]
    end
    tell("/api/meals/#{kept}/change", { pinned: true })
    put_away(ines, "split-peas", "cupboard", amount: "1000", unit: "g")
    found = tell("/api/plan/eat-down", { days: 3 })
    expect(found["replace"]).to eq([free])
    expect(found["planned"].map { |one| [one["on"], one["missing"].any?] }).to eq([[(today + 1).iso8601, true]])
    meals = found["meals"].map { |one| one.except("name", "missing") }
    tell("/api/plan/fill", { meals: meals, replace: found["replace"] }) if meals.any?
  end

  it "runs one at a time: the day it is, meals since, money spent all the same, busy days ahead" do
    act(:SetSlot, ines, { on: (today + 2).iso8601, meal: "dinner", minutes: 20 })
    begun = tell("/api/plan/spans", { name: "No ferry", days: 14 })["span_id"]
    put_away(ines, "eggs", "fridge", count: "6", amount: "1", unit: "piece", price_minor: 220)
    undone = put_away(ines, "butter", "fridge", price_minor: 999)["act_id"]
    act(:Undo, ines, { act_id: undone })
    expect(span).to eq(
      "id" => begun, "name" => "No ferry", "day" => 1, "days" => 14, "meals" => 0, "spent_minor" => 220,
      "busy" => [(today + 2).iso8601], "notes" => []
    )
    send_json("/api/plan/spans", { name: "Another", days: 3 })
    expect([status, JSON.parse(last_response.body)["reason"]]).to eq([409, "span_runs_already"])
    tell("/api/plan/spans/#{begun}/note", { text: " Soup for three days " })
    expect(span["notes"].map { |note| note["text"] }).to eq(["Soup for three days"])
    tell("/api/plan/spans/#{begun}/end")
    expect(span).to be_nil
  end
end
