# frozen_string_literal: true

require "prop_check"
require_relative "support"
require_relative "../../core/rotation/bring_forward"
require_relative "../../core/rotation/rotation_breaches"
require_relative "../../core/rotation/shelf"

RSpec.describe NutShelf::Core::Order do
  include CoreSupport

  def draw(stacks, wanted, on:, **more)
    shelf = NutShelf::Core::Shelf.new(stacks, foods: catalog.foods, today: on)
    shelf.cursor(allow_look: false, **more).draw(stacks.first.food_key, wanted, on)
  end

  def ids(stacks) = described_class.sort(stacks).map(&:id)

  it "orders by last good day, then open, working place, older purchase and id, undated last" do
    expect(ids([stack(1), stack(2, "2027-01-01"), stack(3, "2026-12-01")])).to eq([3, 2, 1])
    expect(ids([stack(1, "2027-01-01"), stack(2, "2027-01-01", open: true)])).to eq([2, 1])
    expect(ids([stack(1, "2027-01-01", working: false), stack(2, "2027-01-01")])).to eq([2, 1])
    expect(
      ids(
        [stack(1, "2027-01-01", acquired_on: day("2026-05-01")), stack(2, "2027-01-01", acquired_on: day("2026-04-01"))]
      )
    ).to eq([2, 1])
  end

  it "finishes what is open of foods that opening does not shorten" do
    expect(
      ids([stack(1, "2026-12-01", no_opened_limit: true), stack(2, "2027-12-01", open: true, no_opened_limit: true)])
    ).to eq([2, 1])
  end

  it "leaves alone what is set apart, not ready, past or stopped" do
    today = day("2026-11-24")
    stacks = [
      stack(1, "2027-01-01", reserved: 400r, amount: 0r),
      stack(2, "2027-01-01", ready_on: day("2026-12-01")),
      stack(3, "2026-11-01"),
      stack(4, "2027-01-01", stopped: true),
      stack(5, "2027-02-01")
    ]
    found = draw(stacks, 500r, on: today)
    expect(found.picks.map { |pick| pick.stack.id }).to eq([5])
    expect(found.missing).to eq(100)
  end

  it "takes a tin past its best-before only with a look" do
    tin = stack(1, "2026-11-01", look_until: day("2027-11-01"))
    expect(draw([tin], 400r, on: day("2026-11-24"), allow_look: true).picks.first).to have_attributes(look: true)
    expect(draw([tin], 400r, on: day("2026-11-24")).missing).to eq(400)
  end

  it "asks the stack about the day of use, and no look mends a safety date, a stop or an unknown age" do
    today = day("2026-11-24")
    look = { look_until: day("2026-11-26") }
    eligible = ->(on, **facts) { stack(1, "2026-11-25", **facts).eligible?(on, allow_look: true) }
    expect([0, 1, 2, 3].map { |days| eligible.call(today + days, **look) }).to eq([true, true, true, false])
    expect([0, 1, 2].map { |days| eligible.call(today + days, safety_until: today + 1, **look) }).to eq(
      [true, true, false]
    )
    expect(
      [{ stopped: true }, { age_unknown: true }, { quarantined: true }].map do |facts|
        eligible.call(today, **facts, **look)
      end
    ).to eq([false] * 3)
    expect(stack(1, nil).eligible?(today)).to be(true)
    expect(stack(1, nil, age_unknown: true).eligible?(today)).to be(false)
  end

  it "says when a sealed pack must be opened" do
    tins = stack(1, "2027-01-01", pack: 200r)
    expect(draw([tins], 250r, on: day("2026-11-24")).picks.first.opens).to be(true)
    expect(draw([tins], 200r, on: day("2026-11-24")).picks.first.opens).to be(false)
  end

  it "asks for a look only past the last good day, and for nothing on it" do
    last = stack(1, "2026-11-24", look_until: day("2026-11-30"))
    picked = ->(on) { draw([last], 400r, on: day(on), allow_look: true).picks.map(&:look) }
    expect([picked.call("2026-11-24"), picked.call("2026-11-25")]).to eq([[false], [true]])
    expect([last.look?(day("2026-11-24")), last.look?(day("2026-11-25"))]).to eq([false, true])
    expect([last.eligible?(day("2026-11-24")), last.eligible?(day("2026-11-25"))]).to eq([true, false])
  end

  it "takes what is ready on that very day, and does not open what is open, loose or single" do
    expect(stack(1, "2026-12-01", ready_on: day("2026-11-24")).eligible?(day("2026-11-24"))).to be(true)
    opens = ->(**facts) { draw([stack(1, "2027-01-01", **facts)], 150r, on: day("2026-11-24")).picks.first.opens }
    expect(
      [{ pack: 200r, open: true }, {}, { pack: 1r }, { pack: 200r }, { pack: 2r }, { pack: 100r }].map do |facts|
        opens.call(**facts)
      end
    ).to eq([false, false, false, true, false, true])
    expect(draw([stack(1, "2027-01-01", pack: 2r)], 3r, on: day("2026-11-24")).picks.first.opens).to be(true)
    expect(draw([stack(1, "2027-01-01", pack: 1r)], 1 / 2r, on: day("2026-11-24")).picks.first.opens).to be(false)
  end

  it "does not take the open one first where opening shortens its life" do
    expect(ids([stack(1, "2027-12-01", open: true), stack(2, "2026-12-01")])).to eq([2, 1])
    expect(ids([stack(1, "2027-01-01"), stack(2, "2027-01-01", working: false, open: true)])).to eq([2, 1])
  end

  describe NutShelf::Core::BringForward do
    def walk(backstock, need)
      described_class.new(working: [], backstock: backstock, amount: need, on: day("2026-11-24"))
    end

    it "plans for the days between two walks" do
      expect(%w[hand steps away].map { |reach| described_class.working_amount(daily: 10r, reach: reach) }).to eq(
        [70, 100, 210]
      )
    end

    it "carries sealed packs whole, one more rather than a part, and never more than there is" do
      amounts = ->(need, **facts) { walk([stack(1, "2027-01-01", **facts)], need).picks.map(&:amount) }
      expect(
        [
          amounts.call(150r, pack: 100r),
          amounts.call(200r, pack: 100r),
          amounts.call(900r, pack: 100r),
          amounts.call(350r, pack: 300r)
        ]
      ).to eq([[200], [200], [400], [400]])
    end

    it "carries what is open, loose or without a size as a whole, and neither opens nor looks" do
      [{ open: true, pack: 100r }, {}, { pack: 0r }].each do |facts|
        expect(walk([stack(1, "2027-01-01", **facts)], 50r).picks).to eq(
          [NutShelf::Core::Pick.new(stack: stack(1, "2027-01-01", **facts), amount: 400r)]
        )
      end
    end
  end

  describe NutShelf::Core::RotationBreaches do
    def pair(*stacks)
      described_class.pair(stacks, on: day("2026-11-24"))&.then { |found| [found.near.id, found.far.id] }
    end

    def far(id, until_on, **facts) = stack(id, until_on, working: false, **facts)

    it "needs more than a fortnight between them" do
      expect(pair(stack(1, "2027-01-15"), far(2, "2027-01-01"))).to be_nil
      expect(pair(stack(1, "2027-01-16"), far(2, "2027-01-01"))).to eq([1, 2])
    end

    it "compares the front of each shelf" do
      expect(pair(stack(1, "2027-06-01"), stack(3, "2028-01-01"), far(2, "2027-03-01"), far(4, "2027-01-01"))).to eq(
        [1, 4]
      )
      expect(pair(stack(1, "2027-01-05"), stack(3, "2028-01-01"), far(2, "2027-01-01"), far(4, "2029-01-01"))).to be_nil
    end

    it "leaves out what is open, undated or not to eat" do
      expect(pair(stack(1, "2028-01-01", open: true), far(2, "2027-01-01"))).to be_nil
      expect(pair(stack(1, "2028-01-01"), far(2, "2027-01-01", stopped: true))).to be_nil
      expect(pair(stack(1), far(2, "2027-01-01"))).to be_nil
    end
  end

  # Days 0..5, one use a day of a given size; a lot good to day d serves days 0..d.
  def wasted(lots, uses)
    left = lots.map(&:dup)
    uses.each_with_index do |need, today|
      left.each do |lot|
        next if lot[:until] < today

        taken = [lot[:amount], need].min
        lot[:amount] -= taken
        need -= taken
      end
    end
    left.sum { |lot| lot[:amount] }
  end

  it "wastes least of all orders, for lots with deadlines only" do
    generators = PropCheck::Generators
    lots = generators.array(generators.tuple(generators.choose(0..5), generators.choose(1..4)), min: 1, max: 5)
    uses = generators.array(generators.choose(0..4), min: 6, max: 6)
    PropCheck.forall(lots: lots, uses: uses) do |lots:, uses:|
      given = lots.map { |until_on, amount| { until: until_on, amount: amount } }
      stacks = given.each_with_index.map { |lot, id| stack(id, (day("2026-01-01") + lot[:until]).iso8601) }
      fefo = described_class.sort(stacks).map { |entry| given[entry.id] }
      best = given.permutation.map { |order| wasted(order, uses) }.min
      expect(wasted(fefo, uses)).to eq(best)
    end
  end
end
