# frozen_string_literal: true

require_relative "support"
require_relative "../../core/dating/words"

RSpec.describe NutShelf::Core::Words do
  include CoreSupport

  it "counts days in whole words" do
    expect([0, 1, 2].map { |count| described_class.days(count) }).to eq(["0 days", "1 day", "2 days"])
    expect([0, 1, 2].map { |count| described_class.days_are(count) }).to eq(["none is", "1 day is", "2 days are"])
    expect([0, 1, 2].map { |count| described_class.only_days_were(count) }).to eq(
      ["No day was", "Only 1 day was", "Only 2 days were"]
    )
  end

  it "tells long times in months and years" do
    times = {
      59 => "59 days", 60 => "about 2 months", 729 => "about 24 months", 730 => "about 2 years",
      1095 => "about 3 years"
    }
    expect(times.keys.map { |count| described_class.time(count) }).to eq(times.values)
  end

  it "says where things stand and where they go, for every kind of place" do
    kinds = %w[cupboard cool_dark fridge freezer]
    expect(kinds.map { |kind| described_class.into(kind) }).to all(start_with("to "))
    expect(kinds.map { |kind| described_class.where(kind) }).to eq(
      ["in a cupboard", "cool and dark", "in the fridge", "in the freezer"]
    )
    expect(kinds.map { |kind| described_class.whose(kind) }).to all(match(/'s\z/))
  end

  it "names what has passed by what the date rests on" do
    expect(%w[printed frozen turning rule opened].map { |basis| described_class.passed(basis) }).to eq(
      [
        "its best-before", "its time in the freezer", "the days it had once it was turning",
        "the time it usually keeps", "the time it usually keeps"
      ]
    )
  end
end
