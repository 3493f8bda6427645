# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/shown"

RSpec.describe NutShelf::Core::Kits::Needs do
  include KitSupport

  def need(people, pets = [], level: :usual, **said)
    described_class.new(figures.with(level: level), **said).call(people, pets)
  end

  it "takes a teenager by sex from one row: girls from its lower half, boys from its upper" do
    kcal = ->(sex, level) { need([person("A", age: 16, sex: sex)], level: level).kcal }
    row = catalog.targets["kcal-teen-14-18-light"]
    low, usual, high = row.values_at("low", "usual", "high").map(&:to_r)
    expect([:woman, :man, nil].map { |sex| kcal.call(sex, :low) }).to eq([low, usual, low])
    expect([:woman, :man, nil].map do |sex|
      kcal.call(sex, :usual)
    end).to eq([(low + usual) / 2, (usual + high) / 2, usual])
    expect([:woman, :man, nil].map { |sex| kcal.call(sex, :high) }).to eq([usual, high, high])
  end

  it "takes who says neither age nor sex for the mean of a woman and a man" do
    unknown = need([person("A")]).people.first
    both = need([person("B", age: 30, sex: :woman), person("C", age: 30, sex: :man)])
    expect(unknown.kcal).to eq(both.kcal / 2)
    expect(unknown.protein_g).to eq(both.protein_g / 2)
  end

  it "lets small children, who have no row of hard work, hike instead, and gives the active adult more protein" do
    small = [person("A", age: 5)]
    expect(need(small, activity: :hard).kcal).to eq(need(small, activity: :hiking).kcal)
    hard = need([person("B", age: 30, kg: 70r, activity: :hard)]).protein_g
    expect(hard).to eq(figures.usual("protein-active") * 70)
    expect(need([person("C", age: 16, kg: 70r, activity: :hard)]).protein_g).to eq(figures.usual("protein-teen") * 70)
  end

  it "counts an infant by its feeds alone, whatever the heat, and one at the breast not at all" do
    fed = need([person("A", age: 0, formula_fed: true)], hot: true)
    expect([fed.kcal, fed.servings.values.sum, fed.water_l]).to eq([0, 0, 2.8r])
    expect(fed.formula_g).to eq(800r * 100 / 680)
    expect(need([person("B", age: 0)]).water_l).to eq(0)
  end

  it "stores at least what is drunk and the food's cooking water" do
    people = [person("A", age: 30)]
    basis = { basis: "water-drink-cook" }
    plain = described_class.new(figures, **basis).call(people)
    expect(plain.water_l).to eq(3)
    expect(described_class.new(figures, **basis).call(people, cook_water_l: 2r).water_l).to eq(4.5r)
  end

  it "feeds a dog by straight lines between the rows, a small one by its row and a large one in proportion" do
    kcal = ->(weight) { need([], [kits::Pet.new(name: "D", species: "dog", kg: weight&.to_r)]).pets.values.first }
    expect([3, 5, 7.5r, 40, 80, nil].map(&kcal)).to eq([340, 340, 452.5r, 1600, 3200, 950])
    rabbit = kits::Pet.new(name: "R", species: "rabbit", kg: 2r)
    expect([need([], [rabbit]).pets[rabbit], need([], [rabbit]).water_l]).to eq([nil, 2])
  end

  it "never shows a need below, nor a stock above, the exact figure" do
    random = Random.new(7)
    200.times do
      exact = Rational(random.rand(1..1_000_000), random.rand(1..999))
      [0, 1, 2].each do |places|
        expect(kits::Rounding.up(exact, places)).to be >= exact
        expect(kits::Rounding.down(exact, places)).to be <= exact
      end
    end
  end

  it "asks for more on a hotter, busier or longer day, never for less" do
    %i[rest light hiking hard].each_cons(2) do |calm, busy|
      house.each { |one| expect(need([one], activity: busy).kcal).to be >= need([one], activity: calm).kcal }
    end
    expect(need(house, hot: true).water_l).to be > need(house).water_l
  end
end
