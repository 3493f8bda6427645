# frozen_string_literal: true

require_relative "support"
require_relative "../../core/quantity/wording"

# Amounts as a household measures.
RSpec.describe NutShelf::Core::Measures do
  def quantity(number, unit) = NutShelf::Core::Quantity.of(number, unit)

  def free(system, number, unit) = described_class.of(system).free(quantity(number, unit))

  def size(system, number, unit) = described_class.of(system).size(quantity(number, unit).stored)

  it "says grams and litres where the household is metric, whatever was typed" do
    expect(free("metric", "1200", "g")).to eq("1.2 kg")
    expect(size("metric", "400", "g")).to eq("400 g")
    expect(size("metric", "15", "oz")).to eq("425 g")
    expect(free("metric", "1", "us_gallon")).to eq("3.785 l")
  end

  it "says ounces and pounds, quarts and gallons in the United States" do
    said = [%w[250 g], %w[1200 g], %w[2 lb], %w[12 us_floz], %w[2 us_quart], %w[1.5 us_gallon], %w[6 piece]]
    expect(said.map { |number, unit| free("us", number, unit) }).to eq(
      ["8.8 oz", "2.65 lb", "2 lb", "12 fl oz", "2 qt", "1.5 gal", "6"]
    )
  end

  it "keeps grams for pinches" do
    expect(free("us", "2", "g")).to eq("2 g")
    expect(free("us", "5", "ml")).to eq("5 ml")
  end

  it "keeps the size that is printed on a pack, in ounces or in grams" do
    expect(size("us", "15", "oz")).to eq("15 oz")
    expect(size("us", "6.5", "oz")).to eq("6.5 oz")
    expect(size("us", "5", "lb")).to eq("5 lb")
    expect(size("us", "24", "oz")).to eq("24 oz")
    expect(size("us", "3.5", "lb")).to eq("3.5 lb")
    expect(size("us", "52", "us_floz")).to eq("52 fl oz")
    expect(size("us", "0.5", "us_gallon")).to eq("2 qt")
    expect(size("us", "1", "us_gallon")).to eq("1 gal")
    expect(size("us", "400", "g")).to eq("400 g")
    expect(size("us", "750", "ml")).to eq("750 ml")
    expect(size("us", "33.333333", "g")).to eq("1.2 oz")
  end

  it "says pints and pounds where a household of imperial measures typed them, and grams for the rest" do
    expect(size("imperial", "2", "uk_pint")).to eq("2 pt")
    expect(size("imperial", "8", "oz")).to eq("8 oz")
    expect(size("imperial", "400", "g")).to eq("400 g")
    expect(free("imperial", "250", "g")).to eq("250 g")
    expect(size("imperial", "33.333333", "g")).to eq("33.33 g")
  end

  it "offers the units to type in, the usual one first, each by what it is in grams or millilitres" do
    words = ->(system, dimension) { described_class.of(system).units(dimension).map(&:first) }
    expect([words.call("metric", :mass), words.call("us", :mass), words.call("imperial", :volume)]).to eq(
      [%w[g], %w[oz lb g], ["ml", "fl oz", "pt"]]
    )
    expect(described_class.of("us").units(:mass).to_h["lb"]).to eq(Rational("453.59237"))
  end

  it "reads a stack by its packs, and what is left of an open one as the household weighs" do
    us = described_class.of("us")
    tin = quantity("15", "oz").stored
    stack = ->(amount, **facts) { NutShelf::Core::Wording.stack(amount, pack: tin, measures: us, **facts) }
    expect([stack.call(tin * 2), stack.call(tin), stack.call(tin / 2, open: true)]).to eq(
      ["2 x 15 oz", "15 oz", "7.5 oz, open"]
    )
  end
end
