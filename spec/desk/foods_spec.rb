# frozen_string_literal: true

require_relative "../support/house"

# Foods are made, put right, let into one another and put out of sight.
RSpec.describe "Foods of a household" do
  include HouseSupport

  let(:ines) { household! }
  let(:relish) { act(:AddFood, ines, { name: "Aunt's relish", like_food_id: food_id(ines, "chutney") })["food_id"] }

  def row(id) = inside(ines) { |house| house.foods.find(id) }

  def undo(done) = act(:Undo, ines, { act_id: done["act_id"] })

  def stack_of(id, **more)
    act(
      :PutAway,
      ines,
      { food_id: id, place_id: place_id(ines, "cupboard"), count: "2", amount: "300", unit: "g", **more }
    )[
      "lot_id"
    ]
  end

  def read(text)
    services.database.within(ines.household_id) do |db|
      NutShelf::Desk::HouseholdLexicon.new(NutShelf::Desk::UnitOfWork.new(services, ines, db)).reader.read(text,
        today: clock.today)
    end
  end

  it "renames a food of ours, finds it by its new names, and undoes it" do
    done = act(:ChangeFood, ines, { food_id: relish, name: "Tomato relish", nicknames: ["aunties"] })
    expect(row(relish)).to have_attributes(name: "Tomato relish", search_text: "tomato relish aunties")
    expect(read("2 jars aunties").food).to eq(row(relish).key)
    undo(done)
    expect(row(relish).name).to eq("Aunt's relish")
  end

  it "leaves a food of the tables its name, its kind and its allergens" do
    milk = food_id(ines, "whole-milk")
    [{ name: "Moo" }, { like_food_id: relish }, { allergens: [] }].each do |change|
      expect { act(:ChangeFood, ines, { food_id: milk, **change }) }.to raise_error(NutShelf::Desk::Invalid)
    end
    act(:ChangeFood, ines, { food_id: milk, nicknames: ["moo juice"], allergens: %w[milk soya] })
    expect(read("1 l moo juice").food).to eq("whole-milk")
    expect(row(milk).allergens).to eq(%w[milk soya])
  end

  it "dates anew what is kept like another food, and back by undo" do
    id = stack_of(relish)
    before = lot(ines, id).usable_until
    done = act(:ChangeFood, ines, { food_id: relish, like_food_id: food_id(ines, "honey") })
    expect(lot(ines, id).usable_until).not_to eq(before)
    undo(done)
    expect(lot(ines, id).usable_until).to eq(before)
  end

  it "refuses a stale save with what it says now" do
    act(:ChangeFood, ines, { food_id: relish, version: 1, g_per_ml: "1.1" })
    expect { act(:ChangeFood, ines, { food_id: relish, version: 1, g_per_ml: "1.2" }) }.to raise_error(
      NutShelf::Desk::Conflict
    ) { |error| expect(error.details[:current][:g_per_ml]).to eq("1.1") }
    expect { act(:ChangeFood, ines, { food_id: relish, g_per_ml: "0" }) }.to raise_error(
      NutShelf::Desk::Invalid,
      /above zero/
    )
  end

  it "learns the packs it comes in" do
    act(:ChangeFood, ines, { food_id: relish, packs: [{ amount: "280", unit: "g" }] })
    expect(inside(ines) { |house| house.packs.by_food([relish])[relish].map { |pack| pack.amount.to_i } }).to eq(
      [280]
    )
    expect { act(:ChangeFood, ines, { food_id: relish, packs: [{ amount: "280", unit: "g" }] }) }.to raise_error(
      NutShelf::Desk::Conflict,
      /already/
    )
  end

  it "lets a food of ours go into another with stacks, names and what it holds, and undoes all of it" do
    act(:ChangeFood, ines, { food_id: relish, allergens: ["sesame"] })
    id = stack_of(relish)
    before = lot(ines, id).slice(:food_id, :usable_until, :label)
    chutney = food_id(ines, "chutney")
    done = act(:MergeFood, ines, { food_id: relish, into_food_id: chutney })
    expect(lot(ines, id)).to have_attributes(food_id: chutney, label: "Aunt's relish")
    expect(row(relish)).to have_attributes(merged_into_id: chutney)
    expect(read("1 jar aunt's relish").food).to eq("chutney")
    expect(row(chutney).allergens).to include("sesame")
    undo(done)
    expect(lot(ines, id).slice(:food_id, :usable_until, :label)).to eq(before)
    expect(row(relish)).to have_attributes(merged_into_id: nil, archived_at: nil)
    expect(row(chutney).nicknames).to eq([])
  end

  it "takes along what named it: bags of one's own, meals of trips, boxes, the season" do
    chutney = food_id(ines, "chutney")
    act(:KeepBag, ines, { name: "Bag", lines: [{ food_id: relish, amount: "30" }] })
    trip = act(:KeepTrip, ines, { name: "Ride", leaves_on: "2027-04-05", back_on: "2027-04-06" })["trip_id"]
    act(:SetTripMeal, ines, { trip_id: trip, on: "2027-04-05", meal: "dinner", kind: "food", dish: row(relish).key,
                              grams: "30" })
    box = place_id(ines, "cupboard")
    { relish => 2, chutney => 1 }.each do |id, packs|
      act(:SetBoxWant, ines, { place_id: box, food_id: id, packs: packs })
    end
    act(:PlanSeason, ines, { process: "drying", cut: "apples", weekly: "50", harvest_on: "2027-09-01",
                             next_harvest_on: "2028-09-01", food_ids: [relish] })
    told = lambda do
      inside(ines) do |house|
        [house.own_bags.all.flat_map { |one| one.lines.map { |line| line["food_key"] } },
         house.trips.meals(trip).map(&:dish), house.season.all.flat_map(&:food_ids),
         house.trips.box_wants(box).to_h { |one| [one.food_id, one.packs] }]
      end
    end
    before = told.call
    done = act(:MergeFood, ines, { food_id: relish, into_food_id: chutney })
    expect(told.call).to eq([["chutney"], ["chutney"], [chutney], { chutney => 3 }])
    undo(done)
    expect(told.call).to eq(before)
  end

  it "lets no food go where it cannot" do
    chutney = food_id(ines, "chutney")
    { chutney => relish, relish => relish }.each do |from, into|
      expect { act(:MergeFood, ines, { food_id: from, into_food_id: into }) }.to raise_error(NutShelf::Desk::Error)
    end
    expect { act(:MergeFood, ines, { food_id: relish, into_food_id: food_id(ines, "eggs") }) }.to raise_error(
      NutShelf::Desk::Conflict,
      /not counted alike/
    )
  end

  it "puts a food out of sight when nothing is kept of it, and lets its name be used again" do
    id = stack_of(relish)
    expect { act(:ArchiveFood, ines, { food_id: relish }) }.to raise_error(NutShelf::Desk::Conflict, /on the shelf/)
    act(:Throw, ines, { lot_id: id, outcome: "binned", why: "turned" })
    done = act(:ArchiveFood, ines, { food_id: relish })
    expect(inside(ines) { |house| house.foods.all.map(&:id) }).not_to include(relish)
    undo(done)
    expect(inside(ines) { |house| house.foods.all.map(&:id) }).to include(relish)
    act(:ArchiveFood, ines, { food_id: relish })
    expect(act(:AddFood, ines, { name: "Aunt's relish", like_food_id: food_id(ines, "chutney") })["food_id"]).not_to eq(
      relish
    )
  end

  it "is the keeper's to do" do
    helper = joined(household!, "helper")
    id = food_id(helper, "honey")
    [
      [:ChangeFood, { food_id: id, nicknames: ["sweet"] }],
      [:MergeFood, { food_id: id, into_food_id: id }],
      [:ArchiveFood, { food_id: id }]
    ].each { |name, input| expect { act(name, helper, input) }.to raise_error(NutShelf::Desk::Forbidden) }
  end
end
