# frozen_string_literal: true

require_relative "support"
require_relative "../../core/planning/glut"
require_relative "../../core/planning/meal_slot"

RSpec.describe NutShelf::Core::Glut do
  include CoreSupport

  let(:today) { Date.new(2026, 9, 7) }
  let(:recipes) { catalog.recipes.each.with_index(1).to_h { |recipe, id| [id, recipe] } }
  let(:eater) { NutShelf::Core::Eater.new(name: "Ines") }

  def slots(days, eaters: [eater] * 4, **more)
    (0...days).flat_map do |ahead|
      %w[breakfast dinner snack].map do |meal|
        NutShelf::Core::MealSlot.new(on: today + ahead, meal: meal, minutes: 90, eaters: eaters, **more)
      end
    end
  end

  def spread(key, grams, days, **more)
    described_class.new(food: food(key), grams: grams.to_r, recipes: recipes,
      foods: catalog.foods).over(slots(days, **more))
  end

  it "spreads six kilos of plums over the days, one dish a day, no dish twice, and says what is left" do
    spread = spread("plums", 6000, 7)
    expect(spread.meals.size).to be_between(5, 7)
    expect(spread.meals.map { |meal| meal.slot.on }.uniq.size).to eq(spread.meals.size)
    expect(spread.meals.map(&:recipe_id).uniq.size).to eq(spread.meals.size)
    expect(spread.meals.sum(&:grams) + spread.rest).to eq(6000)
    expect(spread.meals.map(&:grams)).to all be >= 40
    named = spread.meals.map do |meal|
      recipes[meal.recipe_id].lines.map do |line|
        [line.food_key, *line.substitutes.keys]
      end
    end
    expect(named).to all(satisfy { |lines| lines.flatten.include?("plums") })
  end

  it "lets it stand in for another food, and says so" do
    stands_in = spread("plums", 6000, 14).meals.reject { |meal| meal.choices.empty? }
    expect(stands_in.map { |meal| meal.choices.values }.uniq).to eq([["plums"]])
    stands_in.each do |meal|
      line = recipes[meal.recipe_id].lines.find { |one| one.food_key == meal.choices.keys.first }
      expect(line.substitutes).to have_key("plums")
    end
  end

  it "takes no more than there is, and leaves all of it where no dish or no day takes it" do
    expect(spread("plums", 300, 7).meals.sum(&:grams)).to be <= 300
    expect(spread("plums", 6000, 0)).to have_attributes(meals: [], rest: 6000)
    expect(spread("cat-food-dry", 2000, 7).rest).to eq(2000)
  end

  it "serves nobody what they may not have, and keeps to what the evening allows" do
    careful = NutShelf::Core::Eater.new(name: "Wren", excludes: ["milk"])
    spread("plums", 6000, 7, eaters: [careful] * 4).meals.each do |meal|
      recipe = recipes[meal.recipe_id]
      open = recipe.lines.reject(&:optional).reject do |line|
        [line.food_key, *line.substitutes.keys].any? { |key| !food(key).allergens.include?("milk") }
      end
      expect(open.map(&:food_key)).to eq([])
    end
    cold = spread("plums", 6000, 7, evening: "no_power").meals
    expect(cold.map { |meal| recipes[meal.recipe_id].gear }.uniq).to all eq(["none"])
  end
end
