# frozen_string_literal: true

require_relative "../support/house"

RSpec.describe "The life of a stack" do
  let(:ines) { household! }

  def stack(id) = lot(ines, id)

  def on_hand(id) = stack(id).on_hand.to_i

  def balanced = expect(inside(ines) { |house| house.lots.out_of_balance }).to be_empty

  def do_(name, **input) = act(name, ines, input)

  it "splits a sealed pack into portions for the freezer, reconciled to the cent, each with its date" do
    id =
      put_away(
        ines, "beef-mince", "fridge", amount: "1000", price_minor: 1745, printed_on: "2026-11-26",
        printed_kind: "use_by"
      )[
        "lot_id"
      ]
    done = do_(:Portion, lot_id: id, size: "300", place_id: place_id(ines, "freezer"))
    expect(done).to include("portions" => 3)
    portions = split_off(ines, id)
    expect(portions.sum(&:on_hand)).to eq(900)
    expect(portions.sum(&:value_minor) + stack(id).value_minor).to eq(1745)
    expect(portions.map { |row| [row.frozen, row.usable_until] }.uniq).to eq([[true, Date.new(2027, 3, 24)]])
    expect(stack(id)).to have_attributes(open: true, usable_until: Date.new(2026, 11, 25))
    balanced
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(stack(id)).to have_attributes(on_hand: 1000, value_minor: 1745, open: false,
      usable_until: Date.new(2026, 11, 26))
  end

  it "decants what is used daily, and the date follows the food" do
    jar = do_(:AddContainer, name: "Big jar", kind: "jar", capacity_ml: 1500, owned: 1)["container_id"]
    id =
      put_away(
        ines, "rolled-oats", "cupboard", count: "2", amount: "500", price_minor: 200, printed_on: "2027-05-30",
        printed_kind: "best_before"
      )[
        "lot_id"
      ]
    poured = do_(:Decant, lot_id: id, container_id: jar)["lot_id"]
    expect(stack(poured)).to have_attributes(
      open: true,
      container_id: jar,
      on_hand: 500,
      value_minor: 100,
      printed_on: Date.new(2027, 5, 30)
    )
    expect(stack(poured).steps.join(" ")).to include("in a closed jar")
    expect { do_(:Decant, lot_id: id, container_id: jar) }.to raise_error(NutShelf::Desk::Conflict, /in use/)
    balanced
  end

  it "opens a sealed pack that is only used in part, and the rest of it is open too" do
    jar = do_(:AddContainer, name: "Jar", kind: "jar", capacity_ml: 1500)["container_id"]
    rice =
      put_away(
        ines, "white-rice", "cupboard", amount: "5000", printed_on: "2028-10-31", printed_kind: "best_before",
        price_minor: 1000
      )[
        "lot_id"
      ]
    poured = do_(:Decant, lot_id: rice, container_id: jar, amount: "1000")
    lots =
      inside(ines) do |house|
        house.lots.all.map { |row| [row.on_hand.to_i, row.open, row.value_minor, row.container_id] }
      end
    expect(lots).to contain_exactly([1000, true, 200, jar], [4000, true, 800, nil])
    act(:Undo, ines, { act_id: poured["act_id"] })
    expect(inside(ines) { |house| house.lots.all.map { |row| [row.on_hand.to_i, row.open] } }).to eq(
      [[5000, false]]
    )
    balanced
  end

  it "tops a jar up: earliest date, cost added, parts remembered, undone whole" do
    jar = do_(:AddContainer, name: "Peel tub", kind: "tub", capacity_ml: 900, owned: 1, full_at: "800")["container_id"]
    old =
      put_away(
        ines, "rolled-oats", "cupboard", amount: "500", price_minor: 100, printed_on: "2027-05-30",
        printed_kind: "best_before"
      )[
        "lot_id"
      ]
    new =
      put_away(
        ines, "rolled-oats", "cupboard", amount: "500", price_minor: 150, printed_on: "2027-01-31",
        printed_kind: "best_before"
      )[
        "lot_id"
      ]
    in_jar = do_(:Decant, lot_id: old, container_id: jar)["lot_id"]
    done = do_(:TopUp, lot_id: in_jar, from_lot_id: new, amount: "400")
    expect(done["full"]).to be(true)
    expect(stack(in_jar)).to have_attributes(on_hand: 900, value_minor: 220, usable_until: Date.new(2027, 1, 31))
    expect(stack(in_jar).steps.join(" ")).to include("the earliest of the parts counts")
    expect(inside(ines) { |house| house.care.due(Date.new(2026, 11, 24)).map(&:title) }).to eq(
      ["Peel tub is full: use or empty it"]
    )
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(stack(in_jar)).to have_attributes(on_hand: 500, value_minor: 100, usable_until: Date.new(2027, 5, 30))
    expect(inside(ines) { |house| house.care.all }).to be_empty
    balanced
  end

  it "pours only the same food, and only into what is open" do
    oats = put_away(ines, "rolled-oats", "cupboard", amount: "500")["lot_id"]
    rice = put_away(ines, "white-rice", "cupboard", amount: "500")["lot_id"]
    expect { do_(:TopUp, lot_id: oats, from_lot_id: rice) }.to raise_error(NutShelf::Desk::Conflict, /same food/)
    expect { do_(:TopUp, lot_id: oats, from_lot_id: oats) }.to raise_error(NutShelf::Desk::Invalid)
  end

  it "cuts a part of a stack, which goes to the fridge under the cut rule" do
    id = put_away(ines, "carrots", "cupboard", count: "6", amount: "1", unit: "piece")["lot_id"]
    part = do_(:Prepare, lot_id: id, how: "cut", amount: "2", place_id: place_id(ines, "fridge"))["lot_id"]
    expect(part).not_to eq(id)
    expect(stack(part)).to have_attributes(
      on_hand: 2,
      open: true,
      usable_until: Date.new(2026, 12, 8),
      place_id: place_id(ines, "fridge")
    )
    expect(on_hand(id)).to eq(4)
    expect { do_(:Prepare, lot_id: id, how: "ripened") }.to raise_error(NutShelf::Desk::Conflict, /unripe/)
  end

  it "cooks thawed meat, which may then be frozen again" do
    id =
      put_away(ines, "beef-mince", "fridge", amount: "400", printed_on: "2026-11-26", printed_kind: "use_by")["lot_id"]
    do_(:Move, lot_id: id, place_id: place_id(ines, "freezer"))
    clock.day = Date.new(2026, 12, 10)
    do_(:Move, lot_id: id, place_id: place_id(ines, "fridge"))
    do_(:Prepare, lot_id: id, how: "cooked")
    do_(:Move, lot_id: id, place_id: place_id(ines, "freezer"))
    expect(stack(id)).to have_attributes(stopped: false, frozen: true)
  end

  it "corrects a wrong amount by a further movement, and says so in the history" do
    id = put_away(ines, "canned-chickpeas", "cupboard", count: "10", price_minor: 890)["lot_id"]
    done = do_(:Correct, lot_id: id, amount: "400", why: "typed ten, was one")
    expect(stack(id)).to have_attributes(on_hand: 400, value_minor: 89)
    rows = inside(ines) { |house| house.ledger.movements(done["act_id"]) }
    expect(rows.map { |row| [row.quantity.to_i, row.reason, row.why] }).to eq(
      [[-3600, "corrected", "typed ten, was one"]]
    )
    do_(:Correct, lot_id: id, amount: "800")
    expect(stack(id)).to have_attributes(on_hand: 800, value_minor: 178)
    expect { do_(:Correct, lot_id: id, amount: "800") }.to raise_error(NutShelf::Desk::Conflict)
    balanced
  end

  it "puts a date on what had none, unless somebody else did meanwhile" do
    id = put_away(ines, "honey", "cupboard", state: "opened")["lot_id"]
    do_(:Amend, lot_id: id, printed_on: "2028-05-31", printed_kind: "best_before", was: { printed_on: nil })
    expect(stack(id).usable_until).to eq(Date.new(2028, 5, 31))
    expect { do_(:Amend, lot_id: id, printed_on: "2029-05-31", was: { printed_on: nil }) }.to raise_error(
      NutShelf::Desk::Conflict
    ) { |error| expect(error.code).to eq("stale") }
    expect { do_(:Amend, lot_id: id, made_on: "2027-01-01") }.to raise_error(NutShelf::Desk::Invalid, /not come yet/)
    do_(:Amend, lot_id: id, printed_on: nil)
    expect(stack(id)).to have_attributes(printed_on: nil, printed_kind: nil)
  end

  it "keeps directions, lot and what it was bought for with every part of the stack" do
    id =
      put_away(
        ines, "canned-chickpeas", "cupboard", count: "3", lot_text: "L77", directions: "Rinse well",
        bought_for: "Wren's party"
      )[
        "lot_id"
      ]
    part = do_(:Move, lot_id: id, place_id: place_id(ines, "fridge"), amount: "400")["lot_id"]
    expect(stack(part)).to have_attributes(lot_text: "L77", directions: "Rinse well", bought_for: "Wren's party")
  end

  it "sets apart what pests were found in, and raises a task for what they could reach" do
    flour = put_away(ines, "flour-white", "cupboard", amount: "1000")["lot_id"]
    put_away(ines, "rolled-oats", "cupboard", amount: "500")
    tin = put_away(ines, "canned-chickpeas", "cupboard")["lot_id"]
    done = do_(:Quarantine, lot_ids: [flour], reason: "pest")
    expect(done["at_risk"]).to eq(1)
    expect(stack(flour)).to have_attributes(quarantined: true, stopped: true)
    expect(stack(flour).steps.last).to include("pests")
    expect(stack(tin).quarantined).to be(false)
    expect(inside(ines) { |house| house.care.all.map(&:title) }).to eq(
      ["Inspect or freeze 1 packs in Cupboard that pests could reach"]
    )
    do_(:Clear, lot_id: flour)
    expect(stack(flour)).to have_attributes(stopped: false, quarantine_reason: nil)
  end

  it "shows what an act would do to the date before it is done, and changes nothing" do
    id =
      put_away(ines, "canned-chickpeas", "cupboard", count: "3", printed_on: "2028-05-31", printed_kind: "best_before")[
        "lot_id"
      ]
    before = inside(ines) { |house| [house.lots.one(id), house.household.revision, house.ledger.recent.size] }
    seen = NutShelf::Desk::Open.new(services, ines).foresee({ lot_id: id })
    opened = seen[:stacks].find { |one| one[:new] }
    expect(opened).to include(amount: "400 g, open", place: "Fridge")
    after = inside(ines) { |house| [house.lots.one(id), house.household.revision, house.ledger.recent.size] }
    expect(after).to eq(before)
    real = act(:Open, ines, { lot_id: id })["lot_id"]
    expect(stack(real).usable_until.iso8601).to eq(opened[:usable_until])
  end

  it "makes the way of storing count at once" do
    id = put_away(ines, "fresh-parsley", "fridge", amount: "50", method: "bag")["lot_id"]
    expect(stack(id).usable_until).to eq(Date.new(2026, 12, 1))
    do_(:StoreAs, lot_id: id, method: "water")
    expect(stack(id).usable_until).to eq(Date.new(2026, 12, 8))
  end
end

RSpec.describe "Care" do
  let(:ines) { household! }

  def due(on) = inside(ines) { |house| house.care.due(on).map(&:title) }

  it "comes round, is done with one touch and undone again" do
    id = act(:AddCare, ines, { title: "Turn the jars", first_on: "2026-11-24", every_days: 30 })["care_id"]
    expect(due(Date.new(2026, 11, 24))).to eq(["Turn the jars"])
    done = act(:DoneCare, ines, { care_id: id })
    expect(due(Date.new(2026, 12, 23))).to be_empty
    expect(due(Date.new(2026, 12, 24))).to eq(["Turn the jars"])
    expect { act(:DoneCare, ines, { care_id: id }) }.to raise_error(NutShelf::Desk::Conflict)
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(due(Date.new(2026, 11, 24))).to eq(["Turn the jars"])
  end

  it "shortens a date only where the rule says that care is part of it" do
    celery = put_away(ines, "celery", "fridge", count: "6", amount: "1", unit: "piece", method: "water")["lot_id"]
    until_on = -> { lot(ines, celery).usable_until }
    plain = until_on.call
    act(:AddCare, ines, { title: "Check it", lot_id: celery, first_on: "2026-11-24", every_days: 2 })
    expect(until_on.call).to eq(plain)
    rule =
      act(
        :AddCare,
        ines,
        { title: "Change the water", lot_id: celery, first_on: "2026-11-24", every_days: 2, holds_days: 4 }
      )[
        "care_id"
      ]
    expect(until_on.call).to eq(Date.new(2026, 11, 28))
    clock.day = Date.new(2026, 11, 26)
    act(:DoneCare, ines, { care_id: rule })
    expect(until_on.call).to eq(Date.new(2026, 11, 30))
    act(:DropCare, ines, { care_id: rule })
    expect(until_on.call).to eq(plain)
  end

  it "takes back two looks of one day in the order they were made" do
    tin = put_away(ines, "canned-chickpeas", "cupboard")["lot_id"]
    looks = Array.new(2) { act(:Seen, ines, { lot_id: tin })["act_id"] }
    looks.each { |id| act(:Undo, ines, { act_id: id }) }
    expect(lot(ines, tin).seen_on).to be_nil
  end

  it "is over after a follow-up, and no longer asked for what is used up" do
    tin = put_away(ines, "canned-chickpeas", "cupboard")["lot_id"]
    act(:AddCare, ines, { title: "Tighten the lid", lot_id: tin, first_on: "2026-11-24" })
    expect(due(Date.new(2026, 11, 24))).to eq(["Tighten the lid"])
    act(:Take, ines, { lot_id: tin })
    expect(due(Date.new(2026, 11, 24))).to be_empty
  end
end

RSpec.describe "What is set apart" do
  include HouseSupport

  let(:ines) { household! }
  let(:tins) do
    printed = { printed_on: "2028-05-31", printed_kind: "best_before" }
    put_away(ines, "canned-chickpeas", "cupboard", count: "3", **printed)["lot_id"]
  end

  def apart(**more) = act(:SetApart, ines, { lot_id: tins, for: "the boat", **more })

  # Grams that plans may use.
  def free = at_work(ines) { |work| work.shelf.cursor.left("canned-chickpeas", HouseSupport::TODAY) }

  it "is left alone by plans, in its own amount, until it is released" do
    held = apart(amount: "400")
    expect([free, held["summary"]]).to eq([800, "Set apart 400 g Chickpeas, canned for the boat"])
    expect(on_shelf(ines).first).to have_attributes(on_hand: 1200, reserved: 400, free: 800)
    act(:Release, ines, { reservation_id: held["reservation_id"] })
    expect(free).to eq(1200)
    expect(inside(ines) { |house| house.ledger.history(tins).map(&:kind) }).to eq(%w[put_away set_apart release])
  end

  it "is all that is free where no amount is said, and never more than there is" do
    apart
    expect(free).to eq(0)
    expect { apart(amount: "1") }.to raise_error(NutShelf::Desk::Conflict, /Nothing of it is free/)
    act(:Take, ines, { lot_id: tins, amount: "800" })
    expect(on_shelf(ines).first).to have_attributes(on_hand: 400, reserved: 400)
    expect(free).to eq(0)
  end

  it "is over after its day" do
    apart(until: "2026-11-26")
    clock.day = Date.new(2026, 11, 26)
    expect(free).to eq(0)
    clock.day = Date.new(2026, 11, 27)
    expect(free).to eq(1200)
  end

  it "stands in the way of no later act, nor of its undo" do
    held = apart(amount: "400")
    act(:Take, ines, { lot_id: tins, amount: "400" })
    act(:Undo, ines, { act_id: held["act_id"] })
    expect(free).to eq(800)
  end

  it "says whom it is for and until a day that has not passed, and is nothing nobody should eat" do
    expect { apart(for: " ") }.to raise_error(NutShelf::Desk::Invalid) { |error|
      expect(error.details[:pointer]).to eq("/for")
    }
    expect { apart(until: "2026-11-23") }.to raise_error(NutShelf::Desk::Invalid, /has passed/)
    act(:Quarantine, ines, { lot_ids: [tins], reason: "pest" })
    expect { apart }.to raise_error(NutShelf::Desk::Conflict, /not to eat/)
  end
end
