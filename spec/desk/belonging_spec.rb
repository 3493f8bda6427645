# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/belonging"

# Where a food goes when nobody says it.
RSpec.describe NutShelf::Desk::Belonging do
  include HouseSupport

  let(:ines) { household! }

  def usual(key, **more)
    at_work(ines) { |work| described_class.new(work).place(work.food_row(food_id(ines, key)), **more)&.name }
  end

  def place(name, kind) = act(:AddPlace, ines, { name: name, kind: kind })["place_id"]

  def belong(key, place)
    version = at_work(ines) { |work| work.food_row(food_id(ines, key)).version }
    act(:ChangeFood, ines, { food_id: food_id(ines, key), version: version, home_place_id: place })
  end

  it "is the only place of its kind" do
    expect(
      [usual("honey"), usual("semi-skimmed-milk"), usual("frozen-peas"), usual("beef-mince", state: "frozen")]
    ).to eq(%w[Cupboard Fridge Freezer Freezer])
  end

  it "is nobody's guess where there are several and none was used" do
    place("Cellar rack", "cool_dark")
    expect([usual("honey"), usual("semi-skimmed-milk")]).to eq([nil, "Fridge"])
  end

  it "is the place that is being filled, where such food is kept in places of its kind" do
    cellar = place("Cellar rack", "cool_dark")
    fridge = place_id(ines, "fridge")
    expect(
      [usual("honey", filling: cellar), usual("honey", filling: fridge), usual("semi-skimmed-milk", filling: cellar)]
    ).to eq(["Cellar rack", nil, "Fridge"])
  end

  it "is where it went last" do
    cellar = place("Cellar rack", "cool_dark")
    act(:PutAway, ines, { food_id: food_id(ines, "honey"), place_id: cellar, count: "1", amount: "340", unit: "g" })
    expect([usual("honey"), usual("dry-pasta")]).to eq(["Cellar rack", nil])
  end

  it "is the one of several that is in use, once it is" do
    cellar = place("Cellar rack", "cool_dark")
    put = lambda do |food|
      act(:PutAway, ines, { food_id: food_id(ines, food), place_id: cellar, count: "1", amount: "340", unit: "g" })
    end
    %w[honey jam].each(&put)
    expect(usual("dry-pasta")).to be_nil
    put.call("salt")
    expect([usual("dry-pasta"), usual("semi-skimmed-milk")]).to eq(["Cellar rack", "Fridge"])
    act(
      :PutAway,
      ines,
      { food_id: food_id(ines, "honey"), place_id: place_id(ines, "cupboard"), count: "1", amount: "340", unit: "g" }
    )
    expect(usual("dry-pasta")).to be_nil
  end

  it "is before all where the household said it belongs, but for what needs the cold" do
    cellar = place("Cellar rack", "cool_dark")
    belong("honey", cellar)
    belong("beef-mince", place_id(ines, "fridge"))
    expect(
      [
        usual("honey", filling: place_id(ines, "cupboard")),
        usual("beef-mince", state: "frozen"),
        usual("canned-tuna-water", state: "opened")
      ]
    ).to eq(["Cellar rack", "Freezer", "Fridge"])
  end
end
