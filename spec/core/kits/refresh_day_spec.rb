# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/refresh_day"

RSpec.describe NutShelf::Core::Kits::RefreshDay do
  include KitSupport

  def due(today, done_on = nil, days: %w[06-12 12-12]) = described_class.due(days, day(today), done_on && day(done_on))

  it "is due until somebody does it: on its day, and for two weeks after" do
    expect(due("2026-12-11")).to eq(day("2026-12-12"))
    expect(due("2026-12-12")).to eq(day("2026-12-12"))
    expect(due("2026-12-13")).to eq(day("2027-06-12"))
    expect(due("2026-12-24", "2026-06-12")).to eq(day("2026-12-12"))
    expect(due("2026-12-27", "2026-06-12")).to eq(day("2027-06-12"))
  end

  it "is over for that day once it is done, some days ahead, on the day or late" do
    %w[2026-12-02 2026-12-12 2026-12-20].each do |done|
      expect(due("2026-12-20", done)).to eq(day("2027-06-12"))
    end
    expect(due("2026-12-05", "2026-12-01")).to eq(day("2026-12-12"))
    expect(due("2028-03-01", "2028-02-20", days: %w[02-29])).to eq(day("2029-02-28"))
  end
end
