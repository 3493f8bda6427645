# frozen_string_literal: true

require_relative "../../../core/occasions/amounts"

RSpec.describe NutShelf::Core::OccasionAmounts do
  def last(cooked, left, heads) = described_class::Served.new(cooked: cooked.to_r, left: left.to_r, heads: heads)

  def servings(**asked) = described_class.for(**asked).servings

  it "asks for what the table eats where nobody wrote anything down, in halves" do
    amount = described_class.for(portions: 41/10r, heads: 5)
    expect([amount.servings, amount.why]).to eq([9/2r, "asked"])
  end

  it "goes by what was eaten a head the last time" do
    expect(servings(portions: 10r, heads: 10, last: last(14, 3, 12))).to eq(19/2r)
    expect(described_class.for(portions: 10r, heads: 10, last: last(14, 3, 12)).why).to eq("last_time")
  end

  it "adds a tenth where nothing was left" do
    expect(servings(portions: 10r, heads: 10, last: last(10, 0, 10))).to eq(11)
  end

  it "goes by the table where nobody is said to have come" do
    expect(servings(portions: 4r, heads: 4, last: last(10, 2, 0))).to eq(4)
  end

  it "cooks half a portion at the least" do
    expect(servings(portions: 4r, heads: 4, last: last(6, 6, 4))).to eq(1/2r)
  end
end
