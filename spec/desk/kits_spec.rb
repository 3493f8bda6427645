# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/kits/closing_book"
require_relative "../../desk/kits/kit_book"
require_relative "../../desk/kits/laying_out"
require_relative "../../desk/kits/lasting"
require_relative "../../desk/kits/refresh_book"

RSpec.describe "Kits of a household" do
  include HouseSupport

  let(:ines) { household!(people: 2) }
  let(:kit) { act(:SetKit, ines, { name: "Ferry box", days: 2, gear: "burner", refresh_days: ["12-12"] })["kit_id"] }

  def kits = NutShelf::Desk::Kits

  def tins(key = "canned-chickpeas", place: "cupboard", until_on: "2029-06-30", count: "6", **said)
    put_away(ines, key, place, count: count, printed_on: until_on, printed_kind: "best_before", **said)["lot_id"]
  end

  def book(id = kit)
    at_work(ines) { |work| yield kits::KitBook.new(work, work.house.kits.find(id)), work }
  end

  def gap(line) = book { |one| one.lines.find { |row| row.line == line }.gap }

  def reasons = book { |one| one.pages.to_h { |page| [page.stock.stack.id, page.reason] } }

  it "counts what is set apart for it and what stands in its boxes, and nothing else" do
    shelf = tins
    box = act(:AddPlace, ines, { name: "Box 1", kind: "cupboard", tier: "set_apart" })["place_id"]
    act(:ChangePlace, ines, { place_id: box, kit_id: kit, kit_box: 1 })
    stew = tins("canned-beef-stew")
    act(:Move, ines, { lot_id: stew, place_id: box, amount: "800" })
    expect(book { |one| one.pages.map { |page| [page.stock.supply.food.key, page.stock.supply.packs] } })
      .to eq([["canned-beef-stew", 2]])
    act(:CloseGap, ines, { kit_id: kit, fetch: true, buy: "none" })
    expect(reasons.keys).to include(shelf)
  end

  it "counts no more than is there when hands took what was set apart, who set apart first first" do
    shelf = tins
    other = act(:SetKit, ines, { name: "Boat box", days: 2, gear: "burner" })["kit_id"]
    [[kit, "4"], [other, "2"]].each do |id, packs|
      inside(ines) do |house|
        house.records.add("reservation", { lot_id: shelf, kit_id: id, amount: packs.to_r * 400, holder: "box" })
      end
    end
    packs = -> { [kit, other].map { |id| book(id) { |one| one.pages.sum { |page| page.stock.supply.packs } } } }
    expect(packs.call).to eq([4, 2])
    act(:Take, ines, { lot_id: shelf, amount: "800" })
    expect(packs.call).to eq([4, 0])
  end

  it "says why something in it does not count" do
    box = act(:AddPlace, ines, { name: "Box 1", kind: "cupboard", tier: "set_apart" })["place_id"]
    act(:ChangePlace, ines, { place_id: box, kit_id: kit, kit_box: 1 })
    put = lambda do |key, **said|
      act(:PutAway, ines,
        { food_id: food_id(ines, key), place_id: box, count: "1", amount: "400", unit: "g", **said })["lot_id"]
    end
    early = put.call("crackers", printed_on: "2026-12-20", printed_kind: "best_before")
    rice = put.call("white-rice", printed_on: "2029-01-01", printed_kind: "best_before")
    good = put.call("canned-peaches", printed_on: "2029-01-01", printed_kind: "best_before")
    expect(reasons).to eq(early => :early, rice => :heat, good => :counts)
  end

  it "reckons with what people say of themselves, and says what stands in" do
    first = inside(ines) { |house| house.household.people.first }
    act(:ChangePerson, ines, { person_id: first.id, age: 9, kg: "31.5" })
    at_work(ines) do |work|
      known = kits::Who.new(work).known.find { |one| one.row.id == first.id }
      expect([known.person.age, known.person.kg, known.stands_in]).to eq([9, 31.5r, []])
      expect(kits::Who.new(work).known.last.stands_in).to eq(%i[age sex kg])
    end
  end

  it "lets an age grow by itself, and takes the same age for no news" do
    first = inside(ines) { |house| house.household.people.first }
    act(:ChangePerson, ines, { person_id: first.id, age: 9 })
    HouseSupport.clock.day = HouseSupport::TODAY + 400
    row = inside(ines) { |house| house.household.people.first }
    expect(kits::Who.age(row, HouseSupport::TODAY + 400)).to eq(10)
    expect { act(:ChangePerson, ines, { person_id: first.id, age: 10 }) }.to raise_error(NutShelf::Desk::Conflict)
    born = row.with(born_on: Date.new(2010, 11, 25))
    expect([HouseSupport::TODAY, HouseSupport::TODAY + 1].map { |on| kits::Who.age(born, on) }).to eq([15, 16])
  ensure
    HouseSupport.clock.day = HouseSupport::TODAY
  end

  describe "closing the gap" do
    it "sets whole packs of the own shelf apart, those that keep longest, and lists the rest with its day" do
      tins(count: "2", price_minor: 200)
      before = gap("protein")
      done = act(:CloseGap, ines, { kit_id: kit, fetch: true, buy: "all" })
      expect(done["fetched"]).to be >= 2
      expect(gap("protein")).to be < before
      lines = inside(ines) { |house| house.shopping.waiting }
      expect(lines.flat_map(&:reasons).uniq).to eq([{ "kind" => "kit", "kit_id" => kit, "name" => "Ferry box" }])
      expect(lines.map(&:note).uniq).to eq(["Good until 11 Jan 2027 or later"])
    end

    it "counts what is on the list already, so that nothing is bought twice" do
      act(:CloseGap, ines, { kit_id: kit, fetch: true, buy: "all" })
      expect { act(:CloseGap, ines, { kit_id: kit, fetch: true, buy: "all" }) }
        .to raise_error(NutShelf::Desk::Conflict, /nothing to do/)
    end

    it "buys the next step of the budget, and never more than the purse" do
      act(:SetKit, ines, { kit_id: kit, budget_minor: 500 })
      act(:CloseGap, ines, { kit_id: kit, fetch: false, buy: "step" })
      cost = inside(ines) { |house| house.shopping.waiting.sum(&:cost_minor) }
      expect(cost).to be_between(1, 500)
    end

    it "leaves what meals are to draw" do
      lot = tins(count: "1")
      inside(ines) do |house|
        recipe = house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first
        act(:PlanMeal, ines, { recipe_id: recipe, on: (HouseSupport::TODAY + 1).iso8601 })
      end
      book do |one, work|
        planned = NutShelf::Desk::Plan.new(work).dishes.values.flat_map(&:lines).flat_map(&:picks)
        expect(planned.map { |pick| pick.stack.id }).to include(lot)
        expect(kits::ClosingBook.new(work, one).closed.fetched.keys.map(&:id)).not_to include(lot)
      end
    end

    it "offers nothing that somebody who is short may not eat" do
      inside(ines) do |house|
        house.household.people.each do |row|
          act(:ChangePerson, ines, { person_id: row.id, excludes: %w[fish meat animal] })
        end
      end
      book do |one, work|
        offers = kits::ClosingBook.new(work, one).closed.bought.map { |bought| bought.offer.food }
        expect(offers).not_to be_empty
        expect(offers.flat_map(&:animal_kinds)).to be_empty
      end
    end

    it "keeps for the kit what was bought for it" do
      act(:CloseGap, ines, { kit_id: kit, fetch: false, buy: "all" })
      water = food_id(ines, "bottled-water")
      line = inside(ines) { |house| house.shopping.waiting.find { |one| one.food_id == water } }
      act(:MarkListLine, ines, { ref: line.ref, status: "ticked" })
      stack = { ref: line.ref, food_id: water, place_id: place_id(ines, "cupboard"), count: "2", amount: "5000",
                unit: "ml", printed_on: "2029-01-31", printed_kind: "best_before" }
      lot = act(:PutAwayBought, ines, { stacks: [stack] })["lot_ids"].first
      held = inside(ines) { |house| house.reservations.of_lot(lot, HouseSupport::TODAY).first }
      expect([held.kit_id, held.amount, held.holder]).to eq([kit, 10_000, "Ferry box"])
      expect(reasons).to include(lot => :counts)
    end
  end

  it "gives what was set apart back when the kit is given up, and all of it returns by an undo" do
    tins
    act(:CloseGap, ines, { kit_id: kit, fetch: true, buy: "none" })
    held = -> { inside(ines) { |house| house.reservations.all(HouseSupport::TODAY).size } }
    before = held.call
    gone = act(:SetKit, ines, { kit_id: kit, gone: true })
    expect([before.positive?, held.call]).to eq([true, 0])
    act(:Undo, ines, { act_id: gone["act_id"] })
    expect(held.call).to eq(before)
  end

  it "takes a deep pantry for all that is free and reaches the end of its days" do
    deep = act(:SetKit, ines, { name: "Pantry", days: 7, school: "deep_pantry" })["kit_id"]
    long = tins
    tins("canned-peaches", until_on: "2026-12-20")
    expect(book(deep) { |one| one.pages.to_h { |page| [page.stock.stack.id, page.reason] } })
      .to include(long => :counts).and have_attributes(size: 2)
    expect(book(deep) { |one, _| one.must_reach }).to eq(HouseSupport::TODAY + 37)
  end

  describe "the floor of a deep pantry" do
    let!(:deep) { act(:SetKit, ines, { name: "Pantry", days: 2, school: "deep_pantry" })["kit_id"] }
    let!(:beans) { tins("baked-beans", count: "8") }

    it "refuses what would leave too little, names the line, and lets whoever says why" do
      taken = { lot_id: beans, amount: "1600" }
      expect { act(:Take, ines, taken) }.to raise_error(NutShelf::Desk::Conflict, /Pantry must hold: \w/)
      done = act(:Take, ines, { **taken, despite: "guests came" })
      expect(done["summary"]).to end_with("below the floor of Pantry: guests came")
      expect(lot(ines, beans).on_hand).to eq(1600)
    end

    it "lets go what is above it, and what counts for nothing anyway" do
      more = tins("baked-beans", count: "60", until_on: "2029-07-31")
      expect { act(:Take, ines, { lot_id: more, amount: "400" }) }.not_to raise_error
      soon = tins("canned-peaches", until_on: "2026-12-01", count: "1")
      expect { act(:Take, ines, { lot_id: soon }) }.not_to raise_error
    end
  end

  describe "a refresh" do
    let(:box) { act(:AddPlace, ines, { name: "Box 1", kind: "cupboard", tier: "set_apart" })["place_id"] }
    let(:dated) { ->(on) { { printed_on: on, printed_kind: "best_before" } } }

    def boxed(key, on, count: "2")
      act(:ChangePlace, ines, { place_id: box, kit_id: kit, kit_box: 1 }) unless @named
      @named = true
      act(:PutAway, ines, { food_id: food_id(ines, key), place_id: box, count: count, amount: "400", unit: "g",
                            **dated.call(on) })["lot_id"]
    end

    def plan(&block)
      book { |one, work| kits::RefreshBook.new(work, one).plan.then(&block) }
    end

    it "tells what stays, leaves, is fetched and bought, and moves one thing at a touch" do
      stays = boxed("canned-peaches", "2029-01-31")
      due = boxed("canned-chickpeas", "2027-02-28")
      over = boxed("canned-beef-stew", "2026-12-01", count: "1")
      shelf = tins("canned-chickpeas", until_on: "2029-03-31", count: "1")
      expect(plan { |found| [found.stay, found.kitchen.map(&:stack), found.look].map { |list| list.map(&:id) } })
        .to eq([[stays], [due], [over]])
      expect(plan { |found| [found.fetch.transform_keys(&:id), found.buy.values.sum] }).to eq([{ shelf => 1 }, 2])
      before = lot(ines, due).usable_until
      act(:RefreshKit, ines, { kit_id: kit, take_out: due })
      out = lot(ines, due)
      expect([out.place_id, out.usable_until]).to eq([place_id(ines, "cupboard"), before])
      into = act(:RefreshKit, ines, { kit_id: kit, put_in: shelf, packs: 1 })
      expect(lot(ines, into["lot_id"]).place_id).to eq(box)
      act(:RefreshKit, ines, { kit_id: kit, done: true })
      expect(inside(ines) { |house| house.kits.find(kit).refreshed_on }).to eq(HouseSupport::TODAY)
    end

    it "frees what was only set apart, and refuses what is none of it" do
      lot = tins(until_on: "2027-02-28", count: "1")
      act(:RefreshKit, ines, { kit_id: kit, put_in: lot })
      expect(reasons).to include(lot)
      act(:RefreshKit, ines, { kit_id: kit, take_out: lot })
      expect(reasons).to be_empty
      expect { act(:RefreshKit, ines, { kit_id: kit, take_out: lot }) }.to raise_error(NutShelf::Desk::Conflict)
      expect { act(:RefreshKit, ines, { kit_id: kit, put_in: lot, packs: 2 }) }.to raise_error(NutShelf::Desk::Conflict)
    end
  end

  it "lays out what counts as a menu and in boxes, each pack once" do
    %w[canned-chickpeas canned-beef-stew canned-peaches].each { |key| tins(key) }
    act(:CloseGap, ines, { kit_id: kit, fetch: true, buy: "none" })
    book do |one, work|
      laid = kits::LayingOut.new(work, one)
      expect(laid.menu.meals.size).to eq(6)
      packs = one.counted.sum { |page| page.stock.supply.packs }
      expect(laid.dealt.boxes.sum { |box| box.packets.size }).to eq(packs)
    end
  end

  it "lasts no shorter with more of anything, and does not count what nobody may eat any more" do
    dated = { printed_on: "2027-06-30", printed_kind: "best_before" }
    water = -> { put_away(ines, "bottled-water", "cupboard", count: "4", amount: "5000", unit: "ml", **dated) }
    tins(count: "20")
    water.call
    lasting = -> { at_work(ines) { |work| kits::Lasting.new(work).then { |one| [one.columns, one.one_more] } } }
    first, more = lasting.call
    expect(more.values.map(&:person_days)).to all(be >= first["dark_dry"].person_days)
    expect(first["all"].days).to be >= first["dark"].days
    water.call
    tins("canned-beef-stew", count: "20")
    second, = lasting.call
    second.each { |name, found| expect(found.person_days).to be >= first[name].person_days }
    stop = tins("canned-lentils", count: "40")
    act(:Quarantine, ines, { lot_ids: [stop], reason: "recall" })
    expect(lasting.call.first["all"].food_days).to eq(second["all"].food_days)
  end

  it "refuses a kit of nobody, of a day that is none, and one that changed meanwhile" do
    expect { act(:SetKit, ines, { name: " ", days: 3 }) }.to raise_error(NutShelf::Desk::Invalid, /no name/)
    expect { act(:SetKit, ines, { name: "A", days: 3, people: [] }) }.to raise_error(NutShelf::Desk::Invalid, /nobody/)
    expect { act(:SetKit, ines, { name: "A", days: 3, people: [-1] }) }.to raise_error(NutShelf::Desk::Invalid)
    expect { act(:SetKit, ines, { name: "A", days: 3, refresh_days: ["04-31"] }) }.to raise_error(NutShelf::Desk::Invalid)
    act(:SetKit, ines, { kit_id: kit, version: 1, days: 5 })
    expect { act(:SetKit, ines, { kit_id: kit, version: 1, days: 6 }) }.to raise_error(NutShelf::Desk::Conflict)
  end
end
