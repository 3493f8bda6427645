# frozen_string_literal: true

require_relative "../support/trips"
require_relative "../../desk/trips/load_out"
require_relative "../../desk/trips/to_do"

# What is done before and on a trip: soaked, dried, thawed, carried in bags, bought on the way, learned.
RSpec.describe "On the way" do
  include TripSupport

  let(:ines) { household!(people: 3) }
  let(:refused) { NutShelf::Desk::Error }

  before { clock.day = Date.new(2027, 3, 20) }

  def trip(**more)
    @trip ||= act(:KeepTrip, ines, {
      name: "Round the lochs", leaves_on: "2027-04-05", back_on: "2027-04-10", cold: "soft-bag-2", high_c: 12,
      gear: ["burner"], pots: 1, pot_ml: 3000, **more
    })["trip_id"]
  end

  def doings
    book { |told, work| NutShelf::Desk::Trips::ToDo.new(work, told).all.map { |one| [one.kind, one.on, one.words] } }
  end

  describe "what is soaked the evening before" do
    it "takes no more than boiling, is a task, and needs the cold over night" do
      id = put("2027-04-06", "breakfast", "bag", "oat-apple-bag")
      expect { act(:SetTripMeal, ines, { trip_meal_id: id, soaked: true }) }.to raise_error(refused, /needs the cold/)
      act(:KeepTrip, ines, { trip_id: trip, cold: "hard-box-3" }) if known_cold?("hard-box-3")
      act(:KeepTrip, ines, { trip_id: trip, leaves_hour: 20 })
      act(:SetTripMeal, ines, { trip_meal_id: id, soaked: true })
      book do |told|
        cell = told.entries.first.cell
        expect([cell.soaked, told.entries.first.faults]).to eq([true, []])
      end
      expect(doings).to include(["soak", Date.new(2027, 4, 5), /cold water on 3 x Oats with apple/])
    end

    def known_cold?(key) = NutShelf::Boot::Reference.catalog.trips.cold.key?(key)

    it "is a bag, no dish" do
      expect { put("2027-04-05", "dinner", "recipe", "one-pot-tomato-pasta", soaked: true) }.to raise_error(
        refused, /Only a bag/
      )
    end
  end

  describe "leftovers" do
    before { trip(leaves_hour: 20) }

    it "are cooked with the dish, eaten cold after it, and take no gas of their own" do
      put("2027-04-05", "dinner", "recipe", "bulgur-apricot-pot", pinned: true)
      alone = book { |told| [told.balance.fuel.per_meal_g.size, told.balance.fuel.need_g, told.balance.weighed.net_g] }
      put("2027-04-06", "lunch", "leftover", "bulgur-apricot-pot")
      book do |told|
        source, rest = told.entries.map(&:cell)
        expect([source.batch, rest.leftover_hours, rest.heated?]).to eq([2, 18, false])
        expect(told.balance.fuel.per_meal_g.size).to eq(alone[0])
        expect(told.balance.fuel.need_g).to be > alone[1]
        expect(told.balance.weighed.net_g).to eq(alone[2] * 2)
        needs = told.balance.shorts.to_h { |one| [one.food.key, one.on] }
        expect(needs.values.uniq).to eq([nil])
      end
    end

    it "are refused where nothing is cooked before, or too long ago, or out of the cold" do
      expect { put("2027-04-06", "lunch", "leftover", "bulgur-apricot-pot") }.to raise_error(refused, /no earlier meal/)
      put("2027-04-06", "dinner", "recipe", "bulgur-apricot-pot", pinned: true)
      expect { put("2027-04-07", "lunch", "leftover", "bulgur-apricot-pot") }.to raise_error(refused, /too old/)
      expect(book { |told| told.leftovers(Date.new(2027, 4, 7), "lunch") }).to be_empty
    end
  end

  it "says what to dry and when to begin, what to thaw, fill and pack, and what has been begun" do
    put("2027-04-08", "dinner", "bag", "mince-couscous-bag")
    peas = put_away(ines, "frozen-peas", "freezer", amount: "900")["lot_id"]
    put("2027-04-05", "dinner", "food", "frozen-peas", grams: "100")
    dry = doings.find { |kind, _| kind == "dry" }
    expect(dry).to match(["dry", be_between(Date.new(2027, 3, 30), Date.new(2027, 4, 3)),
                          /Begin to dry .*mince.*gives 105 g/])
    expect(doings).to include(
      ["thaw", Date.new(2027, 4, 3), /900 g .*: from .* into the fridge/],
      ["fill", Date.new(2027, 4, 4), /Fill 3 x/], ["pack", Date.new(2027, 4, 4), "Pack for Round the lochs"]
    )
    mince = put_away(ines, "beef-mince", "fridge", amount: "900")["lot_id"]
    act(:BeginBatch, ines, { process: "drying", cut: "cooked-mince", takes: [{ lot_id: mince }] })
    expect(doings.map(&:first)).not_to include("dry")
    expect(lot(ines, peas).on_hand).to eq(900)
    clock.day = Date.new(2027, 4, 4)
    expect { put("2027-04-09", "dinner", "bag", "mince-couscous-bag") }.not_to raise_error
  end

  describe "days in another order" do
    def swap(one, other) = act(:SwapTripDays, ines, { trip_id: trip, on: "2027-04-0#{one}", with: "2027-04-0#{other}" })

    def grid
      inside(ines) { |house| house.trips.meals(trip) }.to_h { |row| [[row.on_date.day, row.meal], row.dish] }
    end

    it "swap meal by meal as far as both have them" do
      put("2027-04-05", "dinner", "bag", "tomato-couscous-bag")
      put("2027-04-05", "snack", "food", "walnuts", grams: "40")
      put("2027-04-07", "breakfast", "bag", "oat-apple-bag")
      put("2027-04-07", "dinner", "recipe", "one-pot-tomato-pasta", pinned: true)
      swap(5, 7)
      expect(grid).to eq(
        [5, "dinner"] => "one-pot-tomato-pasta", [7, "snack"] => "walnuts", [7, "breakfast"] => "oat-apple-bag",
        [7, "dinner"] => "tomato-couscous-bag"
      )
      expect { swap(8, 9) }.to raise_error(refused, /nothing to swap/)
      expect { swap(5, 5) }.to raise_error(refused, /nothing to swap/)
      expect do
        act(:SwapTripDays, ines, { trip_id: trip, on: "2027-04-05", with: "2027-04-19" })
      end.to raise_error(refused)
    end

    it "refuse a dish that a swap of two would put where it is cold too late" do
      trip(leaves_hour: 20)
      put("2027-04-05", "dinner", "recipe", "frankfurter-couscous-pot", pinned: true)
      bag = put("2027-04-08", "dinner", "bag", "tomato-couscous-bag")
      expect do
        act(:SetTripMeal, ines, { trip_meal_id: bag, on: "2027-04-05" })
      end.to raise_error(refused, /needs the cold/)
    end

    it "refuse what would be cold too late, and a leftover before its dish" do
      trip(leaves_hour: 20)
      put("2027-04-05", "dinner", "recipe", "frankfurter-couscous-pot", pinned: true)
      expect { swap(5, 8) }.to raise_error(refused, /needs the cold/)
      put("2027-04-05", "dinner", "recipe", "bulgur-apricot-pot", pinned: true)
      put("2027-04-06", "lunch", "leftover", "bulgur-apricot-pot")
      expect { swap(5, 6) }.to raise_error(refused, /no earlier meal|leftover/)
      expect(grid[[5, "dinner"]]).to eq("bulgur-apricot-pot")
    end
  end

  it "says when what is to be dried is cheap, by the price book" do
    put("2027-04-08", "dinner", "bag", "mince-couscous-bag")
    buy = lambda do |day, price|
      clock.day = day
      put_away(ines, "beef-mince", "freezer", amount: "500", price_minor: price)
    end
    buy.call(Date.new(2027, 2, 1), 600)
    buy.call(Date.new(2027, 2, 20), 590)
    buy.call(Date.new(2027, 3, 18), 560)
    expect(doings.find { |kind, _| kind == "dry" }.last).not_to match(/cheap/)
    buy.call(Date.new(2027, 3, 20), 450)
    expect(doings.find { |kind, _| kind == "dry" }.last).to match(/it is cheap now/)
  end

  it "plans nothing that cannot be dried in time any more" do
    clock.day = Date.new(2027, 4, 4)
    expect { put("2027-04-08", "dinner", "bag", "mince-couscous-bag") }.to raise_error(refused, /good until 3 Apr/)
  end

  it "carries days in bags that add up, never across a shop, and buys in time" do
    act(:FillTrip, ines, { trip_id: trip })
    book do |told|
      load_out = NutShelf::Desk::Trips::LoadOut.new(told)
      bags = load_out.bags
      expect(bags.flat_map(&:days)).to eq(told.route.dates)
      expect(bags.map { |one| one.days.size }).to all(be <= 2)
      tare = bags.sum { |one| one.carrier.tare_g }
      weighed = told.balance.weighed
      expect(bags.sum(&:grams)).to be_within(1).of(weighed.net_g + weighed.tare_g + tare)
      expect(load_out.legs.size).to eq(1)
    end
    act(:KeepTrip, ines, { trip_id: trip, carried_by: "vehicle" })
    book { |told| expect(NutShelf::Desk::Trips::LoadOut.new(told).bags.map { |one| one.carrier.key }).to all(match(/box|crate/)) }
    act(:KeepTrip, ines, { trip_id: trip, carried_by: "back", shops: ["2027-04-08"] })
    book do |told|
      load_out = NutShelf::Desk::Trips::LoadOut.new(told)
      expect(load_out.legs.map { |one| [one.from.day, one.to.day] }).to eq([[5, 7], [8, 10]])
      expect(load_out.legs.sum(&:grams)).to eq(told.balance.weighed.then { |one| one.net_g + one.tare_g })
      expect(load_out.bags.map { |one| one.days.map(&:day) }).to all(satisfy { |days|
        !days.include?(7) || days.last == 7
      })
      expect(told.balance.shorts.map(&:on).uniq).to contain_exactly(nil, Date.new(2027, 4, 8))
    end
    expect { act(:KeepTrip, ines, { trip_id: trip, shops: ["2027-02-30"] }) }.to raise_error(refused)
  end

  it "sets apart what is bought on the way, and has it come home like the rest" do
    put("2027-04-05", "dinner", "bag", "tomato-couscous-bag")
    bag = act(:AddPlace, ines, { name: "Dry bag", kind: "cupboard" })["place_id"]
    buy = { food_id: food_id(ines, "dark-chocolate"), place_id: bag, count: "2", amount: "100", unit: "g",
            price_minor: 380, printed_on: "2027-12-31", printed_kind: "best_before" }
    expect { act(:BuyOnTheWay, ines, { trip_id: trip, **buy }) }.to raise_error(refused, /Nothing was packed|packed/i)
    nuts = put_away(ines, "walnuts", "cupboard", amount: "200")["lot_id"]
    act(:PackTrip, ines, { trip_id: trip, takes: [{ lot_id: nuts }] })
    clock.day = Date.new(2027, 4, 7)
    cold = { place_id: place_id(ines, "fridge") }
    expect { act(:BuyOnTheWay, ines, { trip_id: trip, **buy, **cold }) }.to raise_error(refused)
    id = act(:BuyOnTheWay, ines, { trip_id: trip, **buy })["lot_id"]
    rows = inside(ines) { |house| house.reservations.of_trip(trip) }
    expect(rows.map(&:lot_id)).to include(id)
    clock.day = Date.new(2027, 4, 10)
    act(:ComeHome, ines, { trip_id: trip, back: [{ lot_id: id, amount: "100" }] })
    expect(lot(ines, id)).to have_attributes(on_hand: 100, value_minor: 190)
  end

  it "learns from the weight of the canisters what its own stove takes" do
    put("2027-04-05", "dinner", "bag", "tomato-couscous-bag")
    table = book { |told| [told.balance.fuel.need_g, told.balance.boiled_ml] }
    nuts = put_away(ines, "walnuts", "cupboard", amount: "200")["lot_id"]
    act(:PackTrip, ines, { trip_id: trip, takes: [{ lot_id: nuts }] })
    clock.day = Date.new(2027, 4, 10)
    act(:ComeHome, ines, { trip_id: trip, back: [], gas_used_g: 60 })
    own = NutShelf::Desk::Trips::Lessons
    expect(book { |_, work| own.new(work).g_per_litre }).to eq(60 / (table[1] / 1000))
    @trip = nil
    trip(name: "Again", leaves_on: "2027-05-01", back_on: "2027-05-02")
    put("2027-05-01", "dinner", "bag", "tomato-couscous-bag")
    expect(book { |told| told.balance.fuel.need_g }).to be > table[0] * 2
  end
end
