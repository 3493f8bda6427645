# frozen_string_literal: true

require_relative "support"
require_relative "../../core/rotation/as_it_was"
require_relative "../../core/rotation/needs"
require_relative "../../core/rotation/place"

RSpec.describe NutShelf::Core::Needs do
  include CoreSupport

  let(:damp) { [NutShelf::Core::Flag.new(code: "wrong_place", text: "Too damp."), NutShelf::Core::Flag.new(code: "b", text: "B.")] }

  # @param stacks [Hash{Stack=>Symbol}] with their states
  def needs(stacks) = described_class.of(stacks.keys, state: ->(stack) { stacks[stack] }, foods: catalog.foods)

  def said(stack, state) = needs({ stack => state }).map { |need| [need.kind, need.text] }

  it "puts what is not to eat first, then looks, warnings and what has no date; the order of the shelf within each" do
    stacks = {
      stack(1, flags: damp) => :resting, stack(2) => :undated, stack(3) => :look, stack(4) => :stop, stack(5) => :look,
      stack(6) => :front
    }
    expect(needs(stacks).map { |need| need.stack.id }).to eq([4, 3, 5, 1, 2])
  end

  it "says the first warning once, and none of what is to be thrown out anyway" do
    expect(said(stack(1, flags: damp), :soon)).to eq([[:warning, "Too damp."]])
    expect(said(stack(1, flags: damp), :stop)).to eq([[:stop, "Not to eat: throw it out."]])
    expect(said(stack(1, flags: damp), :look).map(&:first)).to eq(%i[look warning])
  end

  it "asks for no date of what is kept by level or is no food, but for one of what germs like" do
    expect(said(stack(1), :undated)).to eq([[:undated, described_class::UNSAID]])
    expect(said(stack(1, level: "half"), :undated)).to eq([])
    soap = catalog.foods.values.find { |food| food.food_group == "supplies" }
    expect(said(stack(1).with(food_key: soap.key), :undated)).to eq([])
    expect(said(stack(1, age_unknown: true, level: "half"), :undated)).to eq([[:undated, described_class::AGELESS]])
  end

  it "says what has passed, or that nobody knows since when it was open" do
    expect(said(stack(1, "2026-11-01", basis: "printed"),
      :look).first.last).to start_with("Its best-before has passed.")
    expect(said(stack(1, "2026-11-01", basis: "frozen"), :look).first.last).to start_with("Its time in the freezer has")
    expect(said(stack(1, look_first: true), :look)).to eq([[:look, described_class::OPEN_SINCE]])
    dated = stack(1, "2026-11-01", basis: "opened", look_first: true)
    expect(said(dated, :look).first.last).to start_with("The time it usually keeps has passed.")
  end

  describe NutShelf::Core::Place do
    def place(**facts) = described_class.new(id: 1, name: "Shelf", kind: "cupboard", tier: "working", **facts)

    it "knows what it is for" do
      tiers = %w[working backstock set_apart].map { |tier| place(tier: tier) }
      expect(tiers.map { |one| [one.working?, one.set_apart?] }).to eq([[true, false], [false, false], [false, true]])
      expect([place(kind: "freezer"), place].map(&:freezer?)).to eq([true, false])
      expect([place, place(archived_at: Time.at(0))].map(&:gone?)).to eq([false, true])
    end

    it "is upside down only where its coldest is warmer than its warmest" do
      pairs = [[3, 2], [2, 2], [2, 3], [nil, 2], [3, nil]]
      expect(pairs.map do |low, high|
        place(low_c: low, high_c: high).upside_down?
      end).to eq([true, false, false, false, false])
    end
  end

  describe NutShelf::Core::AsItWas do
    def was(on: "2026-11-24", **dates)
      facts = dates.transform_values { |value| value.is_a?(String) ? day(value) : value }
      described_class.of(NutShelf::Core::State::Dates.new(**facts), on: day(on), policy: NutShelf::Core::Policy.new).to_h.values
    end

    it "is covered by a look between its quality date and the end of the cover, and not a day longer" do
      dates = { quality_until: "2026-11-20", usable_until: "2026-12-01" }
      days = %w[2026-11-20 2026-11-21 2026-12-01 2026-12-02]
      expect(days.map { |on| was(on: on, **dates).last }).to eq([false, true, true, false])
      expect(was(usable_until: "2026-12-01").last).to be(false)
      expect(was(quality_until: "2026-11-20").last).to be(false)
    end

    it "has its state and the days left, below zero when they are over, none without a date" do
      expect(was(usable_until: "2026-11-20")).to eq(["look", -4, false])
      expect(was(usable_until: "2026-12-20")).to eq(["soon", 26, false])
      expect(was).to eq(["undated", nil, false])
    end
  end
end
