# frozen_string_literal: true

require_relative "support"
require_relative "../../core/quantity/hand_words"
require "prop_check"
%w[
  usage/rate counting/doubt counting/difference counting/match counting/due portioning/split fitting/boxes
  care/schedule rotation/bring_forward rotation/rotation_breaches portioning/fill
].each { |file| require_relative "../../core/#{file}" }

RSpec.describe NutShelf::Core::Rate do
  it "follows intermittent use" do
    rate = described_class.of([250, 0, 250, 250, 0, 0, 500, 250])
    expect([rate.chance.to_f.round(4), rate.size.to_f, rate.weekly.to_f.round(2)]).to eq([0.6388, 300.0, 191.63])
  end

  it "rests on what the household says until four weeks are known" do
    expect(described_class.of([250, 0], said: 500)).to have_attributes(weekly: 500, known?: true)
    expect(described_class.of([250, 0])).to have_attributes(weekly: 0, known?: false)
  end

  it "forgets a food nobody touches any more" do
    rates = [0, 2, 4, 20].map { |idle| described_class.of([100, 100, 100, 100, *Array.new(idle, 0)]).weekly }
    expect(rates).to eq(rates.sort.reverse.uniq)
    expect(rates.values_at(0, -1)).to eq([100, 0])
    expect(described_class.of([0, 0, 0, 0]).weekly).to eq(0)
  end

  it "wakes up when a food that was never used is used" do
    expect(described_class.of([0, 0, 0, 0, 300]).weekly).to eq(60)
  end

  it "takes a food for stopped once it has lain for longer than chance would have it, by its own habit" do
    weeks = ->(idle) { described_class.of([100, 0, 100, 0, 100, 0, 100, 0, 100, *Array.new(idle, 0)]) }
    # Five weeks of fourteen: five without it come by chance one time in nine; of eighteen, nine one time in nineteen;
    # of twenty, eleven one time in twenty-four.
    expect([5, 9, 11].map { |idle| weeks.(idle).stopped? }).to eq([false, false, true])
    expect(weeks.(11)).to have_attributes(weekly: 0)
    expect(weeks.(11).steps).to eq(["Used in 5 of 20 weeks, and not for 11: not any more."])
    expect(described_class.of([0, 0, 0, 0, 0])).not_to be_stopped
  end
end

RSpec.describe NutShelf::Core::Doubt do
  include CoreSupport

  def doubt(**more)
    described_class.new(on_hand: 1000r, seen_on: day("2026-11-14"), today: day("2026-11-24"), daily: 50r, **more)
  end

  it "expects what is left at the usual rate, and doubts it more with time" do
    expect(doubt.expected).to eq(500)
    expect(doubt.at_least).to be_between(230, 250)
    expect(doubt(seen_on: day("2026-11-23")).at_least).to be > doubt.at_least
    expect(doubt(daily: 0r).expected).to eq(1000)
  end

  it "asks only where a meal counts on what may be gone" do
    expect(doubt.matters?(200r, 1000r)).to be(false)
    expect(doubt.matters?(400r, 1000r)).to be(true)
    expect(doubt.matters?(1500r, 1000r)).to be(false)
    expect(doubt(seen_on: day("2026-11-22")).matters?(1000r, 1000r)).to be(false)
  end
end

RSpec.describe NutShelf::Core::Difference do
  it "says what is missing in quantity and money, and asks only where it matters" do
    dear = described_class.new(delta: -400r, on_hand: 1200r, stack_value_minor: 900, daily: 10r, unseen_days: 20)
    expect(dear).to have_attributes(
      value_minor: 300, likely: "eaten", ask: true, reasons: %w[eaten binned given_away lost]
    )
    cheap = described_class.new(delta: -400r, on_hand: 1200r, stack_value_minor: 267)
    expect(cheap).to have_attributes(value_minor: 89, ask: false)
  end

  it "takes what was not to eat as thrown away, and what nobody uses as lost" do
    expect(described_class.new(delta: -1r, on_hand: 1r, stack_value_minor: 90, stopped: true).likely).to eq("binned")
    expect(described_class.new(delta: -1r, on_hand: 1r, stack_value_minor: 90, unseen_days: 200).likely).to eq("lost")
  end

  it "values what was found too many by what the rest cost" do
    expect(described_class.new(delta: 400r, on_hand: 800r, stack_value_minor: 178)).to have_attributes(
      value_minor: 89,
      likely: "found",
      ask: false
    )
  end
end

RSpec.describe NutShelf::Core::Match do
  include CoreSupport

  def candidate(id, **more)
    described_class::Candidate.new(
      id: id,
      food_id: 1,
      dimension: "mass",
      pack_amount: 400r,
      noun: nil,
      printed_on: day("2028-05-31"),
      missing: 0r,
      on_hand: 1200r,
      **more
    )
  end

  let(:found) do
    described_class::Found.new(
      food_id: 1, dimension: "mass", pack_amount: 400r, printed_on: day("2028-05-31"), amount: 800r
    )
  end

  it "prefers what is missing elsewhere to what merely stands elsewhere" do
    expect(described_class.for(found, [candidate(1), candidate(2, missing: 800r, on_hand: 0r)]).map(&:id)).to eq([2, 1])
  end

  it "leaves alone other packs, other dates and stacks that are too small" do
    others = [
      candidate(1, pack_amount: 800r),
      candidate(2, printed_on: day("2027-01-31")),
      candidate(3, on_hand: 400r),
      candidate(4, food_id: 2)
    ]
    expect(described_class.for(found, others)).to be_empty
    expect(described_class.for(found.with(printed_on: nil), [candidate(2, printed_on: day("2027-01-31"))]).size).to eq(
      1
    )
  end
end

RSpec.describe NutShelf::Core::Due do
  include CoreSupport

  def due(**more)
    described_class.new(stacks: 10, doubtful: 0, counted_on: day("2026-10-01"), today: day("2026-11-24"), **more)
  end

  it "comes round by rhythm or by doubt" do
    expect(due).to have_attributes(due: false, reason: nil)
    expect(due(rhythm_days: 30).reason).to include("counted 54 days ago")
    expect(due(doubtful: 4).reason).to eq("4 of 10 stacks are in doubt")
    expect(due(counted_on: nil).reason).to eq("never counted")
    expect(due(counted_on: nil, stacks: 0).due).to be(false)
  end
end

RSpec.describe NutShelf::Core::Split do
  it "shares a cost so that it adds up" do
    split = described_class.new(amount: 1200r, cost_minor: 1745, count: 12)
    expect(split.portions.map { |part| [part.count, part.cost_minor] }).to contain_exactly([7, 145], [5, 146])
    expect(split).to have_attributes(size: 100, rest: 0, rest_minor: 0)
  end

  it "leaves the rest as a stack of its own with its share of the cost" do
    split = described_class.new(amount: 1000r, cost_minor: 900, size: 300r)
    expect(split).to have_attributes(count: 3, rest: 100, rest_minor: 90)
    expect { described_class.new(amount: 100r, cost_minor: 1, size: 300r) }.to raise_error(ArgumentError)
    [0r, -5r].each do |size|
      expect { described_class.new(amount: 100r, cost_minor: 1, size: size) }.to raise_error(ArgumentError)
    end
    expect { described_class.new(amount: 100r, cost_minor: 1) }.to raise_error(ArgumentError)
  end

  it "reconciles with the input whatever is asked" do
    numbers = PropCheck::Generators
    PropCheck.forall(
      numbers.choose(1..2_000_000),
      numbers.choose(0..50_000),
      numbers.choose(1..60)
    ) do |milli, cost, count|
      amount = Rational(milli, 1000)
      split = NutShelf::Core::Split.new(amount: amount, cost_minor: cost, count: count)
      unless (split.size * split.count) + split.rest == amount &&
          split.rest_minor + split.portions.sum { |part| part.count * part.cost_minor } == cost &&
          split.portions.sum(&:count) == count
        raise "#{amount} at #{cost} into #{count}"
      end
    end
  end
end

RSpec.describe NutShelf::Core::Boxes do
  it "says how many fit, and how they stand" do
    boxes = described_class.new(shelf: [800, 350, 400], box: [200, 150, 180])
    expect(boxes.count).to eq(18)
    expect(boxes.steps.join).to include("2 high")
  end

  it "turns the rest where that brings more" do
    # Five lying along the front (250 each) leave no room; four along and two across do better than either alone.
    boxes = described_class.new(shelf: [1000, 300, 100], box: [300, 200, 100])
    expect(boxes.count).to eq(5)
    expect(boxes.blocks.size).to be <= 2
  end

  it "lays them on a side only where that is allowed, and says when none fits" do
    expect(described_class.new(shelf: [500, 300, 100], box: [90, 90, 250])).not_to be_fits
    expect(described_class.new(shelf: [500, 300, 100], box: [90, 90, 250], upright: false).count).to eq(6)
    expect { described_class.new(shelf: [500, 0, 100], box: [1, 1, 1]) }.to raise_error(ArgumentError)
  end

  it "never says more than the volume allows" do
    size = PropCheck::Generators.choose(50..900)
    PropCheck.forall(size, size, size, size, size, size) do |width, depth, height, a, b, c|
      count = NutShelf::Core::Boxes.new(shelf: [width, depth, height], box: [a, b, c], upright: false).count
      raise "#{count} of #{[a, b, c]} in #{[width, depth, height]}" if count * a * b * c > width * depth * height
    end
  end
end

RSpec.describe NutShelf::Core::Schedule do
  include CoreSupport

  def schedule(**more) = described_class.new(first_on: day("2026-01-31"), **more)

  it "counts care from the day it was done, and keeps calendar checks on their day" do
    expect(schedule(every_days: 2, done_on: day("2026-02-10")).next_on).to eq(day("2026-02-12"))
    expect(schedule(every_months: 6, done_on: day("2026-02-10")).next_on).to eq(day("2026-07-31"))
    expect(schedule(every_months: 1, done_on: day("2026-02-28")).next_on).to eq(day("2026-03-31"))
    expect(schedule(every_months: 6).next_on).to eq(day("2026-01-31"))
  end

  it "is over after a follow-up is done, and says how late it is" do
    expect(schedule(done_on: day("2026-02-01")).next_on).to be_nil
    expect(schedule.late(day("2026-02-03"))).to eq(3)
    expect(schedule).to be_due(day("2026-01-31"))
    expect(schedule).not_to be_due(day("2026-01-30"))
  end
end

RSpec.describe "Between the shelves" do
  include CoreSupport

  def held(id, amount, until_on, **more) = stack(id, until_on, grams: amount, pack: 400r, **more)

  it "proposes what is eaten between two walks, and takes off what is there before it counts packs" do
    propose = ->(reach) { NutShelf::Core::BringForward.working_amount(daily: 60r, reach: reach) }
    expect([propose.("hand"), propose.("away")]).to eq([420, 1260])
    enough =
      NutShelf::Core::BringForward.new(
        working: [held(1, 905, "2027-01-01", open: true)],
        backstock: [],
        amount: 900r,
        on: day("2026-11-24")
      )
    expect(enough).to have_attributes(there: 905r, need: 0r, short: 0r)
    words =
      NutShelf::Core::BringForward.reasons(
        daily: 60r,
        reach: "hand",
        words: ->(grams) { NutShelf::Core::HandWords.of(grams, food("uht-milk")) }
      )
    expect(words.first).to include("About 408 ml a week", "408 ml. What is carried comes in whole packs")
  end

  it "says amounts as hands carry them: packs where they are whole, else as the food is counted" do
    say = ->(grams, key, **more) { NutShelf::Core::HandWords.of(grams, food(key), **more) }
    expect(
      [
        say.(1200r, "canned-chickpeas", pack: 400r),
        say.(905r, "canned-chickpeas", pack: 400r),
        say.(1030r, "uht-milk"),
        say.(300r, "eggs"),
        say.(500r, "passata")
      ]
    ).to eq(["3 x 400 g", "905 g", "1 l", "6", "500 g"])
  end

  it "tells how fast it goes with its unit" do
    expect(NutShelf::Core::Rate.of([700, 0, 738.8r, 800, 740], unit: "g").steps.first).to match(/then about \d+ g\.\z/)
  end

  it "brings the oldest first, in whole packs, and says what is short" do
    list =
      NutShelf::Core::BringForward.new(
        working: [held(1, 200, "2027-01-01", open: true)],
        backstock: [held(2, 800, "2028-01-01"), held(3, 400, "2027-06-01"), held(4, 400, "2026-01-01")],
        amount: 1000r,
        on: day("2026-11-24")
      )
    expect(list.picks.map { |pick| [pick.stack.id, pick.amount] }).to eq([[3, 400], [2, 400]])
    expect(list).to have_attributes(need: 800, short: 0)
    expect(
      NutShelf::Core::BringForward.new(
        working: [],
        backstock: [held(3, 400, "2027-06-01")],
        amount: 1000r,
        on: day("2026-11-24")
      ).short
    ).to eq(600)
  end

  it "sees the newer standing where it would be eaten first" do
    crossed =
      NutShelf::Core::RotationBreaches.pair(
        [held(1, 400, "2028-01-01"), held(2, 400, "2027-02-01", working: false)],
        on: day("2026-11-24")
      )
    expect([crossed.near.id, crossed.far.id]).to eq([1, 2])
    expect(
      NutShelf::Core::RotationBreaches.pair(
        [held(1, 400, "2027-02-10"), held(2, 400, "2027-02-01", working: false)],
        on: day("2026-11-24")
      )
    ).to be_nil
    expect(NutShelf::Core::RotationBreaches.pair([held(1, 400, "2027-02-10")], on: day("2026-11-24"))).to be_nil
  end

  def cursor(food, *stacks)
    stacks = stacks.map { |one| one.with(food_key: food.key) }
    NutShelf::Core::Shelf.new(stacks, foods: catalog.foods, today: day("2026-11-24")).cursor(allow_look: false)
  end

  it "fills a jar from the front of the shelf, with headspace for the freezer" do
    rice = food("white-rice")
    fill =
      NutShelf::Core::Fill.new(
        capacity_ml: 1000r,
        food: rice,
        cursor: cursor(rice, held(2, 5000, "2028-10-31"), held(1, 500, "2027-03-01", open: true)),
        on: day("2026-11-24")
      )
    expect(fill.grams).to eq(780)
    expect(fill.picks.map { |pick| [pick.stack.id, pick.amount] }).to eq([[1, 500], [2, 280]])
    frozen =
      NutShelf::Core::Fill.new(
        capacity_ml: 1000r,
        food: rice,
        cursor: cursor(rice),
        on: day("2026-11-24"),
        headspace: 22/100r,
        filled_g: 24r
      )
    expect([frozen.grams, frozen.short_g]).to eq([584.4.to_r.round(1), 584.4.to_r.round(1)])
    expect(frozen.steps.join(" ")).to include("220 ml are left free")
  end
end
