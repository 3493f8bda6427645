# frozen_string_literal: true

require "base64"
require_relative "../support/house"
require_relative "../support/whole_week"
require_relative "../../desk/audit"
require_relative "../../desk/meal_filling"

# A household with an imported list plans a week and lives through it. After every step the stock, the forecast, the
# balance and the missing list say the same.
RSpec.describe "A whole week of meals" do
  include HouseSupport
  include WholeWeekSupport

  let(:today) { HouseSupport::TODAY }
  let(:ines) { household!(people: 3) }

  def rows = inside(ines) { |house| house.meals.between(today, today + 13) }

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
    act(:ImportStock, ines, { content: Base64.strict_encode64(list(today)) })
    agree!(ines)
    audit = at_work(ines) { |work| NutShelf::Desk::Audit.new(work, from: today, to: today + 6).turning }
    expect(audit.map { |one| one.stack.food_key }).to include("ham-sliced", "canned-chickpeas", "white-bread")

    fill
    expect(rows.size).to eq(7)
    agree!(ines)

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
    agree!(ines)
    act(:SlideMeal, ines, { meal_id: cooks[3].id, on: (today + 9).iso8601 })
    expect(rows.find { |row| row.id == cooks[3].id }.on_date).to eq(today + 9)
    agree!(ines)
    expect(rows.count(&:pinned)).to eq(2)

    # The first is cooked for a lunch as well, which is eaten the next day.
    first = keeping
    clock.day = first.on_date
    lunch = act(:PlanMeal, ines, { from_meal_id: first.id, on: (first.on_date + 1).iso8601, meal: "lunch" })["meal_id"]
    agree!(ines)
    left = cook(first, portions: "3")["leftover_lot_id"]
    agree!(ines)
    expect(rows.find { |row| row.id == lunch }).to have_attributes(kind: "kept", lot_id: left)
    clock.day += 1
    act(:EatMeal, ines, { meal_id: lunch })
    expect(lot(ines, left).on_hand).to eq(0)
    agree!(ines)

    # Two more are cooked; what the days left behind is carried over, or put aside.
    2.times do
      row = rows.find { |one| one.kind == "cook" && one.status == "planned" && one.on_date >= clock.day }
      clock.day = row.on_date
      cook(row)
      agree!(ines)
    end
    late = inside(ines) { |house| house.meals.undone(clock.day) }
    if late.any?
      act(:CarryOver, ines, {})
      expect(inside(ines) { |house| house.meals.undone(clock.day) }).to eq([])
    end
    agree!(ines)
    clock.day = today + 13
    act(:CarryOver, ines, {})
    expect(inside(ines) { |house| house.meals.undone(clock.day) }).to eq([])
    agree!(ines)
  end
end
