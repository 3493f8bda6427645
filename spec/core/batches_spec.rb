# frozen_string_literal: true

require_relative "support"
require_relative "../../core/dating/ripening"
require_relative "../../core/dating/top_up"

RSpec.describe NutShelf::Core::TopUp do
  include CoreSupport

  def part(name, usable, cost: 100, amount: 500r, safety: nil)
    dating = NutShelf::Core::Dating.new(usable_until: usable && day(usable), quality_until: usable && day(usable), safety_until: safety && day(safety))
    described_class::Part.new(name: name, dating: dating, cost_minor: cost, amount: amount, on: day("2026-11-24"))
  end

  it "takes the earliest date, adds the costs and remembers the parts" do
    jar = described_class.new([part("Rice of 2025", "2027-03-01", cost: 120), part("Rice of 2026", "2028-06-01", cost: 180)])
    expect(jar).to have_attributes(usable_until: day("2027-03-01"), cost_minor: 300, amount: 1000r)
    expect(jar.parts.map(&:name)).to eq(["Rice of 2025", "Rice of 2026"])
    expect(jar.steps.join(" ")).to include("Rice of 2026 went in on 24 Nov 2026", "The earliest of the parts counts: 1 Mar 2027")
  end

  it "keeps a safety date of any part, and takes a part without a date as saying nothing" do
    jar = described_class.new([part("Stock of Monday", nil), part("Stock of Tuesday", "2026-11-27", safety: "2026-11-27")])
    expect(jar).to have_attributes(usable_until: day("2026-11-27"), safety_until: day("2026-11-27"))
    expect(described_class.new([part("Salt", nil)]).usable_until).to be_nil
  end

  it "says when the tub has reached its mark" do
    expect(described_class.new([part("Peel", "2026-12-24", amount: 900r)], full_at: 1000r)).not_to be_full
    tub = described_class.new([part("Peel", "2026-12-24", amount: 900r), part("More peel", "2026-12-30", amount: 100r)], full_at: 1000r)
    expect(tub).to be_full
    expect(tub.steps.last).to include("full")
  end

  it "does not exist without a part" do
    expect { described_class.new([]) }.to raise_error(ArgumentError)
  end
end

RSpec.describe NutShelf::Core::Ripening do
  include CoreSupport

  def advice(**more) = described_class.new(count: 6, ready_on: day("2026-11-28"), ripe_days: 1, cold_days: 4, per_day: 1, **more)

  it "leaves out what is eaten while it keeps on the counter and moves the rest when it is ripe" do
    expect(advice).to have_attributes(leave_out: 2, move: 3, move_on: day("2026-11-28"), too_many: 1)
    expect(advice.steps.join(" ")).to include("Move 3 to the cold on 28 Nov 2026", "1 are more than will be eaten")
  end

  it "moves none when all are eaten in time, or when the cold does not help" do
    expect(advice(count: 2)).to have_attributes(leave_out: 2, move: 0, move_on: nil, too_many: 0)
    expect(advice(cold_days: 0)).to have_attributes(move: 0, too_many: 4)
  end

  it "always accounts for the whole batch" do
    (1..20).to_a.product([Rational(1, 2), 1, 3]).each do |count, per_day|
      found = advice(count: count, per_day: per_day)
      expect(found.leave_out + found.move + found.too_many).to eq(count)
    end
  end
end

RSpec.describe NutShelf::Core::Policy do
  include CoreSupport

  it "gives strict eaters a second answer, by the date, whatever the household's school" do
    tin = story("canned-chickpeas", "cupboard", printed_on: "2026-10-31", printed_kind: :best_before, events: [event(:looked, "2026-11-20", result: :good)])
    household = described_class.new
    answers = [household, household.strict].map { |policy| NutShelf::Core::Judge.date(tin, catalog: catalog, policy: policy, today: day("2026-11-24")) }
    expect(answers.map(&:usable_until)).to eq([day("2027-05-19"), day("2026-10-31")])
    expect(answers.map(&:state)).to eq(%i[resting look])
  end
end
