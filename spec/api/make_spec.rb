# frozen_string_literal: true

require_relative "../support/api"

# What can be made with some foods, and what the calendar has of meals.
RSpec.describe "What can be made with it", :api do
  let!(:ines) { sign_in(household!(people: 2)) }
  let(:today) { HouseSupport::TODAY }

  def made_with(*keys) = ask("/api/dishes?with=#{keys.map { |key| food_id(ines, key) }.join(",")}")["dishes"]

  def recipes = @recipes ||= inside(ines) { |house| house.recipes.values }

  def uses?(dish, key)
    recipes.fetch(dish["recipe_id"]).lines.reject(&:optional).any? do |line|
      line.food_key == key || line.substitutes.key?(key)
    end
  end

  it "is dishes that need it or let it stand in, what is missing least first" do
    put_away(ines, "plums", "fridge", amount: "1000", unit: "g")
    put_away(ines, "plain-yoghurt", "fridge", amount: "500", unit: "g")
    found = made_with("plums")
    expect(found.size).to be_between(5, 60)
    expect(found).to all(satisfy { |dish| uses?(dish, "plums") })
    covered = found.map { |dish| dish["covered_percent"] }
    expect(covered).to eq(covered.sort.reverse)
  end

  it "puts what needs more of them first, and knows no food of another house" do
    both = made_with("plums", "plain-yoghurt")
    first = both.first
    last = both.last
    expect(%w[plums plain-yoghurt].count { |key| uses?(first, key) }).to eq(2)
    expect(%w[plums plain-yoghurt].count { |key| uses?(last, key) }).to eq(1)
    expect(ask("/api/dishes?with=999999999")["dishes"]).to eq([])
  end

  it "has a cook's page for what waits without a day, too" do
    chilli = recipes.find { |_, one| one.key == "two-bean-chilli" }.first
    meal = act(:PlanMeal, ines, { recipe_id: chilli, on: nil, meal: "dinner" })["meal_id"]
    expect(ask("/api/meals/#{meal}")["meal"]).to include("on" => nil, "name" => "Two-bean chilli")
  end

  it "stands in the calendar with its meals, what is begun in time and what thaws" do
    stew = recipes.find { |_, one| one.key == "beef-root-stew" }.first
    act(:PlanMeal, ines, { recipe_id: stew, on: (today + 2).iso8601 })
    act(:PlanMeal, ines, { kind: "out", on: (today + 3).iso8601, meal: "dinner" })
    act(:SetKit, ines, { name: "Ferry box", days: 7, refresh_days: ["12-12"] })
    act(:SetEvent, ines, {
      name: "Gale", hour: "2026-11-26T18:00:00Z", fill_l: "20", flush_l: "0", helpers: 1, days: 3, has: []
    })
    entries = at_work(ines) do |work|
      NutShelf::Desk::CalendarEntries.new(work, NutShelf::Desk::Plan.new(work)).entries
    end
    expect(entries.map { |one| [one.category, one.on, one.summary] }).to include(
      ["MEAL", today + 2, "Dinner: Slow beef and root stew"], ["MEAL", today + 3, "Dinner: eating out"],
      ["KIT", Date.new(2026, 12, 12), "Refresh Ferry box"], ["BEFORE", today + 2, "Gale, 18:00"],
      ["BEGIN", today + 2, "Begin it in the morning: it takes 8 hours"]
    )
  end
end
