# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/season/reckoning"
require_relative "../../desk/season/season_book"
require_relative "../../desk/season/season_diary"

# Jars from one harvest to the next.
RSpec.describe "The season" do
  let(:ines) { household! }
  let(:refused) { NutShelf::Desk::Error }
  let(:crushed) { "Tomatoes, whole or crushed" }
  let(:rack) { act(:AddPlace, ines, { name: "Rack", kind: "cool_dark", low_c: 10, high_c: 20 })["place_id"] }
  let(:harvests) { { harvest_on: "2027-08-20", next_harvest_on: "2028-08-20" } }

  before { clock.day = Date.new(2027, 2, 26) }

  def bottled(day, jars, product: crushed, key: "tomatoes")
    now = clock.day
    clock.day = day
    grams = jars.sum { |one| one[:ml] * one[:sealed] }.to_s
    lot = put_away(ines, key, "fridge", amount: grams, count: "1")["lot_id"]
    id = act(:BeginBatch, ines, { process: "bottling", cut: product, takes: [{ lot_id: lot }], source: "The leaflet" })
    act(:FinishBatch, ines, { batch_id: id["batch_id"], place_id: rack, jars: jars })
      .tap { clock.day = now }
  end

  def owns(sizes)
    sizes.each do |ml, count|
      act(:AddContainer, ines, { name: "Jar of #{ml} ml", kind: "jar", capacity_ml: ml, owned: count })
    end
  end

  def plan(cut: crushed, process: "bottling", **more)
    act(:PlanSeason, ines, { process: process, cut: cut, weekly: "910", **harvests, **more })["line_id"]
  end

  def told(id)
    services.database.within(ines.household_id) do |db|
      work = NutShelf::Desk::UnitOfWork.new(services, ines, db)
      yield NutShelf::Desk::Season::SeasonBook.new(work).lines.find { |one| one.line.id == id }, work
    end
  end

  def tomatoes
    bottled(Date.new(2026, 5, 31), [{ ml: 1000, sealed: 14 }])
    bottled(Date.new(2026, 9, 10), [{ ml: 500, sealed: 30 }])
    owns(350 => 12, 500 => 60, 1000 => 30)
  end

  it "walks to the harvest, says what goes past and is left, and which jars to fill with how much" do
    tomatoes
    told(plan(pot_jars: 7)) do |line, work|
      year = line.plan
      expect([year.needed_ml, year.before.short_ml, year.left_ml, year.eaten_ml]).to eq([22_750, 0, 4600, 2860])
      expect(year.before.past.map { |one| [one.ml, one.after] }).to eq([[1650, Date.new(2027, 5, 31)]])
      expect([year.to_make_ml, year.fits_ml, year.one_jar_days]).to eq([44_720, 650, 5])
      expect([year.empties, year.jars]).to eq(
        [{ 350r => 12, 500r => 50, 1000r => 30 }, { 350r => 12, 500r => 50, 1000r => 16 }]
      )
      expect([year.find, year.pots, line.produce_g.to_f.round]).to eq([0, 12, 65_540])
      steps = NutShelf::Desk::Season::Reckoning.new(work, line).steps
      expect(steps.first).to eq("910 ml a week as you said, 130 ml a day.")
      expect(steps).to include(/4.6 l are left at the harvest; 2.86 l of it are eaten in time, 1.74 l are more/)
    end
  end

  it "keeps what was planned and counts what is bottled towards it; undo takes both back" do
    tomatoes
    id = plan
    clock.day = Date.new(2027, 8, 21)
    done = bottled(Date.new(2027, 8, 21), [{ ml: 500, sealed: 20, unsealed: 1 }])
    told(id) do |line|
      expect([line.progress.target, line.progress.done]).to eq([44_720, 10_000])
      expect(line.line.target_jars.map(&:values)).to eq([[350, 12], [500, 50], [1000, 16]])
      expect(line.plan.to_make_ml).to be < 44_720 - 9000
    end
    act(:Undo, ines, { act_id: done["act_id"] })
    told(id) { |line| expect(line.progress.done).to eq(0) }
    changed = act(:PlanSeason, ines, { line_id: id, note: "From the market", get_by: "buy" })
    told(id) { |line| expect([line.line.target, line.line.get_by]).to eq([44_720, "buy"]) }
    act(:PlanSeason, ines, { line_id: id, margin_percent: 10 })
    told(id) { |line| expect(line.line.target).to be > 40_000 }
    expect { act(:PlanSeason, ines, { line_id: id, version: 1, note: "" }) }.to raise_error(refused, /meanwhile/)
    expect(changed["line_id"]).to eq(id)
  end

  it "starts from what was bottled before, when it is planned on that day" do
    bottled(Date.new(2027, 2, 26), [{ ml: 500, sealed: 6 }])
    id = plan
    told(id) { |line| expect([line.progress.done, line.there.jars.sum(&:ml)]).to eq([0, 3000]) }
    bottled(Date.new(2027, 2, 26), [{ ml: 500, sealed: 2 }])
    told(id) { |line| expect(line.progress.done).to eq(1000) }
  end

  it "gives no jar to two kinds, nor one that holds flour or a jam nobody planned" do
    owns(500 => 30)
    jar = inside(ines) { |house| house.containers.all.first.id }
    rice = put_away(ines, "white-rice", "cupboard", amount: "400")["lot_id"]
    act(:Decant, ines, { lot_id: rice, container_id: jar, amount: "400" })
    bottled(Date.new(2027, 1, 5), [{ ml: 500, sealed: 4 }], product: "Carrots", key: "carrots")
    first = plan(weekly: "70", harvest_on: "2027-07-01", next_harvest_on: "2028-07-01")
    second = plan(cut: "Plum jam", weekly: "350")
    told(first) { |line| expect([line.plan.empties[500r], line.plan.jars[500r]]).to eq([25, 8]) }
    told(second) { |line| expect(line.plan.empties).to eq(500r => 17) }
  end

  it "names jars to find where no house has counted its own" do
    told(plan(weekly: "700", next_harvest_on: "2027-09-20")) do |line|
      expect([line.plan.find, line.plan.find_ml, line.plan.jars[500r]]).to eq([7, 500, 7])
    end
  end

  it "reckons dried stores in grams, with the fresh weight and loads of the dryer" do
    id = plan(process: "drying", cut: "apples", weekly: "70", trays: 6, day_hours: 14)
    told(id) do |line|
      expect(line.plan.needed_ml).to eq(1750)
      expect(line.plan.before.hole_from).to eq(Date.new(2027, 2, 26))
      expect([line.plan.jars, line.plan.find]).to eq([{}, 0])
      fresh = line.plan.to_make_ml / line.produce_food.edible_yield / Rational("0.15")
      expect(line.produce_g).to be_within(fresh / 2).of(fresh)
      expect([line.loads.loads, line.loads.days]).to all(be_positive)
    end
  end

  it "goes by what was eaten where nobody says how much, and says nothing of what nobody eats" do
    id = plan(cut: "Carrots", weekly: nil)
    told(id) { |line| expect([line.weekly, line.plan]).to eq([0, nil]) }
    lot = bottled(Date.new(2027, 1, 5), [{ ml: 500, sealed: 10 }], product: "Carrots", key: "carrots")["lot_id"]
    [6, 13, 20, 27, 34, 41].each do |later|
      clock.day = Date.new(2027, 1, 5) + later
      act(:Take, ines, { lot_id: lot, amount: "500" })
    end
    clock.day = Date.new(2027, 2, 26)
    told(id) { |line| expect([line.weekly, line.plan.needed_ml]).to all(be > 400) }
  end

  it "puts the harvest and the jars to find into the calendar, when they are near" do
    owns(500 => 3)
    id = plan(harvest_on: "2027-04-10", next_harvest_on: "2027-05-10", get_by: "buy")
    told(id) do |_, work|
      diary = NutShelf::Desk::Season::SeasonDiary.new(work)
      expect(diary.days(work.today..(work.today + 60)).map { |one| [one.kind, one.on.iso8601, one.summary] }).to eq(
        [
          ["harvest", "2027-04-10", "Bottle 3.9 l: #{crushed}"],
          ["empties", "2027-03-27", "Find 5 empty jars of 500 ml"]
        ]
      )
      expect(diary.days(work.today..(work.today + 60)).first.details).to eq(
        "Buy about 5.8 kg of tomatoes; fill 8 of 500 ml"
      )
      expect(diary.days(work.today..(work.today + 10))).to be_empty
    end
  end

  it "refuses what is no jar, what is planned already, harvests out of order and over" do
    plan
    expect { plan }.to raise_error(refused, /in the season plan already/)
    expect { plan(cut: "Clouds") }.to raise_error(refused, /how it is cut/)
    expect { plan(cut: "Plum jam", next_harvest_on: "2027-08-20") }.to raise_error(refused, /after must come after/)
    expect { plan(cut: "Plum jam", harvest_on: "2190-08-01", next_harvest_on: "2191-08-01") }.to raise_error(
      refused, /within three years/
    )
    expect { plan(cut: "Plum jam", weekly: "0") }.to raise_error(refused, /above zero/)
    id = plan(cut: "Plum jam", harvest_on: "2027-03-01", next_harvest_on: "2027-04-01")
    clock.day = Date.new(2027, 4, 1)
    told(id) { |line| expect([line.over?, line.plan]).to eq([true, nil]) }
    act(:PlanSeason, ines, { line_id: id, gone: true })
    expect(inside(ines) { |house| house.season.all.map(&:cut) }).to eq([crushed])
  end
end
