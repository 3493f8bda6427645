# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../core/planning/again"
require_relative "../../desk/meal_filling"
require_relative "../../desk/thawing"
require_relative "../../desk/week"

# Cooking once for several meals, the later ones out of the freezer.
RSpec.describe "What is left of a dish, fresh and frozen" do
  include HouseSupport

  let(:ines) { household!(people: 2) }
  let(:today) { HouseSupport::TODAY }
  let(:freezer) { place_id(ines, "freezer") }
  let(:recipe) do
    inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" && !one.followed } }
  end

  def plan = act(:PlanMeal, ines, { recipe_id: recipe.first, on: today.iso8601 })["meal_id"]

  def again(cook, days)
    act(:PlanMeal, ines, { from_meal_id: cook, on: (today + days).iso8601, meal: "lunch" })["meal_id"]
  end

  def row(id) = inside(ines) { |house| house.meals.listed_one(id) }

  def servings = at_work(ines) { |work| NutShelf::Desk::Plan.new(work).planned.first.servings }

  def put_by(cook, **parts)
    act(:Cook, ines, { meal_id: cook, used: [], **parts.transform_values do |portions, place|
      { portions: portions, place_id: place }
    end })
  end

  it "keeps in the freezer for as long as the careful figure says of both kinds of cooked dish" do
    careful = %w[class-cooked-soup-stew class-cooked-meat-dish].map do |key|
      food = services.catalog.foods["cooked-rice"].with(key: key, class_key: key)
      services.catalog.keeping(food, "portioned", "freezer").row.low
    end
    expect(careful.min).to eq(NutShelf::Core::Again::FROZEN)
  end

  it "plans them for a day beyond the fridge's where there is a freezer, and cooks for that meal however late" do
    cook = plan
    again(cook, 1)
    expect(row(again(cook, 40)).kind).to eq("leftovers")
    expect(servings).to eq(6)
    expect { again(cook, NutShelf::Core::Again::FROZEN + 1) }.to raise_error(NutShelf::Desk::Conflict, /keep/)
  end

  it "gives each later meal the part that is good by then: the fridge's first, then the freezer's, then none" do
    cook = plan
    soon = again(cook, 1)
    late = again(cook, 9)
    put_by(cook, leftovers: ["2", place_id(ines, "fridge")], frozen: ["2", freezer])
    stacks = [soon, late].map { |id| lot(ines, row(id).lot_id) }
    expect(stacks.map(&:place_id)).to eq([place_id(ines, "fridge"), freezer])
    other = plan
    late = again(other, 9)
    put_by(other, leftovers: ["4", place_id(ines, "fridge")])
    expect(row(late).status).to eq("dropped")
  end

  it "has frozen portions taken out the evening before" do
    cook = plan
    late = again(cook, 9)
    put_by(cook, frozen: ["2", freezer])
    task = at_work(ines) { |work| NutShelf::Desk::Thawing.new(work, NutShelf::Desk::Plan.new(work)).tasks }.first
    expect(task).to have_attributes(on: today + 8, meal_id: late, for_on: today + 9, late: false, place: "Freezer")
    expect(task.amount).to eq("2 portions")
  end

  def soup(count, place, price: 900, **more)
    put_away(ines, "cooked-vegetables", place, count: count, noun: "portion", state: "leftover", label: "Bean soup",
      made_on: today.iso8601, price_minor: price, amount: nil, unit: nil, **more)["lot_id"]
  end

  def filled(**more)
    at_work(ines) do |work|
      filling = NutShelf::Desk::MealFilling.new(work, from: today, to: today + 2, **more)
      found = filling.call(moves: 400)
      found.map { |one| filling.told(one, among: found) }
    end
  end

  it "is found for an open meal while it is good, as many portions as nobody planned yet" do
    waiting = soup("2", "fridge")
    meals = filled
    mine = meals.select { |meal| meal[:lot_id] }
    expect(mine.map { |meal| meal.values_at(:lot_id, :name) }).to eq([[waiting, "Bean soup"]])
    done = act(:FillMeals, ines, { meals: meals.map { |meal| meal.except(:name) } })
    row = inside(ines) { |house| house.meals.waiting.first }
    expect(row).to have_attributes(lot_id: waiting, servings: 2, kind: "kept")
    act(:DropMeal, ines, { meal_id: (done["meal_ids"] - [row.id]).first })
    expect(filled.map { |meal| meal[:lot_id] }.compact).to eq([])
  end

  it "is nothing for today out of the freezer, or for a dark evening" do
    soup("2", "freezer", price: 100)
    (0..2).each do |day|
      act(:SetSlot, ines, { on: (today + day).iso8601, meal: "dinner", evening: "no_power" }) if day > 0
    end
    expect(filled.map { |meal| meal[:lot_id] }.compact).to eq([])
    act(:SetSlot, ines, { on: (today + 1).iso8601, meal: "dinner", evening: "home" })
    expect(filled.find { |meal| meal[:lot_id] }[:on]).to eq((today + 1).iso8601)
  end

  it "gives no more portions than there are" do
    waiting = soup("1", "fridge")
    act(:FillMeals, ines, { meals: [{ on: today.iso8601, meal: "dinner", lot_id: waiting }] })
    expect(inside(ines) { |house| house.meals.waiting.first.servings }).to eq(1)
  end

  def careful!(days, meal)
    wren = { name: "Wren", portion: "1", excludes: ["milk"] }
    act(:SetSlot, ines, { on: (today + days).iso8601, meal: meal, eaters: { people: [], guests: [wren] } })
  end

  it "is handed on to nobody who may not have what really went in" do
    butter = put_away(ines, "butter", "fridge", amount: "250", unit: "g")["lot_id"]
    careful!(1, "lunch")
    cook = plan
    lunch = again(cook, 1)
    act(:Cook, ines, { meal_id: cook, used: [{ lot_id: butter, amount: "20" }],
      leftovers: { portions: "2", place_id: place_id(ines, "fridge") } })
    expect(row(lunch).status).to eq("dropped")
  end

  it "is found for no table that may not have something where nobody knows all that went in, and says so" do
    made = act(:KeepRecipe, ines, {
      name: "Secret pot", meal: "dinner", servings: 2, active_minutes: 5, total_minutes: 20, gear: ["hob"],
      leftover_days: 3, freezes: true, steps: ["Stir."],
      lines: [{ text: "80 g rice", food_id: food_id(ines, "white-rice"), amount: "80", unit: "g" },
              { text: "a jar of the secret" },
              { text: "makes 100 g cooked rice", food_id: food_id(ines, "cooked-rice"), amount: "100", unit: "g",
                made: true }]
    })["recipe_id"]
    cook = act(:PlanMeal, ines, { recipe_id: made, on: today.iso8601 })["meal_id"]
    fridge = place_id(ines, "fridge")
    done = act(:Cook, ines, { meal_id: cook, used: [], leftovers: { portions: "2", place_id: fridge },
      made: [{ food_id: food_id(ines, "cooked-rice"), amount: "100", unit: "g", place_id: fridge }] })
    (1..2).each { |days| careful!(days, "dinner") }
    expect(filled.map { |meal| meal[:lot_id] }.compact).to eq([])
    act(:PlanMeal, ines, { lot_id: done["leftover_lot_id"], on: (today + 1).iso8601, meal: "dinner" })
    faults = at_work(ines) do |work|
      NutShelf::Desk::Week.new(work, from: today, to: today + 1).days.fetch(today + 1).flat_map { |one| one.meals.flat_map(&:faults) }
    end
    expect(faults.join).to match(/Nobody knows all that is in it/)
    rice = at_work(ines) { |work| work.shelf.stacks.values.map { |stack| work.food(stack.food_id) } }
    expect(rice.map(&:name)).to include(/, of Secret pot\z/)
    expect(rice.map(&:key)).not_to include("cooked-rice")
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(at_work(ines) { |work| [work.shelf.stacks.values, work.house.lots.out_of_balance] }).to eq([[], []])
  end
end
