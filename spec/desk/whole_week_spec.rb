# frozen_string_literal: true

require "base64"
require_relative "../support/house"
require_relative "../../desk/audit"
require_relative "../../desk/meal_filling"
require_relative "../../desk/week"

# A household with an imported list plans a week and lives through it. After every step the stock, the forecast, the
# balance and the missing list say the same.
RSpec.describe "A whole week of meals" do
  include HouseSupport

  let(:today) { HouseSupport::TODAY }
  let(:ines) { household!(people: 3) }

  def list
    rows = [
      ["Chickpeas, canned", "Cupboard", "3 x 400 g", today + 5],
      ["Red kidney beans, canned", "Cupboard", "2 x 400 g", ""],
      ["Chopped tomatoes, canned", "Cupboard", "4 x 400 g", ""], ["White rice, long grain", "Cupboard", "1 kg", ""],
      ["Dry wheat spaghetti", "Cupboard", "500 g", ""], ["Red split lentils, dried", "Cupboard", "500 g", ""],
      ["Onions", "Cupboard", "6", ""], ["Carrots", "Fridge", "5", ""], ["Cooked ham", "Fridge", "200 g", today + 2],
      ["Hen eggs", "Fridge", "10", today + 12], ["Vegetable stock cubes", "Cupboard", "80 g", ""],
      ["Olive oil", "Cupboard", "500 ml", ""], ["Peas, frozen", "Freezer", "500 g", ""],
      ["White bread, sliced", "Cupboard", "800 g", today + 3]
    ]
    ["food,place,amount,best before", *rows.map { |row| row.map { |cell| cell.to_s.inspect }.join(",") }].join("\n")
  end

  def rows = inside(ines) { |house| house.meals.between(today, today + 13) }

  # Each view by its own way, held against the others.
  def agree!
    at_work(ines) do |work|
      week = NutShelf::Desk::Week.new(work, from: clock.day, to: clock.day + 6)
      plan = week.plan
      draw_agrees(plan)
      missing_agrees(plan, week)
      past_agrees(plan, week)
      expect(work.house.lots.out_of_balance).to eq([])
      expect(work.house.soundness.faults).to eq([])
    end
  end

  # What the meals take of a stack is there, and what they leave is what the next dish is held against.
  def draw_agrees(plan)
    plan.ties.group_by { |tie| tie.pick.stack.id }.each do |id, ties|
      expect(ties.sum(0r) { |tie| tie.pick.amount }).to be <= plan.shelf.stack(id).amount
    end
    plan.dishes.each_value do |dish|
      dish.lines.reject { |line| line.free || line.unknown || line.line.optional }.each do |line|
        expect(line.picks.sum(0r, &:amount) + line.missing).to be_within(1/1000r).of(line.grams)
      end
    end
  end

  # The list asks for what the dishes miss, meal by meal; the balance is what it costs.
  def missing_agrees(plan, week)
    items, dishes = plan.missing(week.to)
    lines = dishes.flat_map { |id, dish| dish.missing.map { |line| [id, line.food_key, line.missing] } }
    told = items.flat_map { |item| item.reasons.map { |reason| [reason[:meal], item.food_key, reason[:grams]] } }
    expect(told.sort).to eq(lines.sort)
    expect(week.balance.to_buy).to eq(items.sum { |item| plan.whole_cost(item.food_key, item.grams).first })
  end

  # What the week says goes past, the forecast says; and no meal takes what goes past.
  def past_agrees(plan, week)
    past = plan.forecast.goes_past.to_h { |one| [one.stack.id, one.amount] }
    week.turning.select { |one| one.stack.amount }.each do |one|
      expect(one.past).to eq(past.fetch(one.stack.id, 0r))
      expect(one.past + one.ties.sum(0r) { |tie| tie.pick.amount }).to be <= one.stack.amount
    end
    expect(week.balance.past).to eq(week.turning.sum(&:past_minor))
  end

  def fill
    meals =
      at_work(ines) do |work|
        filling = NutShelf::Desk::MealFilling.new(work, from: clock.day, to: clock.day + 6)
        found = filling.call(moves: 300)
        found.map { |one| filling.told(one, among: found).except(:name) }
      end
    act(:FillMeals, ines, { meals: meals })
  end

  def cook(row, portions: nil)
    left = portions && { portions: portions, place_id: place_id(ines, "fridge") }
    act(:Cook, ines, { meal_id: row.id, leftovers: left }.compact)
  end

  # One that keeps, so that there is something for a lunch.
  def keeping = rows.find { |row| row.kind == "cook" && row.status == "planned" && days(row) >= 2 }

  def days(row) = inside(ines) { |house| house.recipes.find(row.recipe_id) }.leftover_days

  it "is audited, filled, changed, cooked, eaten and carried over, and every view agrees at every step" do
    act(:ImportStock, ines, { content: Base64.strict_encode64(list) })
    agree!
    audit = at_work(ines) { |work| NutShelf::Desk::Audit.new(work, from: today, to: today + 6).turning }
    expect(audit.map { |one| one.stack.food_key }).to include("ham-sliced", "canned-chickpeas", "white-bread")

    fill
    expect(rows.size).to eq(7)
    agree!

    # Two are kept, one is another dish, one slides.
    cooks = rows.select { |row| row.kind == "cook" }
    cooks.first(2).each { |row| act(:ChangeMeal, ines, { meal_id: row.id, pinned: true }) }
    free = cooks[2]
    other =
      at_work(ines) do |work|
        NutShelf::Desk::Plan.new(work).ranked(free.on_date)
          .find do |one|
          !one.dish.shut? && rows.none? do |row|
            row.recipe_id == one.id
          end && one.dish.recipe.meal == "dinner"
        end
      end
    act(:ChangeMeal, ines, { meal_id: free.id, recipe_id: other.id })
    agree!
    act(:SlideMeal, ines, { meal_id: cooks[3].id, on: (today + 9).iso8601 })
    expect(rows.find { |row| row.id == cooks[3].id }.on_date).to eq(today + 9)
    agree!
    expect(rows.count(&:pinned)).to eq(2)

    # The first is cooked for a lunch as well, which is eaten the next day.
    first = keeping
    clock.day = first.on_date
    lunch = act(:PlanMeal, ines, { from_meal_id: first.id, on: (first.on_date + 1).iso8601, meal: "lunch" })["meal_id"]
    agree!
    left = cook(first, portions: "3")["leftover_lot_id"]
    agree!
    expect(rows.find { |row| row.id == lunch }).to have_attributes(kind: "kept", lot_id: left)
    clock.day += 1
    act(:EatMeal, ines, { meal_id: lunch })
    expect(lot(ines, left).on_hand).to eq(0)
    agree!

    # Two more are cooked; what the days left behind is carried over, or put aside.
    2.times do
      row = rows.find { |one| one.kind == "cook" && one.status == "planned" && one.on_date >= clock.day }
      clock.day = row.on_date
      cook(row)
      agree!
    end
    late = inside(ines) { |house| house.meals.undone(clock.day) }
    if late.any?
      act(:CarryOver, ines, {})
      expect(inside(ines) { |house| house.meals.undone(clock.day) }).to eq([])
    end
    agree!
    clock.day = today + 13
    act(:CarryOver, ines, {})
    expect(inside(ines) { |house| house.meals.undone(clock.day) }).to eq([])
    agree!
  end
end
