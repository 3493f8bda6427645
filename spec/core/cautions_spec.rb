# frozen_string_literal: true

require_relative "support"
require_relative "../../core/dating/cautions"

RSpec.describe NutShelf::Core::Cautions do
  include CoreSupport

  def of(key, **more) = described_class.of(food(key), perishable: false, **more)

  it "speak of a tin while it is sealed, and of two hours once germs can grow" do
    expect(of("canned-chickpeas")).to eq([described_class::TINS, described_class::DOUBT])
    expect(of("canned-chickpeas", sealed: false, perishable: true)).to eq(
      [described_class::TWO_HOURS, described_class::DOUBT]
    )
    expect(of("uht-milk")).not_to include(described_class::TWO_HOURS)
  end

  it "say nothing where nothing applies, and nothing twice" do
    expect(of("white-rice")).to be_empty
    expect(of("torch", perishable: true)).to be_empty
    expect(of("plain-yoghurt", perishable: true, warned: ["two_hours"])).to eq([described_class::DOUBT])
  end

  it "ask for a tested procedure of bottled food" do
    expect(of("class-home-canned-low-acid", situation: "home_canned")).to include(described_class::BOTTLED)
  end

  it "end with the same words for every food, whole sentences all" do
    said = catalog.foods.values.flat_map { |one| described_class.of(one, perishable: one.high_risk) }.uniq
    expect(said).to all(end_with("."))
    expect(said.grep(/kidney bean|_|rules/)).to be_empty
  end
end
