# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/commands/end_shopping"
require_relative "../../desk/shopping/shopping_list"
require_relative "../../drill/list_promises"

# Two people with one list, together and apart: nothing is lost, and nothing is bought twice without being asked about.
RSpec.describe NutShelf::Desk::MarkListLine do
  include HouseSupport

  let(:ines) { household! }
  let(:tomas) { another_member(ines, "Tomas") }
  let(:today) { HouseSupport::TODAY }

  def add(who, text, **more)
    ref = SecureRandom.hex(8)
    act(:AddListLine, who, { ref: ref, text: text }, **more)
    ref
  end

  def mark(who, ref, status) = act(:MarkListLine, who, { ref: ref, status: status })

  def line(ref) = inside(ines) { |house| house.shopping.line(ref) }

  def another_member(keeper, name)
    account = inside(keeper) do |house|
      house.db[:accounts].insert(email: "#{SecureRandom.hex(4)}@sallow.example", name: name, status_id: 2)
    end
    inside(keeper) do |house|
      house.db[:memberships].insert(account_id: account, household_id: keeper.household_id, role: "helper")
    end
    NutShelf::Desk::Caller.new(account_id: account, household_id: keeper.household_id, role: "helper")
  end

  def late(order) = NutShelf::Desk::Envelope.new(device: "phone00#{order}", sequence: order, on: today, held: true)

  it "keeps both when both ticked the same line, to be asked about when it is put away" do
    candles = add(ines, "candles for Wren")
    mark(ines, candles, "ticked")
    mark(tomas, candles, "ticked")
    mark(tomas, candles, "ticked")
    expect(line(candles).ticks.map { |one| one["account_id"] }).to eq([ines.account_id, tomas.account_id])
    mark(ines, candles, "open")
    expect(line(candles)).to have_attributes(status: "ticked")
    mark(tomas, candles, "open")
    expect(line(candles)).to have_attributes(status: "open", ticks: [])
  end

  it "lets a tick win over a stroke, whichever comes first, and says so" do
    before = add(ines, "candles for Wren")
    mark(tomas, before, "ticked")
    struck = mark(ines, before, "removed")
    expect(struck["unsettled"]).to eq(["Tomas has it in the basket: it stays."])
    expect(line(before).status).to eq("ticked")
    after = add(ines, "lamp wick for the shed")
    mark(ines, after, "removed")
    expect(line(after).status).to eq("removed")
    mark(tomas, after, "ticked")
    expect(line(after).status).to eq("ticked")
  end

  it "keeps the later of two changes by when they were done, and says who made it" do
    oil = add(ines, "lamp oil for the shed", envelope: late(500))
    act(:ChangeListLine, tomas, { ref: oil, note: "the blue can" }, envelope: late(2_000))
    older = act(:ChangeListLine, ines, { ref: oil, note: "any" }, envelope: late(1_000))
    expect(older["unsettled"]).to eq(["Tomas changed it later."])
    expect(line(oil)).to have_attributes(note: "the blue can", changed_by: "Tomas")
  end

  it "takes a tick that arrives after everybody is home: it waits to be put away" do
    oil = add(ines, "lamp oil for the shed")
    trip = act(:BeginShopping, ines, {})["shopping_id"]
    act(:EndShopping, ines, { shopping_id: trip })
    expect(line(oil)).to have_attributes(status: "open", shopping_id: nil)
    act(:MarkListLine, tomas, { ref: oil, status: "ticked" }, envelope: late(3_000))
    expect(inside(ines) { |house| house.shopping.bought.map(&:ref) }).to eq([oil])
  end

  it "takes what two people tick by one name for one line that both ticked, and asks anew once it is put away" do
    act(:SetWant, ines, { food_id: food_id(ines, "honey"), par: "400" })
    named = { ref: "food7on20261124", food_id: food_id(ines, "honey"), reckoned: true, ticked: true }
    [ines, tomas, tomas].each { |who| act(:AddListLine, who, named) }
    bought = -> { inside(ines) { |house| house.shopping.bought } }
    expect(bought.().map { |one| [one.source, one.ticks.size] }).to eq([["list", 2]])
    act(:PutAwayBought, ines, { without: [named[:ref]] })
    again = act(:AddListLine, tomas, named)
    expect(again["ref"]).not_to eq(named[:ref])
    expect(bought.().map(&:ref)).to eq([again["ref"]])
  end

  it "takes in one line once, however often its letter comes" do
    ref = SecureRandom.hex(8)
    2.times { act(:AddListLine, ines, { ref: ref, text: "soap flakes in the blue box" }, key: "letter-#{ref}") }
    expect(inside(ines) { |house| house.shopping.waiting.count { |one| one.ref == ref } }).to eq(1)
  end

  it "asks for the rest while something is in the basket, and for nothing that is" do
    tell = ->(par) { act(:SetWant, ines, { food_id: food_id(ines, "honey"), par: par }) }
    tell.("400")
    trip = act(:BeginShopping, ines, {})["shopping_id"]
    ref = inside(ines) { |house| house.shopping.of(trip).first.ref }
    mark(ines, ref, "ticked")
    asked = -> { at_work(ines) { |work| NutShelf::Desk::ShoppingList.new(work).lines.map { |one| one.gets.sum(0r, &:grams) } } }
    expect(asked.()).to eq([])
    tell.("1400")
    bought = line(ref).packs.sum { |pack| pack["count"] * pack["amount"].to_i }
    expect(asked.()).to eq([1400r - bought])
  end

  it "asks for enough where a dish that does without would take what is bought for another" do
    { "melon-ham-plate" => 0, "greek-style-salad" => 4 }.each do |key, days|
      recipe = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == key }.first }
      act(:PlanMeal, ines, { recipe_id: recipe, on: (today + days).iso8601, servings: "3" })
    end
    at_work(ines) do |work|
      expect(ListPromises.faults(work)).to be_empty
      olives = NutShelf::Desk::ShoppingList.new(work).lines.find { |line| line.food.key == "olives" }
      expect(olives.gets.sum(&:grams)).to be > 160
    end
  end

  it "asks for a dish's own food where the leftovers it was to take are eaten up" do
    id, line, made = leftovers_dish
    choices = { line.food_key => made }
    act(:PlanMeal, ines, { recipe_id: id, on: (today + 2).iso8601, servings: "2", choices: choices })
    at_work(ines) do |work|
      list = NutShelf::Desk::ShoppingList.new(work)
      expect(list.not_sold).to be_empty
      expect(list.lines.map { |one| one.food.key }).to include(line.food_key)
      expect(ListPromises.faults(work)).to be_empty
    end
  end

  # A dish of which a line may be served by something made at home.
  def leftovers_dish
    made, dishes = inside(ines) do |house|
      [house.foods.all.select { |food| food.aisle == "Home leftovers" }.map(&:key), house.recipes.values]
    end
    found = dishes.flat_map { |id, recipe| recipe.lines.reject(&:optional).map { |line| [id, line] } }
    found.filter_map { |id, line| (key = (line.substitutes.keys & made).first) && [id, line, key] }.first
  end
end
