# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/meal_filling"
require_relative "../../desk/week"

# Filling, keeping, sliding and dropping meals of the coming days.
RSpec.describe "A plan of meals" do
  include HouseSupport

  let(:ines) { household!(people: 2) }
  let(:today) { HouseSupport::TODAY }
  let(:chilli) { dish_id("two-bean-chilli") }

  def dish_id(key)
    inside(ines) { |house| house.recipes.values.find { |_, one| one.key == key && !one.followed }.first }
  end

  def plan(on: today, **more) = act(:PlanMeal, ines, { recipe_id: chilli, on: on.iso8601, **more })["meal_id"]

  def rows = inside(ines) { |house| house.meals.between(today, today + 20) }

  def row(id) = rows.find { |one| one.id == id }

  def filling(**more)
    at_work(ines) { |work| NutShelf::Desk::MealFilling.new(work, from: today, to: today + 6, **more) }
  end

  def found(**more)
    at_work(ines) do |work|
      NutShelf::Desk::MealFilling.new(work, from: today, to: today + 6, **more).call(seconds: 0.2)
    end
  end

  def told(list)
    list.map do |one|
      {
        on: one.slot.on.iso8601, meal: one.slot.meal, recipe_id: one.recipe_id, leftovers_of: one.leftovers_of,
        from_meal_id: one.from_meal_id, choices: one.choices
      }.compact
    end
  end

  def person = inside(ines) { |house| house.household.people.first }

  it "fills every open dinner of a week, in one act that one undo takes back" do
    put_away(ines, "canned-chickpeas", "cupboard", count: "4", printed_on: "2026-11-28", printed_kind: "best_before")
    proposed = found
    expect(proposed.map { |one| one.slot.on }).to eq((today..(today + 6)).to_a)
    done = act(:FillMeals, ines, { meals: told(proposed) })
    expect(rows.size).to eq(7)
    expect(found).to eq([])
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(rows).to eq([])
  end

  it "spends less where the household says how much, and says what it meant to spend on the days that are left" do
    balance = lambda do
      meals = at_work(ines) do |work|
        NutShelf::Desk::MealFilling.new(work, from: today, to: today + 6).call(moves: 900)
      end
      done = act(:FillMeals, ines, { meals: told(meals) })
      sums = at_work(ines) { |work| NutShelf::Desk::Week.new(work, from: today - 2, to: today + 6).balance }
      act(:Undo, ines, { act_id: done["act_id"] })
      sums
    end
    free = balance.()
    expect(free.budget).to be_nil
    act(:SetHousehold, ines, { settings: { week_budget_minor: free.to_buy / 2 } })
    tight = balance.()
    expect(tight.budget).to eq(free.to_buy / 2)
    expect(tight.to_buy).to be < free.to_buy
  end

  it "finds dinners to have in hand, of what the planned ones leave, and puts them aside without a day" do
    put_away(ines, "canned-chickpeas", "cupboard", count: "2", printed_on: "2026-11-28", printed_kind: "best_before")
    plan(on: today + 1)
    proposed = found(in_hand: 3)
    expect(proposed.map { |one| [one.slot.hand, one.leftovers_of, one.from_meal_id] }).to eq([[true, nil, nil]] * 3)
    expect(proposed.map(&:recipe_id).uniq.size).to eq(3)
    meals = at_work(ines) do |work|
      NutShelf::Desk::MealFilling.new(work, from: today, to: today + 6, in_hand: 1).then do |filling|
        filling.call(moves: 100).map { |one| filling.told(one, among: [one]).except(:name) }
      end
    end
    expect(meals.first).not_to have_key(:on)
    done = act(:FillMeals, ines, { meals: meals })
    expect(inside(ines) { |house| house.meals.pool.map(&:recipe_id) }).to eq([meals.first[:recipe_id]])
    expect(rows.size).to eq(1)
    expect(found(in_hand: 3).map(&:recipe_id)).not_to include(meals.first[:recipe_id])
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(inside(ines) { |house| house.meals.pool }).to eq([])
    late = [{ meal: "dinner", from_meal_id: rows.first.id }]
    expect { act(:FillMeals, ines, { meals: late }) }.to raise_error(NutShelf::Desk::Invalid)
  end

  it "leaves what is planned, fills only what is asked for, and replaces what may be replaced" do
    kept = plan(on: today + 1)
    expect(found.map { |one| one.slot.on }).not_to include(today + 1)
    expect(found(only: [[today + 3, "dinner"]]).map { |one| one.slot.on }).to eq([today + 3])
    again = found(again: [kept], only: [])
    expect(again.map { |one| one.slot.on }).to eq([today + 1])
    act(:ChangeMeal, ines, { meal_id: kept, pinned: true })
    expect(found(again: [kept], only: [])).to eq([])
    expect { act(:FillMeals, ines, { meals: told(again), replace: [kept] }) }.to raise_error(
      NutShelf::Desk::Conflict, /kept/
    )
  end

  it "covers up nothing that somebody planned while the search was on" do
    proposed = told(found)
    plan(on: today + 2)
    expect { act(:FillMeals, ines, { meals: proposed }) }.to raise_error(NutShelf::Desk::Conflict, /meanwhile/)
    expect(rows.size).to eq(1)
  end

  it "plans nothing for an evening out, and nothing that takes longer than there is" do
    act(:SetSlot, ines, { on: (today + 1).iso8601, meal: "dinner", evening: "out" })
    act(:SetPattern, ines, { weekday: (today + 2).wday, meal: "dinner", name: "Football", minutes: 15 })
    act(:SetSlot, ines, { on: (today + 3).iso8601, meal: "dinner", evening: "no_power" })
    proposed = found.to_h { |one| [one.slot.on, one] }
    recipes = inside(ines) { |house| house.recipes.values }
    expect(proposed).not_to have_key(today + 1)
    quick = proposed[today + 2]
    expect(recipes[quick.recipe_id].total_minutes).to be <= 15 if quick&.recipe_id
    dark = proposed[today + 3]
    expect(recipes[dark.recipe_id].gear).to eq(["none"]) if dark&.recipe_id
  end

  # Whoever sits there, whatever the search finds, nobody is served what they may not have.
  it "serves nobody what they may not have, at any table" do
    act(:ChangePerson, ines, { person_id: person.id, version: person.version, excludes: %w[gluten milk] })
    guest = { name: "Ola", portion: "1", excludes: ["fish"] }
    act(:SetSlot, ines, { on: (today + 2).iso8601, meal: "dinner", eaters: { people: [person.id], guests: [guest] } })
    proposed = found
    act(:FillMeals, ines, { meals: told(proposed) })
    held = at_work(ines) do |work|
      plan = NutShelf::Desk::Plan.new(work)
      plan.planned.to_h { |meal| [meal.on, plan.dish(meal.id).allergens(plan.shelf.foods)] }
    end
    expect(held.values.flatten & %w[gluten milk]).to eq([])
    expect(held[today + 2].to_a & ["fish"]).to eq([])
  end

  it "takes leftovers after their cook and within their days alone" do
    recipe = inside(ines) do |house|
      house.recipes.values.find { |_, one| !one.followed && !one.freezes && one.leftover_days > 1 }
    end
    cook = plan(on: today + 1, recipe_id: recipe.first, meal: "dinner")
    days = recipe.last.leftover_days
    eat = ->(on) { act(:PlanMeal, ines, { from_meal_id: cook, on: on.iso8601, meal: "dinner" }) }
    expect { eat.(today) }.to raise_error(NutShelf::Desk::Conflict, /cooked on/)
    expect { eat.(today + 2 + days) }.to raise_error(NutShelf::Desk::Conflict, /keep/)
    again = eat.(today + 1 + days)["meal_id"]
    expect(row(again)).to have_attributes(kind: "leftovers", from_meal_id: cook)
    expect { act(:SlideMeal, ines, { meal_id: cook, on: (today + 2 + days).iso8601 }) }.to raise_error(
      NutShelf::Desk::Conflict
    )
    act(:DropMeal, ines, { meal_id: cook })
    expect(rows).to eq([])
  end

  it "cooks for both meals, and what is left is what the second one has" do
    tins = put_away(ines, "canned-chickpeas", "cupboard", count: "4")["lot_id"]
    cook = plan
    again = act(:PlanMeal, ines, { from_meal_id: cook, on: (today + 1).iso8601, meal: "lunch" })["meal_id"]
    one = at_work(ines) { |work| NutShelf::Desk::Plan.new(work).planned.first.servings }
    expect(one).to eq(4r)
    kept = act(:Cook, ines, { meal_id: cook, used: [{ lot_id: tins, amount: "400" }],
      leftovers: { portions: "2", place_id: place_id(ines, "fridge") } })["leftover_lot_id"]
    expect(row(again)).to have_attributes(kind: "kept", lot_id: kept, from_meal_id: nil)
  end

  it "knows no leftovers of a meal that is not in the list, however large the number" do
    [-1, 1, 10**30].each do |place|
      meals = [{ on: today.iso8601, meal: "dinner", leftovers_of: place }]
      expect { act(:FillMeals, ines, { meals: meals }) }.to raise_error(NutShelf::Desk::Invalid)
    end
  end

  it "slides a meal: its neighbour changes places, moves on, or stays beside it; and into the pool" do
    first = plan(on: today)
    second = plan(on: today + 1)
    third = plan(on: today + 2)
    days = -> { [first, second, third].map { |id| row(id)&.on_date } }
    swapped = act(:SlideMeal, ines, { meal_id: first, on: (today + 1).iso8601 })
    expect(days.()).to eq([today + 1, today, today + 2])
    act(:Undo, ines, { act_id: swapped["act_id"] })
    act(:SlideMeal, ines, { meal_id: first, on: (today + 1).iso8601, neighbours: "move" })
    expect(days.()).to eq([today + 1, today + 2, today + 3])
    act(:SlideMeal, ines, { meal_id: first, on: (today + 2).iso8601, neighbours: "stay" })
    expect(days.()).to eq([today + 2, today + 2, today + 3])
    act(:SlideMeal, ines, { meal_id: first, on: nil })
    expect(inside(ines) { |house| house.meals.pool.map(&:id) }).to eq([first])
  end

  it "cooks with what was chosen for a line, as far as the dish knows it" do
    recipe = inside(ines) { |house| house.recipes.find(chilli) }
    line = recipe.lines.find { |one| one.substitutes.any? }
    other = line.substitutes.keys.first
    meal = plan(choices: { line.food_key => other })
    foods = at_work(ines) { |work| NutShelf::Desk::Plan.new(work).dish(meal).lines.map(&:food_key) }
    expect(foods).to include(other)
    expect(foods).not_to include(line.food_key)
    expect { plan(choices: { line.food_key => "honey" }) }.to raise_error(NutShelf::Desk::Invalid, /choice/)
  end

  # What is eaten twice is cooked for both tables: the first one may have what the second must not.
  it "lets no leftovers and no portions reach somebody who may not have them" do
    milk = inside(ines) do |house|
      foods = house.foods.all.to_h { |row| [row.reference_key, row] }
      house.recipes.values.find do |_, one|
        !one.followed && one.leftover_days.positive? && one.lines.any? do |line|
          !line.optional && services.catalog.foods[foods[line.food_key].reference_key].allergens.include?("milk") &&
            line.substitutes.keys.all? { |key| services.catalog.foods[key].allergens.include?("milk") }
        end
      end.first
    end
    cook = act(:PlanMeal, ines, { recipe_id: milk, on: today.iso8601, meal: "dinner" })["meal_id"]
    wren = { name: "Wren", portion: "1", excludes: ["milk"] }
    act(:SetSlot, ines, { on: (today + 1).iso8601, meal: "lunch", eaters: { people: [], guests: [wren] } })
    shut = [NutShelf::Desk::Conflict, /not for Wren/]
    eat = { from_meal_id: cook, on: (today + 1).iso8601, meal: "lunch" }
    expect { act(:PlanMeal, ines, eat) }.to raise_error(*shut)
    expect { act(:FillMeals, ines, { meals: [eat] }) }.to raise_error(*shut)
    yoghurt = put_away(ines, "plain-yoghurt", "fridge", printed_on: (today + 9).iso8601,
      printed_kind: "use_by")["lot_id"]
    expect { act(:PlanMeal, ines, { lot_id: yoghurt, on: (today + 1).iso8601, meal: "lunch" }) }.to raise_error(*shut)
    kept = act(:PlanMeal, ines, { lot_id: yoghurt, on: today.iso8601, meal: "lunch" })["meal_id"]
    expect { act(:SlideMeal, ines, { meal_id: kept, on: (today + 1).iso8601, meal: "lunch" }) }.to raise_error(*shut)
    expect { act(:SlideMeal, ines, { meal_id: kept, on: (today + 15).iso8601 }) }.to raise_error(/past by then/)
  end

  it "says so where a table has changed since, or portions are past by then" do
    yoghurt = put_away(ines, "plain-yoghurt", "fridge", printed_on: (today + 2).iso8601,
      printed_kind: "use_by")["lot_id"]
    act(:PlanMeal, ines, { lot_id: yoghurt, on: today.iso8601, meal: "dinner" })
    faults = lambda do
      at_work(ines) do |work|
        NutShelf::Desk::Week.new(work, from: today, to: today).days.fetch(today).flat_map { |one| one.meals.flat_map(&:faults) }
      end
    end
    expect(faults.()).to eq([])
    act(:ChangePerson, ines, { person_id: person.id, version: person.version, excludes: ["milk"] })
    expect(faults.()).to include(/Not for/)
    act(:Throw, ines, { lot_id: yoghurt, outcome: "binned", why: "turned" })
    expect(faults.()).to eq(["It is not there any more."])
  end

  it "cooks for both tables with what both may have" do
    choosy = inside(ines) do |house|
      house.recipes.values.find do |_, one|
        line = one.lines.find { |each| each.food_key == "semi-skimmed-milk" && each.substitutes.key?("soya-drink") }
        others = one.lines.reject { |each| each == line }
        !one.followed && line && one.leftover_days.positive? &&
          others.none? { |each| services.catalog.foods[each.food_key].allergens.include?("milk") }
      end&.first
    end
    cook = act(:PlanMeal, ines, { recipe_id: choosy, on: today.iso8601, meal: "dinner" })["meal_id"]
    wren = { name: "Wren", portion: "1", excludes: ["milk"] }
    act(:SetSlot, ines, { on: (today + 1).iso8601, meal: "lunch", eaters: { people: [], guests: [wren] } })
    act(:PlanMeal, ines, { from_meal_id: cook, on: (today + 1).iso8601, meal: "lunch" })
    held = at_work(ines) { |work| NutShelf::Desk::Plan.new(work).then { |one| one.dish(cook).allergens(one.shelf.foods) } }
    expect(held).not_to include("milk")
  end

  it "eats portions that wait, while they are good" do
    soup = put_away(ines, "cooked-vegetables", "fridge", count: "3", noun: "portion", state: "leftover",
      made_on: today.iso8601)["lot_id"]
    act(:PlanMeal, ines, { lot_id: soup, on: today.iso8601, meal: "lunch" })
    expect { act(:PlanMeal, ines, { lot_id: soup, on: (today + 12).iso8601 }) }.to raise_error(
      NutShelf::Desk::Conflict, /past by then/
    )
  end
end
