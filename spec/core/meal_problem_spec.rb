# frozen_string_literal: true

require_relative "support"
require_relative "../../core/buying/price_book"
require_relative "../../core/planner/scorer"
require_relative "../../core/planner/search"
require_relative "../../core/planning/meal_problem"
require_relative "../../core/rotation/once_opened"

RSpec.describe NutShelf::Core::MealProblem do
  include CoreSupport

  core = NutShelf::Core

  let(:today) { day("2026-11-24") }
  let(:everybody) { [core::Eater.new(name: "Ines"), core::Eater.new(name: "Wren", excludes: ["milk"])] }

  def slot(ahead, eaters: [everybody.first], **facts)
    NutShelf::Core::MealSlot.new(on: today + ahead, meal: "dinner", eaters: eaters, **facts)
  end

  def line(key, grams, **facts)
    NutShelf::Core::RecipeLine.new(
      food_key: key, quantity: NutShelf::Core::Quantity.new(grams.to_r, :mass), optional: false, substitutes: {},
      note: "", **facts
    )
  end

  def recipe(name, lines, **facts)
    NutShelf::Core::Recipe.new(
      key: name, name: name, meal: "dinner", servings: 1, active_minutes: 10, total_minutes: 20, gear: ["hob"],
      leftover_days: 2, freezes: false, steps: [], tags: [], lines: lines, **facts
    )
  end

  def made(recipes, slots, stacks: [], **more)
    described_class.new(
      shelf: NutShelf::Core::Shelf.new(stacks, foods: catalog.foods, today: today), recipes: recipes, slots: slots,
      prices: NutShelf::Core::PriceBook.new(prices: {}, foods: catalog.foods), **more
    )
  end

  def filled(problem)
    search = NutShelf::Core::Planner::Search.new(problem.problem, seed: 1)
    problem.placed(search.run(moves: 200))
  end

  it "eats what turns before it buys, and says which food stands in" do
    beans = recipe("beans", [line("canned-chickpeas", 240, substitutes: { "canned-kidney-beans" => 1r })])
    there = stack(1, "2026-11-25", food_key: "canned-kidney-beans", grams: 400, value: 100)
    placed = filled(made({ 7 => beans }, [slot(0)], stacks: [there]))
    expect(placed.map(&:recipe_id)).to eq([7])
    expect(placed.first.choices).to eq("canned-chickpeas" => "canned-kidney-beans")
  end

  it "cooks for a table what its people may have: another food, or another dish" do
    cream = recipe("cream", [line("whipping-cream", 100, substitutes: { "canned-coconut-milk" => 1r })])
    cheese = recipe("cheese", [line("cream-cheese", 100)])
    plain = recipe("plain", [line("white-rice", 100)])
    both = filled(made({ 1 => cream, 2 => cheese, 3 => plain }, [slot(0, eaters: everybody), slot(1)]))
    at_table = both.find { |one| one.slot.zero? }
    expect(at_table.recipe_id).not_to eq(2)
    expect(at_table.choices).to eq("whipping-cream" => "canned-coconut-milk") if at_table.recipe_id == 1
  end

  it "has fish once in a week that wishes for it, dearer as it is, and meals without meat" do
    dishes = {
      1 => recipe("mince", [line("beef-mince", 60)]), 2 => recipe("salmon", [line("salmon-fillet", 150)]),
      3 => recipe("lentils", [line("red-lentils", 400)])
    }
    placed = lambda do |**rules|
      bare = { "vegetables" => "no_matter", "variety" => "no_matter", "leftovers" => "rather_not",
               "same_dish" => "no_matter", "same_main" => "no_matter", **rules.transform_keys(&:to_s) }
      filled(made(dishes, (0..6).map { |ahead| slot(ahead) }, rules: core::PlanRules.new(bare))).map(&:recipe_id).tally
    end
    wished = placed.(fish: "once", meatless: "twice")
    expect(wished.fetch(2, 0)).to be >= 1
    expect(wished.fetch(3, 0)).to be >= 2
    expect(placed.(fish: "no_matter", meatless: "no_matter").size).to eq(1)
  end

  it "never lets leftovers reach a table that may not have them" do
    cheese = recipe("cheese", [line("cream-cheese", 10)], leftover_days: 3)
    placed = filled(made({ 1 => cheese }, [slot(0), slot(1, eaters: everybody)]))
    expect(placed.map(&:slot)).to eq([0])
  end

  it "leaves alone what stands there already, and cooks it for those who eat of it later" do
    rice = recipe("rice", [line("white-rice", 100)])
    stands = [
      core::Placed.new(slot: 0, kind: "cook", recipe_id: 1), core::Placed.new(slot: 1, kind: "leftovers", from: 0),
      core::Placed.new(slot: 2, kind: "other")
    ]
    problem = made({ 1 => rice }, [slot(0), slot(1), slot(2), slot(3)], placed: stands)
    expect(filled(problem).map(&:slot)).to eq([3])
    slots = problem.problem.slots
    expect([slots[0].pin, slots[1].leftovers_from, slots[2].skip]).to eq([0, 0, true])
  end

  it "cooks what those like who sit there that day" do
    wren = core::Eater.new(id: 4, name: "Wren")
    dishes = { 1 => recipe("rice", [line("white-rice", 100)]), 2 => recipe("lentils", [line("red-lentils", 100)]) }
    tables = [slot(0, eaters: [wren]), slot(9)]
    placed = lambda do |likes|
      rules = core::PlanRules.new("likes" => "much", "leftovers" => "rather_not")
      filled(made(dishes, tables, likes: likes, rules: rules)).to_h { |one| [one.slot, one.recipe_id] }
    end
    expect([1, 2].map do |loved|
      placed.({ loved => { "4" => "loves" }, 3 - loved => { "4" => "not" } })[0]
    end).to eq([1, 2])
    expect([1, 2].map { |loved| placed.({ loved => { "4" => "loves" } })[1] }.uniq.size).to eq(1)
  end

  it "counts what freezes well for less where there is a freezer, and keeps dishes there for later" do
    mince = recipe("mince", [line("beef-mince", 100)], freezes: true)
    facts = lambda do |**more|
      problem = made({ 1 => mince }, [slot(0)], **more).problem
      [problem.foods.first.waste_weight, problem.dishes.first.slice(:keeps_days, :chilled_days).values]
    end
    expect(facts.()).to eq([nil, [2, 2]])
    expect(facts.(freezer: true)).to eq([6/5r, [60, 2]])
  end

  it "says how a food is packed where that matters within the days" do
    dishes = { 1 => recipe("both", [line("canned-chickpeas", 100), line("white-rice", 100)]) }
    there = stack(1, "2027-05-31", food_key: "canned-chickpeas", grams: 800, pack: 400r,
      opened: NutShelf::Core::OnceOpened.new(how: :opened, days: 3, strict_days: 2, kind: :safety))
    foods = lambda do |last|
      made(dishes, [slot(0), slot(last)], stacks: [there], rests: { "canned-chickpeas" => 3 }.method(:[])).problem.foods
    end
    tins, rice = foods.(6)
    expect([tins.opened_days, tins.lots.first.pack, tins.shop.days]).to eq([3, 400, 3])
    expect([rice.opened_days, rice.shop.days]).to eq([nil, nil])
    expect(foods.(2).first.then do |food|
      [food.opened_days, food.lots.first.pack, food.shop.days]
    end).to eq([nil, nil, nil])
  end

  it "reckons with every dish of a meal that has several" do
    table = slot(0)
    dishes = { 1 => recipe("rice", [line("white-rice", 100)]), 2 => recipe("beans", [line("canned-chickpeas", 100)]) }
    stands = [1, 2].each_with_index.map { |id, at| core::Placed.new(slot: at, kind: "cook", recipe_id: id) }
    problem = made(dishes, [table, table, slot(1)], placed: stands).problem
    plan = core::Planner::Search.new(problem, seed: 1).run(moves: 50)
    expect(plan.first(2).map(&:dish)).to eq([0, 1])
    expect { core::Planner::Scorer.new(problem).cost(plan) }.not_to raise_error
  end

  it "plans nothing with what is not to eat, is set apart, or has no date it could be trusted by" do
    rice = recipe("rice", [line("white-rice", 100)])
    good = stack(1, "2027-05-31", food_key: "white-rice", grams: 500)
    bad = [
      good.with(id: 2, quarantined: true), good.with(id: 3, stopped: true), good.with(id: 4, amount: 0r),
      good.with(id: 5, age_unknown: true), good.with(id: 6, ready_on: today + 9)
    ]
    lots = made({ 1 => rice }, [slot(0)], stacks: [good, *bad]).problem.foods.flat_map(&:lots)
    expect(lots.map(&:quantity)).to eq([500r])
  end

  it "never draws past a safety date, look or no look" do
    rice = recipe("rice", [line("white-rice", 100)])
    tin = stack(1, "2026-11-26", food_key: "white-rice", grams: 500, look_until: today + 90, safety_until: today + 5)
    goods = lambda { |**more|
      made({ 1 => rice }, [slot(0)], stacks: [tin], **more).problem.foods.first.lots.map(&:last_good)
    }
    expect([goods.(), goods.(looks: false)]).to eq([[5], [2]])
  end
end
