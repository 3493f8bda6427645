# frozen_string_literal: true

require_relative "support"
require_relative "../../core/planning/dish"
require_relative "../../core/planning/step_lines"

RSpec.describe NutShelf::Core::StepLines do
  include CoreSupport

  def line(key, other = key)
    asked = NutShelf::Core::RecipeLine.new(
      food_key: key, quantity: grams(100), optional: false, substitutes: {}.freeze, note: ""
    )
    NutShelf::Core::DishLine.new(line: asked, food_key: other, grams: 100r, substitute: key != other)
  end

  def steps(texts, *lines) = described_class.of(texts, lines, catalog.foods)

  it "puts beside a step what its words name, also where something stands in" do
    found = steps(
      ["Fry the onion in oil", "Add tomatoes and the drained beans", "Serve"],
      line("onions"), line("vegetable-oil"), line("canned-chopped-tomatoes", "passata"), line("canned-kidney-beans")
    )
    expect(found.map(&:lines)).to eq([[0, 1], [2, 3], []])
  end

  it "reads the minutes a timer is set to: of two figures the first, so that somebody looks in time" do
    texts = ["Simmer 20 to 25 minutes", "Bake for 1 hour", "Boil 8 min, stirring", "Serve to 4 people",
             "Rest 1.5 hours"]
    expect(steps(texts).map(&:minutes)).to eq([20, 60, 8, nil, 90])
  end

  it "names every line in some step of most shipped dishes" do
    named, all = catalog.recipes.reduce([0, 0]) do |(named, all), recipe|
      lines = recipe.lines.reject(&:optional).map { |one| line(one.food_key) }
      found = described_class.of(recipe.steps, lines, catalog.foods).flat_map(&:lines).uniq
      [named + found.size, all + lines.size]
    end
    expect(named / all.to_f).to be > 0.6
  end
end
