# frozen_string_literal: true

require_relative "support"
require "prop_check"
require_relative "../../core/quantity/degrees"

# Places are kept in Celsius, whatever people say.
RSpec.describe NutShelf::Core::Degrees do
  it "keeps what was said in Celsius" do
    expect(
      [described_class.coldest(-18, "c"), described_class.warmest(21, "c"), described_class.coldest(nil, "f")]
    ).to eq([-18, 21, nil])
  end

  it "makes of Fahrenheit the careful degree: no place colder than said is called warmer, none warmer called colder" do
    expect(
      [
        described_class.coldest(32, "f"),
        described_class.coldest(35, "f"),
        described_class.warmest(35, "f"),
        described_class.warmest(39, "f")
      ]
    ).to eq([0, 1, 2, 4])
    PropCheck.forall(PropCheck::Generators.choose(-76..176)) do |said|
      exact = Rational((said - 32) * 5, 9)
      low = described_class.coldest(said, "f")
      high = described_class.warmest(said, "f")
      raise said.to_s unless exact.between?(low, high) && (high - low) <= 1
    end
  end
end
