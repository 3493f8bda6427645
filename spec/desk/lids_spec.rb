# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/todays_work"

# Jars and soup go into the freezer with loose lids.
RSpec.describe NutShelf::Desk::Lids do
  include HouseSupport

  let(:ines) { household! }
  let(:today) { HouseSupport::TODAY }
  let(:freezer) { place_id(ines, "freezer") }

  def jar
    act(:AddContainer, ines, { name: "Tall jar", kind: "jar", capacity_ml: 900 })["container_id"]
  end

  def names(on)
    HouseSupport.clock.day = on
    at_work(ines) { |work| NutShelf::Desk::TodaysWork.new(work).lids.map { |one| [one.lot_id, one.place] } }
  end

  it "are tightened on the day after what swells was frozen, on no other" do
    juice = put_away(ines, "orange-juice", "fridge", amount: "800", unit: "ml")["lot_id"]
    poured = act(:Decant, ines, { lot_id: juice, container_id: jar, amount: "800" })["lot_id"]
    put_away(ines, "frozen-peas", "freezer", amount: "500", unit: "g")
    act(:Move, ines, { lot_id: poured, place_id: freezer })
    expect([today, today + 1, today + 2].map { |day| names(day) }).to eq([[], [[poured, "Freezer"]], []])
  end
end
