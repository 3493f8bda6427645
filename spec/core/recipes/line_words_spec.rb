# frozen_string_literal: true

require_relative "../support"
require_relative "../../../boot/label_line"
require_relative "../../../core/recipes/ingredient_reader"
require_relative "../../../core/recipes/line_words"

RSpec.describe NutShelf::Core::Recipes::LineWords do
  include CoreSupport

  it "says every line of the shipped dishes so that it reads in again to the same food, amount and choice" do
    foods = catalog.foods
    reader =
      NutShelf::Core::Recipes::IngredientReader.new(
        NutShelf::Boot::LabelLine.reader(places: []), foods: foods, today: Date.new(2026, 11, 24)
      )
    lines = catalog.recipes.flat_map(&:lines).uniq { |line| [line.food_key, line.quantity, line.optional] }
    wrong =
      lines.filter_map do |line|
        text = described_class.of(line, foods[line.food_key])
        again = reader.read(text)
        said = [line.food_key, line.quantity.amount.to_f.round(1), line.quantity.unit, line.optional, []]
        read = [again.food, again.amount.to_f.round(1), again.unit, again.optional, again.questions]
        [text, read] unless read == said
      end
    expect(lines.size).to be > 600
    expect(wrong).to eq([])
  end
end
