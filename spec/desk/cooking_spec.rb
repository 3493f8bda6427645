# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/preparations"
require_relative "../../desk/thawing"

# What is begun before a meal, and what becomes of it when it is cooked.
RSpec.describe "Cooking a meal" do
  include HouseSupport

  let(:today) { HouseSupport::TODAY }
  let(:ines) { household!(people: 2) }

  def dish(key) = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == key }.first }

  def plan(key, on) = act(:PlanMeal, ines, { recipe_id: dish(key), on: on.iso8601 })["meal_id"]

  def tasks = at_work(ines) { |work| NutShelf::Desk::Preparations.new(work, NutShelf::Desk::Plan.new(work)).tasks }

  it "keeps portions in the fridge and others in the freezer, each with its date and its share of the cost" do
    put_away(ines, "canned-kidney-beans", "cupboard", price_minor: 100)
    put_away(ines, "canned-chopped-tomatoes", "cupboard", count: "2", price_minor: 300)
    meal = plan("two-bean-chilli", today)
    cooked = act(
      :Cook, ines,
      {
        meal_id: meal, leftovers: { portions: "1", place_id: place_id(ines, "fridge") },
        frozen: { portions: "2", place_id: place_id(ines, "freezer") }
      }
    )
    kept = on_shelf(ines).select { |stack| stack.noun == "portion" }.sort_by(&:on_hand)
    expect(kept.map(&:on_hand)).to eq([1, 2])
    expect(kept.map(&:place)).to eq(%w[Fridge Freezer])
    expect(kept.first.usable_until).to be_between(today + 1, today + 4)
    expect(kept.last.usable_until).to be > today + 30
    expect(kept.last.value_minor).to be_within(1).of(kept.first.value_minor * 2)
    expect(kept.sum(&:value_minor)).to be <= cooked["value_minor"]
    act(:Undo, ines, { act_id: cooked["act_id"] })
    expect(on_shelf(ines).count { |stack| stack.noun == "portion" && stack.on_hand.positive? }).to eq(0)
  end

  it "has dried beans soaked the evening before, and says when that is too late" do
    soaked = act(
      :KeepRecipe, ines,
      {
        name: "Bean pot", meal: "dinner", servings: 2, active_minutes: 15, total_minutes: 90, gear: ["hob"],
        leftover_days: 2, freezes: true, steps: ["Simmer."],
        lines: [{ text: "200 g dried beans", food_id: food_id(ines, "dried-white-beans"), amount: "200", unit: "g" }]
      }
    )["recipe_id"]
    put_away(ines, "dried-white-beans", "cupboard", amount: "500", unit: "g")
    meal = act(:PlanMeal, ines, { recipe_id: soaked, on: (today + 2).iso8601 })["meal_id"]
    expect(tasks.map { |task| [task.kind, task.on, task.late] }).to eq([["soak", today + 1, false]])
    expect(tasks.first.text).to start_with("Soak 200 g")
    clock.day = today + 2
    expect(tasks.map { |task| [task.meal_id, task.on, task.late] }).to eq([[meal, today + 2, true]])
  end

  it "has what stands for hours begun in the morning, and what stands overnight the evening before" do
    plan("beef-root-stew", today + 1)
    plan("overnight-oats-apple", today + 2)
    expect(tasks.map { |task| [task.kind, task.on, task.text[/morning|evening/]] }).to eq(
      [["start", today + 1, "morning"], ["start", today + 1, "evening"]]
    )
  end

  it "says when there is no time left to thaw in the fridge" do
    put_away(ines, "chicken-thighs", "freezer", amount: "900", unit: "g", state: "frozen", frozen_on: today.iso8601)
    plan("chicken-root-traybake", today)
    thawing = at_work(ines) { |work| NutShelf::Desk::Thawing.new(work, NutShelf::Desk::Plan.new(work)).tasks }
    expect(thawing.map { |task| [task.on, task.late, task.for_on] }).to eq([[today, true, today]])
  end
end
