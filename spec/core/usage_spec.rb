# frozen_string_literal: true

require_relative "../../core/usage/rate"
require_relative "../../core/usage/runs_out"
require_relative "../../core/usage/weeks"

# How fast a food goes, week by week: weeks away say nothing, nor do those of another season; and when it runs out.
RSpec.describe NutShelf::Core::Weeks do
  today = Date.new(2026, 11, 24)

  # So much every day, but for the days nobody was there.
  define_method(:daily) do |amount, weeks, but: []|
    days = ((today - (weeks * 7) + 1)..today).to_a - but
    days.map { |day| described_class::Use.new(on: day, amount: amount) }
  end

  define_method(:of) do |uses, weeks, **more|
    described_class.of(uses, today: today, first_on: today - (weeks * 7) + 1, **more)
  end

  it "leaves out a week of which more than half was spent away, and keeps a long weekend" do
    away = ((today - 12)..(today - 8)).to_a
    expect(of(daily(10r, 6, but: away), 6, away: away)).to eq([70, 70, 70, 70, 70])
    weekend = ((today - 12)..(today - 10)).to_a
    expect(of(daily(10r, 6, but: weekend), 6, away: weekend)).to eq([70, 70, 70, 70, 40, 70])
  end

  it "goes by the weeks of this season where four of them are known" do
    spring = ->(day) { day > today - 35 }
    uses = daily(10r, 5)
    expect(of(uses, 9, like: spring)).to eq([70] * 5)
    expect(of(uses, 9, like: ->(day) { day > today - 21 })).to eq(([0] * 4) + ([70] * 5))
  end

  describe NutShelf::Core::RunsOut do
    def rate(*weeks, **more) = NutShelf::Core::Rate.of(weeks, **more)

    it "is the day the rate has used it up, to the day where every week is alike" do
      out = described_class.of(700r, rate(70, 70, 70, 70), today: Date.new(2026, 11, 24))
      expect(out).to have_attributes(on: Date.new(2027, 2, 2), earliest: Date.new(2027, 2, 2),
        latest: Date.new(2027, 2, 2))
    end

    it "spreads with the square root of the weeks" do
      # 100 a week, by 50 more or less: 4 weeks, 1.2816 x 0.5 x 2 of them to either side.
      out = described_class.of(400r, rate(50, 150, 50, 150), today: Date.new(2026, 11, 24))
      expect([out.on, out.earliest, out.latest].map { |day| (day - Date.new(2026, 11, 24)).to_i }).to eq([28, 19, 36])
    end

    it "says nothing of what nobody uses, or what lasts for years" do
      [[100r, rate(0, 0, 0, 0)], [100r, rate(10)], [0r, rate(10, 10, 10, 10)],
       [99_999r, rate(10, 10, 10, 10)]].each do |left, of|
        expect(described_class.of(left, of, today: Date.new(2026, 11, 24))).to be_nil
      end
    end

    it "never says it is out before today, nor the earliest after the latest" do
      random = Random.new(4)
      200.times do
        weeks = Array.new(random.rand(4..12)) { random.rand(0..300) }
        out = described_class.of(random.rand(1..900).to_r, rate(*weeks), today: Date.new(2026, 11, 24)) or next
        expect([Date.new(2026, 11, 24), out.earliest, out.on, out.latest]).to eq([Date.new(2026, 11, 24), out.earliest,
                                                                                  out.on, out.latest].sort)
      end
    end
  end
end
