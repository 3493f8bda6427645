# frozen_string_literal: true

require "prop_check"
require_relative "support"
require_relative "../../core/rotation/fefo"

RSpec.describe NutShelf::Core::Fefo do
  include CoreSupport

  def stock(id, until_on = nil, **facts)
    NutShelf::Core::Stock.new(id: id, amount: 400r, usable_until: until_on && day(until_on), place: "shelf", **facts)
  end

  def ids(stocks) = described_class.order(stocks).map(&:id)

  it "orders by last good day, then open, working place, older purchase and id, undated last" do
    expect(ids([stock(1), stock(2, "2027-01-01"), stock(3, "2026-12-01")])).to eq([3, 2, 1])
    expect(ids([stock(1, "2027-01-01"), stock(2, "2027-01-01", open: true)])).to eq([2, 1])
    expect(ids([stock(1, "2027-01-01", working: false), stock(2, "2027-01-01")])).to eq([2, 1])
    expect(ids([stock(1, "2027-01-01", acquired_on: day("2026-05-01")), stock(2, "2027-01-01", acquired_on: day("2026-04-01"))])).to eq([2, 1])
  end

  it "finishes what is open of foods that opening does not shorten" do
    expect(ids([stock(1, "2026-12-01", no_opened_limit: true), stock(2, "2027-12-01", open: true, no_opened_limit: true)])).to eq([2, 1])
  end

  it "leaves alone what is set apart, not ready, past or stopped" do
    today = day("2026-11-24")
    stocks = [stock(1, "2027-01-01", set_apart: true), stock(2, "2027-01-01", ready_on: day("2026-12-01")), stock(3, "2026-11-01"), stock(4, "2027-01-01", stopped: true), stock(5, "2027-02-01")]
    picks, missing = described_class.draw(stocks, 500r, on: today)
    expect(picks.map { |pick| pick.stock.id }).to eq([5])
    expect(missing).to eq(100)
  end

  it "takes a tin past its best-before only with a look" do
    tin = stock(1, "2026-11-01", look_until: day("2027-11-01"))
    expect(described_class.draw([tin], 400r, on: day("2026-11-24"), allow_look: true).first.first).to have_attributes(look: true)
    expect(described_class.draw([tin], 400r, on: day("2026-11-24")).last).to eq(400)
  end

  it "asks the stack about the day of use, and no look mends a safety date, a stop or an unknown age" do
    today = day("2026-11-24")
    look = { look_until: day("2026-11-26") }
    eligible = ->(on, **facts) { stock(1, "2026-11-25", **facts).eligible?(on, allow_look: true) }
    expect([0, 1, 2, 3].map { |days| eligible.call(today + days, **look) }).to eq([true, true, true, false])
    expect([0, 1, 2].map { |days| eligible.call(today + days, safety_until: today + 1, **look) }).to eq([true, true, false])
    expect([{ stopped: true }, { unknown: true }, { set_apart: true }].map { |facts| eligible.call(today, **facts, **look) }).to eq([false] * 3)
    expect(stock(1, nil).eligible?(today)).to be(true)
    expect(stock(1, nil, unknown: true).eligible?(today)).to be(false)
  end

  it "says when a sealed pack must be opened" do
    tins = stock(1, "2027-01-01", pack: 200r)
    expect(described_class.draw([tins], 250r, on: day("2026-11-24")).first.first.opens).to be(true)
    expect(described_class.draw([tins], 200r, on: day("2026-11-24")).first.first.opens).to be(false)
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
      stocks = given.each_with_index.map { |lot, id| stock(id, (day("2026-01-01") + lot[:until]).iso8601) }
      fefo = described_class.order(stocks).map { |entry| given[entry.id] }
      best = given.permutation.map { |order| wasted(order, uses) }.min
      expect(wasted(fefo, uses)).to eq(best)
    end
  end
end
