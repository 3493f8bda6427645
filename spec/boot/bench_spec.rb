# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../bench/house"

# A bench that cannot get in measures nothing, and nobody would notice for weeks.
RSpec.describe BenchHouse do
  it "lets its browser in, and finds what it was filled with" do
    house = described_class.new
    house.fill(3)
    answer = house.browser.call("/api/stacks")
    expect([answer.status, JSON.parse(answer.body)["stacks"].size]).to eq([200, 3])
  end
end
