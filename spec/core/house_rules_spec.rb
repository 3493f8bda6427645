# frozen_string_literal: true

require_relative "support"
require_relative "../../core/dating/came_in"
require_relative "../../core/planning/kept_dish"
require_relative "../../core/rotation/pest_reach"

RSpec.describe "What the house takes a stack for" do
  include CoreSupport

  def came(key, **said) = NutShelf::Core::CameIn.new(food: food(key), **said)

  day = Date.new(2026, 11, 20)

  {
    ["canned-chickpeas", {}] => ["bought_sealed", true, nil],
    ["canned-chickpeas", { state: "opened" }] => ["opened", true, nil],
    ["canned-chickpeas", { state: "opened", opened_on: day }] => ["bought_sealed", true, nil],
    ["beef-mince", { state: "frozen" }] => ["bought_frozen", true, nil],
    ["beef-mince", { state: "frozen", frozen_on: day }] => ["bought_sealed", true, nil],
    ["beef-mince", { state: "thawed" }] => ["thawed", false, Date.new(2026, 11, 24)],
    ["beef-mince", { thawed_on: day }] => ["thawed", false, day],
    ["jam", { state: "home_made", made_on: day }] => ["left_over", false, day],
    ["jam", { state: "leftover" }] => ["left_over", false, Date.new(2026, 11, 24)],
    ["avocado", { state: "unripe" }] => ["ripening", true, nil]
  }.each do |(key, said), (situation, bought, began)|
    it "#{key} #{said} came as #{situation}" do
      one = came(key, **said)
      expect([one.situation, one.bought?, one.began_on(Date.new(2026, 11, 24))]).to eq([situation, bought, began])
    end
  end

  it "lets insects at what they eat in thin packs, and at nothing behind glass, tin or a jar's lid" do
    at = lambda do |key, **facts|
      stack = Struct.new(:container_id, :wrapping).new(facts[:container_id], facts[:wrapping])
      NutShelf::Core::PestReach.reached?(stack, food(key))
    end
    expect([at.("flour-white"), at.("flour-white", container_id: 3), at.("flour-white", wrapping: "glass")]).to eq(
      [true, false, false]
    )
    expect([at.("canned-chickpeas"), at.("canned-chickpeas", wrapping: "card")]).to eq([false, false])
  end

  it "makes another food of a dish when something stood in that may hold something else" do
    recipe = catalog.recipes.find { |one| one.lines.none? { |line| food(line.food_key).allergens.include?("peanut") } }
    plain = NutShelf::Core::KeptDish.of(recipe, catalog)
    other = NutShelf::Core::KeptDish.of(recipe, catalog, [food("peanut-butter")])
    expect(other.allergens - plain.allergens).to include("peanut")
    expect(other.key).to start_with(plain.key).and include("peanut")
  end

  it "keeps a dish with meat by the rule for meat" do
    classes =
      catalog.recipes.group_by { |one| NutShelf::Core::KeptDish.of(one, catalog).class_key }.transform_values do |list|
        list.map { |one| one.lines.any? { |line| food(line.food_key).aisle == "Meat and fish" } }.uniq
      end
    expect(classes).to eq("class-cooked-meat-dish" => [true], "class-cooked-soup-stew" => [false])
  end
end
