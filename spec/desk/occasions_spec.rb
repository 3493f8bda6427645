# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/meal_filling"
require_relative "../../desk/occasions"

RSpec.describe NutShelf::Desk::Occasions do
  let(:ines) { household! }
  let(:day) { Date.new(2026, 12, 5) }

  def feast(**more)
    {
      name: "Piet's birthday", recurrence: { kind: "date", month: 12, day: 5 }, meal: "dinner", serve_at: "18:30",
      dishes: [{ dish: "two-bean-chilli" }, { dish: "overnight-oats-apple", servings: "6" }],
      eaters: { people: [], guests: Array.new(4) { |at| { name: "guest #{at}" } } }, **more
    }
  end

  def keep(**more) = act(:KeepOccasion, ines, feast(**more))["occasion_id"]

  def on_day
    at_work(ines) do |work|
      row = work.house.occasions.all.first
      yield described_class.new(work), row
    end
  end

  def menu(on = day) = on_day { |occasions, row| occasions.menu(row, on) }

  it "reckons a menu for everybody who comes, from the shelf of that day" do
    keep
    put_away(ines, "canned-kidney-beans", "cupboard", count: "6")
    made = menu
    expect(made.slot.eaters.size).to eq(4)
    expect(made.dishes.map { |one| [one.recipe.key, one.amount.servings, one.amount.why] }).to eq(
      [["two-bean-chilli", 4, "asked"], ["overnight-oats-apple", 6, "said"]]
    )
    beans = made.dishes.first.dish.lines.find { |line| line.food_key == "canned-kidney-beans" }
    expect(beans.picks.sum(&:amount)).to be_positive
    expect(made.to_buy).to be_positive
  end

  it "leaves to the second dish what the first has not drawn" do
    keep(dishes: [{ dish: "two-bean-chilli" }, { dish: "bulgur-bean-salad" }, { dish: "two-bean-chilli" }])
    put_away(ines, "canned-kidney-beans", "cupboard", count: "1")
    first, second = menu.dishes.map { |one| one.dish.lines.find { |line| line.food_key == "canned-kidney-beans" } }
    expect(menu.dishes.map { |one| one.recipe.key }).to eq(%w[two-bean-chilli bulgur-bean-salad])
    expect(first.picks).not_to be_empty
    expect(second.picks).to be_empty
  end

  it "makes on the day before what the morning is too late for, and never what does not keep" do
    at_once = inside(ines) { |house| house.recipes.values.values.find { |one| one.leftover_days.zero? } }
    keep(meal: "breakfast", dishes: [{ dish: "overnight-oats-apple" }, { dish: at_once.key, ahead: true }])
    expect(menu.schedule.ahead.map(&:key)).to eq(["overnight-oats-apple"])
    expect(menu.schedule.tasks.map(&:key).uniq).to eq([at_once.key])
  end

  it "begins on the day what the day is long enough for" do
    keep
    expect(menu.schedule.ahead).to be_empty
    expect(menu.schedule.tasks.map(&:key)).to include("overnight-oats-apple")
  end

  it "makes on the day before what is said to be, where it keeps" do
    keep(dishes: [{ dish: "two-bean-chilli" }, { dish: "overnight-oats-apple", ahead: true }])
    expect(menu.schedule.ahead.map(&:key)).to eq(["overnight-oats-apple"])
    expect(menu.schedule.tasks.map(&:key).uniq).to eq(["two-bean-chilli"])
  end

  it "goes by what was written down the last time, newest first" do
    id = keep
    [%w[2024-12-05 4 0], %w[2025-12-05 6 2]].each do |on, cooked, left|
      act(:NoteOccasion, ines, { occasion_id: id, on: on, heads: 4, notes: "Fine.",
                                 dishes: [{ dish: "two-bean-chilli", cooked: cooked, left: left }] })
    end
    expect(menu.dishes.first.amount.to_h).to eq(servings: 4r, why: "last_time")
    expect(menu(Date.new(2025, 6, 1)).dishes.first.amount.servings).to eq(9/2r)
  end

  it "puts who comes and every dish onto the day in one act, and takes all of it back in one" do
    id = keep
    done = act(:HoldOccasion, ines, { occasion_id: id, on: day.iso8601 })
    meals = inside(ines) { |house| house.meals.between(day, day) }
    expect(meals.map { |meal| [meal.id, meal.meal, meal.servings, meal.pinned] }).to eq(
      done["meal_ids"].zip([4r, 6r]).map { |one, servings| [one, "dinner", servings, true] }
    )
    at_work(ines) do |work|
      slot = NutShelf::Desk::Slots.new(work).of(day, "dinner")
      expect([slot.eaters.size, slot.note]).to eq([4, "Piet's birthday"])
      expect(described_class.new(work).unplanned).to be_empty
    end
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(inside(ines) { |house| house.meals.between(day, day) }).to be_empty
    on_day { |occasions, _| expect(occasions.unplanned.map(&:next_on)).to eq([day]) }
  end

  it "takes the place of a usual evening, and is held anew when its dishes were dropped" do
    id = keep
    usual = inside(ines) { |house| house.recipes.dish("raisin-porridge").recipe_id }
    plain = act(:PlanMeal, ines, { recipe_id: usual, on: day.iso8601, meal: "dinner" })["meal_id"]
    done = act(:HoldOccasion, ines, { occasion_id: id, on: day.iso8601 })
    standing = -> { inside(ines) { |house| house.meals.between(day, day).map(&:id) } }
    expect(standing.()).to match_array(done["meal_ids"])
    done["meal_ids"].each { |meal| act(:DropMeal, ines, { meal_id: meal }) }
    on_day { |occasions, _| expect(occasions.unplanned.size).to eq(1) }
    again = act(:HoldOccasion, ines, { occasion_id: id, on: day.iso8601 })
    expect(again["occasion_time_id"]).to eq(done["occasion_time_id"])
    expect(standing.()).not_to include(plain)
  end

  it "is left alone by a filling, but for one that asks for it" do
    keep
    open = lambda do |**asked|
      at_work(ines) { |work| NutShelf::Desk::MealFilling.new(work, from: day, to: day, **asked).open }
    end
    expect([open.(), open.(only: [[day, "dinner"]])]).to eq([0, 1])
  end

  it "is put onto its day once, whatever it is called by then" do
    id = keep
    act(:HoldOccasion, ines, { occasion_id: id, on: day.iso8601 })
    act(:KeepOccasion, ines, feast(occasion_id: id, version: 1, name: "The old man's feast"))
    expect do
      act(:HoldOccasion, ines, { occasion_id: id, on: day.iso8601 })
    end.to raise_error(NutShelf::Desk::Error, /on the plan/)
  end

  it "serves nobody what they may not have" do
    eggs = inside(ines) { |house| house.recipes.values }.values.find do |one|
      one.lines.any? { |line| line.food_key == "eggs" && !line.optional && line.substitutes.empty? }
    end
    id = keep(dishes: [{ dish: eggs.key }], eaters: { people: [], guests: [{ excludes: ["egg"] }] })
    expect(menu.dishes.first.faults).to include(/Not for guest/)
    expect do
      act(:HoldOccasion, ines, { occasion_id: id, on: day.iso8601 })
    end.to raise_error(NutShelf::Desk::Error, /guest/)
    expect(inside(ines) { |house| house.meals.between(day, day) }).to be_empty
  end

  it "holds the dishes of its day against a guest who is asked later, and forgets them with an undo" do
    id = keep(dishes: [{ dish: "two-bean-chilli" }])
    act(:HoldOccasion, ines, { occasion_id: id, on: day.iso8601 })
    excludes = lambda do
      at_work(ines) { |work| NutShelf::Desk::Slots.new(work).of(day, "dinner").excludes }
    end
    expect(excludes.()).to eq([])
    eaters = { people: [], guests: [{ name: "Bram", excludes: ["celery"] }] }
    asked = act(:KeepOccasion, ines, feast(occasion_id: id, version: 1, dishes: [{ dish: "two-bean-chilli" }],
      eaters: eaters))
    expect(excludes.()).to eq(["celery"])
    act(:Undo, ines, { act_id: asked["act_id"] })
    expect(excludes.()).to eq([])
  end

  it "refuses a day that never comes, a menu without dishes, and what is written down too early" do
    expect do
      keep(recurrence: { kind: "date", month: 2, day: 30 })
    end.to raise_error(NutShelf::Desk::Error, /No such day/)
    expect { keep(dishes: [{ dish: "no-such-dish" }]) }.to raise_error(NutShelf::Desk::Error)
    id = keep(dishes: [])
    expect do
      act(:HoldOccasion, ines, { occasion_id: id, on: day.iso8601 })
    end.to raise_error(NutShelf::Desk::Error, /no dishes/)
    expect do
      act(:NoteOccasion, ines,
        { occasion_id: id, on: day.iso8601, heads: 4 })
    end.to raise_error(NutShelf::Desk::Error, /still to come/)
  end

  it "keeps what a change does not name" do
    id = keep(ideas: [{ text: "Lanterns" }])
    act(:KeepOccasion, ines, feast.except(:dishes, :eaters).merge(occasion_id: id, name: "A feast"))
    row = inside(ines) { |house| house.occasions.find(id) }
    expect([row.name, row.dishes.size, row.ideas.size, row.eaters["guests"].size]).to eq(["A feast", 2, 1, 4])
  end

  it "says what was changed by somebody else meanwhile" do
    id = keep
    act(:KeepOccasion, ines, feast(occasion_id: id, version: 1, notes: "Lanterns"))
    expect { act(:KeepOccasion, ines, feast(occasion_id: id, version: 1)) }.to raise_error(NutShelf::Desk::Error)
  end

  it "names what is on the menu and not among the dishes any more" do
    keep
    inside(ines) { |house| house.db[:occasions].update(dishes: Sequel.pg_jsonb([{ dish: "gone", servings: nil }])) }
    expect(menu.gone).to eq(["gone"])
  end
end
