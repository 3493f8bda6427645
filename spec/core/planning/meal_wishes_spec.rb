# frozen_string_literal: true

require_relative "../support"
require_relative "../../../core/planning/dish_kind"
require_relative "../../../core/planning/meal_wishes"

RSpec.describe NutShelf::Core::MealWishes do
  include CoreSupport

  def wishes(month: 11, there: [], seasons: {}, **rules)
    described_class.new(
      rules: NutShelf::Core::PlanRules.new(rules.transform_keys(&:to_s)), foods: catalog.foods, month: month,
      region: "cool-north", seasons: seasons, there: ->(key) { there.include?(key) }
    )
  end

  def extra(lines, **said) = wishes(**said).extra(lines.map { |key, grams| [key.to_s, grams.to_r] })

  it "counts servings of vegetables and fruit up to two, potatoes not among them" do
    plain = { season: "no_matter" }
    expect(extra({ "white-rice": 80 }, **plain)).to eq(4/10r)
    expect(extra({ carrots: 80 }, **plain)).to eq(2/10r)
    expect(extra({ carrots: 200, peppers: 100 }, **plain)).to eq(0)
    expect(extra({ potatoes: 300 }, **plain)).to eq(4/10r)
    expect(extra({ "white-rice": 80 }, vegetables: "no_matter", **plain)).to eq(0)
  end

  it "would rather not buy what is out of season, and never minds what is there" do
    bare = { vegetables: "no_matter", season: "much" }
    expect(extra({ strawberries: 80 }, **bare)).to eq(4/10r)
    expect(extra({ strawberries: 80 }, month: 6, **bare)).to eq(0)
    expect(extra({ strawberries: 80 }, there: ["strawberries"], **bare)).to eq(0)
    expect(extra({ "canned-peaches": 80 }, **bare)).to eq(0)
    expect(extra({ strawberries: 80 }, seasons: { "strawberries" => [11] }, **bare)).to eq(0)
    expect(extra({ strawberries: 80 }, month: 6, seasons: { "strawberries" => [11] }, **bare)).to eq(4/10r)
  end

  def dishes
    [[["salmon-fillet", 120r]], [["beef-mince", 100r]], [["red-lentils", 80r], ["carrots", 90r]],
     [["eggs", 100r], ["stock-ready", 50r]], [["carrots", 100r]]]
  end

  def tallies(days: 7, meals: 7, **rules) = wishes(variety: "no_matter", **rules).tallies(dishes, days, meals)

  it "asks for fish, and for meals without meat or fish, by what a dish needs" do
    fish = tallies(fish: "once").first
    expect([fish.dishes, fish.costs, fish.days]).to eq([[0], [4r, 0r], 7])
    meatless = tallies(meatless: "twice").first
    expect([meatless.dishes, meatless.costs]).to eq([[2, 4], [8r, 4r, 0r]])
    expect(tallies).to be_empty
  end

  it "asks for no more than there are meals, and shares a longer stretch out evenly" do
    expect(tallies(days: 2, meals: 1, meatless: "most").first.costs).to eq([4r, 0r])
    expect(tallies(days: 10, meals: 10, meatless: "half").first.then do |one|
      [one.days, one.costs.size]
    end).to eq([10, 7])
    expect(tallies(days: 28, meals: 28, fish: "twice").first.then { |one| [one.days, one.costs.size] }).to eq([7, 3])
  end

  it "has enough of one kind of dish after two in a week, or every seventh of many meals" do
    names = ["Leek and potato soup", "Rice with peas", "Fish chowder", "Ham and pea pasta", "Something"]
    kinds = names.map { |name| NutShelf::Core::DishKind.of(name) }
    expect(kinds).to eq([:soup, :rice, :soup, :pasta, nil])
    of = ->(meals, **rules) { wishes(variety: "no_matter", **rules).tallies(dishes, 7, meals, kinds: kinds) }
    expect(of.(5).map(&:dishes)).to eq([[0, 2], [1], [3]])
    expect(of.(5).first.costs).to eq([0, 0, 0, 2, 4, 6])
    expect(of.(21).first.costs.first(6)).to eq([0, 0, 0, 0, 2, 4])
    expect(of.(1).first.costs).to eq([0, 0, 0])
    expect(of.(5, same_kind: "no_matter")).to eq([])
  end

  it "gives a little for every vegetable that is new that week" do
    variety = wishes(variety: "much").tallies(dishes, 7, 7)
    expect(variety.map { |one| [one.dishes, one.costs] }).to eq([[[2, 4], [1r, 0r]]])
  end

  it "knows which food is meat or fish, and when each fresh one is in season" do
    foods = catalog.foods
    flesh = %w[salmon-fillet mussels bacon offal stock-ready canned-tuna-water]
    expect(flesh.map { |key| foods[key].flesh? }).to all(be(true))
    expect(%w[eggs milk tofu-firm red-lentils].filter_map { |key| foods[key]&.flesh? }).to all(be(false))
    fresh = foods.each_value.select { |food| described_class::FRESH.include?(food.aisle) && !food.season.empty? }
    expect(fresh.size).to be > 35
    fresh.each { |food| expect(food.season.values.flatten).to all(be_between(1, 12)) }
  end
end
