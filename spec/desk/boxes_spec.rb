# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/trips/box_book"
require_relative "../../desk/trips/box_ideas"

# A box that stands in the car for a year.
RSpec.describe "Standing boxes" do
  let(:ines) { household! }
  let(:refused) { NutShelf::Desk::Error }
  let(:car) { @car ||= act(:AddPlace, ines, { name: "Car box", kind: "cupboard", low_c: -4, high_c: 34 })["place_id"] }
  let(:cupboard) { place_id(ines, "cupboard") }

  before { clock.day = Date.new(2027, 3, 1) }

  def packs(key, count, printed, place, amount = "400")
    put_away(ines, key, "cupboard", place_id: place, count: count.to_s, amount: amount, printed_on: printed,
      printed_kind: "best_before")["lot_id"]
  end

  def want(key, number) = act(:SetBoxWant, ines, { place_id: car, food_id: food_id(ines, key), packs: number })

  def book
    services.database.within(ines.household_id) do |db|
      work = NutShelf::Desk::UnitOfWork.new(services, ines, db)
      yield NutShelf::Desk::Trips::BoxBook.new(work, work.place(car))
    end
  end

  def stew
    {
      old: packs("canned-beef-stew", 4, "2028-08-31", car), new: packs("canned-beef-stew", 2, "2029-08-31", car),
      s: packs("canned-beef-stew", 2, "2028-10-31", cupboard), u: packs("canned-beef-stew", 3, "2029-02-28", cupboard)
    }
  end

  it "takes out what does not reach the next year in the heat, fetches what does, in one act that undoes" do
    ids = stew
    want("canned-beef-stew", 6)
    book do |told|
      expect([told.box.must_reach, told.box.half_year_check]).to eq([Date.new(2028, 3, 31), Date.new(2027, 9, 1)])
      done = told.lines.first.refreshed
      expect([done.stays, done.out.map { |one| [one.id, one.count] }, done.in, done.buy, done.will_freeze]).to eq(
        [2, [[ids[:old], 4]], { ids[:s] => 2, ids[:u] => 2 }, 0, true]
      )
    end
    done = act(:RefreshBox, ines, { place_id: car })
    there = inside(ines) { |house| house.lots.of_food(food_id(ines, "canned-beef-stew"), []) }
    sums = there.group_by(&:place_id).transform_values do |list|
      list.sum do |one|
        (one.on_hand / one.pack_amount).to_i
      end
    end
    expect(sums).to eq(car => 6, cupboard => 5)
    expect { act(:RefreshBox, ines, { place_id: car }) }.to raise_error(refused, /Nothing has to come out/)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(lot(ines, ids[:old]).place_id).to eq(car)
  end

  it "says what to buy with which date, and has what has no date come out" do
    packs("crackers", 3, "2027-08-15", car, "200")
    kept = packs("crackers", 1, "2028-12-31", cupboard, "200")
    want("crackers", 3)
    book do |told|
      done = told.lines.first.refreshed
      expect([done.stays, done.out.map(&:eat_by), done.in, done.buy, done.buy_dated]).to eq(
        [0, [Date.new(2027, 8, 15)], { kept => 1 }, 2, Date.new(2028, 10, 15)]
      )
    end
  end

  it "names other food that one eats up at one sitting, that nobody dislikes and everybody may have" do
    ideas = -> { at_work(ines) { |work| NutShelf::Desk::Trips::BoxIdeas.new(work).call(freezes: true) } }
    found = ideas.call
    expect(found.map(&:kcal)).to all(be <= 1000)
    expect(found.map { |one| one.food.key }.grep(/powder/)).to be_empty
    expect(found.map { |one| one.food.freezing_damage }).to all(be(false))
    first = found.first.food.key
    act(:AddPerson, ines, { name: "Aunt", dislikes: [first] })
    expect(ideas.call.map { |one| one.food.key }).not_to include(first)
  end

  it "takes other food instead, so many packs fewer of the first, in one act that undoes" do
    want("crackers", 3)
    wants = -> { inside(ines) { |house| house.trips.box_wants(car).to_h { |one| [one.food_id, one.packs] } } }
    swap = { place_id: car, food_id: food_id(ines, "cereal-bars"), instead_of: food_id(ines, "crackers") }
    done = act(:SetBoxWant, ines, { **swap, packs: 2 })
    expect(wants.call).to eq(food_id(ines, "crackers") => 1, food_id(ines, "cereal-bars") => 2)
    act(:SetBoxWant, ines, { **swap, packs: 1 })
    expect(wants.call).to eq(food_id(ines, "cereal-bars") => 3)
    expect { act(:SetBoxWant, ines, { **swap, packs: 1 }) }.to raise_error(refused, /not wanted here/)
    expect { act(:Undo, ines, { act_id: done["act_id"] }) }.to raise_error(refused)
  end

  it "wants what was said last, and refuses a box of which nobody said what it holds" do
    expect { act(:RefreshBox, ines, { place_id: car }) }.to raise_error(refused, /Nobody said/)
    want("crackers", 3)
    want("crackers", 1)
    expect(inside(ines) { |house| house.trips.box_wants(car).map(&:packs) }).to eq([1])
    want("crackers", 0)
    expect(inside(ines) { |house| house.trips.box_wants(car) }).to be_empty
  end
end
