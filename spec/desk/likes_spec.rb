# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../core/planning/liking"
require_relative "../../desk/meal_filling"

# What somebody loves is cooked sooner, what nobody wants later.
RSpec.describe "What a household likes" do
  include HouseSupport

  let(:today) { HouseSupport::TODAY }
  let(:ines) { household!(people: 2) }
  let(:people) { inside(ines) { |house| house.household.people.map(&:id) } }

  def liking(likes) = NutShelf::Core::Liking.of(likes, people)

  def filled
    at_work(ines) do |work|
      NutShelf::Desk::MealFilling.new(work, from: today, to: today + 2).call(moves: 400).map(&:recipe_id)
    end
  end

  def say(recipe, liking, who: people)
    who.each { |id| act(:LikeDish, ines, { recipe_id: recipe, person_id: id, liking: liking }) }
  end

  it "meets in the middle: half where nobody said anything, or two say the opposite" do
    first, second = people.map(&:to_s)
    expect(liking({})).to eq(1/2r)
    expect(liking({ first => "loves", second => "loves" })).to eq(1)
    expect(liking({ first => "loves", second => "not" })).to eq(1/2r)
    expect(liking({ first => "not" })).to eq(1/4r)
  end

  it "brings a loved dish into the days, and keeps one out that nobody wants" do
    act(:SetHousehold, ines, { settings: { plan_rules: { likes: "much" } } })
    usual = filled
    loved = inside(ines) do |house|
      house.recipes.values.select do |_, one|
        one.meal == "dinner"
      end
    end.keys.-(usual).first(40)
    loved = loved.find do |id|
      recipe = inside(ines) { |house| house.recipes.find(id) }
      recipe.total_minutes <= 60 && recipe.lines.size <= 6
    end
    say(loved, "loves")
    usual.compact.each { |id| say(id, "not") }
    now = filled
    expect(now).to include(loved)
    expect(now & usual.compact).to eq([])
  end

  it "is said by those who eat here, and taken back" do
    expect { act(:LikeDish, ines, { recipe_id: filled.compact.first, person_id: 0, liking: "loves" }) }
      .to raise_error(NutShelf::Desk::Invalid)
    recipe = inside(ines) { |house| house.recipes.values.keys.first }
    say(recipe, "loves", who: people.first(1))
    say(recipe, nil, who: people.first(1))
    expect(inside(ines) { |house| house.recipes.dishes.map(&:likes).reject(&:empty?) }).to eq([])
  end
end
