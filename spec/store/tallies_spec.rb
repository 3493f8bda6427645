# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../store/tallies"

RSpec.describe NutShelf::Store::Tallies do
  include HouseSupport

  let(:tallies) { described_class.new(services.database) }
  let(:other) { described_class.new(NutShelf::Boot::Wiring.services(HouseSupport.app_url, connections: 1).database) }
  let(:key) { "login:#{rand(10**12)}" }

  def end_all = services.database.outside { |db| db[:tallies].update(ends: Sequel.lit("now() - interval '1 second'")) }

  it "counts for all processes together" do
    expect([tallies.increment(key), other.increment(key), tallies.increment(key)]).to eq([1, 2, 3])
    expect([tallies.read(key), other.read(key)]).to eq([3, 3])
  end

  it "begins anew when the time is over, and keeps nothing that is" do
    3.times { tallies.increment(key) }
    end_all
    expect(tallies.read(key)).to be_nil
    expect(tallies.increment(key)).to eq(1)
    end_all
    tallies.increment("#{key}-another")
    expect(services.database.outside { |db| db[:tallies].where(key: key).count }).to eq(0)
  end

  it "can be set and put away" do
    tallies.write(key, 7)
    expect(tallies.increment(key)).to eq(8)
    tallies.delete(key)
    expect(tallies.read(key)).to be_nil
  end
end
