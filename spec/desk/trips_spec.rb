# frozen_string_literal: true

require_relative "../support/trips"

# Trips: who goes, what is eaten on the way, and what it comes to.
RSpec.describe "Trips" do
  include TripSupport

  let(:ines) { household!(people: 3) }
  let(:refused) { NutShelf::Desk::Error }
  let(:monday) { Date.new(2027, 4, 5) }

  before { clock.day = Date.new(2027, 3, 28) }

  # The camp of a week: nothing of tins and glass, one burner, one pot.
  def trip(**more)
    @trip ||= act(:KeepTrip, ines, {
      name: "Round the lochs", leaves_on: "2027-04-05", back_on: "2027-04-10", cold: "soft-bag-2", high_c: 12,
      gear: ["burner"], pots: 1, pot_ml: 1500, **more
    })["trip_id"]
  end

  def meals = inside(ines) { |house| house.trips.meals(trip) }

  it "fills every meal of six days without a fault, keeps what is pinned, and can be taken back" do
    pinned = put("2027-04-07", "dinner", "bag", "tomato-couscous-bag", pinned: true)
    done = act(:FillTrip, ines, { trip_id: trip })
    expect([done["empty"], done["faults"]]).to eq([0, 0])
    # From lunch on Monday to lunch on Saturday.
    expect(meals.count { |one| one.kind != "food" }).to eq(3 + (4 * 4) + 2)
    expect(meals.map(&:id)).to include(pinned)
    book { |told| expect(told.entries.flat_map(&:faults)).to be_empty }
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(meals.map(&:id)).to eq([pinned])
  end

  it "makes up for meals that are too little for the day, with what is light, and anew when filled anew" do
    put("2027-04-06", "lunch", "food", "dark-chocolate", grams: "50")
    act(:FillTrip, ines, { trip_id: trip })
    book do |told|
      expect(told.balance.days.map { |one| one.kcal / one.target.kcal }).to all(be >= 9/10r)
      besides = told.entries.select { |one| one.row.kind == "food" }
      expect(besides.size).to be > 4
      expect(besides.flat_map(&:faults)).to be_empty
      expect(besides.map { |one| one.row.grams }).to all(be <= 80)
    end
    first = meals.select { |one| one.kind == "food" }.map(&:id)
    act(:SetTripMeal, ines, { trip_id: trip, on: "2027-04-06", meal: "lunch", kind: "bag", dish: "cold-muesli-bag" })
    act(:FillTrip, ines, { trip_id: trip })
    expect(meals.select { |one| one.kind == "food" }.map(&:id) & first).to eq([first.min])
  end

  it "asks of each day what three people spend, and says what the meals give" do
    put("2027-04-05", "lunch", "bag", "oat-apple-bag")
    act(:KeepTrip, ines, { trip_id: trip, days: { "2027-04-07" => { effort: "hard", hours: "6" } } })
    book do |told|
      days = told.balance.days
      expect(days.map { |one| one.target.share }).to eq([3/4r, 1, 1, 1, 1, 1/2r])
      expect(days[2].target.kcal).to be > days[1].target.kcal
      expect(days[0].kcal.round).to eq(told.entries[0].cell.foods(NutShelf::Boot::Reference.catalog)
        .sum { |food, grams| food.nutrition.kcal * grams / 100 }.round)
      expect(told.balance.weighed.net_g).to eq(363)
      expect(told.balance.weighed.tare_g).to eq(27)
    end
  end

  it "refuses what is cold too late, past its date and not for somebody, and lets the rest be pinned" do
    expect do
      put("2027-04-06", "breakfast", "recipe", "ham-crispbread-plate")
    end.to raise_error(refused, /needs the cold/)
    expect do
      put("2027-04-09", "dinner", "bag", "jerky-mash-bag")
    end.to raise_error(refused, /good until 7 Apr 2027 only/)
    expect(meals).to be_empty
    put("2027-04-09", "dinner", "recipe", "macaroni-cheese", pinned: true)
    book do |told|
      expect(told.entries[0].faults.map { |one| told.fault_words(one) }).to eq(
        ["needs a hob", "takes 2 pots", "takes the pot 2 times", "takes 60 minutes, there are 45"]
      )
    end
    expect { put("2027-04-05", "breakfast", "bag", "oat-apple-bag") }.to raise_error(refused, /not eaten on the way/)
    expect { put("2027-04-06", "lunch", "bag", "no-bag") }.to raise_error(refused, /no such dish/)
  end

  it "has two dishes change places, and something to eat besides stay" do
    pasta = put("2027-04-06", "dinner", "recipe", "one-pot-tomato-pasta")
    bag = put("2027-04-07", "dinner", "bag", "tomato-couscous-bag")
    put("2027-04-06", "dinner", "food", "dark-chocolate", grams: "33")
    act(:SetTripMeal, ines, { trip_id: trip, trip_meal_id: pasta, on: "2027-04-07" })
    expect(meals.map { |one| [one.id, one.on_date.day, one.kind] }).to include([pasta, 7, "recipe"], [bag, 6, "bag"])
    put("2027-04-07", "dinner", "bag", "coconut-rice-bag")
    expect(meals.map(&:dish)).to contain_exactly("tomato-couscous-bag", "dark-chocolate", "coconut-rice-bag")
  end

  it "takes what turns first from the shelf, says what is to be bought, and what fuel and water it takes" do
    put_away(ines, "couscous", "cupboard", amount: "200", printed_on: "2027-05-01", printed_kind: "best_before")
    put("2027-04-06", "dinner", "bag", "tomato-couscous-bag")
    book do |told|
      shorts = told.balance.shorts.to_h { |one| [one.food.key, one.grams.round] }
      need = NutShelf::Boot::Reference.catalog.trips.assemblies["tomato-couscous-bag"].lines
        .find { |line| line.food_key == "couscous" }.quantity.amount * 3
      expect(shorts["couscous"]).to eq((need - 200).round)
      expect(told.balance.fuel.canisters).to eq(1)
      expect(told.balance.water.size).to eq(1)
      expect(told.balance.holds?).to be(false)
    end
  end

  it "goes by what the household says its foods hold, and knows foods of its own" do
    act(:AddPerson, ines, { name: "Kit", excludes: ["lupin"] })
    people = inside(ines) { |house| house.household.people.map { |row| { person_id: row.id } } }
    act(:KeepTrip, ines, { trip_id: trip, people: people })
    put("2027-04-06", "dinner", "bag", "tomato-couscous-bag")
    act(:ChangeFood, ines, { food_id: food_id(ines, "couscous"), allergens: %w[gluten lupin] })
    book { |told| expect(told.entries[0].faults.map { |one| told.fault_words(one) }).to include("holds lupin") }
    expect { put("2027-04-07", "dinner", "bag", "tomato-couscous-bag") }.to raise_error(refused, /holds lupin/)
    kelp = act(:AddFood, ines, { name: "Kelp", like_food_id: food_id(ines, "honey") })["food_id"]
    key = inside(ines) { |house| house.foods.find(kelp).key }
    put("2027-04-06", "snack", "food", key, grams: "20")
    book { |told| expect(told.balance.days.size).to eq(6) }
  end

  it "refuses a trip that ends before it begins, and one that changed meanwhile" do
    expect { act(:KeepTrip, ines, { name: "Odd", leaves_on: "2027-04-05", back_on: "2027-04-04" }) }
      .to raise_error(refused, /back on the day it leaves or later/)
    act(:KeepTrip, ines, { trip_id: trip, version: 1, pots: 2 })
    expect { act(:KeepTrip, ines, { trip_id: trip, version: 1, pots: 3 }) }.to raise_error(refused)
    expect do
      act(:KeepTrip, ines, { trip_id: trip, people: [{ person_id: 0 }] })
    end.to raise_error(refused, /of this household/)
    act(:KeepTrip, ines, { trip_id: trip, gone: true })
    expect(inside(ines) { |house| house.trips.all }).to be_empty
  end
end
