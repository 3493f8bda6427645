# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/kits/before"

RSpec.describe "The hours before an event, at the desk" do
  include HouseSupport

  let(:ines) { household!(people: 2) }
  let(:now) { Time.now.utc }

  def gale(hours, **more)
    act(:SetEvent, ines, {
      name: "Gale", hour: (now + (hours * 3600)).iso8601, fill_l: "25", flush_l: "0", helpers: 1, days: 3, has: [],
      **more
    })["event_id"]
  end

  def before
    at_work(ines) do |work|
      yield NutShelf::Desk::Kits::Before.new(work, work.house.kits.events.first, now: now)
    end
  end

  it "counts back from the hour, with what the house has" do
    gale(48)
    keys = before { |one| one.plan.turns.map { |turn| turn.task.key } }
    expect(keys).to include("check-warning", "fill-water", "freeze-bottles")
    expect(keys & %w[pets fuel-car flush-buckets]).to be_empty
    act(:KeepPet, ines, { name: "Biscuit", species: "cat" })
    expect(before { |one| one.plan.turns.map { |turn| turn.task.key } }).to include("pets")
  end

  it "lets what is ticked go, says who did it, and takes it back" do
    id = gale(48)
    act(:TickTask, ines, { event_id: id, key: "charge", done: true })
    expect(before { |one| one.plan.turns.map { |turn| turn.task.key } }).not_to include("charge")
    ticked = inside(ines) { |house| house.kits.events.first.ticked }
    expect(ticked.fetch("charge")["name"]).to start_with("Keeper")
    expect { act(:TickTask, ines, { event_id: id, key: "charge", done: true }) }.to raise_error(NutShelf::Desk::Conflict)
    act(:TickTask, ines, { event_id: id, key: "charge", done: false })
    expect(before { |one| one.plan.turns.map { |turn| turn.task.key } }).to include("charge")
    expect { act(:TickTask, ines, { event_id: id, key: "dance", done: true }) }.to raise_error(NutShelf::Desk::Invalid)
  end

  it "makes a dated stack of the water that is filled, and nothing else of any task" do
    id = gale(48)
    act(:TickTask, ines, { event_id: id, key: "charge", done: true })
    expect(on_shelf(ines)).to be_empty
    done = act(:TickTask, ines, { event_id: id, key: "fill-water", done: true })
    water = lot(ines, done["lot_id"])
    expect([water.on_hand, water.pack_amount]).to eq([24_999, 8333])
    expect(water.usable_until).to be > HouseSupport::TODAY
    act(:Undo, ines, { act_id: done["act_id"] })
    expect([on_shelf(ines).size, inside(ines) { |house| house.kits.events.first.ticked.keys }]).to eq([0, ["charge"]])
  end

  it "names what spoils in the fridge, first date first, and fresh food that lasts without it" do
    long = put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-12-20", printed_kind: "use_by")["lot_id"]
    soon = put_away(ines, "beef-mince", "fridge", printed_on: "2026-11-26", printed_kind: "use_by")["lot_id"]
    put_away(ines, "canned-chickpeas", "fridge", printed_on: "2028-01-01", printed_kind: "best_before")
    put_away(ines, "smoked-salmon", "fridge", printed_on: "2026-11-22", printed_kind: "use_by")
    gale(30)
    expect(before { |one| one.chilled.map(&:id) }).to eq([soon, long])
    plans = before(&:fresh)
    expect(plans.keys).to eq(%w[fruit vegetables])
    plans.each_value { |plan| expect(plan.foods.map(&:from)).to eq(plan.foods.map(&:from).sort) }
    expect(plans.values.flat_map(&:foods)).to all(satisfy { |one| one.life >= one.to })
  end

  it "refuses an hour far away, and one that is no moment" do
    expect { gale(24 * 90) }.to raise_error(NutShelf::Desk::Invalid, /far away/)
    expect do
      act(:SetEvent, ines, { event_id: gale(5), hour: "soon" })
    end.to raise_error(NutShelf::Desk::Invalid, /moment/)
  end
end
