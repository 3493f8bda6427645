# frozen_string_literal: true

require_relative "../support/house"

# Bags of several foods for the way, made at the bench.
RSpec.describe "Assembling bags" do
  let(:ines) { household! }
  let(:cupboard) { place_id(ines, "cupboard") }
  let(:freezer) { place_id(ines, "freezer") }

  before { clock.day = Date.new(2027, 3, 20) }

  def bags(key, count, **more)
    input = { assembly: key, count: count, place_id: cupboard, **more }
    act(:AssembleBags, ines, input.compact)
  end

  def stacks(done) = done["lot_ids"].map { |id| lot(ines, id) }

  def pack(key, amount, price, printed, kind = "cupboard", **more)
    put_away(ines, key, kind, amount: amount, price_minor: price, printed_on: printed, printed_kind: "best_before",
      **more)["lot_id"]
  end

  def cocoa
    [
      pack("whole-milk-powder", "160", 208, "2027-05-31"), pack("whole-milk-powder", "300", 405, "2027-12-31"),
      pack("cocoa-powder", "125", 155, "2028-09-30"), pack("sugar-white", "1000", 109, nil, printed_kind: nil)
    ]
  end

  it "makes eighteen of twenty cocoa bags, and says what limits" do
    cocoa
    input = { assembly: "cocoa-cup-bag", count: 20, place_id: cupboard }
    told = NutShelf::Desk::AssembleBags.new(services, ines).foresee(input)[:bags]
    expect(told.slice(:want, :can, :makes, :why)).to eq(
      want: 20, can: 18, makes: 18, why: "Whole milk powder: 40 g missing for 20."
    )
    expect(told[:costs]).to eq(
      [
        { count: 7, cost_minor: 42, until: "2027-05-31" }, { count: 5, cost_minor: 42, until: "2027-06-18" },
        { count: 6, cost_minor: 43, until: "2027-06-18" }
      ]
    )
    done = bags("cocoa-cup-bag", 20)
    expect(done["summary"]).to eq("Made 18 of 20 bags: Cup of cocoa")
    made = stacks(done)
    expect(made.map { |one| [one.on_hand, one.value_minor, one.usable_until, one.noun] }).to eq(
      [
        [7, 294, Date.new(2027, 5, 31), "bag"], [5, 210, Date.new(2027, 6, 18), "bag"],
        [6, 258, Date.new(2027, 6, 18), "bag"]
      ]
    )
  end

  it "takes from the shelf what went in, to the cent, and remembers it for a recall" do
    ids = cocoa
    done = bags("cocoa-cup-bag", 4)
    moves = inside(ines) { |house| house.ledger.movements(done["act_id"]) }
    out, came = moves.partition { |one| one.quantity.negative? || one.reason == "split" }
    expect(came.sum(&:value_minor)).to eq(-out.sum(&:value_minor))
    expect(inside(ines) do |house|
      house.lots.of_food(food_id(ines, "whole-milk-powder"), []).sum(&:on_hand)
    end).to eq(360)
    traced = [ids[0], ids[2]].map do |id|
      inside(ines) { |house| house.sources.traced(house.db[:lots].where(id: id).select(:id)).select_map(:id) }
    end
    expect(traced).to all(include(*done["lot_ids"]))
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(inside(ines) do |house|
      house.lots.of_food(food_id(ines, "whole-milk-powder"), []).sum(&:on_hand)
    end).to eq(460)
  end

  it "makes another bag of it where a scoop is added, and says who may not have it" do
    cocoa
    pack("protein-powder-cocoa", "500", 1500, "2028-01-31")
    lines = { "whole-milk-powder" => "25", "cocoa-powder" => "6", "sugar-white" => "15",
              "protein-powder-cocoa" => "30" }
      .map do |key, grams|
      { food_id: food_id(ines, key), amount: grams }
    end
    who = household_person("lactose", ["milk"])
    input = { assembly: "cocoa-cup-bag", lines: lines, label: "Cocoa with a scoop", count: 2, place_id: cupboard }
    told = NutShelf::Desk::AssembleBags.new(services, ines).foresee(input)[:bags]
    expect([told[:plain][:net], told[:each][:net]]).to eq(["46 g", "76 g"])
    expect(told[:each][:kcal]).to be > told[:plain][:kcal]
    expect(told[:not_for]).to eq(["#{who}: milk"])
    made = stacks(act(:AssembleBags, ines, input)).first
    plain = stacks(bags("cocoa-cup-bag", 1)).first
    expect(made.food_id).not_to eq(plain.food_id)
    foods = inside(ines) { |house| house.foods.by_id([made.food_id, plain.food_id]) }
    expect(foods.values.map(&:name)).to contain_exactly("Cocoa with a scoop", "Cup of cocoa")
    expect(foods.values.flat_map(&:allergens)).to include("milk")
  end

  def household_person(name, excludes)
    act(:AddPerson, ines, { name: name, eats: true, excludes: excludes })
    name
  end

  it "closes nothing moist without air where it is warm, but in the freezer" do
    pack("instant-mash", "1000", 500, "2028-01-31")
    pack("beef-jerky", "300", 1200, "2028-01-31")
    pack("whole-milk-powder", "300", 405, "2027-12-31")
    pack("dried-onion", "100", 200, "2028-12-31")
    expect { bags("jerky-mash-bag", 2, low_air: true) }.to raise_error(NutShelf::Desk::Error, /not dry enough/)
    warm = stacks(bags("jerky-mash-bag", 2)).first
    expect(warm.usable_until).to eq(Date.new(2027, 3, 23))
    cold = stacks(bags("jerky-mash-bag", 2, low_air: true, place_id: freezer)).first
    expect(cold.usable_until).to be > warm.usable_until
    clock.day = Date.new(2027, 4, 1)
    act(:Move, ines, { lot_id: cold.id, place_id: cupboard })
    expect(lot(ines, cold.id).usable_until).to eq(Date.new(2027, 4, 1))
  end

  it "has nobody's date grow by moves, whatever is packed where" do
    dice = Random.new(RSpec.configuration.seed)
    pack("instant-mash", "5000", 500, "2028-01-31")
    pack("beef-jerky", "3000", 1200, "2027-06-30")
    pack("cheddar", "3000", 1200, "2027-04-10", "fridge")
    kinds = %w[cupboard fridge freezer].map { |kind| place_id(ines, kind) }
    6.times do
      clock.day = Date.new(2027, 3, 20)
      keys = %w[instant-mash beef-jerky cheddar].sample(dice.rand(1..3), random: dice)
      lines = keys.map { |key| { food_id: food_id(ines, key), amount: "20" } }
      bag = stacks(act(:AssembleBags, ines, { lines: lines, label: "Bag #{keys.join}", count: 1,
        place_id: kinds.sample(random: dice) })).first
      last = [bag.usable_until, bag.strict_until].max
      4.times do
        clock.day += dice.rand(0..9)
        act(:Move, ines, { lot_id: bag.id, place_id: (kinds - [bag.place_id]).sample(random: dice) })
        bag = lot(ines, bag.id)
        expect([bag.usable_until, bag.strict_until]).to all(be <= last)
        last = bag.usable_until
      end
    end
  end

  it "has what must be cold good for the day it is carried into the warm, and no longer" do
    pack("couscous", "1000", 300, "2028-01-31")
    pack("cheddar", "400", 600, "2027-04-30", "fridge")
    lines = [{ food_id: food_id(ines, "couscous"), amount: "80" }, { food_id: food_id(ines, "cheddar"), amount: "30" }]
    done = act(:AssembleBags, ines, { lines: lines, label: "Couscous with cheese", count: 2,
      place_id: place_id(ines, "fridge") })
    bag = stacks(done).first
    expect(bag.usable_until).to be > Date.new(2027, 3, 24)
    clock.day = Date.new(2027, 3, 23)
    act(:Move, ines, { lot_id: bag.id, place_id: cupboard })
    moved = lot(ines, bag.id)
    expect(moved.usable_until).to be <= Date.new(2027, 3, 30)
    expect(moved.usable_until).to be >= Date.new(2027, 3, 23)
    act(:Move, ines, { lot_id: bag.id, place_id: freezer })
    expect(lot(ines, bag.id).usable_until).to eq(moved.usable_until)
  end

  it "is never later than a date its parts came with, frozen or not, and keeps its own where nothing changes" do
    pack("couscous", "1000", 300, "2027-03-25")
    lines = [{ food_id: food_id(ines, "couscous"), amount: "80" }]
    frozen = stacks(act(:AssembleBags, ines, { lines: lines, label: "Couscous", count: 1, place_id: freezer })).first
    expect(frozen.usable_until).to eq(Date.new(2027, 3, 25))
    dry = stacks(act(:AssembleBags, ines, { lines: lines, label: "Couscous", count: 1, place_id: cupboard })).first
    clock.day = Date.new(2027, 3, 22)
    act(:Move, ines, { lot_id: dry.id, place_id: place_id(ines, "fridge") })
    act(:Move, ines, { lot_id: dry.id, place_id: cupboard })
    expect(lot(ines, dry.id).usable_until).to eq(dry.usable_until)
  end

  it "counts salt kept by level as there, and refuses what is not there at all" do
    pack("couscous", "1000", 300, "2028-01-31")
    salt = food_id(ines, "salt")
    lines = [{ food_id: food_id(ines, "couscous"), amount: "80" }, { food_id: salt, amount: "1" }]
    input = { lines: lines, label: "Plain couscous", count: 3, place_id: cupboard }
    expect { act(:AssembleBags, ines, input) }.to raise_error(NutShelf::Desk::Error, /Table salt: 3 g missing for 3/)
    jar = put_away(ines, "salt", "cupboard")["lot_id"]
    act(:SetLevel, ines, { lot_id: jar, level: "plenty" })
    expect(stacks(act(:AssembleBags, ines, input)).sum(&:on_hand)).to eq(3)
    expect do
      act(:AssembleBags, ines, { count: 1, place_id: cupboard })
    end.to raise_error(NutShelf::Desk::Error, /Nothing/)
    expect { act(:AssembleBags, ines, input.except(:label)) }.to raise_error(NutShelf::Desk::Error, /name/)
    expect { bags("no-such-bag", 1) }.to raise_error(NutShelf::Desk::Error, /no such bag/)
    expect(NutShelf::Desk::AssembleBags.new(services, ines).foresee({ **input, empty: 2 })[:bags])
      .to include(makes: 2, why: "There are no more empty bags.")
  end

  describe "taking apart" do
    def apart(id, **more) = act(:TakeApart, ines, { lot_id: id, **more })

    it "gives each part back by weight and cent, good no longer than the bag" do
      cocoa
      bag = stacks(bags("cocoa-cup-bag", 4)).max_by(&:on_hand)
      done = apart(bag.id, amount: "2")
      made = stacks(done)
      expect(made.map { |one| [work_key(one), one.on_hand] }).to contain_exactly(
        ["whole-milk-powder", 50], ["cocoa-powder", 12], ["sugar-white", 30]
      )
      expect(made.sum(&:value_minor) + lot(ines, bag.id).value_minor).to eq(bag.value_minor)
      expect(made.map(&:usable_until).uniq).to eq([bag.usable_until])
      expect(lot(ines, bag.id).on_hand).to eq(bag.on_hand - 2)
      act(:Undo, ines, { act_id: done["act_id"] })
      expect(lot(ines, bag.id).on_hand).to eq(bag.on_hand)
    end

    def work_key(one) = inside(ines) { |house| house.foods.find(one.food_id).key }

    it "knows what is in a bag that was carried elsewhere, and a recall still finds it" do
      ids = cocoa
      bag = stacks(bags("cocoa-cup-bag", 4)).max_by(&:on_hand)
      act(:Move, ines, { lot_id: bag.id, amount: "1", place_id: freezer })
      moved = inside(ines) { |house| house.lots.of_food(bag.food_id, []) }.find { |one| one.place_id == freezer }
      made = stacks(apart(moved.id))
      expect(made.map(&:on_hand)).to contain_exactly(25, 6, 15)
      expect(made.map(&:place_id).uniq).to eq([freezer])
      traced = inside(ines) do |house|
        house.sources.traced(house.db[:lots].where(id: ids.first).select(:id)).select_map(:id)
      end
      expect(traced).to include(made.first.id)
    end

    it "leaves bags whole that are packed for a trip" do
      cocoa
      bag = stacks(bags("cocoa-cup-bag", 4)).max_by(&:on_hand)
      trip = act(:KeepTrip, ines, { name: "Lochs", leaves_on: "2027-04-05", back_on: "2027-04-06" })["trip_id"]
      act(:PackTrip, ines, { trip_id: trip, takes: [{ lot_id: bag.id }] })
      expect { apart(bag.id) }.to raise_error(NutShelf::Desk::Error, /is free/)
    end

    it "refuses what is no bag, and what is not to eat" do
      tin = put_away(ines, "canned-chickpeas", "cupboard")["lot_id"]
      expect { apart(tin) }.to raise_error(NutShelf::Desk::Error, /Only bags/)
      cocoa
      bag = stacks(bags("cocoa-cup-bag", 1)).first
      act(:Quarantine, ines, { lot_ids: [bag.id], reason: "pest" })
      expect { apart(bag.id) }.to raise_error(NutShelf::Desk::Error, /not to eat/)
    end
  end
end
