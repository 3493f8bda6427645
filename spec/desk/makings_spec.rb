# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../api/views/picking_list"
require_relative "../../desk/makings"
require_relative "../../exchange/recipes/file"
require_relative "../../exchange/recipes/out"
require_relative "../../desk/recipe_reading"

# What a dish makes besides: cold meat, broth, cooked rice for another one.
RSpec.describe "What a dish makes besides" do
  include HouseSupport

  let(:ines) { household!(people: 2) }
  let(:today) { HouseSupport::TODAY }
  let(:fridge) { place_id(ines, "fridge") }

  def dish(key)
    inside(ines) { |house| house.recipes.values.find { |_, one| one.key == key && !one.followed } }
  end

  def plan(key, days, **more)
    act(:PlanMeal, ines, { recipe_id: dish(key).first, on: (today + days).iso8601, **more })["meal_id"]
  end

  def missing(meal)
    at_work(ines) { |work| NutShelf::Desk::Plan.new(work).dish(meal).missing.map(&:food_key) }
  end

  # What was made stands in the fridge as portions of nothing else.
  def kept_chicken
    at_work(ines) do |work|
      work.stacks_in([fridge]).find { |stack| work.food(stack.food_id).name.include?("Roast chicken meat") }
    end
  end

  def made(**more)
    [{ food_id: food_id(ines, "cooked-chicken"), amount: "150", unit: "g", place_id: fridge, **more }]
  end

  it "stands ready for the days after it, and no longer than the careful figure of cooked food" do
    soup = plan("cooked-chicken-rice-soup", 1)
    expect(missing(soup)).to include("cooked-chicken")
    act(:DropMeal, ines, { meal_id: soup })
    plan("whole-chicken-roast", 0, servings: "6")
    same, next_day, late = [0, 1, 3].map { |days| plan("cooked-chicken-rice-soup", days) }
    expect([same, next_day, late].map { |meal| missing(meal).include?("cooked-chicken") }).to eq([true, false, true])
    line = at_work(ines) { |work| NutShelf::Api::PickingList.new(work).call(next_day)[:lines] }
      .find { |one| one[:key] == "cooked-chicken" }
    expect(line.slice(:picks, :missing)).to eq(picks: [], missing: nil)
    expect(line[:made]).to end_with(" g")
  end

  it "is a stack of its own once the dish is cooked, dated as cooked that day, and can be traced to what went in" do
    bird = put_away(ines, "whole-chicken", "fridge", amount: "1500", unit: "g", printed_on: (today + 2).iso8601,
      printed_kind: "use_by")["lot_id"]
    meal = plan("whole-chicken-roast", 0)
    act(:Cook, ines, { meal_id: meal, used: [{ lot_id: bird, amount: "1500" }], made: made })
    row = lot(ines, kept_chicken.id)
    expect(row).to have_attributes(on_hand: 150, safety_until: today + 2, value_minor: 0, situation: "left_over")
    came = inside(ines) { |house| house.sources.traced(house.db[:lots].where(id: bird).select(:id)).select_map(:id) }
    expect(came).to include(row.id)
  end

  it "takes down nothing the dish does not make" do
    meal = plan("two-bean-chilli", 0)
    expect do
      act(:Cook, ines, { meal_id: meal, used: [], made: made })
    end.to raise_error(NutShelf::Desk::Invalid, /makes that/)
  end

  # Cold chicken that was roasted with butter is nothing for whoever may not have milk.
  it "is another food where it holds what nobody expects, and nothing a plan counts on" do
    butter = put_away(ines, "butter", "fridge", amount: "250", unit: "g")["lot_id"]
    meal = plan("whole-chicken-roast", 0)
    act(:Cook, ines, { meal_id: meal, used: [{ lot_id: butter, amount: "25" }], made: made })
    food = at_work(ines) { |work| work.food(kept_chicken.food_id) }
    expect([food.name, food.allergens]).to eq(["Roast chicken meat, leftover, with milk", ["milk"]])
    buttery = dish("whole-chicken-roast").last.then do |recipe|
      lines = recipe.lines.map { |line| line.food_key == "vegetable-oil" ? line.with(food_key: "butter") : line }
      recipe.with(lines: lines)
    end
    days = at_work(ines) { |work| NutShelf::Desk::Makings.new(work).days(buttery, buttery.makes.first) }
    expect(days).to be_nil
  end

  it "is written as a line of the dish, and goes out and in again" do
    read = at_work(ines) { |work| NutShelf::Desk::RecipeReading.new(work).line("Makes 300 g cooked chicken") }
    expect(read).to have_attributes(food: "cooked-chicken", amount: 300, unit: "g", made: true, optional: false)
    lines = [{ text: "1500 g chicken", food_id: food_id(ines, "whole-chicken"), amount: "1500", unit: "g" },
             { text: read.text, food_id: food_id(ines, read.food), amount: "300", unit: "g", made: true }]
    id = act(:KeepRecipe, ines, {
      name: "Plain roast", meal: "dinner", servings: 4, active_minutes: 10, total_minutes: 90, gear: ["oven"],
      leftover_days: 2, freezes: false, steps: ["Roast it."], lines: lines
    })["recipe_id"]
    recipe = inside(ines) { |house| house.recipes.find(id) }
    expect([recipe.lines, recipe.makes].map do |list|
      list.map(&:food_key)
    end).to eq([["whole-chicken"], ["cooked-chicken"]])
    foods = at_work(ines) { |work| work.shelf.foods }
    again = NutShelf::Exchange::Recipes::File.new(NutShelf::Exchange::Recipes::Out.new(recipe,
      foods).json).recipes.first
    expect(again.lines).to eq(["1500 g chicken", "Makes 300 g cooked chicken"])
    expect(recipe.scaled(2).makes.map { |line| line.quantity.amount }).to eq([150])
  end

  it "is said of a shipped dish in words that read in again" do
    words = at_work(ines) { |work| NutShelf::Core::Recipes::LineWords.all(dish("whole-chicken-roast").last, work.shelf.foods) }
    text = words.find { |_, line| line&.made }.first
    read = at_work(ines) { |work| NutShelf::Desk::RecipeReading.new(work).line(text) }
    expect(read).to have_attributes(food: "cooked-chicken", amount: 200, made: true)
  end
end
