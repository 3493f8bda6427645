# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/outages/outage_book"

RSpec.describe "A power cut at the desk" do
  include HouseSupport

  let(:ines) { household!(people: 2) }
  let(:now) { Time.now.utc }
  let!(:yoghurt) do
    put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-12-05", printed_kind: "use_by")["lot_id"]
  end
  let!(:cheddar) do
    put_away(ines, "cheddar", "fridge", printed_on: "2026-12-20", printed_kind: "best_before")["lot_id"]
  end
  let!(:bread) { put_away(ines, "white-bread", "freezer", amount: "800")["lot_id"] }
  let!(:mince) { put_away(ines, "beef-mince", "freezer", amount: "500")["lot_id"] }
  let!(:tins) { put_away(ines, "canned-chickpeas", "cupboard")["lot_id"] }

  def dark(hours, freezer_percent: 100)
    act(:BeginOutage, ines,
      { started_at: (now - (hours * 3600)).iso8601, freezer_percent: freezer_percent })["outage_id"]
  end

  def over(id) = act(:ChangeOutage, ines, { outage_id: id, ended_at: now.iso8601 })

  def verdicts(findings = {})
    at_work(ines) do |work|
      book = NutShelf::Desk::Outages::OutageBook.new(work, work.house.kits.outage, now: now, findings: findings)
      book.open.to_h { |one| [one.stack.id, book.verdict(one).act] }
    end
  end

  def settle(id, *lots, **more)
    act(:SettleOutage, ines, { outage_id: id, replace: false, stacks: lots.map { |lot| { lot_id: lot } }, **more })
  end

  def date(id) = lot(ines, id).usable_until

  it "looks at what stands in fridge and freezer, and at nothing else" do
    dark(1)
    expect(verdicts.keys).to contain_exactly(yoghurt, cheddar, bread, mince)
  end

  it "never calls good what was not to be eaten before, and does not tell anybody to eat it" do
    old = put_away(ines, "smoked-salmon", "fridge", printed_on: "2026-11-22", printed_kind: "use_by")["lot_id"]
    id = dark(1)
    at_work(ines) do |work|
      book = NutShelf::Desk::Outages::OutageBook.new(work, work.house.kits.outage, now: now)
      expect(book.edible.map { |one| one.stack.id }).to contain_exactly(yoghurt, cheddar, bread, mince)
      said = book.verdict(book.open.find { |one| one.stack.id == old })
      expect([said.act, said.rule]).to eq(%i[throw not_to_eat])
    end
    over(id)
    settle(id, old, yoghurt)
    expect([lot(ines, old).on_hand, lot(ines, yoghurt).on_hand.positive?]).to eq([0, true])
  end

  it "goes by hours without a reading, by readings where there are some, and by what was found before both" do
    id = dark(9)
    expect(verdicts).to include(yoghurt => :throw, mince => :keep)
    reading = { where: "fridge", c: "4.5", at: (now - 3600).iso8601 }
    act(:ChangeOutage, ines, { outage_id: id, reading: reading })
    expect(verdicts[yoghurt]).to eq(:keep)
    expect(verdicts(mince => [:warm, 1r])[mince]).to eq(:cook_now)
    expect(verdicts(mince => [:warm, nil])[mince]).to eq(:throw)
  end

  it "judges what stood in the cold as the power came back, wherever it is carried, and nothing that came later" do
    id = dark(60)
    over(id)
    act(:Move, ines, { lot_id: mince, place_id: place_id(ines, "fridge"), amount: "200" })
    fresh = put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-12-20", printed_kind: "use_by")["lot_id"]
    said = verdicts
    parts = said.except(yoghurt, cheddar, bread)
    expect([parts.size, parts.values.uniq]).to eq([2, [:throw]])
    expect(said).not_to include(fresh)
  end

  it "lets nobody eat or cook, before it is settled, what it would have thrown out" do
    id = dark(9)
    take = ->(lot) { act(:Take, ines, { lot_id: lot, amount: "100" }) }
    expect { take.call(yoghurt) }.to raise_error(NutShelf::Desk::Conflict, /not settled/)
    over(id)
    expect { take.call(yoghurt) }.to raise_error(NutShelf::Desk::Conflict, /not settled/)
    expect { take.call(tins) }.not_to raise_error
    dish = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first }
    meal = act(:PlanMeal, ines, { recipe_id: dish, on: HouseSupport::TODAY.iso8601 })["meal_id"]
    used = [{ lot_id: yoghurt, amount: "100" }]
    expect { act(:Cook, ines, { meal_id: meal, used: used }) }.to raise_error(NutShelf::Desk::Conflict, /not settled/)
  end

  it "is planned with by nobody before it is settled" do
    id = dark(9)
    plan = ->(&asked) { at_work(ines) { |work| asked.call(NutShelf::Desk::Plan.new(work)) } }
    free = -> { plan.call { |one| one.cursor.left("plain-yoghurt", HouseSupport::TODAY) } }
    expect(free.call).to eq(0)
    expect(plan.call { |one| one.shelf.stacks.fetch(yoghurt).on_hand }).to be > 0
    expect(plan.call { |one| one.cursor.left("canned-chickpeas", HouseSupport::TODAY) }).to be > 0
    key = plan.call(&:shelf_key)
    reading = { where: "fridge", c: "4.0", at: (now - 3600).iso8601 }
    act(:ChangeOutage, ines, { outage_id: id, reading: reading })
    expect(free.call).to be > 0
    expect(plan.call(&:shelf_key)).not_to eq(key)
  end

  it "is not free for plans either where it is kept by level" do
    act(:SetLevel, ines, { lot_id: yoghurt, level: "plenty" })
    free = -> { at_work(ines) { |work| NutShelf::Desk::Plan.new(work).shelf.free?("plain-yoghurt") } }
    expect(free.call).to be(true)
    dark(9)
    expect(free.call).to be(false)
  end

  it "throws out, caps and marks in one act, which one undo takes back" do
    id = dark(60)
    over(id)
    before = [yoghurt, cheddar, bread, mince].to_h { |one| [one, date(one)] }
    done = act(:SettleOutage, ines, {
      outage_id: id, replace: true,
      stacks: [{ lot_id: yoghurt }, { lot_id: mince, finding: "warm", warm_hours: "1.5" }, { lot_id: bread }]
    })
    expect([lot(ines, yoghurt).on_hand, date(mince), date(bread)])
      .to eq([0, HouseSupport::TODAY, HouseSupport::TODAY + 1])
    thrown = inside(ines) { |house| house.ledger.movements(done["act_id"]).find { |one| one.lot_id == yoghurt } }
    expect([thrown.reason, thrown.why]).to eq(%w[binned power_cut])
    expect(inside(ines) { |house| house.shopping.waiting.map(&:text) }).to eq(["Plain whole-milk yoghurt"])
    act(:Undo, ines, { act_id: done["act_id"] })
    expect([yoghurt, cheddar, bread, mince].to_h { |one| [one, date(one)] }).to eq(before)
    expect(lot(ines, yoghurt).on_hand).to be > 0
  end

  it "never makes a date later, whatever the verdict" do
    id = dark(60)
    over(id)
    before = [cheddar, bread, mince].map { |one| date(one) }
    %w[hard icy cold warm].each_with_index do |state, at|
      done = act(:SettleOutage, ines, { outage_id: id, replace: false, stacks: [{ lot_id: mince, finding: state }] })
      expect(date(mince)).to be <= before.last if lot(ines, mince).on_hand.positive?
      act(:Undo, ines, { act_id: done["act_id"] })
      expect(at).to be < 4
    end
    settle(id, cheddar, bread)
    expect([date(cheddar), date(bread)].zip(before)).to all(satisfy { |after, then_on| after <= then_on })
  end

  it "lets what was warm be cooked that day, and nothing else lift that it is over" do
    id = dark(60)
    over(id)
    settle(id, mince, stacks: [{ lot_id: mince, finding: "warm", warm_hours: "1" }])
    expect(date(mince)).to eq(HouseSupport::TODAY)
    act(:Look, ines, { lot_id: mince, result: "good" })
    expect(date(mince)).to eq(HouseSupport::TODAY)
    act(:Move, ines, { lot_id: mince, place_id: place_id(ines, "fridge") })
    expect(date(mince)).to be <= HouseSupport::TODAY
  end

  it "is settled once nothing is open, and bit by bit until then" do
    id = dark(60)
    expect { settle(id, yoghurt) }.to raise_error(NutShelf::Desk::Conflict, /not back/)
    over(id)
    settle(id, yoghurt, cheddar)
    expect(verdicts.keys).to contain_exactly(bread, mince)
    expect { settle(id, cheddar) }.to raise_error(NutShelf::Desk::Conflict, /None of this/)
    settle(id, bread, mince)
    expect(inside(ines) { |house| house.kits.outage }).to be_nil
    expect { settle(id, bread) }.to raise_error(NutShelf::Desk::Conflict, /settled already/)
  end

  it "refuses a second cut, an end before its beginning, and times that cannot be" do
    id = dark(2)
    expect { dark(1) }.to raise_error(NutShelf::Desk::Conflict, /already/)
    expect { act(:ChangeOutage, ines, { outage_id: id, ended_at: (now - 9000).iso8601 }) }
      .to raise_error(NutShelf::Desk::Invalid, /before it went/)
    expect { act(:ChangeOutage, ines, { outage_id: id, started_at: "2020-01-01T00:00:00Z" }) }
      .to raise_error(NutShelf::Desk::Invalid, /too far/)
    expect { act(:ChangeOutage, ines, { outage_id: id, ended_at: "tomorrow" }) }
      .to raise_error(NutShelf::Desk::Invalid, /no moment/)
  end

  it "shows in the look back as lost to the cut" do
    id = dark(9)
    over(id)
    settle(id, yoghurt)
    require_relative "../../api/views/outcome_names"
    names = at_work(ines) { |work| NutShelf::Api::OutcomeNames.new(work).of("reason", "binned/power_cut") }
    expect(names).to match(/lost to a power cut/)
  end
end
