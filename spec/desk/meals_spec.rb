# frozen_string_literal: true

require_relative "../support/house"

RSpec.describe "Meals from the shelf" do
  let(:ines) { household! }

  def dish(key) = inside(ines) { |house| house.recipes.values.find { |_, recipe| recipe.key == key }&.first }

  def plan(key, on = "2026-11-24", **more) = act(:PlanMeal, ines, { recipe_id: dish(key), on: on, servings: "2", **more })["meal_id"]

  def desk_plan = office.database.within(ines.household_id) { |db| yield NutShelf::Desk::Plan.new(NutShelf::Desk::Room.new(office, ines, db)) }

  def tin(**more) = put_away(ines, "canned-chickpeas", "cupboard", printed_on: "2028-05-31", printed_kind: "best_before", **more)["lot_id"]

  it "refuses to cook with what is past its safety date, is set apart, or has an age nobody knows" do
    meal = plan("two-bean-chilli")
    past = put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-11-20", printed_kind: "use_by")["lot_id"]
    apart = tin
    act(:Quarantine, ines, { lot_ids: [apart], reason: "recall" })
    unknown = put_away(ines, "plain-yoghurt", "fridge", count: "1", amount: "500", unit: "g")["lot_id"]
    inside(ines) { |house| house.lots.update(unknown, acquired_on: nil) }
    { past => /past its safety date, 20 Nov 2026/, apart => /set apart as not to eat/, unknown => /age nobody knows/ }.each do |id, words|
      expect { act(:Cook, ines, { meal_id: meal, used: [{ lot_id: id, amount: "10" }] }) }.to raise_error(NutShelf::Desk::Conflict, words)
    end
    expect(lot(ines, past)[:on_hand]).to eq(400)
  end

  it "opens one pack for one stack on two lines" do
    meal = plan("two-bean-chilli")
    id = tin(count: "2")
    act(:Cook, ines, { meal_id: meal, used: [{ lot_id: id, amount: "100" }, { lot_id: id, amount: "150" }] })
    opened = inside(ines) { |house| house.lots.all_with_food.select { |row| row[:parent_lot_id] == id } }
    expect(opened.map { |row| row[:on_hand].to_i }).to eq([150])
    expect(lot(ines, id)[:on_hand]).to eq(400)
  end

  it "keeps the date of what was cooked before in the leftovers" do
    rice = put_away(ines, "cooked-rice", "fridge", made_on: "2026-11-23")["lot_id"]
    safe = lot(ines, rice)[:safety_until]
    meal = plan("two-bean-chilli")
    done = act(:Cook, ines, { meal_id: meal, used: [{ lot_id: rice, amount: "100" }], leftovers: { portions: "1", place_id: place_id(ines, "fridge") } })
    expect(lot(ines, done["leftover_lot_id"])[:safety_until]).to be <= safe
  end

  it "promises nothing twice: each meal's page and the cook draw what the plan gave that meal" do
    tin
    first = plan(chickpea_dish, "2026-11-25")
    second = plan(chickpea_dish, "2026-11-26")
    picked = desk_plan { |plan| [first, second].map { |id| plan.dish(id).lines.flat_map(&:picks).sum(0r, &:amount) } }
    expect(picked.sum).to be <= 400
    expect(desk_plan { |plan| plan.left.left("canned-chickpeas", HouseSupport::TODAY) }).to eq(400 - picked.sum)
    act(:Cook, ines, { meal_id: second })
    expect(inside(ines) { |house| house.lots.all_with_food.sum { |row| row[:on_hand] } }).to be_within(1).of(400 - picked.last)
  end

  def chickpea_dish
    inside(ines) { |house| house.recipes.values.values.find { |one| one.lines.any? { |line| line.food_key == "canned-chickpeas" && !line.optional } } }.key
  end

  it "serves nobody what they may not have" do
    act(:AddPerson, ines, { name: "Wren", portion_factor: "0.8", excludes: %w[peanut egg] })
    eggs = inside(ines) { |house| house.recipes.values.values.find { |one| one.lines.any? { |line| line.food_key == "eggs" && !line.optional && line.substitutes.empty? } } }
    expect { plan(eggs.key) }.to raise_error(NutShelf::Desk::Conflict, /not for Wren: .* holds egg/)
    desk_plan do |plan|
      shut, open = plan.ranked(HouseSupport::TODAY, price: ->(_, _) { 0 }).partition { |entry| entry.dish.shut? }
      expect(open.flat_map { |entry| entry.dish.lines.map(&:food_key) } & %w[peanut-butter peanuts eggs mayonnaise]).to be_empty
      expect(shut.flat_map { |entry| entry.dish.clashes.map(&:person) }.uniq).to eq(["Wren"])
    end
  end

  it "gives those who eat by the date only what is good by the date" do
    id = put_away(ines, "canned-chickpeas", "cupboard", printed_on: "2026-11-10", printed_kind: "best_before")["lot_id"]
    act(:Look, ines, { lot_id: id, result: "good" })
    expect(lot(ines, id)).to include(usable_until: Date.new(2027, 5, 23), strict_until: Date.new(2026, 11, 10))
    there = -> { desk_plan { |plan| plan.pantry.left("canned-chickpeas", HouseSupport::TODAY) } }
    expect(there.call).to eq(400)
    act(:AddPerson, ines, { name: "Piet", portion_factor: "1", strict: true })
    expect(there.call).to eq(0)
  end

  it "carries the allergens of what it is like into a food of one's own, and of all that went in into a dish" do
    butter = act(:AddFood, ines, { name: "Nut spread of Ines", like_food_id: food_id(ines, "peanut-butter") })["food_id"]
    room = office.database.within(ines.household_id) { |db| NutShelf::Desk::Room.new(office, ines, db).food(butter) }
    expect(room.allergens).to eq(%w[peanut])
    milk = put_away(ines, "cheddar", "fridge", printed_on: "2027-01-01", printed_kind: "best_before")["lot_id"]
    done = act(:Cook, ines, { meal_id: plan("two-bean-chilli"), used: [{ lot_id: milk, amount: "50" }], leftovers: { portions: "1", place_id: place_id(ines, "fridge") } })
    food = office.database.within(ines.household_id) { |db| NutShelf::Desk::Room.new(office, ines, db).food(lot(ines, done["leftover_lot_id"])[:food_id]) }
    expect(food.allergens).to include("milk")
  end

  it "counts low as there, and out as out" do
    salt = put_away(ines, "salt", "cupboard")["lot_id"]
    key = inside(ines) { |house| house.foods.find(lot(ines, salt)[:food_id])[:key] }
    free = %w[plenty half low out].map do |level|
      act(:SetLevel, ines, { lot_id: salt, level: level })
      desk_plan { |plan| [plan.pantry.free?(key), plan.pantry_of.running_out[key]] }
    end
    expect(free).to eq([[true, nil], [true, nil], [true, "low"], [false, "out"]])
  end
end
