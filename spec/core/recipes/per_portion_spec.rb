# frozen_string_literal: true

require_relative "../support"
require_relative "../../../core/buying/price_book"
require_relative "../../../core/recipes/per_portion"

RSpec.describe NutShelf::Core::Recipes::PerPortion do
  include CoreSupport

  # What somebody paid: minor units for so many grams.
  let(:paid) { Struct.new(:price_minor, :amount, :dimension) }

  def line(key, number, unit, **more)
    NutShelf::Core::RecipeLine.new(
      food_key: key, quantity: NutShelf::Core::Quantity.of(number, unit), optional: false,
      substitutes: {}.freeze, note: "", **more
    )
  end

  def recipe(*lines, servings: 2)
    NutShelf::Core::Recipe.new(
      key: "x", name: "X", meal: "dinner", servings: servings, active_minutes: 1, total_minutes: 1, gear: ["hob"],
      leftover_days: 0, freezes: false, steps: [], tags: [], lines: lines
    )
  end

  def per_portion(dish, **prices)
    book = NutShelf::Core::PriceBook.new(
      prices: prices.to_h { |key, (minor, grams)| [key.to_s.tr("_", "-"), [paid.new(minor, grams.to_r, "mass")]] },
      foods: catalog.foods
    )
    described_class.of(dish, foods: catalog.foods, prices: book)
  end

  it "shares energy, protein and price by the portions, from the figures for 100 g" do
    rice = food("white-rice").nutrition
    found = per_portion(recipe(line("white-rice", 200, "g")), white_rice: [300, 1000])
    expect(found).to have_attributes(
      kcal: rice.kcal.round, protein_g: rice.protein_g.round, cost_minor: 30, estimated: [], unknown: []
    )
  end

  it "counts water from the tap for nothing, and leaves out what may be left out" do
    found = per_portion(
      recipe(line("white-rice", 200, "g"), line("tap-water", 1000, "ml"), line("butter", 50, "g", optional: true)),
      white_rice: [300, 1000]
    )
    expect(found).to have_attributes(cost_minor: 30, allergens: ["milk"], estimated: [])
  end

  it "says whose price is an estimate, and what has no figures" do
    found = per_portion(recipe(line("white-rice", 200, "g"), line("tea-bags", 2, "piece")), white_rice: [300, 1000])
    expect(found.unknown).to eq([food("tea-bags").name])
    expect(per_portion(recipe(line("white-rice", 200, "g"))).estimated).to eq([food("white-rice").name])
  end

  it "says what a dish holds by everything in it" do
    found = per_portion(recipe(line("dry-pasta", 200, "g"), line("eggs", 2, "piece"), line("cheddar", 50, "g")))
    expect(found.allergens).to eq(%w[egg gluten milk])
  end

  it "is the same for whatever number of portions it is scaled to" do
    dish = recipe(line("white-rice", 200, "g"), line("eggs", 3, "piece"), servings: 3)
    scaled = dish.scaled(7)
    expect(scaled.lines.map { |one| one.quantity.amount }).to eq([1400/3r, 7r])
    expect(per_portion(scaled).to_h).to eq(per_portion(dish).to_h)
    expect(dish.scaled(3)).to equal(dish)
  end
end
