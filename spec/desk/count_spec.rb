# frozen_string_literal: true

require_relative "../support/house"

RSpec.describe "Counting" do
  let(:ines) { household! }
  let(:cupboard) { place_id(ines, "cupboard") }
  let(:fridge) { place_id(ines, "fridge") }

  def tins(count, key: "canned-chickpeas", kind: "cupboard", **more)
    put_away(
      ines,
      key,
      kind,
      count: count.to_s,
      printed_on: "2028-05-31",
      printed_kind: "best_before",
      price_minor: count * 89,
      **more
    )[
      "lot_id"
    ]
  end

  def start(place = cupboard, who = ines) = act(:StartCount, who, { place_id: place })["count_id"]

  def enter(count, who: ines, **input) = act(:EnterLine, who, { count_id: count, **input })["line_id"]

  def finish(count, **input) = act(:FinishCount, ines, { count_id: count, **input })

  def on_hand(id) = lot(ines, id).on_hand.to_i

  def reasons(act_id)
    inside(ines) do |house|
      house.ledger.movements(act_id).map { |row| [row.quantity.to_i, row.value_minor, row.reason] }
    end
  end

  def balanced = expect(inside(ines) { |house| house.lots.out_of_balance }).to be_empty

  def draft(count, key: "canned-chickpeas", place: fridge, **more)
    { food_id: food_id(ines, key), place_id: place, count: count.to_s, amount: "400", unit: "g", **more }
  end

  it "changes nothing before it is finished, then everything in one act that an undo takes back" do
    less = tins(5)
    same = tins(2, key: "canned-kidney-beans")
    gone = tins(3, key: "canned-sardines")
    count = start
    enter(count, lot_id: less, found: "amount", packs: "3")
    enter(count, lot_id: same, found: "as_expected")
    line = enter(count, lot_id: gone, found: "gone")
    expect([less, same, gone].map { |id| on_hand(id) }).to eq([2000, 800, 1200])
    done = finish(count, reasons: { line.to_s => "given_away" })
    expect(done["summary"]).to eq("Counted Cupboard: 3 stacks, 2 different")
    expect([less, same, gone].map { |id| on_hand(id) }).to eq([1200, 800, 0])
    expect(reasons(done["act_id"])).to contain_exactly([-800, -178, "eaten"], [-1200, -267, "given_away"])
    expect(lot(ines, same).seen_on).to eq(Date.new(2026, 11, 24))
    expect(inside(ines) { |house| house.places.find(cupboard).counted_on }).to eq(Date.new(2026, 11, 24))
    act(:Undo, ines, { act_id: done["act_id"] })
    expect([less, same, gone].map { |id| on_hand(id) }).to eq([2000, 800, 1200])
    expect(lot(ines, same).seen_on).to be_nil
    expect(inside(ines) { |house| [house.places.find(cupboard).counted_on, house.counts.find(count).status] }).to eq(
      [nil, "open"]
    )
    balanced
  end

  it "reckons in what is taken and put away meanwhile" do
    id = tins(5)
    count = start
    enter(count, lot_id: id, found: "amount", packs: "4")
    act(:Take, ines, { lot_id: id })
    tins(2, key: "canned-sardines")
    finish(count)
    expect(on_hand(id)).to eq(1200)
    balanced
  end

  it "never goes below zero, even when everything was taken after the line was entered" do
    id = tins(2)
    count = start
    enter(count, lot_id: id, found: "amount", packs: "1")
    act(:Take, ines, { lot_id: id, amount: "800" })
    expect(finish(count)["differences"]).to eq(0)
    expect(on_hand(id)).to eq(0)
  end

  it "takes the last word about a stack, and takes a line back" do
    id = tins(5)
    count = start
    enter(count, lot_id: id, found: "gone")
    line = enter(count, lot_id: id, found: "amount", packs: "5")
    expect(inside(ines) { |house| house.counts.lines(count).map { |row| row.delta.to_i } }).to eq([0])
    act(:ClearLine, ines, { count_id: count, line_id: line })
    expect(inside(ines) { |house| house.counts.lines(count) }).to be_empty
    expect { act(:ClearLine, ines, { count_id: count, line_id: line }) }.to raise_error(NutShelf::Store::Missing)
  end

  it "counts opened packs by quarters and what is kept by level by eye" do
    honey = put_away(ines, "honey", "cupboard", amount: "450", state: "opened")["lot_id"]
    salt = put_away(ines, "salt", "cupboard", amount: "750")["lot_id"]
    act(:SetLevel, ines, { lot_id: salt, level: "plenty" })
    count = start
    enter(count, lot_id: honey, found: "amount", quarters: 1)
    enter(count, lot_id: salt, found: "level", level: "low")
    done = finish(count)
    expect(lot(ines, honey).on_hand).to eq(BigDecimal("112.5"))
    expect(lot(ines, salt).level).to eq("low")
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(lot(ines, salt).level).to eq("plenty")
  end

  it "makes stacks of what was not expected; what has no date waits for one" do
    count = start
    enter(count, draft: draft(3, place: cupboard))
    enter(
      count,
      draft: draft(2, key: "canned-sardines", place: cupboard, printed_on: "2027-01-31", printed_kind: "best_before")
    )
    done = finish(count)
    made = on_shelf(ines)
    expect(
      made.map { |row| [row.food_key, row.on_hand.to_i, row.usable_until, row.value_minor.positive?] }
    ).to contain_exactly(["canned-chickpeas", 1200, nil, true], ["canned-sardines", 800, Date.new(2027, 1, 31), true])
    expect(made.map(&:acquired_on)).to all(be_nil)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(on_shelf(ines)).to be_empty
    balanced
  end

  it "takes what is missing here and found there as a move, with its date and cost" do
    id = tins(5)
    here = start
    enter(here, lot_id: id, found: "amount", packs: "3")
    finish(here)
    expect(on_hand(id)).to eq(1200)
    there = start(fridge)
    line = enter(there, draft: draft(2))
    counting =
      inside(ines) do |house|
        NutShelf::Desk::Counting
          .new(NutShelf::Desk::UnitOfWork.new(services, ines, house.db), house.counts.find(there))
          .differing
          .first
      end
    expect(counting.candidates.first).to have_attributes(id: id, missing: 800)
    done = finish(there, moves: { line.to_s => id })
    carried = on_shelf(ines).find { |row| row.place_id == fridge }
    expect(carried).to have_attributes(on_hand: 800, value_minor: 178, usable_until: Date.new(2028, 5, 31))
    expect(on_hand(id)).to eq(1200)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(on_shelf(ines).map { |row| [row.place_id, row.on_hand.to_i] }).to eq(
      [[cupboard, 1200]]
    )
    balanced
  end

  it "does not take the same tins away twice when two places are counted at once" do
    id = tins(5)
    here = start
    there = start(fridge)
    enter(here, lot_id: id, found: "amount", packs: "3")
    line = enter(there, draft: draft(2))
    finish(there, moves: { line.to_s => id })
    finish(here)
    expect(on_shelf(ines).sum(&:on_hand)).to eq(2000)
    expect(on_hand(id)).to eq(1200)
    balanced
  end

  it "counts a box inside a cupboard with the cupboard, in order" do
    box = act(:AddPlace, ines, { name: "Box", kind: "cupboard", parent_id: cupboard })["place_id"]
    outer = tins(1)
    inner = put_away(ines, "canned-sardines", "cupboard", place_id: box)["lot_id"]
    count = start
    rows =
      inside(ines) do |house|
        NutShelf::Desk::Counting.new(
          NutShelf::Desk::UnitOfWork.new(services, ines, house.db),
          house.counts.find(count)
        ).expected
      end
    expect(rows.map(&:id)).to eq([outer, inner])
    expect { start(box) }.to raise_error(NutShelf::Desk::Conflict, /counting Cupboard already/)
    act(:EnterRest, ines, { count_id: count, found: "as_expected" })
    expect(finish(count)["differences"]).to eq(0)
    expect(inside(ines) { |house| [cupboard, box].map { |id| house.places.find(id).counted_on } }.uniq).to eq(
      [Date.new(2026, 11, 24)]
    )
  end

  it "leaves what nobody spoke of as it is, and does not call the place counted" do
    one = tins(2)
    other = tins(2, key: "canned-sardines")
    count = start
    enter(count, lot_id: one, found: "gone")
    finish(count)
    expect(on_hand(other)).to eq(800)
    expect(inside(ines) { |house| house.places.find(cupboard).counted_on }).to be_nil
  end

  it "can be thrown away, and takes no line once it is closed" do
    id = tins(2)
    count = start
    enter(count, lot_id: id, found: "gone")
    act(:ThrowCount, ines, { count_id: count })
    expect(on_hand(id)).to eq(800)
    expect { enter(count, lot_id: id, found: "gone") }.to raise_error(NutShelf::Desk::Conflict, /thrown away/)
    expect { finish(count) }.to raise_error(NutShelf::Desk::Conflict)
  end

  it "says what stands in the way of an undo" do
    count = start
    enter(count, draft: draft(3, place: cupboard))
    done = finish(count)
    found = on_shelf(ines).first.id
    taken = act(:Take, ines, { lot_id: found })
    expect { act(:Undo, ines, { act_id: done["act_id"] }) }.to raise_error(NutShelf::Desk::Conflict, /Later: Took/)
    act(:Undo, ines, { act_id: taken["act_id"] })
    expect(act(:Undo, ines, { act_id: done["act_id"] })["summary"]).to start_with("Undone: Counted")
  end

  it "does not call a later take a hindrance where the count only took away" do
    id = tins(5)
    count = start
    enter(count, lot_id: id, found: "amount", packs: "4")
    done = finish(count)
    act(:Take, ines, { lot_id: id })
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(on_hand(id)).to eq(1600)
  end

  it "refuses what cannot be" do
    elsewhere = tins(2, kind: "fridge")
    id = tins(2)
    count = start
    expect { enter(count, lot_id: elsewhere, found: "gone") }.to raise_error(
      NutShelf::Desk::Invalid,
      /does not stand here/
    )
    expect { enter(count, lot_id: id, found: "amount") }.to raise_error(NutShelf::Desk::Invalid, /how much/)
    expect { enter(count, lot_id: id, found: "amount", packs: "-1") }.to raise_error(
      NutShelf::Desk::Invalid,
      /below zero/
    )
    expect { enter(count, draft: draft(1)) }.to raise_error(NutShelf::Desk::Invalid, /not part of this count/)
    line = enter(count, lot_id: id, found: "gone")
    expect { finish(count, reasons: { line.to_s => "found" }) }.to raise_error(NutShelf::Desk::Invalid, /no reason/)
  end

  it "lets a helper count" do
    juna = joined(ines, "helper")
    id = tins(2)
    count = start(cupboard, juna)
    enter(count, who: juna, lot_id: id, found: "amount", packs: "1")
    act(:FinishCount, juna, { count_id: count })
    expect(on_hand(id)).to eq(400)
    %i[ChangePlace SetHousehold SetKeeping AddPerson Invite].each do |name|
      expect { act(name, juna, {}) }.to raise_error(NutShelf::Desk::Forbidden)
    end
  end

  it "spreads what a count finds missing over the weeks since the last look" do
    id = put_away(ines, "white-rice", "cupboard", amount: "5000")["lot_id"]
    clock.day = Date.new(2026, 12, 28)
    count = start
    enter(count, lot_id: id, found: "amount", amount: "1600")
    finish(count)
    rate =
      inside(ines) do |house|
        NutShelf::Desk::UsageRates.new(NutShelf::Desk::UnitOfWork.new(services, ines, house.db)).rate(
          food_id(ines, "white-rice"),
          "mass"
        )
      end
    expect(rate.weekly.to_f).to be_within(25).of(700)
  end

  it "counts two places while a third hand cooks, and loses nothing" do
    stacks =
      Array.new(12) do |number|
        tins(4, key: number.even? ? "canned-chickpeas" : "canned-sardines", kind: number < 6 ? "cupboard" : "fridge")
      end
    counts = [start, start(fridge)]
    hands =
      [stacks.first(6), stacks.last(6)].zip(counts).map do |mine, count|
        Thread.new { mine.each { |id| enter(count, lot_id: id, found: "amount", packs: "3") } && finish(count) }
      end
    recipe = inside(ines) { |house| house.recipes.values.keys.first }
    hands << Thread.new do
      meal = act(:PlanMeal, ines, { recipe_id: recipe, on: "2026-11-24" })["meal_id"]
      act(
        :Cook,
        ines,
        {
          meal_id: meal,
          used: stacks.map { |id| { lot_id: id, amount: "400" } },
          leftovers: {
            portions: "2",
            place_id: cupboard
          }
        }
      )
    end
    hands.each(&:join)
    left = stacks.map { |id| on_hand(id) }
    # Each stack lost one tin to the cook; the count took one more where its line came before that take.
    expect(left - [800, 1200]).to be_empty
    balanced
    expect(inside(ines) { |house| house.ledger.recent(limit: 100).map(&:kind).tally }).to include(
      "count" => 2,
      "cook" => 1
    )
  end
end
