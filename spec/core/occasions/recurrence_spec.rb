# frozen_string_literal: true

require_relative "../../../core/occasions/recurrence"

RSpec.describe NutShelf::Core::Recurrence do
  def next_from(day, **facts) = described_class.read(facts.transform_keys(&:to_s)).next_from(Date.iso8601(day))&.iso8601

  it "finds the next time, that day itself included" do
    expect(next_from("2026-11-23", kind: "date", month: 12, day: 5)).to eq("2026-12-05")
    expect(next_from("2026-12-05", kind: "date", month: 12, day: 5)).to eq("2026-12-05")
    expect(next_from("2026-12-06", kind: "date", month: 12, day: 5)).to eq("2027-12-05")
    expect(next_from("2026-11-23", kind: "once", on: "2026-11-30")).to eq("2026-11-30")
    expect(next_from("2026-12-01", kind: "once", on: "2026-11-30")).to be_nil
  end

  it "takes the 28th for the 29th of February where there is none" do
    expect(next_from("2027-01-01", kind: "date", month: 2, day: 29)).to eq("2027-02-28")
    expect(next_from("2028-01-01", kind: "date", month: 2, day: 29)).to eq("2028-02-29")
  end

  it "counts weekdays of a month from its front and from its end" do
    expect(next_from("2026-01-01", kind: "weekday", month: 8, weekday: 0, nth: -1)).to eq("2026-08-30")
    expect(next_from("2026-01-01", kind: "weekday", month: 6, weekday: 6, nth: 3)).to eq("2026-06-20")
    expect(next_from("2026-11-23", kind: "monthly", weekday: 0, nth: -1)).to eq("2026-11-29")
    expect(next_from("2026-11-30", kind: "monthly", weekday: 0, nth: -1)).to eq("2026-12-27")
  end

  it "tells all times in a stretch of days" do
    monthly = described_class.read("kind" => "monthly", "weekday" => 5, "nth" => 1)
    expect(monthly.between(Date.new(2026, 11, 1), Date.new(2027, 1, 31)).map(&:iso8601)).to eq(
      %w[2026-11-06 2026-12-04 2027-01-01]
    )
  end

  it "refuses what is no day of any year" do
    [
      { kind: "date", month: 2, day: 30 }, { kind: "date", month: 13, day: 1 }, { kind: "once" },
      { kind: "weekday", month: 2, weekday: 7, nth: 1 }, { kind: "monthly", weekday: 1, nth: 5 }, { kind: "often" }
    ].each { |facts| expect { described_class.read(facts) }.to raise_error(ArgumentError) }
  end

  # A law: the next time is never before the day asked, and asking again from it says the same.
  it "never looks back" do
    dice = Random.new(3)
    200.times do
      from = Date.new(2026, 1, 1) + dice.rand(2000)
      nth = [1, 2, 3, 4, -1].sample(random: dice)
      one = described_class.read(kind: "weekday", month: dice.rand(1..12), weekday: dice.rand(7), nth: nth)
      found = one.next_from(from)
      expect(found).to be_between(from, from + 372)
      expect(found.wday).to eq(one.weekday)
      expect(one.next_from(found)).to eq(found)
    end
  end
end
