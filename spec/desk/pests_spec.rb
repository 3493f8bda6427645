# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/kits/due_book"
require_relative "../../desk/outages/outage_book"

# Packs that were found gnawed, or with insects in them, and what stands beside them.
RSpec.describe "Pests in a pack" do
  let(:ines) { household! }
  let(:oats) { grain("rolled-oats", count: "6", amount: "500") }
  let(:rice) { grain("white-rice", count: "3", amount: "1000") }
  let(:tin) { grain("canned-chickpeas", count: "2", amount: "400") }

  def grain(key, place = "cupboard", **more)
    put_away(ines, key, place, unit: "g", printed_on: "2028-05-31", printed_kind: "best_before", **more)["lot_id"]
  end

  def lot(id) = inside(ines) { |house| house.lots.one(id) }

  def state(id) = NutShelf::Core::State.of(today: clock.day, policy: NutShelf::Core::Policy.new, dates: lot(id))

  def events(act_id)
    inside(ines) { |house| house.db[:movements].where(act_id: act_id).select_map(%i[quantity reason why]) }
  end

  it "bins what was gnawed, keeps the sound packs inside as looked at, and asks for a look at all beside" do
    [oats, rice, tin]
    done = act(:SortPests, ines, { lot_id: oats, packs: 2, inner: 4, kept: 5 })
    kept = lot(done["lot_id"])
    expect(kept).to have_attributes(on_hand: 625r, pack_amount: 125r, look_first: false)
    expect(kept.history.last).to include("kind" => "looked", "result" => "good", "wiped" => true)
    expect(lot(oats)).to have_attributes(on_hand: 2000r, pack_amount: 500r)
    expect(events(done["act_id"])).to include([BigDecimal("-375"), "binned", "pest"])
    expect([oats, rice, tin].map { |id| state(id) }).to eq(%i[look look resting])
    summary = inside(ines) { |house| house.db[:acts].where(id: done["act_id"]).get(:summary) }
    expect(summary).to match(/\AFound pests in .*: 375 g binned, 5 sound inner packs wiped and kept\z/)
  end

  it "asks once, however often pests are found" do
    [oats, rice]
    2.times { act(:SortPests, ines, { lot_id: oats, packs: 1 }) }
    expect(lot(rice).history.count { |event| event["kind"] == "suspected" }).to eq(1)
  end

  it "bins whole packs where nothing sealed is inside" do
    done = act(:SortPests, ines, { lot_id: oats, packs: 1 })
    expect(lot(oats).on_hand).to eq(2500r)
    expect(done["lot_id"]).to eq(oats)
  end

  it "loses nothing to the outer pack alone, nor to thirds" do
    sugar = grain("rolled-oats", count: "1", amount: "500")
    act(:SortPests, ines, { lot_id: sugar, packs: 1, inner: 3, kept: 3 })
    expect(lot(sugar)).to have_attributes(on_hand: 500r, look_first: false)
    expect(lot(sugar).pack_amount.round).to eq(167)
  end

  it "refuses to keep more than is inside, and what is not to eat" do
    refused = NutShelf::Desk::Invalid
    expect { act(:SortPests, ines, { lot_id: oats, packs: 1, inner: 2, kept: 3 }) }.to raise_error(refused, /inside/)
    act(:Throw, ines, { lot_id: tin, outcome: "binned", why: "turned" })
    expect { act(:SortPests, ines, { lot_id: tin, packs: 1, inner: 2 }) }
      .to raise_error(NutShelf::Desk::Conflict, /left/)
    act(:Look, ines, { lot_id: rice, result: "bad" })
    expect { act(:SortPests, ines, { lot_id: rice, packs: 1 }) }.to raise_error(NutShelf::Desk::Conflict)
  end

  it "holds what must be looked at back from jars and plans until somebody looked" do
    jar = grain("white-rice", "fridge", count: "1", amount: "200", state: "opened")
    [oats, rice]
    act(:SortPests, ines, { lot_id: oats, packs: 1 })
    pour = { lot_id: jar, from_lot_id: rice, amount: "500" }
    expect { act(:TopUp, ines, pour) }.to raise_error(NutShelf::Desk::Conflict, /has to be looked at first/)
    expect(at_work(ines) { |work| work.shelf.stacks.fetch(rice).eligible?(clock.day) }).to be(false)
    act(:Look, ines, { lot_id: rice, result: "good" })
    expect(state(rice)).to eq(:resting)
    expect { act(:TopUp, ines, pour) }.not_to raise_error
  end

  it "asks for the same look when the stack was set apart with pests in it" do
    [oats, rice]
    act(:Quarantine, ines, { lot_ids: [oats], reason: "pest" })
    expect(state(rice)).to eq(:look)
    expect(lot(oats).history.map { |one| one["kind"] }).not_to include("suspected")
  end

  it "is no verdict of a power cut: what must be looked at is not thrown out for that, nor told to be eaten" do
    flour = grain("flour-white", "freezer", wrapping: "paper")
    act(:Quarantine, ines, { lot_ids: [grain("rolled-oats", "freezer", wrapping: "card")], reason: "pest" })
    expect(lot(flour).look_first).to be(true)
    act(:BeginOutage, ines, { started_at: (Time.now.utc - 3600).iso8601, freezer_percent: 100 })
    at_work(ines) do |work|
      book = NutShelf::Desk::Outages::OutageBook.new(work, work.house.kits.outage, now: Time.now.utc)
      one = book.open.find { |stood| stood.stack.id == flour }
      expect(book.verdict(one).act).to eq(:keep)
      expect(book.edible.map { |stood| stood.stack.id }).not_to include(flour)
    end
  end

  it "is looked through by its box each half year, and no more once the kit is gone" do
    kit = act(:SetKit, ines, { name: "Ferry box", days: 7 })["kit_id"]
    box = act(:AddPlace, ines, { name: "Box", kind: "cupboard" })["place_id"]
    act(:ChangePlace, ines, { place_id: box, kit_id: kit, kit_box: 1 })
    act(:Move, ines, { lot_id: tin, place_id: box })
    due = lambda do
      at_work(ines) { |work| NutShelf::Desk::Kits::DueBook.new(work).call }.select { |one| one.kind == :check }
    end
    expect(due.call).to be_empty
    clock.day = HouseSupport::TODAY >> 6
    expect(due.call.map { |one| [one.id, one.name, one.on] }).to eq([[box, "Box", clock.day]])
    act(:CheckPlace, ines, { place_id: box, found: [{ lot_id: tin, result: "good" }] })
    expect(due.call).to be_empty
    clock.day = clock.day >> 6
    expect(due.call.size).to eq(1)
    act(:SetKit, ines, { kit_id: kit, version: 1, gone: true })
    expect(due.call).to be_empty
  end

  describe "looking through the place" do
    let(:cupboard) { place_id(ines, "cupboard") }

    def check(**more) = act(:CheckPlace, ines, { place_id: cupboard, **more })

    it "answers for every stack at once, with one undo" do
      [oats, rice]
      act(:SortPests, ines, { lot_id: oats, packs: 1 })
      done = check(found: [{ lot_id: oats, result: "good" }, { lot_id: rice, result: "bad" }], damp: true)
      expect([oats, rice].map { |id| state(id) }).to eq(%i[resting stop])
      expect(inside(ines) { |house| house.places.find(cupboard).checked_on }).to eq(clock.day)
      expect(inside(ines) { |house| house.db[:care_rules].select_map(:title) }).to include(match(/\ADry out/))
      act(:Undo, ines, { act_id: done["act_id"] })
      expect([oats, rice].map { |id| state(id) }).to eq(%i[look look])
      expect(inside(ines) { |house| house.places.find(cupboard).checked_on }).to be_nil
    end

    it "refuses what stands elsewhere by now" do
      there = grain("rolled-oats", "fridge", count: "1", amount: "500")
      expect { check(found: [{ lot_id: there, result: "good" }]) }
        .to raise_error(NutShelf::Desk::Conflict, /does not stand in/)
    end
  end
end
