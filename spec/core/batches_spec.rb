# frozen_string_literal: true

require_relative "support"
require_relative "../../core/dating/ripening"

RSpec.describe NutShelf::Core::Ripening do
  include CoreSupport

  def advice(**more)
    described_class.new(count: 6, ready_on: day("2026-11-28"), ripe_days: 1, cold_days: 4, per_day: 1, **more)
  end

  it "leaves out what is eaten while it keeps on the counter and moves the rest when it is ripe" do
    expect(advice).to have_attributes(leave_out: 2, move: 3, move_on: day("2026-11-28"), too_many: 1)
    expect(advice.steps.join(" ")).to include("Move 3 to the cold on 28 Nov 2026", "1 is more than will be eaten")
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
    tin =
      story(
        "canned-chickpeas",
        "cupboard",
        printed_on: "2026-10-31",
        printed_kind: :best_before,
        events: [event(:looked, "2026-11-20", result: :good)]
      )
    household = described_class.new
    answers =
      [household, household.strict].map do |policy|
        NutShelf::Core::Judge.date(tin, catalog: catalog, policy: policy, today: day("2026-11-24"))
      end
    expect(answers.map(&:usable_until)).to eq([day("2027-05-19"), day("2026-10-31")])
    expect(answers.map(&:state)).to eq(%i[resting look])
  end
end
