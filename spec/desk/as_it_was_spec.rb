# frozen_string_literal: true

require_relative "../support/house"

# Looking back needs to know how a stack stood when something of it moved.
RSpec.describe "What a movement remembers" do
  include HouseSupport

  let(:ines) { household! }
  let(:kinds) { %i[state days_left looked] }

  def tins(best_before, **more)
    printed = { printed_on: best_before, printed_kind: "best_before" }
    put_away(ines, "canned-chickpeas", "cupboard", count: "3", **printed, **more)["lot_id"]
  end

  def movements(id) = inside(ines) { |house| house.db[:movements].where(lot_id: id).order(:id).all }

  def latest(id) = movements(id).last.slice(:reason, :state, :days_left, :looked).values

  it "is its state, the days it had left, and whether a look covered it" do
    id = tins("2026-11-27")
    act(:Take, ines, { lot_id: id, amount: "400" })
    expect(latest(id)).to eq(["eaten", "front", 3, false])
    past = tins("2026-11-01")
    act(:Throw, ines, { lot_id: past, amount: "400", outcome: "binned" })
    expect(latest(past)).to eq(["binned", "look", -23, false])
    act(:Look, ines, { lot_id: past, result: "good" })
    act(:Take, ines, { lot_id: past, amount: "400" })
    expect(latest(past)).to match(["eaten", "resting", be > 100, true])
  end

  it "is so on the day it was done, when a letter comes late" do
    id = tins("2026-12-04", occurred_on: "2026-11-01")
    late = NutShelf::Desk::Envelope.new(on: Date.new(2026, 11, 20), held: true)
    NutShelf::Desk::Take.new(services, ines).call({ lot_id: id, amount: "400" }, key: key!, envelope: late)
    expect(latest(id)).to eq(["eaten", "soon", 14, false])
  end

  it "is what a count, a list, a cook and an undo write as well, whatever happens to the stack later" do
    id = tins("2026-11-27")
    count = act(:StartCount, ines, { place_id: place_id(ines, "cupboard") })["count_id"]
    act(:EnterLine, ines, { count_id: count, lot_id: id, found: "amount", packs: "2" })
    act(:FinishCount, ines, { count_id: count })
    expect(latest(id)[1..]).to eq(["front", 3, false])
    taken = act(:Take, ines, { lot_id: id, amount: "400" })["act_id"]
    act(:Undo, ines, { act_id: taken })
    act(:Quarantine, ines, { lot_ids: [id], reason: "pest" })
    expect(movements(id).map { |row| row[:state] }).to all(eq("front"))
    expect(inside(ines) { |house| house.db[:movements].where(state: nil).count }).to eq(0)
  end
end
