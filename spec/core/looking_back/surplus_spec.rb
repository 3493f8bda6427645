# frozen_string_literal: true

require_relative "../../../core/looking_back/kept_here"
require_relative "../../../core/looking_back/surplus"

RSpec.describe NutShelf::Core::Surplus do
  today = Date.new(2026, 11, 24)

  def stack(id, days, grams, pack: 400r)
    described_class::Stack.new(id: id, until_on: Date.new(2026, 11, 24) + days, grams: grams, pack: pack)
  end

  def surplus(daily: 0r, planned: [], wanted: 0r)
    described_class.new(daily: daily, planned: planned, wanted: wanted, today: Date.new(2026, 11, 24))
  end

  it "spares whole packs of what will not be eaten in time, the first to go over eaten first" do
    # 20 g a day: 21 days to the first date eat 420 g of 800, 121 days eat 2,420 in all, so all of the second.
    found = surplus(daily: 20r).call([stack(2, 120, 1600r), stack(1, 20, 1200r)])
    expect(found).to eq(1 => 400r)
  end

  it "keeps what meals draw, and what is wanted in the house" do
    stacks = [stack(1, 30, 1200r)]
    expect(surplus(planned: [[today + 3, 500r]]).call(stacks)).to eq(1 => 400r)
    expect(surplus(planned: [[today + 31, 500r]]).call(stacks)).to eq(1 => 1200r)
    expect(surplus(wanted: 500r).call(stacks)).to eq(1 => 400r)
  end

  it "never leaves less than is needed up to any date" do
    random = Random.new(3)
    200.times do
      daily = random.rand(0..40).to_r
      stacks = Array.new(random.rand(1..5)) { |id| stack(id, random.rand(1..90), random.rand(1..1500).to_r) }
      spared = surplus(daily: daily).call(stacks)
      expect(spared.all? { |id, grams| grams <= stacks[id].grams && (grams % 400).zero? }).to be true
      eaten = lambda do |left|
        left.sort_by(&:until_on).reduce(0r) do |sum, one|
          sum + ((((one.until_on - today).to_i + 1) * daily) - sum).clamp(0r, one.grams)
        end
      end
      kept = stacks.map { |one| one.with(grams: one.grams - spared.fetch(one.id, 0r)) }
      expect(eaten.(kept)).to eq(eaten.(stacks))
    end
  end

  describe NutShelf::Core::KeptHere do
    def note(good, turned = nil) = described_class::Note.new(good_until: good, turned_by: turned)

    it "finds by when half had turned" do
      learnt = described_class.of([note(5, 6), note(6, 7), note(11, 12)])
      expect(learnt).to have_attributes(median_days: 7, turned: 3, notes: 3, longest_good: 11)
    end

    it "counts what was still good when it was last looked at as longer than that" do
      turned = [note(5, 6), note(6, 7), note(11, 12)]
      expect(described_class.of([*turned, note(10), note(10), note(10)]).median_days).to eq(12)
      expect(described_class.of([*turned, *Array.new(4) { note(20) }]).median_days).to be_nil
    end

    it "says nothing of fewer than three that turned" do
      expect(described_class.of([note(5, 6), note(6, 7), note(30)])).to be_nil
    end

    it "never says fewer days than the soonest that turned, nor more than the latest" do
      random = Random.new(8)
      100.times do
        notes = Array.new(random.rand(3..9)) { random.rand(0..20).then { |day| note(day, day + random.rand(1..9)) } }
        median = described_class.of(notes).median_days
        expect(median).to be_between(*notes.map(&:turned_by).minmax)
      end
    end
  end
end
