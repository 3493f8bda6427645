# frozen_string_literal: true

require_relative "../support"
require_relative "../../../boot/label_line"
require_relative "../../../core/recipes/ingredient_reader"

RSpec.describe "An ingredient line" do
  include CoreSupport

  def reader(measures: "metric", languages: ["en"])
    NutShelf::Core::Recipes::IngredientReader.new(
      NutShelf::Boot::LabelLine.reader(places: [], languages: languages),
      foods: catalog.foods,
      today: Date.new(2026, 11, 24),
      measures: NutShelf::Core::LabelLine::Units::MEASURES.fetch(measures)
    )
  end

  def read(text, **how) = reader(**how).read(text)

  def said(text, **how) = read(text, **how).then { |line| [line.food, line.amount&.to_f&.round(2), line.unit] }

  {
    "2 tins chopped tomatoes" => ["canned-chopped-tomatoes", 800.0, "g"],
    "1 1/2 cups flour" => ["flour-white", 375.0, "ml"],
    "1½ tsp ground cumin" => ["cumin-ground", 7.5, "ml"],
    "a handful of parsley, roughly chopped" => ["fresh-parsley", 30.0, "g"],
    "salt to taste" => ["salt", nil, nil],
    "200g/7oz butter, softened" => ["butter", 200.0, "g"],
    "250 g (9 oz) mushrooms, sliced" => ["mushrooms", 250.0, "g"],
    "1 lb 4 oz stewing beef" => ["stewing-beef", 566.99, "g"],
    "2 x 400g tins kidney beans" => ["canned-kidney-beans", 800.0, "g"],
    "2 400g tins chopped tomatoes" => ["canned-chopped-tomatoes", 800.0, "g"],
    "1 (14 oz) can black beans, rinsed" => ["canned-black-beans", 396.89, "g"],
    "400 g tin of tomatoes" => ["canned-chopped-tomatoes", 400.0, "g"],
    "juice of 1 lemon" => ["lemons", 1.0, "piece"],
    "Flour: 200 g" => ["flour-white", 200.0, "g"],
    "Eggs 3" => ["eggs", 3.0, "piece"],
    "half a cucumber" => ["cucumber", 0.5, "piece"],
    "a dozen eggs" => ["eggs", 12.0, "piece"],
    "1 stick butter" => ["butter", 113.0, "g"],
    "2 sticks celery" => ["celery", 2.0, "piece"],
    "1 head garlic" => ["garlic", 10.0, "piece"],
    "1 litre hot chicken stock" => ["stock-ready", 1000.0, "ml"],
    "boiling water" => ["tap-water", nil, nil],
    "4 boneless, skinless chicken thighs" => ["chicken-thighs", 4.0, "piece"],
    "- 3 carrots" => ["carrots", 3.0, "piece"],
    "1 T sugar" => ["sugar-white", 15.0, "ml"]
  }.each { |text, meaning| it("reads #{text.inspect}") { expect(said(text)).to eq(meaning) } }

  it "measures by the household's cups, and ounces of what is poured by volume" do
    expect(said("1 cup rice", measures: "us")).to eq(["white-rice", 236.59, "ml"])
    expect(said("8 oz semi-skimmed milk", measures: "us").last).to eq("ml")
  end

  it "knows the household's other languages" do
    expect(said("200 g Mehl", languages: %w[en de])).to eq(["flour-white", 200.0, "g"])
    expect(read("200 g Mehl")).to have_attributes(food: nil, amount: 200, questions: [have_attributes(field: "food")])
  end

  it "tells what is optional, what would do as well and how it is prepared" do
    expect(read("fresh coriander, to garnish").optional).to be(true)
    expect(read("1 onion, finely chopped")).to have_attributes(optional: false, note: "finely chopped")
    expect(read("50 g butter or margarine")).to have_attributes(food: "butter", substitutes: { "margarine" => 1 })
  end

  it "asks where a line leaves something open, and keeps what it does not know as it stands" do
    expect(read("2-3 tbsp olive oil")).to have_attributes(amount: 45, questions: [have_attributes(text: "2 or 3?")])
    expect(read("one tin of tuna").questions.first.answers.map { |one| one[:value] }).to eq(["60 g", "110 g", "140 g"])
    expect(read("2 tins chopped tomatoes").questions).to eq([])
    expect(read("salt and pepper")).to have_attributes(food: "salt", questions: [have_attributes(field: "food")])
    expect(read("3 xyzzy roots")).to have_attributes(text: "3 xyzzy roots", food: nil, reckoned?: false)
    expect(read("For the sauce:")).to have_attributes(heading: true, food: nil, questions: [])
  end

  it "never fails, whatever the line" do
    ["", " ", "½", "1/0 cup flour", "()", "(((", "1 (", "x", "2 x", "-", "/", "1 x 2 x 3", "\u00a0", "🥚", "a" * 5000,
     "1/ 2", "1 (1 (1", "to taste", "or", "and"].each do |text|
      expect(read(text)).to be_frozen
    end
  end
end
