# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/replenishment"

RSpec.describe "Meals from the shelf" do
  let(:ines) { household! }

  def dish(key) = inside(ines) { |house| house.recipes.values.find { |_, recipe| recipe.key == key }&.first }

  def plan(key, on = "2026-11-24", **more)
    act(:PlanMeal, ines, { recipe_id: dish(key), on: on, servings: "2", **more })["meal_id"]
  end

  def desk_plan
    services
      .database
      .within(ines.household_id) { |db| yield NutShelf::Desk::Plan.new(NutShelf::Desk::UnitOfWork.new(services, ines, db)) }
  end

  def tin(**more)
    put_away(ines, "canned-chickpeas", "cupboard", printed_on: "2028-05-31", printed_kind: "best_before", **more)[
      "lot_id"
    ]
  end

  it "refuses to cook with what is past its safety date, is set apart, or has an age nobody knows" do
    meal = plan("two-bean-chilli")
    past = put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-11-20", printed_kind: "use_by")["lot_id"]
    apart = tin
    act(:Quarantine, ines, { lot_ids: [apart], reason: "recall" })
    unknown = put_away(ines, "plain-yoghurt", "fridge", count: "1", amount: "500", unit: "g")["lot_id"]
    inside(ines) { |house| house.lots.update(unknown, acquired_on: nil) }
    {
      past => /past its safety date, 20 Nov 2026/,
      apart => /set apart as not to eat/,
      unknown => /age nobody knows/
    }.each do |id, words|
      expect { act(:Cook, ines, { meal_id: meal, used: [{ lot_id: id, amount: "10" }] }) }.to raise_error(
        NutShelf::Desk::Conflict,
        words
      )
    end
    expect(lot(ines, past).on_hand).to eq(400)
  end

  it "opens one pack for one stack on two lines" do
    meal = plan("two-bean-chilli")
    id = tin(count: "2")
    act(:Cook, ines, { meal_id: meal, used: [{ lot_id: id, amount: "100" }, { lot_id: id, amount: "150" }] })
    opened = split_off(ines, id)
    expect(opened.map { |row| row.on_hand.to_i }).to eq([150])
    expect(lot(ines, id).on_hand).to eq(400)
  end

  it "names each stack once on a line, though an earlier meal is to open a pack of it" do
    # 300 g each, of tins of 400 g.
    servings = inside(ines) { |house| house.recipes.find(dish("pantry-hummus-crispbread")).servings * 3/4r }.to_f.to_s
    first, second = %w[2026-11-24 2026-11-25].map { |on| plan("pantry-hummus-crispbread", on, servings: servings) }
    id = tin(count: "5")
    drawn, asked =
      desk_plan do |plan|
        line = plan.dish(second).lines.find { |one| one.food_key == "canned-chickpeas" }
        [line, plan.picks(line)]
      end
    expect(drawn.picks.size).to eq(2)
    expect(asked.map { |pick| [pick.stack.id, pick.stack.place, pick.amount] }).to eq([[id, "Cupboard", drawn.grams]])
    ties = desk_plan { |plan| plan.ties.map { |tie| [tie.meal.id, tie.pick.stack.id] } }
    expect(ties.tally.values).to all(eq(1))
    expect([first, second].map { |meal| ties.include?([meal, id]) }).to eq([true, true])
  end

  it "keeps the date of what was cooked before in the leftovers" do
    rice = put_away(ines, "cooked-rice", "fridge", made_on: "2026-11-23")["lot_id"]
    safe = lot(ines, rice).safety_until
    meal = plan("two-bean-chilli")
    done =
      act(
        :Cook,
        ines,
        {
          meal_id: meal,
          used: [{ lot_id: rice, amount: "100" }],
          leftovers: {
            portions: "1",
            place_id: place_id(ines, "fridge")
          }
        }
      )
    expect(lot(ines, done["leftover_lot_id"]).safety_until).to be <= safe
  end

  it "promises nothing twice: each meal's page and the cook draw what the plan gave that meal" do
    tin
    first = plan(chickpea_dish, "2026-11-25")
    second = plan(chickpea_dish, "2026-11-26")
    picked = desk_plan { |plan| [first, second].map { |id| plan.dish(id).lines.flat_map(&:picks).sum(0r, &:amount) } }
    expect(picked.sum).to be <= 400
    expect(desk_plan { |plan| plan.left.left("canned-chickpeas", HouseSupport::TODAY) }).to eq(400 - picked.sum)
    act(:Cook, ines, { meal_id: second })
    expect(inside(ines) { |house| house.lots.all.sum(&:on_hand) }).to be_within(1).of(
      400 - picked.last
    )
  end

  def chickpea_dish
    inside(ines) do |house|
      house.recipes.values.values.find do |one|
        one.lines.any? { |line| line.food_key == "canned-chickpeas" && !line.optional }
      end
    end.key
  end

  it "serves nobody what they may not have" do
    act(:AddPerson, ines, { name: "Wren", portion_factor: "0.8", excludes: %w[peanut egg] })
    eggs =
      inside(ines) do |house|
        house.recipes.values.values.find do |one|
          one.lines.any? { |line| line.food_key == "eggs" && !line.optional && line.substitutes.empty? }
        end
      end
    expect { plan(eggs.key) }.to raise_error(NutShelf::Desk::Conflict, /not for Wren: it holds egg \(Hen eggs/)
    desk_plan do |plan|
      shut, open = plan.ranked(HouseSupport::TODAY).partition { |entry| entry.dish.shut? }
      expect(
        open.flat_map { |entry| entry.dish.lines.map(&:food_key) } & %w[peanut-butter peanuts eggs mayonnaise]
      ).to be_empty
      expect(shut.flat_map { |entry| entry.dish.clashes.map(&:person) }.uniq).to eq(["Wren"])
    end
  end

  it "gives those who eat by the date only what is good by the date" do
    id = put_away(ines, "canned-chickpeas", "cupboard", printed_on: "2026-11-10", printed_kind: "best_before")["lot_id"]
    act(:Look, ines, { lot_id: id, result: "good" })
    expect(lot(ines, id)).to have_attributes(usable_until: Date.new(2027, 5, 23), strict_until: Date.new(2026, 11, 10))
    there = -> { desk_plan { |plan| plan.cursor.left("canned-chickpeas", HouseSupport::TODAY) } }
    expect(there.call).to eq(400)
    act(:AddPerson, ines, { name: "Piet", portion_factor: "1", strict: true })
    expect(there.call).to eq(0)
  end

  it "carries the allergens of what it is like into a food of one's own, and of all that went in into a dish" do
    butter =
      act(:AddFood, ines, { name: "Nut spread of Ines", like_food_id: food_id(ines, "peanut-butter") })["food_id"]
    work = services.database.within(ines.household_id) { |db| NutShelf::Desk::UnitOfWork.new(services, ines, db).food(butter) }
    expect(work.allergens).to eq(%w[peanut])
    milk = put_away(ines, "cheddar", "fridge", printed_on: "2027-01-01", printed_kind: "best_before")["lot_id"]
    done =
      act(
        :Cook,
        ines,
        {
          meal_id: plan("two-bean-chilli"),
          used: [{ lot_id: milk, amount: "50" }],
          leftovers: {
            portions: "1",
            place_id: place_id(ines, "fridge")
          }
        }
      )
    food =
      services.database.within(ines.household_id) do |db|
        NutShelf::Desk::UnitOfWork.new(services, ines, db).food(lot(ines, done["leftover_lot_id"]).food_id)
      end
    expect(food.allergens).to include("milk")
  end

  it "does not take a meal off its day under a cook's hands" do
    planned = act(:PlanMeal, ines, { recipe_id: dish("two-bean-chilli"), on: "2026-11-24" })
    act(:Cook, ines, { meal_id: planned["meal_id"], used: [] })
    expect { act(:Undo, ines, { act_id: planned["act_id"] }) }.to raise_error(NutShelf::Desk::Conflict, /Later: Cooked/)
  end

  it "feeds those who live here, and no one who left or does not eat along" do
    gone = act(:AddPerson, ines, { name: "Guest", portion_factor: "3" })["person_id"]
    act(:AddPerson, ines, { name: "Biscuit", portion_factor: "2", eats: false })
    expect(desk_plan(&:servings)).to eq(5)
    act(:ChangePerson, ines, { person_id: gone, gone: true })
    expect(desk_plan(&:servings)).to eq(2)
  end

  it "reckons nothing as use that was undone, and a food from the day it first came" do
    clock.day = Date.new(2026, 6, 1)
    put_away(ines, "honey", "cupboard")
    clock.day = Date.new(2026, 10, 20)
    sack = put_away(ines, "white-rice", "cupboard", amount: "5000")["lot_id"]
    rice = act(:Open, ines, { lot_id: sack })["lot_id"]
    [27, 34, 41, 48].each do |days|
      clock.day = Date.new(2026, 10, 1) + days
      act(:Take, ines, { lot_id: rice, amount: "500" })
    end
    clock.day = HouseSupport::TODAY
    rate = lambda do
      services.database.within(ines.household_id) do |db|
        NutShelf::Desk::UsageRates
          .new(NutShelf::Desk::UnitOfWork.new(services, ines, db))
          .rate(food_id(ines, "white-rice"), "mass")
          .weekly
      end
    end
    before = rate.call
    expect(before).to be_between(350, 500)
    taken = act(:Take, ines, { lot_id: rice, amount: "1000" })
    expect(rate.call).to be > before
    act(:Undo, ines, { act_id: taken["act_id"] })
    expect(rate.call).to eq(before)
  end

  it "brings nothing forward that is set apart, frozen or not to eat" do
    act(:SetFood, ines, { food_id: food_id(ines, "canned-chickpeas"), working_amount: "800" })
    apart = act(:AddPlace, ines, { name: "Ferry box", kind: "cupboard", tier: "set_apart" })["place_id"]
    loft = act(:AddPlace, ines, { name: "Loft", kind: "cupboard", tier: "backstock" })["place_id"]
    act(:Move, ines, { lot_id: tin(count: "3"), place_id: apart })
    back = tin(count: "2")
    act(:Move, ines, { lot_id: back, place_id: loft })
    bad = tin(count: "2")
    act(:Move, ines, { lot_id: bad, place_id: loft })
    act(:Look, ines, { lot_id: bad, result: "bad" })
    items =
      services.database.within(ines.household_id) do |db|
        NutShelf::Desk::Replenishment.new(NutShelf::Desk::UnitOfWork.new(services, ines, db)).items
      end
    expect(items.flat_map { |item| item.list.picks.map { |pick| pick.stack.id } }).to eq([back])
  end

  it "keeps two foods of one name apart" do
    other = act(:AddFood, ines, { name: "Honey", like_food_id: food_id(ines, "jam") })["food_id"]
    act(:SetFood, ines, { food_id: other, working_amount: "300" })
    loft = act(:AddPlace, ines, { name: "Loft", kind: "cupboard", tier: "backstock" })["place_id"]
    act(:PutAway, ines, { food_id: other, place_id: loft, count: "1", amount: "300", unit: "g" })
    item =
      services.database.within(ines.household_id) do |db|
        NutShelf::Desk::Replenishment.new(NutShelf::Desk::UnitOfWork.new(services, ines, db)).items.first
      end
    expect(item).to have_attributes(food_id: other, food: have_attributes(key: "own-honey"))
  end

  it "notes no price of a pack whose size nobody knows, nor of what was left over" do
    act(
      :PutAway,
      ines,
      {
        food_id: food_id(ines, "carrots"),
        place_id: place_id(ines, "fridge"),
        count: "2",
        noun: "bag",
        price_minor: 300
      }
    )
    expect(inside(ines) { |house| house.packs.latest_prices([food_id(ines, "carrots")]) }).to be_empty
    put_away(ines, "carrots", "fridge", amount: "1000", price_minor: 150)
    expect(
      inside(ines) { |house| house.packs.latest_prices([food_id(ines, "carrots")]).values.first.first }
    ).to have_attributes(price_minor: 150, amount: 1000)
  end

  it "counts low as there, and out as out" do
    salt = put_away(ines, "salt", "cupboard")["lot_id"]
    key = inside(ines) { |house| house.foods.find(lot(ines, salt).food_id).key }
    free =
      %w[plenty half low out].map do |level|
        act(:SetLevel, ines, { lot_id: salt, level: level })
        desk_plan { |plan| [plan.shelf.free?(key), plan.shelf.running_out[key]] }
      end
    expect(free).to eq([[true, nil], [true, nil], [true, "low"], [false, "out"]])
  end
end
