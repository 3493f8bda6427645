# frozen_string_literal: true

require_relative "../support/api"

# A week of meals over the wire: looked at, filled, changed.
RSpec.describe "The plan", :api do
  let!(:ines) { sign_in(household!(people: 2)) }
  let(:today) { HouseSupport::TODAY }
  let(:recipe) { inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first } }
  let(:person) { inside(ines) { |house| house.household.people.first.id } }

  def week(days = 7) = ask("/api/plan?days=#{days}")

  def dinner(on = today)
    week["days"].find { |day| day["on"] == on.iso8601 }["slots"].find { |one| one["meal"] == "dinner" }
  end

  def proposals(**more)
    send_json("/api/plan/proposals", { from: today.iso8601, to: (today + 3).iso8601, seconds: 0.3, **more })
    last_response.body.lines.map { |line| JSON.parse(line) }
  end

  it "is days with a meal each, who eats and how long there is, and what it comes to" do
    tell("/api/meals", { recipe_id: recipe, on: today.iso8601 })
    expect(week["days"].map { |day| day["slots"].map { |one| one["meal"] } }).to eq([["dinner"]] * 7)
    expect(dinner).to include("evening" => "home", "servings" => "2", "wanted" => true)
    expect(dinner["meals"].first).to include("name" => "Two-bean chilli", "kind" => "cook", "pinned" => false)
    expect(week["balance"]["to_buy_minor"]).to be_positive
    expect(week["balance"]["from_shelf_percent"]).to eq(0)
  end

  it "says what turns, which meal takes it, and what of it goes past" do
    put_away(ines, "canned-kidney-beans", "cupboard", count: "9", price_minor: 900,
      printed_on: (today + 4).iso8601, printed_kind: "best_before")
    turning = week["use_up"].find { |one| one["name"].match?(/kidney/i) }
    expect(turning).to include("days_left" => 4, "meals" => [])
    meal = tell("/api/meals", { recipe_id: recipe, on: today.iso8601 })["meal_id"]
    taken = week["use_up"].find { |one| one["name"].match?(/kidney/i) }
    expect(taken["meals"]).to eq([{ "meal_id" => meal, "on" => today.iso8601 }])
    expect(week["balance"]["rescued_minor"]).to be_positive
  end

  it "tells better and better plans, and puts the last one onto its days in one act" do
    lines = proposals
    expect(lines.size).to be >= 2
    costs = lines.filter_map { |line| line["cost"] }
    expect(costs).to eq(costs.sort.reverse)
    last = lines.last
    expect(last).to include("done" => true, "open" => 4)
    last["meals"].each do |one|
      cook = one["leftovers_of"] && last["meals"][one["leftovers_of"]]
      expect(one["name"]).to cook ? eq("#{cook["name"]}, again") : match(/\A\p{Lu}/)
    end
    meals = last["meals"].map { |one| one.except("name") }
    act = tell("/api/plan/fill", { meals: meals })
    expect(week["days"].first(4).map { |day| day["slots"].first["meals"].size }).to eq([1, 1, 1, 1])
    expect(proposals.last["meals"]).to eq([])
    tell("/api/acts/#{act["act_id"]}/undo")
    expect(week["days"].flat_map { |day| day["slots"].flat_map { |one| one["meals"] } }).to eq([])
  end

  it "calls leftovers of what is planned already by their dish" do
    keeping = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "split-pea-soup" }.first }
    act(:SetSlot, ines, { on: (today + 1).iso8601, meal: "dinner", minutes: 0 })
    tell("/api/meals", { recipe_id: keeping, on: today.iso8601, meal: "dinner" })
    again = proposals.last["meals"].find { |one| one["from_meal_id"] }
    expect(again).to include("name" => "Split pea soup, again")
  end

  it "has nothing to fill where the days end before they begin, or are over" do
    [[today + 9, today], [today - 900, today - 800], [today + 40, today + 20]].each do |from, to|
      expect(proposals(from: from.iso8601, to: to.iso8601).last).to include("done" => true, "meals" => [])
    end
    expect(proposals(to: (today + 200).iso8601)).to include(include("code" => "invalid"))
  end

  it "remembers what a weekday is like, and what one day is like instead" do
    tell("/api/plan/patterns",
      { weekday: today.wday, meal: "dinner", name: "Football", evening: "shifts", minutes: 20 })
    expect(dinner).to include("evening" => "shifts", "minutes" => 20, "said_by" => "Football")
    tell("/api/plan/slots", { on: today.iso8601, meal: "dinner", minutes: 60,
      eaters: { people: [person], guests: [{ name: "Ola", portion: "0.5" }] } })
    expect(dinner).to include("minutes" => 60, "evening" => "shifts", "said_by" => "day", "servings" => "1.5")
    tell("/api/plan/slots", { on: today.iso8601, meal: "dinner", usual: true })
    expect(dinner).to include("said_by" => "Football")
    tell("/api/plan/patterns/#{week["patterns"].first["id"]}/drop")
    expect(dinner).to include("said_by" => nil, "evening" => "home")
  end

  it "plans for strangers to the house only as guests" do
    tell("/api/plan/slots", { on: today.iso8601, meal: "dinner", eaters: { people: [999_999] } })
    expect(last_response.status).to eq(422)
  end

  it "keeps, swaps, slides and drops a meal" do
    meal = tell("/api/meals", { recipe_id: recipe, on: today.iso8601 })["meal_id"]
    tell("/api/meals/#{meal}/change", { pinned: true })
    expect(dinner["meals"].first["pinned"]).to be(true)
    tell("/api/meals/#{meal}/slide", { on: (today + 2).iso8601 })
    expect(dinner(today + 2)["meals"].first["id"]).to eq(meal)
    tell("/api/meals/#{meal}/slide", { on: nil })
    expect(week["pool"].first["id"]).to eq(meal)
    tell("/api/meals/#{meal}/drop")
    expect(week["pool"]).to eq([])
  end

  it "holds eating out and whatever is left as well" do
    tell("/api/meals", { kind: "out", on: today.iso8601, meal: "dinner" })
    expect(dinner["meals"].first).to include("name" => "Eating out", "kind" => "out", "recipe_id" => nil)
    id = dinner["meals"].first["id"]
    ask("/api/meals/#{id}")
    expect(last_response.status).to eq(422)
  end
end
