# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/preserving/batch_log"

# What is frozen, dried and bottled at home.
RSpec.describe "Batches" do
  let(:ines) { household! }
  let(:cupboard) { place_id(ines, "cupboard") }
  let(:fridge) { place_id(ines, "fridge") }
  let(:freezer) { place_id(ines, "freezer") }
  let(:refused) { NutShelf::Desk::Error }

  before { clock.day = Date.new(2026, 9, 12) }

  def fresh(key, grams, price = 500, kind = "fridge", **more)
    put_away(ines, key, kind, amount: grams, price_minor: price, **more)["lot_id"]
  end

  def begun(process, cut, lot, **more)
    act(:BeginBatch, ines, { process: process, cut: cut, takes: [{ lot_id: lot }], **more })["batch_id"]
  end

  def note(id, **more) = act(:ChangeBatch, ines, { batch_id: id, **more })

  def finish(id, place, **more)
    act(:FinishBatch, ines, { batch_id: id, place_id: place, **more })
  end

  def dry(key, cut, in_g, out_g, hours)
    finish(begun("drying", cut, fresh(key, in_g)), cupboard, out_g: out_g, more_hours: hours, passed: true)
  end

  def next_time(cut)
    services.database.within(ines.household_id) do |db|
      work = NutShelf::Desk::UnitOfWork.new(services, ines, db)
      log = NutShelf::Desk::Preserving::BatchLog.new(work)
      yield log, log.next_time(work.catalog.trips.drying.fetch(cut)), work.catalog.trips.drying.fetch(cut)
    end
  end

  it "goes by the table until there are three batches of one's own, then by their median" do
    [%w[2400 150 11], %w[3100 230 13]].each { |one| dry("tomatoes", "tomatoes", *one) }
    next_time("tomatoes") { |_, told| expect(told.yield).to eq(Rational(7, 100)) }
    dry("tomatoes", "tomatoes", "2750", "187", "12")
    next_time("tomatoes") do |_, told|
      expect([told.yield, told.hours, told.out_g(5200r).round]).to eq([Rational(68, 1000), 12, 354])
      expect(told.litres(5200r).round(1)).to eq(Rational(18, 10))
    end
  end

  it "keeps the food of a batch for it, moves its cost on, and says what water to give back" do
    lot = fresh("tomatoes", "2400", 613)
    id = begun("drying", "tomatoes", lot, in_g: "2300", trays: 4)
    pool = inside(ines) { |house| house.batches.all.first.lot_id }
    expect(inside(ines) { |house| house.reservations.held(clock.day) }).to eq(pool => 2300r)
    note(id, ticked: [1, 4], more_hours: "6", temp_c: 57)
    done = finish(id, cupboard, out_g: "150", more_hours: "5", passed: true)
    made = lot(ines, done["lot_id"])
    expect([made.on_hand, made.value_minor, made.situation]).to eq([150, 613, "home_dried"])
    expect(made.usable_until).to eq(Date.new(2026, 9, 12) + 90)
    expect(made.directions).to eq("For 100 g at most 1433 ml of water; 1533 g went in for it.")
    expect(lot(ines, pool).on_hand).to eq(0)
    expect(inside(ines) { |house| house.reservations.held(clock.day) }).to be_empty
    batch = inside(ines) { |house| house.batches.all.first }
    expect(batch).to have_attributes(hours: 11r, out_g: 150r, status: "finished", ticked: [1, 4], trays: 4, temp_c: 57)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(inside(ines) { |house| house.batches.all.first.status }).to eq("going")
    expect(lot(ines, pool).on_hand).to eq(2300)
  end

  it "is no food for dishes that ask for the fresh one" do
    done = dry("tomatoes", "tomatoes", "2400", "150", "11")
    food = inside(ines) { |house| house.foods.find(lot(ines, done["lot_id"]).food_id) }
    expect([food.key, food.reference_key, food.class_key]).to eq(
      ["home-dried-tomatoes", nil, "class-home-dried-vegetables"]
    )
  end

  it "makes nothing of what did not pass its test, weighs more dried, or lay about" do
    id = begun("drying", "tomatoes", fresh("tomatoes", "2400"))
    expect { finish(id, cupboard, out_g: "150") }.to raise_error(refused, /not passed its test: Leathery to brittle/)
    expect { finish(id, cupboard, out_g: "2400", passed: true) }.to raise_error(refused, /cannot weigh as much/)
    clock.day += 4
    expect { finish(id, cupboard, out_g: "150", passed: true, more_hours: "11") }.not_to raise_error
    other = begun("drying", "tomatoes", fresh("tomatoes", "2400"))
    clock.day += 5
    expect do
      finish(other, cupboard, out_g: "150", passed: true, more_hours: "11")
    end.to raise_error(refused, /lay longer/)
    expect { note(id, more_hours: "1") }.to raise_error(refused, /done already/)
  end

  it "holds dried meat until it was heated through and its fat rinsed off" do
    raw = finish(begun("drying", "cooked-mince", fresh("beef-mince", "1000")), freezer,
      out_g: "380", more_hours: "8", passed: true)
    held = lot(ines, raw["lot_id"])
    expect([held.quarantined, held.stopped]).to eq([true, true])
    expect(held.quarantine_reason).to include("71 C")
    id = begun("drying", "cooked-mince", fresh("beef-mince", "1000"), in_g: "700")
    note(id, heated_c: 74, ticked: [2])
    done = lot(ines, finish(id, freezer, out_g: "280", more_hours: "8", passed: true)["lot_id"])
    expect([done.quarantined, done.usable_until]).to eq([false, Date.new(2026, 9, 12) + 180])
    fat = begun("drying", "cooked-mince", fresh("beef-mince", "1000"))
    note(fat, heated_c: 74)
    expect(lot(ines, finish(fat, freezer, out_g: "380", passed: true)["lot_id"]).quarantined).to be(true)
    hot = begun("drying", "cooked-mince", fresh("beef-mince", "1000"))
    note(hot, heated_c: 70, ticked: [2])
    expect(lot(ines, finish(hot, freezer, out_g: "380", passed: true)["lot_id"]).quarantined).to be(true)
  end

  it "bottles by a recipe that somebody tested, keeps sealed jars a year and the open one in the fridge" do
    id = begun("bottling", "Plums, halved or whole", fresh("plums", "4000", 800))
    jars = [{ ml: 500, sealed: 5, unsealed: 1 }, { ml: 350, sealed: 2 }]
    expect { finish(id, cupboard, jars: jars) }.to raise_error(refused, /tested recipe/)
    note(id, source: "Plums in syrup, county kitchen office")
    expect { finish(id, cupboard, jars: []) }.to raise_error(refused, /No jar/)
    made = finish(id, cupboard, jars: jars)["lot_ids"].map { |one| lot(ines, one) }
    expect(made.map { |one| [one.on_hand / one.pack_amount, one.open, one.usable_until] }).to eq(
      [[5, false, Date.new(2027, 9, 12)], [1, true, Date.new(2026, 9, 17)], [2, false, Date.new(2027, 9, 12)]]
    )
    expect(made.sum(&:value_minor)).to eq(800)
    expect(made[1].place_id).to eq(fridge)
    tasks = inside(ines) { |house| house.care.all }.select { |rule| rule.lot_id == made[0].id }
    expect(tasks.map { |rule| [rule.next_on, rule.every_days] }).to contain_exactly(
      [Date.new(2026, 9, 13), nil], [Date.new(2026, 12, 11), 90]
    )
  end

  it "freezes what was blanched, in pieces, and nothing that has no figure there" do
    id = begun("freezing", "", fresh("green-beans", "1200", 360), in_g: "1100")
    note(id, ticked: [3, 5])
    expect { finish(id, fridge, out_g: "1050") }.to raise_error(refused, /does not freeze/)
    done = finish(id, freezer, out_g: "1050", pieces: 7)
    made = lot(ines, done["lot_id"])
    expect([made.on_hand, made.pack_amount, made.value_minor, made.place_id]).to eq([1050, 150, 360, freezer])
    expect(made.usable_until).to be > Date.new(2027, 3, 1)
    expect(inside(ines) { |house| house.care.all }.map(&:title)).to include(/bag what froze on the tray/)
    salad = begun("freezing", "", fresh("lettuce", "300"))
    expect { finish(salad, freezer, out_g: "300") }.to raise_error(refused, /does not freeze/)
  end

  it "dries and bottles nothing as what it is not, nor more than can come of it" do
    mince = fresh("beef-mince", "1000")
    expect { begun("drying", "carrots", mince) }.to raise_error(refused, /does not keep as that does/)
    expect { begun("bottling", "Plum jam", mince) }.to raise_error(refused, /does not keep as that does/)
    expect { begun("bottling", "Plum jam", fresh("apples", "500")) }.to raise_error(refused, /does not keep/)
    expect { begun("drying", "tomatoes", fresh("tomatoes", "100"), in_g: "1000") }.to raise_error(refused, /far more/)
    expect { begun("drying", "carrots", fresh("carrots", "500")) }.not_to raise_error
  end

  it "refuses a cut the tables do not know, and a batch of which somebody ate" do
    lot = fresh("tomatoes", "2400")
    expect { begun("drying", "", lot) }.to raise_error(refused, /how it is cut/)
    id = begun("drying", "tomatoes", lot)
    pool = inside(ines) { |house| house.batches.all.first.lot_id }
    act(:Take, ines, { lot_id: pool, amount: "100", despite: "hungry" })
    expect { finish(id, cupboard, out_g: "150", passed: true) }.to raise_error(refused, /not all there/)
  end

  it "plans the loads of the dryer back from the day they are needed" do
    next_time("apples") do |log, _, drying|
      plan = log.loads(drying, 9000r, trays: 6, tray_dm2: 9r, day_hours: 14r, watts: 500r,
        needed_on: Date.new(2027, 3, 27))
      expect([plan.capacity_g, plan.loads, plan.per_load_g, plan.days, plan.start_on]).to eq(
        [1890, 5, 1800, 5, Date.new(2027, 3, 15)]
      )
    end
  end
end
