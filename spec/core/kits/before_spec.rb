# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/before_event"
require_relative "../../../core/kits/fresh_food"
require_relative "../../../core/kits/stretching"

RSpec.describe NutShelf::Core::Kits::BeforeEvent do
  include KitSupport

  it "lets tasks follow each other, each in time or of the first rank, and never two at once" do
    random = Random.new(47)
    hour = Time.utc(2026, 11, 26, 18)
    60.times do
      has = %w[freezer fridge car pets medicines].sample(random.rand(0..5), random: random)
      helpers = random.rand(1..4)
      plan = described_class.new(
        catalog.kits.event_tasks, has: has, fill_l: random.rand(0..200).to_r, flush_l: random.rand(0..100).to_r,
        helpers: helpers
      ).call(now: now = hour - random.rand(600..90_000), hour: hour)
      plan.turns.each_cons(2) { |one, other| expect(one.by).to be <= other.start }
      expect(plan.begin_at).to be >= now
      late = plan.turns.select { |turn| turn.by > hour - (turn.task.wait_hours * 3600) }.map(&:task)
      expect(late).to eq(plan.too_late)
      expect(late.map(&:rank)).to all(eq(1))
      expect(plan.left_out.map(&:rank)).to all(be > 1)
    end
  end

  it "works backward from the hour where there is time, and leaves nothing out" do
    hour = Time.utc(2026, 11, 26, 18)
    plan = described_class.new(catalog.kits.event_tasks, has: ["fridge"], fill_l: 20r, flush_l: 20r)
      .call(now: hour - (3 * 86_400), hour: hour)
    expect([plan.left_out, plan.turns.last.task.key, plan.turns.last.by]).to eq([[], "hot-flasks", hour - 3600])
    expect(plan.turns.map(&:start)).to eq(plan.turns.map(&:start).sort)
  end

  describe NutShelf::Core::Kits::FreshFoods do
    def plan(keys, days: 7, bought: "2026-11-25", have: {})
      described_class.new(catalog).call(
        keys.map do |key|
          food(key)
        end, bought: day(bought), event: day("2026-11-26"), days: days, per_day: 10r, have: have
      )
    end

    it "leaves the days that nothing fresh lasts to tins" do
      expect(plan(["bananas"]).tins_from_day).to eq(2)
      expect(plan(["apples"], bought: "2026-11-20").foods).to be_empty
      expect(plan(%w[apples bananas], days: 3).foods.map(&:to)).to eq([1, 3])
    end

    it "buys less of what is there, and weighs what has no pieces" do
      expect(plan(["apples"], have: { "apples" => 45r }).foods.map(&:amount)).to eq([5])
      weighed = plan(["kale"]).foods.first
      expect([weighed.unit, weighed.amount]).to eq(["g", (10 * 80 / food("kale").edible_yield).ceil])
    end
  end

  it "adds no tin to what is enough" do
    chicken = food("cooked-chicken")
    tin = food("canned-chickpeas")
    pack = NutShelf::Core::Quantity.of(400, "g")
    found = kits::Stretched.of(chicken, 900r, factors: 4.9r, tin: tin, pack: pack)
    expect([found.lacking, found.tins]).to eq([0, 0])
  end
end
