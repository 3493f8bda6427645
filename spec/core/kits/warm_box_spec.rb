# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/warm_box"

RSpec.describe NutShelf::Core::Kits::WarmBox do
  include KitSupport

  def inside(text) = described_class.inside(day(text), from: day("2027-03-01"), high_c: 34)

  # The car box: 1 Mar 2027, up to 34 C, must reach 31 Mar 2028.
  it "lets a day count once and a half in a car, so that dates come sooner" do
    expect([inside("2028-08-31"), inside("2029-08-31")].map { |one| one >= day("2028-03-31") }).to eq([false, true])
    expect(inside("2028-10-31")).to be >= day("2028-03-31")
    expect(described_class.needed(day("2028-03-31"), from: day("2027-03-01"), high_c: 34)).to eq(day("2028-10-15"))
  end

  it "takes off the heat so far, and nothing where it is cool or nobody said" do
    so_far = lambda do |high|
      described_class.so_far(day("2028-01-01"), since: day("2027-03-01"), today: day("2027-03-12"), high_c: high)
    end
    expect([nil, 25, 26, 35, 36].map { |high| so_far.(high) })
      .to eq(%w[2028-01-01 2028-01-01 2027-12-26 2027-12-26 2027-12-21].map { |one| day(one) })
  end

  it "never makes a date later, and asks for one that holds inside" do
    random = Random.new(9)
    100.times do
      from = day("2027-01-01") + random.rand(400)
      date = from + random.rand(-20..900)
      high = [nil, *(10..60)].sample(random: random)
      found = described_class.inside(date, from: from, high_c: high)
      expect(found).to be <= date
      expect(described_class.so_far(date, since: from - random.rand(90), today: from, high_c: high)).to be <= date
      wanted = described_class.needed(date, from: from, high_c: high)
      expect(described_class.inside(wanted, from: from, high_c: high)).to be >= date
    end
  end
end
