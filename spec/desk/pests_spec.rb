# frozen_string_literal: true

require_relative "../support/house"

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
