# frozen_string_literal: true

require_relative "../support/house"
require_relative "../support/pictures"
require_relative "../../desk/meal_filling"
require_relative "../../desk/week"

# Dishes a household writes down, changes and puts away.
RSpec.describe "Dishes of one's own" do
  include HouseSupport

  let(:ines) { household!(people: 2) }
  let(:chilli) { inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first } }

  def dish(**more)
    beans = { text: "2 tins kidney beans", food_id: food_id(ines, "canned-kidney-beans"), amount: "800", unit: "g" }
    {
      name: "Our beans", meal: "dinner", servings: 4, active_minutes: 10, total_minutes: 30, gear: ["one-burner"],
      leftover_days: 2, freezes: true, steps: ["Simmer 20 minutes.", " "], tags: ["Quick"], notes: "less salt",
      lines: [beans, { text: "a secret" }], **more
    }
  end

  def kept(**more) = act(:KeepRecipe, ines, dish(**more))

  def offered = inside(ines) { |house| house.recipes.values.reject { |_, one| one.followed } }

  def recipe(id) = inside(ines) { |house| house.recipes.find(id) }

  def refused(**more)
    kept(**more)
  rescue NutShelf::Desk::Invalid, NutShelf::Desk::Conflict => e
    [e.details[:reason].to_s, e.details[:pointer]]
  end

  it "are written down with every line, those without a food too, and offered like any" do
    id = kept["recipe_id"]
    expect(recipe(id)).to have_attributes(
      name: "Our beans", own: true, steps: ["Simmer 20 minutes."], tags: ["quick"], notes: "less salt",
      texts: [have_attributes(text: "a secret", position: 1)], version: 1
    )
    expect(recipe(id).lines.first).to have_attributes(food_key: "canned-kidney-beans", text: "2 tins kidney beans")
    expect(offered).to have_key(id)
    act(:PlanMeal, ines, { recipe_id: id, on: HouseSupport::TODAY.iso8601 })
    expect(at_work(ines) { |work| NutShelf::Desk::Plan.new(work).dishes.values.first.missing.size }).to eq(1)
  end

  it "are written down several at once, all of them or none, and taken back in one" do
    done = act(:KeepRecipes, ines, { recipes: [dish, dish(name: "Our beans"), dish(name: "Other beans")] })
    all = done["recipe_ids"].map { |id| recipe(id) }
    expect(all.map(&:name)).to eq(["Our beans", "Our beans", "Other beans"])
    expect(all.map(&:key).uniq.size).to eq(3)
    before = offered.size
    broken = { recipes: [dish(name: "Third"), dish(name: "Fourth", gear: ["anvil"])] }
    expect { act(:KeepRecipes, ines, broken) }.to raise_error(NutShelf::Desk::Invalid) { |error|
      expect(error.details[:pointer]).to eq("/recipes/1/gear")
    }
    expect(offered.size).to eq(before)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(offered.size).to eq(before - 3)
  end

  it "keep their picture whichever version is in force, and take no file that is none" do
    png = Base64.strict_encode64(Pictures.png)
    first = act(:AddDishPhoto, ines, { recipe_id: chilli, content: png })
    changed = kept(recipe_id: chilli, name: "Hotter chilli")["recipe_id"]
    dish_id = inside(ines) { |house| house.recipes.dish(recipe(changed).key).id }
    pictures = lambda {
      inside(ines) do |house|
        [house.dish_photos.count(dish_id), house.dish_photos.latest(dish_id)&.media_type]
      end
    }
    expect(pictures.()).to eq([1, "image/png"])
    expect { act(:AddDishPhoto, ines, { recipe_id: chilli, content: Base64.strict_encode64("<svg/>") }) }
      .to raise_error(NutShelf::Desk::Invalid)
    act(:Undo, ines, { act_id: first["act_id"] })
    expect(pictures.()).to eq([0, nil])
  end

  it "follow each other in versions: what is planned keeps its own, and an undo puts the one before in force" do
    meal = act(:PlanMeal, ines, { recipe_id: chilli, on: HouseSupport::TODAY.iso8601 })["meal_id"]
    done = kept(recipe_id: chilli, name: "Hotter chilli")
    expect([recipe(done["recipe_id"]).version, recipe(chilli).followed]).to eq([2, true])
    expect(inside(ines) { |house| house.meals.listed_one(meal).recipe_id }).to eq(chilli)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect([recipe(chilli).followed, recipe(done["recipe_id"]).followed]).to eq([false, true])
    expect(recipe(kept(recipe_id: chilli, name: "Milder chilli")["recipe_id"]).version).to eq(3)
  end

  it "are not overwritten by somebody who looked at an older version" do
    kept(recipe_id: chilli, name: "Hotter chilli")
    expect(refused(recipe_id: chilli, name: "Milder chilli").first).to eq("changed_meanwhile")
    expect { kept(recipe_id: offered.find { |_, one| one.name == "Hotter chilli" }.first, name: "Hotter chilli") }
      .to raise_error(NutShelf::Desk::Conflict)
  end

  it "stay the household's own when the shipped dish is put right" do
    mine = kept(recipe_id: chilli, name: "Hotter chilli")["recipe_id"]
    right = services.catalog.recipes.map { |one| one.key == "two-bean-chilli" ? one.with(active_minutes: 99) : one }
    inside(ines) { |house| house.recipes.take_in(right, house.foods.ids_by_key) }
    expect([recipe(mine).followed, offered.count { |_, one| one.key == "two-bean-chilli" }]).to eq([false, 1])
  end

  it "are put away and brought back, and planned by nobody meanwhile" do
    act(:ArchiveRecipe, ines, { recipe_id: chilli, archived: true })
    expect(offered).not_to have_key(chilli)
    ranked = at_work(ines) { |work| NutShelf::Desk::Plan.new(work).ranked(HouseSupport::TODAY).map(&:id) }
    expect(ranked).not_to include(chilli)
    act(:ArchiveRecipe, ines, { recipe_id: chilli, archived: false })
    expect(offered).to have_key(chilli)
  end

  it "are planned by no filling for somebody with an allergy while nobody knows all that is in them" do
    put_away(ines, "canned-kidney-beans", "cupboard", count: "9")
    mine = kept(lines: [dish[:lines].first, { text: "a secret" }])["recipe_id"]
    laid = lambda do
      at_work(ines) do |work|
        NutShelf::Desk::MealFilling.new(work, from: HouseSupport::TODAY, to: HouseSupport::TODAY).problem.dishes.size
      end
    end
    all = laid.()
    wren = { name: "Wren", portion: "1", excludes: ["peanut"] }
    act(:SetSlot, ines, { on: HouseSupport::TODAY.iso8601, meal: "dinner", eaters: { people: [], guests: [wren] } })
    with_secret = laid.()
    act(:KeepRecipe, ines, { **dish, recipe_id: mine, lines: [dish[:lines].first, { text: "For the pot:" }] })
    expect([all - with_secret, laid.() - with_secret]).to match([be_positive, 1])
    meal = act(:PlanMeal, ines, { recipe_id: mine, on: HouseSupport::TODAY.iso8601, meal: "dinner" })["meal_id"]
    faults = at_work(ines) do |work|
      week = NutShelf::Desk::Week.new(work, from: HouseSupport::TODAY, to: HouseSupport::TODAY)
      week.days.values.flatten.flat_map(&:meals).find { |one| one.row.id == meal }.faults
    end
    expect(faults.join).to include("a secret")
  end

  it "are refused where they say nothing, or what cannot be, with the place that is wrong" do
    beans = food_id(ines, "canned-kidney-beans")
    expect(refused(name: "  ")).to eq(["recipe_without_name", "/name"])
    expect(refused(lines: [{ text: " " }])).to eq(["recipe_without_lines", "/lines"])
    expect(refused(active_minutes: 60)).to eq(["recipe_minutes", "/active_minutes"])
    expect(refused(gear: ["forge"])).to eq(["recipe_gear", "/gear"])
    expect(refused(lines: [{ text: "x", food_id: beans, amount: "0" }])).to eq(["recipe_amount", "/lines/0/amount"])
    expect(refused(lines: [{ text: "x", food_id: 1, amount: "5" }])).to eq(["recipe_food_unknown", "/lines/0/food_id"])
    worse = [{ food_id: food_id(ines, "honey"), factor: "0" }]
    expect(refused(lines: [{ text: "x", food_id: beans, amount: "5",
                             substitutes: worse }]).first).to eq("recipe_factor")
  end

  it "keep their leftovers no longer than the rules allow, whatever somebody typed" do
    put_away(ines, "canned-kidney-beans", "cupboard", count: "4", printed_on: "2028-01-31", printed_kind: "best_before")
    long, short = [60, 1].map do |days|
      meal = act(:PlanMeal, ines, { recipe_id: kept(name: "Beans #{days}", leftover_days: days)["recipe_id"],
                                    on: HouseSupport::TODAY.iso8601 })["meal_id"]
      fridge = place_id(ines, "fridge")
      cooked = act(:Cook, ines, { meal_id: meal, leftovers: { portions: "2", place_id: fridge } })
      lot(ines, cooked["leftover_lot_id"]).usable_until
    end
    expect(short).to eq(HouseSupport::TODAY + 1)
    expect(long).to be_between(HouseSupport::TODAY + 1, HouseSupport::TODAY + 5)
  end
end
