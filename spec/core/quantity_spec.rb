# frozen_string_literal: true

require "prop_check"
require_relative "support"
require_relative "../../core/quantity/money"
require_relative "../../core/quantity/conversion"
require_relative "../../core/quantity/wording"

RSpec.describe "Quantity and money" do
  include CoreSupport

  let(:core) { NutShelf::Core }
  let(:q) { ->(number, unit) { core::Quantity.of(number, unit) } }

  it "converts the units of the kitchen exactly" do
    {
      "oz" => "28.349523125", "lb" => "453.59237", "us_cup" => "236.5882365", "us_floz" => "29.5735295625",
      "uk_pint" => "568.26125", "us_gallon" => "3785.411784", "metric_cup" => "250", "tbsp" => "15", "dl" => "100"
    }.each { |unit, base| expect(q.(1, unit).amount).to eq(base.to_r) }
  end

  it "refuses floats, unknown units and sums across dimensions, naming both" do
    expect { q.(0.1, "g") }.to raise_error(ArgumentError, /Float/)
    expect { q.(1, "stone") }.to raise_error(core::Unknown, /stone/)
    expect { q.(1, "g") + q.(1, "ml") }.to raise_error(core::DimensionMismatch, /1 g is a mass and 1 ml is a volume/)
  end

  it "says what to weigh once where a figure is missing" do
    pears = core::Food.new(key: "pears", name: "Pears", dimension: :count)
    expect { core::Conversion.to(q.(2, "piece"), :mass, pears) }.to raise_error(core::MissingFigure) { |error|
      expect(error.remedy).to include("weigh one piece")
    }
    expect(core::Conversion.to(q.(2, "piece"), :mass, pears.with(g_per_piece: 150r))).to eq(q.(300, "g"))
  end

  it "goes between gross and edible by the yield, but leaves counts alone" do
    potatoes = core::Food.new(key: "potatoes", name: "Potatoes", dimension: :count, edible_yield: "0.85".to_r)
    expect(core::Conversion.edible(q.(1000, "g"), potatoes)).to eq(q.(850, "g"))
    expect(core::Conversion.gross(q.(850, "g"), potatoes)).to eq(q.(1000, "g"))
    expect(core::Conversion.edible(q.(3, "piece"), potatoes)).to eq(q.(3, "piece"))
  end

  it "reads as people say it" do
    expect(core::Wording.stack(q.(1200, "g"), pack: q.(400, "g"))).to eq("3 x 400 g")
    expect(core::Wording.stack(q.(250, "g"), pack: q.(400, "g"), open: true)).to eq("250 g, open")
    expect(core::Wording.free(q.(1200, "g"))).to eq("1.2 kg")
    expect(core::Wording.stack(q.(3, "piece"), noun: "jar")).to eq("3 jars")
    expect(core::Wording.stack(q.("0.5", "piece"), noun: "jar")).to eq("half a jar")
    expect(core::Wording.stack(q.(2, "piece"), noun: "loaf")).to eq("2 loaves")
  end

  it "splits 17.45 over 12 portions as 7 of 1.45 and 5 of 1.46" do
    expect(core::Money.split(1745, 12).tally).to eq(145 => 7, 146 => 5)
  end

  it "gives the last take the rest of a stack's value" do
    first = core::Money.share(100, 1r, 3r)
    second = core::Money.share(100 - first, 1r, 2r)
    expect(first + second + core::Money.share(100 - first - second, 1r, 1r)).to eq(100)
  end

  it "estimates by food group, so that waste never weighs nothing" do
    expect(core::Money.estimate(500r, "grains")).to eq(125)
    expect(core::Money.estimate(500r, "grains", { "grains" => 400 })).to eq(200)
    expect(core::Money.estimate(500r, "some other group")).to be_positive
  end

  it "keeps the sum whatever the split" do
    weights = PropCheck::Generators.array(PropCheck::Generators.positive_integer, min: 1, max: 20)
    PropCheck.forall(total: PropCheck::Generators.nonnegative_integer, weights: weights) do |total:, weights:|
      parts = core::LargestRemainder.split(total, weights)
      exact = weights.map { |weight| Rational(total * weight, weights.sum) }
      expect(parts.sum).to eq(total)
      expect(parts.zip(exact)).to all(satisfy { |part, share| (part - share).abs < 1 })
    end
  end

  it "conserves an amount split into parts" do
    PropCheck.forall(
      micro: PropCheck::Generators.positive_integer,
      parts: PropCheck::Generators.choose(1..12)
    ) do |micro:, parts:|
      whole = core::Quantity.new(Rational(micro, 1_000_000), :mass)
      expect(whole.split(Array.new(parts, 1)).sum(&:amount)).to eq(whole.amount)
    end
  end

  it "prints decimals that read back as the same number" do
    PropCheck.forall(micro: PropCheck::Generators.integer) do |micro:|
      expect(core::Decimal.print(Rational(micro, 1_000_000)).to_r).to eq(Rational(micro, 1_000_000))
    end
  end
end
