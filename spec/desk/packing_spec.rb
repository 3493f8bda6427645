# frozen_string_literal: true

require_relative "../support/trips"
require_relative "../../desk/trips/packing_list"
require_relative "../../desk/trips/travelling_cold"

# What goes along on a trip, and what comes home of it.
RSpec.describe "Packing for a trip" do
  include TripSupport

  let(:ines) { household!(people: 3) }
  let(:refused) { NutShelf::Desk::Error }
  let(:cupboard) { place_id(ines, "cupboard") }
  let(:bag) { @bag ||= act(:AddPlace, ines, { name: "Pannier", kind: "cupboard", tier: "set_apart" })["place_id"] }

  before { clock.day = Date.new(2027, 4, 4) }

  def trip
    @trip ||= act(:KeepTrip, ines, {
      name: "Lochs", leaves_on: "2027-04-05", back_on: "2027-04-10", cold: "soft-bag-2", high_c: 12
    })["trip_id"]
  end

  def list = book { |told, work| yield NutShelf::Desk::Trips::PackingList.new(work, told) }

  def pack(*takes) = act(:PackTrip, ines, { trip_id: trip, takes: takes, place_id: bag })

  def home(*back) = act(:ComeHome, ines, { trip_id: trip, back: back })

  def of(key) = inside(ines) { |house| house.lots.of_food(food_id(ines, key), []) }

  it "takes couscous for each day from what ends first and is still good then" do
    put_away(ines, "couscous", "cupboard", amount: "300", printed_on: "2027-04-06", printed_kind: "best_before")
    put_away(ines, "couscous", "cupboard", amount: "500", printed_on: "2027-04-08", printed_kind: "best_before")
    put_away(ines, "couscous", "cupboard", amount: "1000", printed_on: "2027-11-30", printed_kind: "best_before")
    put("2027-04-05", "dinner", "food", "couscous", grams: "80")
    put("2027-04-06", "dinner", "food", "couscous", grams: "90")
    put("2027-04-08", "dinner", "food", "couscous", grams: "85")
    put("2027-04-09", "dinner", "food", "couscous", grams: "70")
    list do |told|
      line = told.foods.find { |one| one.food.key == "couscous" }
      expect(line.takes.map { |one| [one.stack.usable_until, one.grams] }).to eq(
        [[Date.new(2027, 4, 6), 300], [Date.new(2027, 4, 8), 465], [Date.new(2027, 11, 30), 210]]
      )
      expect(line.short_g).to eq(0)
    end
  end

  describe "the last thing to do" do
    let(:camper) { act(:AddPlace, ines, { name: "Camper fridge", kind: "fridge" })["place_id"] }
    let(:tin) { put_away(ines, "canned-chickpeas", "cupboard")["lot_id"] }

    def come(**more) = act(:ComeHome, ines, { trip_id: trip, back: [], **more })

    def place(id) = inside(ines) { |house| house.places.find(id) }

    it "is to switch off what travelled cold, which is to be wiped and propped open" do
      camper
      pack({ lot_id: tin })
      clock.day = Date.new(2027, 4, 10)
      cold = at_work(ines) { |work| NutShelf::Desk::Trips::TravellingCold.new(work).places([]) }
      expect(cold.map(&:name)).to include("Camper fridge")
      done = come(switch_off: [camper])
      expect(place(camper)).to have_attributes(kind: "cupboard", cold_kind: "fridge", off_since: clock.day)
      expect(inside(ines) { |house| house.care.due(clock.day).map(&:title) }).to include(/Camper fridge.*prop the door/)
      act(:Undo, ines, { act_id: done["act_id"] })
      expect(place(camper)).to have_attributes(kind: "fridge", off_spans: [])
    end

    it "leaves on what is not empty, whatever somebody ticks" do
      milk = put_away(ines, "whole-milk", "fridge", place_id: camper, amount: "1000", unit: "ml")["lot_id"]
      pack({ lot_id: tin })
      cold = at_work(ines) { |work| NutShelf::Desk::Trips::TravellingCold.new(work).places([]) }
      expect(cold.map(&:name)).not_to include("Camper fridge")
      expect { come(switch_off: [camper]) }.to raise_error(refused, /Camper fridge is not empty yet/)
      expect { come(switch_off: [cupboard]) }.to raise_error(refused)
      expect(lot(ines, milk).stopped).to be(false)
      act(:Take, ines, { lot_id: milk })
      expect { come(switch_off: [camper]) }.not_to raise_error
    end
  end

  it "packs what it says, opened where a pack is broken, and has nothing left to pack" do
    couscous = put_away(ines, "couscous", "cupboard", count: "2", amount: "500", price_minor: 400,
      printed_on: "2027-11-30", printed_kind: "best_before")["lot_id"]
    put("2027-04-06", "dinner", "food", "couscous", grams: "200")
    done = pack({ lot_id: couscous, amount: "600" })
    along = done["lot_ids"].map { |id| lot(ines, id) }
    expect(along.map { |one| [one.on_hand, one.open, one.place_id] }).to eq([[500, false, bag], [100, true, bag]])
    expect(inside(ines) { |house| house.trips.find(trip).status }).to eq("packed")
    list do |told|
      line = told.foods.first
      expect([line.packed_g, line.takes, line.short_g]).to eq([600, [], 0])
    end
    expect { pack({ lot_id: along[0].id }) }.to raise_error(refused)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(of("couscous").map(&:on_hand)).to eq([1000])
    expect(inside(ines) { |house| house.trips.find(trip).status }).to eq("planned")
  end

  it "packs bags that are filled, and says how many must be filled first" do
    put("2027-04-06", "dinner", "bag", "tomato-couscous-bag")
    list { |told| expect(told.bags.map { |one| [one.need, one.packed, one.to_fill] }).to eq([[3, 0, 3]]) }
    lines = NutShelf::Boot::Reference.catalog.trips.assemblies["tomato-couscous-bag"].lines
    lines.each { |line| put_away(ines, line.food_key, "cupboard", amount: "1000") }
    made = act(:AssembleBags, ines, { assembly: "tomato-couscous-bag", count: 2, place_id: cupboard })["lot_ids"]
    list do |told|
      expect(told.bags.map { |one| [one.takes.sum(&:amount), one.to_fill] }).to eq([[2, 1]])
    end
    pack(*made.map { |id| { lot_id: id } })
    list { |told| expect(told.bags.map { |one| [one.packed, one.takes, one.to_fill] }).to eq([[2, [], 1]]) }
  end

  it "comes home with true dates, what was eaten written off, what lay warm out, to the gram and the cent" do
    chocolate = put_away(ines, "dark-chocolate", "cupboard", count: "3", amount: "100", price_minor: 450,
      printed_on: "2027-08-31", printed_kind: "best_before")["lot_id"]
    ham = put_away(ines, "ham-sliced", "fridge", amount: "200", price_minor: 300, printed_on: "2027-04-20",
      printed_kind: "use_by")["lot_id"]
    put("2027-04-05", "snack", "food", "dark-chocolate", grams: "60")
    along = pack({ lot_id: chocolate }, { lot_id: ham })["lot_ids"]
    clock.day = Date.new(2027, 4, 7)
    act(:Take, ines, { lot_id: along[0], amount: "100" })
    clock.day = Date.new(2027, 4, 10)
    done = home({ lot_id: along[0], amount: "100" }, { lot_id: along[1], amount: "50" })
    back = lot(ines, done["lot_ids"].first)
    expect([back.on_hand, back.value_minor, back.usable_until, back.place_id]).to eq(
      [100, 150, Date.new(2027, 8, 31), cupboard]
    )
    moves = inside(ines) { |house| house.ledger.movements(done["act_id"]) }
    told = moves.group_by(&:reason).transform_values { |list| [list.sum(&:quantity), list.sum(&:value_minor)] }
    expect(told["eaten"]).to eq([-250, -375])
    expect(told["binned"]).to eq([-50, -75])
    expect(inside(ines) { |house| house.lots.out_of_balance }).to be_empty
    row = inside(ines) { |house| house.trips.find(trip) }
    expect([row.status, row.came_back]).to eq(["home", ["dark-chocolate"]])
    expect(row.eaten_kcal).to be < row.planned_kcal
    expect(inside(ines) { |house| house.reservations.of_trip(trip) }).to be_empty
    taught = services.database.within(ines.household_id) do |db|
      NutShelf::Desk::Trips::Lessons.new(NutShelf::Desk::UnitOfWork.new(services, ines, db))
        .then { |one| [one.over.size, one.factor] }
    end
    # One trip counts beside the plan itself; within the bounds of the rules.
    expect(taught).to eq([1, ((row.eaten_kcal / row.planned_kcal) + 1) / 2].then { |n, f| [n, f.clamp(7/10r, 6/5r)] })
    expect { home }.to raise_error(refused, /Nothing was packed/)
    expect { pack({ lot_id: back.id }) }.to raise_error(refused, /Everybody is home/)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(lot(ines, along[1]).on_hand).to eq(200)
  end

  it "counts a pack that was broken on the way as opened on the day everybody left" do
    crispbread = put_away(ines, "crispbread", "cupboard", amount: "250", printed_on: "2027-09-30",
      printed_kind: "best_before")["lot_id"]
    along = pack({ lot_id: crispbread })["lot_id"]
    clock.day = Date.new(2027, 4, 10)
    home({ lot_id: along, amount: "100" })
    left = of("crispbread").find { |one| one.on_hand == 100 }
    opened = left.history.find { |event| event["kind"] == "opened" }
    expect([left.open, opened["on"]]).to eq([true, "2027-04-05"])
  end

  it "leaves nothing that goes along in the fridge, where its dates would run on as if it were cold" do
    ham = put_away(ines, "ham-sliced", "fridge", amount: "200", printed_on: "2027-04-20",
      printed_kind: "use_by")["lot_id"]
    [{}, { place_id: place_id(ines, "fridge") }].each do |more|
      expect { act(:PackTrip, ines, { trip_id: trip, takes: [{ lot_id: ham }], **more }) }
        .to raise_error(refused, /does not stay cold/)
    end
    pack({ lot_id: ham })
    expect(lot(ines, ham).usable_until).to eq(Date.new(2027, 4, 4))
  end

  it "asks what people forget as far as the trip needs it, and refuses what did not go along" do
    put("2027-04-06", "breakfast", "bag", "cold-muesli-bag")
    list do |told|
      keys = told.essentials.map(&:key)
      expect(keys).to include("cup", "cool-tag")
      expect(keys).not_to include("tin-opener", "lighter", "water-treat")
    end
    rice = put_away(ines, "white-rice", "cupboard")["lot_id"]
    pack({ lot_id: put_away(ines, "dark-chocolate", "cupboard", amount: "100")["lot_id"] })
    expect { home({ lot_id: rice, amount: "1" }) }.to raise_error(refused, /did not go along/)
  end
end
