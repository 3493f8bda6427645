# frozen_string_literal: true

require_relative "../support/api"

# A new household at the bench, at the dryer, on a trip of six days and home again, over the wire.
RSpec.describe "Portioned, preserved and taken along, from the beginning", :api do
  let!(:ines) { sign_in(household!(people: 3)) }
  let(:cupboard) { place_id(ines, "cupboard") }
  let(:fridge) { place_id(ines, "fridge") }
  let(:freezer) { place_id(ines, "freezer") }

  def today(day) = HouseSupport.clock.day = Date.iso8601(day)

  def put(key, amount, price = 200, count: "1", place: cupboard, **more)
    tell("/api/stacks", { food_id: food_id(ines, key), place_id: place, count: count, amount: amount, unit: "g",
                          price_minor: price, **more })["lot_id"]
  end

  # What every stack holds and is worth is what its movements sum to.
  def balanced
    inside(ines) do |house|
      sums = house.db[:movements].where(household_id: ines.household_id).select(:lot_id, :quantity, :value_minor).all
        .group_by { |one| one[:lot_id] }
        .transform_values { |list| %i[quantity value_minor].map { |name| list.sum { |one| one[name] } } }
      house.lots.all.to_h { |one| [one.id, [one.on_hand, one.value_minor]] }
        .reject { |id, (amount, value)| sums.fetch(id) == [amount, value] }
    end
  end

  def worth = inside(ines) { |house| house.lots.all.sum(&:value_minor) }

  it "makes thirteen labelled bags of four packs, two of them fresh" do
    today("2027-02-26")
    packs = put("chicken-thighs", "900", 2999, count: "4", place: fridge, printed_on: "2027-02-28",
      printed_kind: "use_by")
    body = { takes: [{ lot_id: packs }], trim_g: "150", count: 13, fresh: 2, frozen_place_id: freezer }
    seen = tell("/api/bench/portions/foresee", body)["portions"]
    expect(seen["costs"]).to eq([{ "count" => 4, "cost_minor" => 230 }, { "count" => 9, "cost_minor" => 231 }])
    done = tell("/api/bench/portions", body)
    made = ask("/api/stacks")["stacks"].select { |one| done["lot_ids"].include?(one["id"]) }
    expect(made.map { |one| one["usable_until"] }.uniq).to contain_exactly("2027-02-27", "2027-11-23")
    get "/api/labels/sheet.pdf?stacks=#{done["lot_ids"].join(",")}"
    expect([last_response.status, last_response.body[0, 5]]).to eq([200, "%PDF-"])
    expect([balanced, worth]).to eq([{}, 2999])
  end

  it "is asked for twenty cocoa bags, makes eighteen and says why" do
    today("2027-03-20")
    put("whole-milk-powder", "460", 613)
    put("cocoa-powder", "125", 155)
    put("sugar-white", "1000", 109)
    body = { assembly: "cocoa-cup-bag", count: 20, place_id: cupboard }
    expect(tell("/api/bench/bags/foresee", body)["bags"]["why"]).to eq("Whole milk powder: 40 g missing for 20.")
    expect(tell("/api/bench/bags", body)).to include("bags" => 18)
    expect([balanced, worth]).to eq([{}, 613 + 155 + 109])
  end

  it "expects of the fourth batch of tomatoes the middle of three" do
    [%w[2400 150 11], %w[3100 230 13], %w[2750 187 12]].each do |weighed, out, hours|
      id = tell("/api/bench/batches",
        { process: "drying", cut: "tomatoes", takes: [{ lot_id: put("tomatoes", weighed) }] })["batch_id"]
      tell("/api/bench/batches/#{id}/finish", { place_id: cupboard, out_g: out, passed: true, more_hours: hours })
    end
    cut = ask("/api/bench/batches")["cuts"].find { |one| one["key"] == "tomatoes" }
    expect(cut).to include("own" => 3, "yield_percent" => "6.8", "hours" => "12")
    loads = ask("/api/bench/loads?cut=tomatoes&in_g=5200")
    expect(loads).to include("out" => "354 g", "litres" => "1.8")
  end

  it "fills six days for three, mends, packs, eats in part without a network, and comes home to the gram and cent" do
    today("2027-03-28")
    id = tell("/api/trips", { name: "West road", leaves_on: "2027-04-05", back_on: "2027-04-10", cold: "soft-bag-2",
                              high_c: 12, gear: ["burner"], pot_ml: 3000 })["trip_id"]
    expect(tell("/api/trips/#{id}/fill")).to include("empty" => 0, "faults" => 0)
    tell("/api/trips/#{id}/meals", { on: "2027-04-07", meal: "dinner", kind: "recipe", dish: "bulgur-apricot-pot" })
    tell("/api/trips/meals/#{dish(id, "2027-04-08", "breakfast")["id"]}/change", { gone: true })
    expect(dish(id, "2027-04-08", "breakfast")).to be_nil
    expect(tell("/api/trips/#{id}/fill", { keep: true })).to include("empty" => 0)
    expect(dish(id, "2027-04-07", "dinner")["key"]).to eq("bulgur-apricot-pot")
    today("2027-04-04")
    stocked(id)
    bag = tell("/api/places", { name: "Pannier", kind: "cupboard" })["place_id"]
    before = worth
    packed = packed(id, bag)
    expect(ask("/api/trips/#{id}/packing")["packed"].size).to be >= packed.size
    eaten(packed.first(4))
    today("2027-04-10")
    back = ask("/api/trips/#{id}/packing")["packed"].last(3).map { |one| { lot_id: one["lot_id"], amount: half(one) } }
    tell("/api/trips/#{id}/home", { back: back, gas_used_g: 180 })
    expect(balanced).to eq({})
    gone = inside(ines) do |house|
      -house.db[:movements].where(household_id: ines.household_id, reason: %w[eaten binned]).sum(:value_minor)
    end
    expect(worth + gone).to eq(before)
    learned = ask("/api/trips")
    expect(learned["trips"].map { |one| one["status"] }).to eq(["home"])
  end

  def dish(id, day, meal)
    ask("/api/trips/#{id}")["days"].find do |one|
      one["on"] == day
    end["meals"].find { |one| one["meal"] == meal }["dishes"]
      .find { |one| one["kind"] != "food" }
  end

  # Everything it says has to be got is got: what turns goes into the fridge.
  def stocked(id)
    got(id, cupboard, "2028-01-31")
    got(id, fridge, "2027-04-09")
    expect(ask("/api/trips/#{id}")["shorts"].map { |one| one["name"] }).to be_empty
  end

  def got(id, place, printed)
    ask("/api/trips/#{id}")["shorts"].each do |short|
      tell("/api/stacks", { food_id: short["food_id"], place_id: place, count: "2", amount: "1000", unit: "g",
                            price_minor: 333, printed_on: printed, printed_kind: "best_before" })
    end
  end

  def packed(id, bag)
    takes = ask("/api/trips/#{id}/packing").values_at("bags", "foods").flatten.flat_map { |one| one["takes"] }
    takes.group_by { |one| one["lot_id"] }.map do |lot, list|
      amount = list.sum { |one| one["amount"].to_r }
      tell("/api/trips/#{id}/pack", { takes: [{ lot_id: lot, amount: print(amount) }], place_id: bag })["lot_id"]
    end
  end

  # Noted in the tent on the day, sent when there was a network again.
  def eaten(lots)
    today("2027-04-08")
    lots.each_with_index do |lot, at|
      amount = inside(ines) { |house| house.lots.one(lot).on_hand } / 3
      tell("/api/stacks/#{lot}/take", { amount: print(amount.floor(2)) }, headers: {
        "HTTP_ACT_DEVICE" => "phoneofjuna", "HTTP_ACT_SEQUENCE" => (1_764_000_000_000 + at).to_s,
        "HTTP_ACT_ON" => "2027-04-06", "HTTP_ACT_HELD" => "yes"
      })
    end
  end

  def half(one) = print((one["on_hand"].to_r / 2).floor(2))

  def print(amount) = NutShelf::Core::Decimal.print(amount)

  it "refreshes a box in one act" do
    today("2027-03-01")
    car = tell("/api/places", { name: "Car box", kind: "cupboard", low_c: -4, high_c: 34 })["place_id"]
    old = put("crackers", "200", place: car, printed_on: "2027-08-15", printed_kind: "best_before", count: "3")
    put("crackers", "200", printed_on: "2028-12-31", printed_kind: "best_before")
    tell("/api/places/#{car}/box", { food_id: food_id(ines, "crackers"), packs: 3 })
    line = ask("/api/places/#{car}/box")["lines"].first
    expect(line.slice("stays", "buy", "buy_dated")).to eq("stays" => 0, "buy" => 2, "buy_dated" => "2028-10-15")
    tell("/api/places/#{car}/box/refresh")
    expect(inside(ines) { |house| house.lots.one(old).place_id }).not_to eq(car)
    expect(balanced).to eq({})
  end
end
