# frozen_string_literal: true

require_relative "../support/trips"
require_relative "../../desk/trips/packing_list"

# A bag that a household put together itself is filled again, and taken along.
RSpec.describe "Bags of one's own" do
  include TripSupport

  let(:ines) { household!(people: 2) }
  let(:refused) { NutShelf::Desk::Error }
  let(:cupboard) { place_id(ines, "cupboard") }

  before do
    clock.day = Date.new(2027, 3, 20)
    { "couscous" => %w[1000 300], "walnuts" => %w[200 400], "dried-onion" => %w[100 250] }.each do |key, (grams, price)|
      put_away(ines, key, "cupboard", amount: grams, price_minor: price.to_i, printed_on: "2027-12-31",
        printed_kind: "best_before")
    end
  end

  def lines(**grams) = grams.map { |key, g| { food_id: food_id(ines, key.to_s.tr("_", "-")), amount: g.to_s } }

  def keep(**more)
    act(:KeepBag, ines, {
      name: "Quay couscous", lines: lines(couscous: 80, walnuts: 20, dried_onion: 5), meal: "dinner", water_ml: 170,
      water_heat: "boil", stand_minutes: 6, **more
    })
  end

  def own = inside(ines) { |house| house.own_bags.all }

  def trip
    @trip ||= act(:KeepTrip, ines, { name: "Cliffs", leaves_on: "2027-03-21", back_on: "2027-03-22" })["trip_id"]
  end

  it "are filled like those of the tables, and counted by the shelf" do
    keep
    done = act(:AssembleBags, ines, { assembly: own.first.key, count: 20, place_id: cupboard, empty: 50 })
    expect(done["bags"]).to eq(10)
    bags = done["lot_ids"].map { |id| lot(ines, id) }
    expect(bags.sum(&:on_hand)).to eq(10)
    food = inside(ines) { |house| house.foods.by_id([bags.first.food_id]).values.first }
    expect([food.name, food.allergens]).to eq(["Quay couscous", %w[gluten tree-nut]])
  end

  it "go along on a trip: what they need, what stands against them, what of them is packed" do
    keep
    key = own.first.key
    put("2027-03-21", "dinner", "bag", key)
    book do |told|
      entry = told.entries.first
      expect([told.menu.name(entry.choice), entry.faults]).to eq(["Quay couscous", []])
      expect(told.kcal(entry.cell)).to be > 700
    end
    act(:AssembleBags, ines, { assembly: key, count: 2, place_id: cupboard })
    book do |told, work|
      bags = NutShelf::Desk::Trips::PackingList.new(work, told).bags.first
      expect([bags.need, bags.to_fill, bags.takes.sum(&:amount)]).to eq([2, 0, 2])
    end
  end

  it "are refused to whoever may not have something of them, as any dish is" do
    act(:AddPerson, ines, { name: "Aunt", excludes: ["tree-nut"] })
    keep
    people = inside(ines) { |house| house.household.people.map { |one| { person_id: one.id } } }
    act(:KeepTrip, ines, { trip_id: trip, people: people })
    expect { put("2027-03-21", "dinner", "bag", own.first.key) }.to raise_error(refused, /tree/i)
  end

  it "are refused on a trip with what is raw or must be cold in them, closed without air or not" do
    [["chicken-thighs", true], ["ham-sliced", false]].each do |key, low_air|
      put_away(ines, key, "fridge", amount: "400", printed_on: "2027-04-01", printed_kind: "use_by")
      keep(name: key, lines: [{ food_id: food_id(ines, key), amount: "100" }], low_air: low_air)
      dish = own.find { |row| row.name == key }.key
      expect { put("2027-03-21", "dinner", "bag", dish) }.to raise_error(refused, /good until 20 Mar/)
    end
  end

  it "are called and made ready as was said last, and are off the list once taken off, with undo" do
    keep
    row = own.first
    act(:KeepBag, ines, { bag_id: row.id, version: row.version, name: "Cliff couscous", stand_minutes: 10 })
    expect(own.first).to have_attributes(name: "Cliff couscous", stand_minutes: 10, key: row.key, lines: row.lines)
    expect { act(:KeepBag, ines, { bag_id: row.id, version: row.version, gone: true }) }.to raise_error(refused)
    put("2027-03-21", "dinner", "bag", row.key)
    gone = act(:KeepBag, ines, { bag_id: row.id, version: own.first.version, gone: true })
    expect(own).to be_empty
    book { |told| expect(told.entries.map(&:choice)).to eq([nil]) }
    act(:Undo, ines, { act_id: gone["act_id"] })
    expect(own.map(&:name)).to eq(["Cliff couscous"])
  end

  it "have a name of their own, lines, and a packing that is known" do
    keep
    expect { keep }.to raise_error(refused, /already/)
    expect { keep(name: "Tomato couscous with seeds") }.to raise_error(refused, /already/)
    expect { keep(name: "Nothing", lines: []) }.to raise_error(refused)
    expect { keep(name: "Odd", packaging: "sack") }.to raise_error(refused)
    act(:KeepBag, ines, { bag_id: own.first.id, gone: true })
    keep
    expect(own.map(&:key)).to eq(["own-quay-couscous-2"])
  end

  it "are left out while a food of theirs is not known any more" do
    keep
    services.database.within(ines.household_id) do |db|
      db[:own_bags].update(lines: Sequel.pg_jsonb([{ food_key: "own-gone", grams: "80" }]))
    end
    expect(at_work(ines) { |work| work.assemblies.keys.grep(/own-/) }).to be_empty
  end
end
