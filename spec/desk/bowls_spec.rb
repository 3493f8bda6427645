# frozen_string_literal: true

require_relative "../support/house"

# A bowl cooked of several foods, shared out.
RSpec.describe "A shared bowl" do
  let(:ines) { household! }
  let(:refused) { NutShelf::Desk::Error }
  let(:freezer) { place_id(ines, "freezer") }
  let(:fridge) { place_id(ines, "fridge") }

  before { clock.day = Date.new(2027, 2, 26) }

  def stack(key, grams, price, place = "cupboard", **more)
    put_away(ines, key, place, count: more.delete(:count) || "1", amount: grams, price_minor: price, **more)["lot_id"]
  end

  def fish(**more)
    stack("white-fish", "1200", 1180, "fridge", printed_on: "2027-02-27", printed_kind: "use_by", **more)
  end

  def biscuits
    {
      takes: [{ lot_id: @fish = fish(lot_text: "F7") }, { lot_id: @rice = stack("white-rice", "1000", 188),
                                                          amount: "400" }],
      additions: [{ lot_id: @tuna = stack("canned-tuna-water", "140", 357, count: "3"), per_pack: 3 }],
      bowl_g: "2330", count: 9, fresh: 1, place_id: fridge, frozen_place_id: freezer, label: "Biscuit's bowl", pet: true
    }
  end

  def share(**input) = act(:ShareBowl, ines, input)

  it "shares out a bowl with a third of a tin each: sizes, costs and dates, one fresh and eight frozen" do
    done = share(**biscuits)
    made = done["lot_ids"].map { |id| lot(ines, id) }
    expect(made.map { |one| [(one.on_hand / one.pack_amount).to_i, one.value_minor, one.usable_until] }).to eq(
      [[1, 179, Date.new(2027, 2, 28)], [7, 1253, Date.new(2027, 4, 27)], [1, 180, Date.new(2027, 4, 27)]]
    )
    expect(made.map(&:pack_amount).uniq).to eq([Rational("305.555554")])
    rice = inside(ines) { |house| house.lots.of_food(food_id(ines, "white-rice"), []) }
    expect([@fish, @tuna].map { |id| lot(ines, id).on_hand }).to eq([0, 0])
    expect(rice.map { |one| [one.on_hand, one.open] }).to eq([[600, true]])
    moves = inside(ines) { |house| house.ledger.movements(done["act_id"]) }
    expect(moves.sum(&:value_minor)).to eq(0)
    traced = inside(ines) { |house| house.sources.traced(house.db[:lots].where(id: @fish).select(:id)).select_map(:id) }
    expect(traced).to include(*done["lot_ids"])
    act(:Undo, ines, { act_id: done["act_id"] })
    expect([@fish, @rice, @tuna].map { |id| lot(ines, id).on_hand }).to eq([1200, 1000, 420])
  end

  it "fills jars as far as they may freeze, as many as are empty" do
    jar = act(:AddContainer, ines, { name: "Soup jar", kind: "jar", capacity_ml: 500, shape: "straight",
                                     owned: 6 })["container_id"]
    soup = { **biscuits.except(:count, :fresh), additions: [], container_id: jar }
    made = share(**soup)["lot_ids"].map { |id| lot(ines, id) }.select(&:container_id)
    expect(made.map { |one| [one.pack_amount.round, one.container_id] }.uniq).to eq([[388, jar]])
    expect(made.sum { |one| one.on_hand / one.pack_amount }).to eq(6)
    expect(inside(ines) { |house| house.containers.in_use(jar) }).to eq(6)
    expect { share(**biscuits.except(:count), additions: [], container_id: jar) }.to raise_error(refused, /Only 0 of/)
  end

  it "holds all that went into it, under a name of its own for each" do
    first = lot(ines, share(**biscuits)["lot_id"])
    food = inside(ines) { |house| house.foods.by_id([first.food_id]).fetch(first.food_id) }
    expect(food.allergens).to eq(["fish"])
    milk = { lot_id: stack("whole-milk-powder", "500", 400), amount: "50" }
    second = share(**biscuits, takes: [{ lot_id: fish }, milk], additions: [])
    expect(lot(ines, second["lot_id"]).food_id).not_to eq(first.food_id)
  end

  it "leaves what stays over as a stack of its own, worth its share" do
    done = share(**biscuits, count: nil, size_g: "400", additions: [], fresh: 5)
    over = inside(ines) { |house| house.lots.of_food(lot(ines, done["lot_id"]).food_id, []) }
      .find { |one| one.label == "Biscuit's bowl, rest" }
    expect([done["portions"], over.on_hand]).to eq([5, 330])
    expect(over.value_minor).to be_between(170, 185)
  end

  it "goes by the earliest of what was added, and stays good no longer out of the freezer" do
    soured = stack("whipping-cream", "200", 120, "fridge", printed_on: "2027-02-27", printed_kind: "use_by")
    done = share(**biscuits, additions: [{ lot_id: soured, each_g: "10" }], pet: false, frozen_place_id: nil)
    expect(lot(ines, done["lot_id"]).usable_until).to eq(Date.new(2027, 2, 27))
    ids = share(**biscuits)["lot_ids"]
    clock.day = Date.new(2027, 3, 20)
    act(:Move, ines, { lot_id: ids.last, place_id: fridge })
    expect(lot(ines, ids.last).usable_until).to be <= Date.new(2027, 3, 22)
  end

  it "refuses what an animal may not have, what is past, does not freeze, is short, named twice or nameless" do
    onion = stack("onions", "200", 40)
    expect { share(**biscuits, takes: [{ lot_id: onion }]) }.to raise_error(refused, /Onions would make an animal ill/)
    old = stack("white-fish", "300", 300, "fridge", printed_on: "2027-02-25", printed_kind: "use_by")
    expect { share(**biscuits, takes: [{ lot_id: old }]) }.to raise_error(refused, /past its safety date/)
    leaves = stack("lettuce", "300", 90, "fridge")
    expect { share(**biscuits, additions: [{ lot_id: leaves, each_g: "5" }]) }.to raise_error(
      refused, /does not freeze/
    )
    bowl = biscuits
    expect do
      share(**bowl,
     additions: [{ lot_id: @tuna, each_g: "47" }])
    end.to raise_error(refused, /9 portions take 423.0 g of .*, 420.0 g are there/)
    expect { share(**bowl, additions: [{ lot_id: @tuna }]) }.to raise_error(refused, /grams for each/)
    expect { share(**bowl, additions: [{ lot_id: @rice, each_g: "5" }]) }.to raise_error(refused, /in the bowl already/)
    expect { share(**bowl, bowl_g: "23300") }.to raise_error(refused, /four times|more than/i)
    ["0", "-5"].each do |each|
      expect { share(**bowl, additions: [{ lot_id: @tuna, each_g: each }]) }.to raise_error(refused, /weighs something/)
    end
    expect { share(**bowl, trim_g: "-50") }.to raise_error(refused, /not below zero/)
    expect { share(**bowl, label: " ") }.to raise_error(refused, /no name/)
    expect { share(**bowl, bowl_g: "0") }.to raise_error(refused, /weigh again|nothing is left/i)
    expect(lot(ines, @fish).on_hand).to eq(1200)
  end

  it "leaves what is packed for a trip, in the bowl and beside it" do
    trip = act(:KeepTrip, ines, { name: "Lochs", leaves_on: "2027-04-05", back_on: "2027-04-06" })["trip_id"]
    oats = stack("rolled-oats", "500", 90)
    act(:PackTrip, ines, { trip_id: trip, takes: [{ lot_id: oats }] })
    bowl = { bowl_g: "900", count: 2, place_id: fridge, label: "Porridge" }
    expect { share(**bowl, takes: [{ lot_id: oats, amount: "300" }]) }.to raise_error(refused, /is free/)
    rice = stack("white-rice", "400", 80)
    expect { share(**bowl, takes: [{ lot_id: rice }], additions: [{ lot_id: oats, each_g: "10" }]) }
      .to raise_error(refused, /0.0 g are there/)
  end

  it "keeps the date of what was cooked before and only heated again" do
    tub = put_away(ines, "cooked-rice", "fridge", amount: "500", state: "leftover", made_on: "2027-02-25")["lot_id"]
    done = share(takes: [{ lot_id: tub }], bowl_g: "480", count: 2, place_id: fridge, label: "Rice, heated up")
    expect(lot(ines, done["lot_id"]).usable_until).to be <= lot(ines, tub).usable_until
  end
end
