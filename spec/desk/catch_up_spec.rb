# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/catch_up"

RSpec.describe NutShelf::Desk::CatchUp do
  let(:ines) { household! }
  let(:tin) do
    put_away(ines, "canned-chickpeas", "cupboard", printed_on: "2028-05-31", printed_kind: "best_before")["lot_id"]
  end

  def forget(**columns)
    tin
    inside(ines) do |house|
      house.lots.update(tin, **columns)
      house.household.update(dated_by: 0)
    end
  end

  it "dates stacks anew that older rules had dated, once" do
    forget(usable_until: Date.new(2099, 1, 1), quality_until: nil, strict_until: nil)
    expect(described_class.new(services).household(ines.household_id)).to eq(1)
    expect(lot(ines, tin)).to have_attributes(usable_until: Date.new(2028, 5, 31), strict_until: Date.new(2028, 5, 31))
    forget_nothing = described_class.new(services).household(ines.household_id)
    expect(forget_nothing).to eq(0)
  end

  it "brings in what was shipped since the household was made, once, and lets it be found" do
    shipped = Struct.new(:foods) { def home_class?(_key) = false }
    food = services.catalog.food("cider").with(key: "perry", name: "Perry")
    later = shipped.new(services.catalog.foods.merge("perry" => food))
    added = Array.new(2) { inside(ines) { |house| house.foods.take_in(later, { "perry" => "perry pear cider" }) } }
    expect(added).to eq([1, 0])
    expect(inside(ines) { |house| house.foods.search("perry", limit: 3).map(&:name).first }).to eq(
      "Perry"
    )
    expect(described_class.new(services).household(ines.household_id)).to eq(0)
  end

  it "gives a dish that was put right a further version, and leaves what was planned as it was" do
    meal = act(:PlanMeal, ines, { recipe_id: dish.first, on: HouseSupport::TODAY.iso8601 })["meal_id"]
    right = services.catalog.recipes.map { |one| one.key == "two-bean-chilli" ? one.with(active_minutes: 99) : one }
    taken = Array.new(2) { inside(ines) { |house| house.recipes.take_in(right, house.foods.ids_by_key) } }
    expect(taken).to eq([1, 0])
    versions = inside(ines) { |house| house.recipes.values.values.select { |one| one.key == "two-bean-chilli" } }
    told = versions.map { |one| [one.version, one.active_minutes == 99, one.followed] }
    expect(told).to contain_exactly([1, false, true], [2, true, false])
    offered = at_work(ines) { |work| NutShelf::Desk::Plan.new(work).ranked(HouseSupport::TODAY).map(&:id) }
    expect(offered).to include(dish.first).and(satisfy { |ids| ids.uniq.size == services.catalog.recipes.size })
    planned = at_work(ines) { |work| NutShelf::Desk::Plan.new(work).dish(meal).recipe }
    expect(planned).to have_attributes(version: 1, active_minutes: versions.find { |one|
      one.version == 1
    }.active_minutes)
  end

  it "finds every shipped dish as it was shipped, so that none gets a version for nothing" do
    expect(inside(ines) { |house| house.recipes.take_in(services.catalog.recipes, house.foods.ids_by_key) }).to eq(0)
  end

  it "lets nobody change a dish" do
    expect { inside(ines) { |house| house.db[:recipes].where(id: dish.first).update(name: "Other") } }.to raise_error(
      Sequel::DatabaseError, /permission denied/
    )
  end

  # The latest version of one dish, with its id.
  def dish
    inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" && !one.followed } }
  end

  # Of the many households the specs have made, two are enough to go through.
  it "covers every household" do
    others = household!
    printed = { printed_on: "2028-05-31", printed_kind: "best_before" }
    beans = put_away(others, "canned-chickpeas", "cupboard", **printed)["lot_id"]
    forget(usable_until: nil)
    inside(others) do |house|
      house.lots.update(beans, usable_until: nil)
      house.household.update(dated_by: 0)
    end
    every = services.database.outside { |db| NutShelf::Store::Households.ids(db) }
    both = [ines, others].map(&:household_id)
    expect(every).to include(*both)
    allow(NutShelf::Store::Households).to receive(:ids).and_return(both)
    expect(described_class.new(services).call).to eq(2)
    expect([lot(ines, tin), lot(others, beans)].map(&:usable_until)).to eq([Date.new(2028, 5, 31)] * 2)
  end
end
