# frozen_string_literal: true

require_relative "../support/house"

# A fridge that is switched off stands warm, and what is in it is judged so.
RSpec.describe "Switching a place off and on" do
  let(:ines) { household! }
  let(:refused) { NutShelf::Desk::Error }
  let(:fridge) { @fridge ||= place_id(ines, "fridge") }
  let(:freezer) { place_id(ines, "freezer") }

  before { clock.day = Date.new(2027, 4, 5) }

  def switch(id, off) = act(:SwitchPlace, ines, { place_id: id, off: off })

  def ham
    @ham ||= put_away(ines, "ham-sliced", "cupboard", place_id: fridge, amount: "150", printed_on: "2027-04-20",
      printed_kind: "use_by")["lot_id"]
  end

  def place(id) = inside(ines) { |house| house.places.find(id) }

  it "judges what stands in it as in a cupboard from that day, and gives it back with undo" do
    before = lot(ines, ham).slice(:usable_until, :stopped, :safety_until)
    done = switch(fridge, true)
    expect(place(fridge)).to have_attributes(kind: "cupboard", cold_kind: "fridge", off_since: clock.day)
    warm = lot(ines, ham)
    expect(warm.stopped || warm.usable_until <= Date.new(2027, 4, 6)).to be(true)
    expect(inside(ines) do |house|
      house.care.due(clock.day).map(&:title)
    end).to include(/wipe it dry, prop the door open/)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(lot(ines, ham).slice(:usable_until, :stopped, :safety_until)).to eq(before)
    expect(place(fridge)).to have_attributes(kind: "fridge", cold_kind: nil, off_spans: [])
  end

  it "makes nothing good again when it is switched on, nor what was put in meanwhile" do
    ham
    switch(fridge, true)
    milk = put_away(ines, "whole-milk", "cupboard", place_id: fridge, amount: "1000", unit: "ml",
      printed_on: "2027-04-14", printed_kind: "use_by")["lot_id"]
    tin = put_away(ines, "canned-chickpeas", "cupboard", place_id: fridge, printed_on: "2029-01-31",
      printed_kind: "best_before")["lot_id"]
    warm = [ham, milk].map { |id| lot(ines, id).usable_until }
    clock.day = Date.new(2027, 4, 9)
    switch(fridge, false)
    cold = [ham, milk].map { |id| lot(ines, id) }
    expect(cold.zip(warm).map do |one, before|
      one.stopped || before.nil? || one.usable_until <= before
    end).to all(be(true))
    expect(lot(ines, tin).usable_until).to eq(Date.new(2029, 1, 31))
    expect(place(fridge)).to have_attributes(kind: "fridge",
      off_spans: [{ "from" => "2027-04-05", "to" => "2027-04-09" }])
  end

  it "judges what comes after that as in the cold, and what stood there before it was off" do
    moved = ham
    act(:Move, ines, { lot_id: moved, place_id: freezer })
    switch(fridge, true)
    clock.day = Date.new(2027, 4, 9)
    switch(fridge, false)
    fresh = put_away(ines, "ham-sliced", "cupboard", place_id: fridge, amount: "150", printed_on: "2027-04-20",
      printed_kind: "use_by")["lot_id"]
    expect(lot(ines, fresh).usable_until).to eq(Date.new(2027, 4, 20))
    expect(lot(ines, moved)).to have_attributes(stopped: false, frozen: true)
  end

  it "counts as off on a day nobody knows, once it ever was" do
    days = [Date.new(2027, 4, 4), Date.new(2027, 4, 5), Date.new(2027, 4, 9), nil]
    kinds = -> { days.map { |day| place(fridge).standing(day).kind } }
    expect(kinds.call).to eq(%w[fridge fridge fridge fridge])
    switch(fridge, true)
    clock.day = Date.new(2027, 4, 9)
    switch(fridge, false)
    expect(kinds.call).to eq(%w[fridge cupboard fridge cupboard])
  end

  it "thaws what is in a freezer" do
    peas = put_away(ines, "frozen-peas", "freezer", place_id: freezer, amount: "900")["lot_id"]
    switch(freezer, true)
    thawed = lot(ines, peas)
    expect(thawed.frozen).to be(false)
    expect(thawed.stopped || thawed.usable_until <= Date.new(2027, 4, 7)).to be(true)
  end

  it "refuses what is not cold, what is off already, and another kind meanwhile" do
    expect { switch(place_id(ines, "cupboard"), true) }.to raise_error(refused, /nothing to switch off/)
    expect { switch(fridge, false) }.to raise_error(refused, /says already/)
    switch(fridge, true)
    expect { switch(fridge, true) }.to raise_error(refused, /says already/)
    expect { act(:ChangePlace, ines, { place_id: fridge, kind: "freezer" }) }.to raise_error(refused, /switched off/)
  end
end
