# frozen_string_literal: true

require_relative "../support"
require_relative "../../../core/portioning/bench"
require_relative "../../../core/portioning/freezer_jars"
require_relative "../../../core/portioning/portion_dates"
require_relative "../../../core/kits/figures"

RSpec.describe NutShelf::Core::Portioning do
  include CoreSupport

  let(:dice) { Random.new(RSpec.configuration.seed) }

  def intake(key, grams, value)
    described_class::Intake.new(food: food(key), grams: grams.to_r, value_minor: value)
  end

  # Any bench one may stand at: takes, trim, bones, what was spoiled, something added.
  def any_bench
    takes = Array.new(dice.rand(1..4)) do
      intake(%w[potatoes stewing-beef carrots].sample(random: dice), dice.rand(200..4000), dice.rand(1..4000))
    end
    sum = takes.sum(0r, &:grams)
    added = Array.new(dice.rand(0..2)) do
      each = Rational(dice.rand(1..200), dice.rand(1..7))
      described_class::Addition.new(
        food: food("cheddar"), each_g: each, on_hand_g: each * 900, value_minor: dice.rand(1..3000)
      )
    end
    described_class::Bench.new(
      takes, trim_g: sum * dice.rand(0..10) / 100, by_products_g: [sum * dice.rand(0..5) / 100],
      spoiled_g: sum * dice.rand(0..5) / 100, additions: added
    )
  end

  it "loses no gram and no cent, whatever is portioned" do
    200.times do
      bench = any_bench
      done = dice.rand < 0.5 ? bench.call(count: dice.rand(1..50)) : bench.call(size: Rational(dice.rand(20..100)))
      expect(done.in_g).to eq(done.out_g)
      expect(done.share_g * done.count).to be <= done.pool_g
      worth = bench.instance_variable_get(:@intakes).sum(&:value_minor)
      added = done.additions.sum { |one| one.value(done.count) }
      expect(done.costs.sum + done.rest_value + done.spoiled_value).to eq(worth + added)
      expect(done.costs.max - done.costs.min).to be <= 1
    end
  end

  it "refuses what leaves nothing, and too many at once" do
    few = described_class::Bench.new([intake("potatoes", 100, 10)], trim_g: 0r)
    expect { few.call(size: 200r) }.to raise_error(ArgumentError, /not even one/)
    expect { few.call }.to raise_error(ArgumentError, /how many portions/)
    expect { few.call(count: 100_000) }.to raise_error(ArgumentError, /the most that are made/)
    expect { described_class::Bench.new([intake("potatoes", 100, 10)], trim_g: 100r) }
      .to raise_error(ArgumentError, /nothing is left/)
    [{ trim_g: -5r }, { spoiled_g: -1r }, { by_products_g: [-1r] }].each do |less|
      expect { described_class::Bench.new([intake("potatoes", 100, 10)], **less) }.to raise_error(
        ArgumentError, /not below zero/
      )
    end
    pinch = described_class::Addition.new(food: food("cheddar"), each_g: 10r, on_hand_g: 39r, value_minor: 90)
    expect { described_class::Bench.new([intake("potatoes", 9, 1)], trim_g: 0r, additions: [pinch.with(each_g: 0r)]) }
      .to raise_error(ArgumentError, /weighs something/)
    short = described_class::Bench.new([intake("potatoes", 400, 10)], trim_g: 0r, additions: [pinch])
    expect { short.call(count: 4) }.to raise_error(ArgumentError, /4 portions take 40.0 g of .*, 39.0 g are there/)
    expect(short.call(count: 3).each_g).to eq(Rational(400, 3).floor(6) + 10)
  end

  it "keeps what is dry longer without air, but never past the date its own story says" do
    dates = NutShelf::Core::Bags::PartDate.new(catalog, NutShelf::Core::Policy.new, low_air: true)
    on = Date.new(2027, 3, 20)
    until_of = lambda do |printed|
      story = NutShelf::Core::Story.new(
        food: food("couscous"), printed_on: printed, printed_kind: :best_before, acquired_on: on - 30,
        place: NutShelf::Core::Standing.new(name: "cupboard", kind: "cupboard")
      )
      dates.of(NutShelf::Core::Bags::BagStack.new(id: 1, food: food("couscous"), grams: 1r, value_minor: 0,
        story: story), on).on
    end
    expect(until_of.call(on + 2000)).to be > on + 180
    expect(until_of.call(on + 40)).to eq(on + 40)
  end

  it "freezes nothing past its safety date, and nothing that has no row for the freezer" do
    dates = described_class::PortionDates.new(catalog, NutShelf::Core::Policy.new)
    part = lambda do |key, printed|
      NutShelf::Core::Bags::BagStack.new(id: "a", food: food(key), grams: 100r, value_minor: 0, place: "fridge",
        printed_on: day(printed), printed_kind: :use_by)
    end
    today = day("2026-11-24")
    expect(dates.frozen([part["beef-mince", "2026-11-25"]], today).on).to be > today + 30
    expect(dates.frozen([part["beef-mince", "2026-11-23"]], today)).to be_nil
    expect(dates.frozen([part["beef-mince", "2026-11-25"], part["stewing-beef", "2026-11-23"]], today)).to be_nil
    expect(dates.frozen([part["lettuce", "2026-11-30"]], today)).to be_nil
    expect(dates.fresh([part["beef-mince", "2026-11-23"]], today).on).to be < today
  end

  it "fills jars for the freezer by their shape, and presses bags flat" do
    jars = described_class::FreezerJars.new(NutShelf::Core::Kits::Figures.new(targets: catalog.targets))
    expect(jars.call(3200r, shape: "straight", capacity_ml: 500r).to_h).to eq(fill_ml: 450r, jars: 8)
    expect(jars.call(3200r, shape: "shouldered", capacity_ml: 1000r).to_h).to eq(fill_ml: 780r, jars: 5)
    expect(jars.thickness_mm(900r, width_mm: 180r, height_mm: 250r)).to eq(20)
  end

  it "dates what was bottled at home by its class, looks at seals on the way, and has what did not seal open" do
    plums = food("class-home-canned-high-acid")
    bottled = catalog.keeping(plums, "home_canned", "cool_dark").row
    on = day("2026-09-12")
    expect(on + bottled.days(:look_then_decide)).to eq(day("2027-09-12"))
    expect(on + bottled.care_every_days).to eq(day("2026-12-11"))
    expect(on + catalog.keeping(plums, "opened", "fridge").row.low).to eq(day("2026-09-17"))
  end

  it "weighs bags, so that forty lighter ones save what they save" do
    bags = catalog.trips.packaging
    expect((bags.fetch("stand-pouch-1000").tare_g - bags.fetch("zip-bag-500").tare_g) * 40).to eq(400)
  end

  it "keeps onion, garlic, chocolate, grapes and raisins out of an animal's bowl" do
    bowl = %w[white-fish onions dark-chocolate raisins grapes garlic flour-self-raising].map { |key| food(key) }
    expect(described_class::PetSafe.never(bowl).map(&:key))
      .to eq(%w[onions dark-chocolate raisins grapes garlic])
  end
end
