# frozen_string_literal: true

require_relative "../support/trips"

# Torches, bleach and cat litter stand on shelves, too: nothing of them gets among food; an animal has its own.
RSpec.describe "What is nothing to eat" do
  include TripSupport

  let(:ines) { household! }
  let(:refused) { NutShelf::Desk::Error }
  let(:fridge) { place_id(ines, "fridge") }
  let(:trip) do
    act(:KeepTrip, ines, { name: "Cliffs", leaves_on: "2026-12-05", back_on: "2026-12-06" })["trip_id"]
  end

  def stack(key, amount, **more) = put_away(ines, key, "cupboard", count: "1", amount: amount, **more)["lot_id"]

  def line(key, amount = "20") = { food_id: food_id(ines, key), amount: amount }

  def bowl(lots, **more)
    act(:ShareBowl, ines, {
      takes: lots.map { |id| { lot_id: id } }, bowl_g: "800", count: 2, label: "Bowl", place_id: fridge, **more
    })
  end

  it "is refused at the bench, in bowls, in bags and on trips" do
    bleach = stack("household-bleach", "1000", unit: "ml")
    litter = stack("cat-litter", "5000")
    rice = stack("white-rice", "1000")
    jar = act(:AddContainer, ines, { name: "Jar", kind: "jar", capacity_ml: 500, owned: 9 })["container_id"]
    expect { act(:PortionBench, ines, { takes: [{ lot_id: bleach }], container_id: jar }) }
      .to raise_error(refused, /nothing to eat/)
    expect { act(:PortionBench, ines, { takes: [{ lot_id: litter }], count: 4 }) }.to raise_error(refused)
    mixed = { takes: [{ lot_id: rice }], count: 4, additions: [{ lot_id: litter, each_g: "5" }] }
    expect { act(:PortionBench, ines, mixed) }.to raise_error(refused, /nothing to eat/)
    expect { bowl([rice, litter]) }.to raise_error(refused, /nothing to eat/)
    expect { bowl([rice, litter], pet: true) }.to raise_error(refused, /nothing to eat/)
    lines = [line("white-rice", "80"), line("torch", "1").merge(unit: "piece")]
    expect do
      act(:AssembleBags, ines, { lines: lines, label: "Bag", count: 1, place_id: fridge })
    end.to raise_error(refused)
    expect do
      act(:KeepBag, ines, { name: "Bag", lines: [line("cat-litter")] })
    end.to raise_error(refused, /nothing to eat/)
    expect { put("2026-12-05", "dinner", "food", "cat-litter", grams: "50") }.to raise_error(refused)
    expect([bleach, litter, rice].map { |id| lot(ines, id).on_hand }).to eq([1000, 5000, 1000])
  end

  it "leaves an animal's food to the animal: portions and bowls of its own, no bag for people" do
    kibble = stack("cat-food-dry", "1000")
    expect(act(:PortionBench, ines, { takes: [{ lot_id: kibble, amount: "400" }], count: 4 })["portions"]).to eq(4)
    rest = on_shelf(ines).find { |one| one.on_hand == 600 }.id
    rice = stack("white-rice", "500")
    expect { bowl([rice, rest]) }.to raise_error(refused, /nothing to eat/)
    expect { act(:KeepBag, ines, { name: "Bag", lines: [line("cat-food-dry")] }) }.to raise_error(refused)
    expect(bowl([rice, rest], pet: true)["portions"]).to eq(2)
  end
end
