# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../core/planning/again"
require_relative "../../desk/thawing"

# Cooking once for several meals, the later ones out of the freezer.
RSpec.describe "What is left of a dish, fresh and frozen" do
  include HouseSupport

  let(:ines) { household!(people: 2) }
  let(:today) { HouseSupport::TODAY }
  let(:freezer) { place_id(ines, "freezer") }
  let(:recipe) do
    inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" && !one.followed } }
  end

  def plan = act(:PlanMeal, ines, { recipe_id: recipe.first, on: today.iso8601 })["meal_id"]

  def again(cook, days)
    act(:PlanMeal, ines, { from_meal_id: cook, on: (today + days).iso8601, meal: "lunch" })["meal_id"]
  end

  def row(id) = inside(ines) { |house| house.meals.listed_one(id) }

  def servings = at_work(ines) { |work| NutShelf::Desk::Plan.new(work).planned.first.servings }

  def put_by(cook, **parts)
    act(:Cook, ines, { meal_id: cook, used: [], **parts.transform_values do |portions, place|
      { portions: portions, place_id: place }
    end })
  end

  it "keeps in the freezer for as long as the careful figure says of both kinds of cooked dish" do
    careful = %w[class-cooked-soup-stew class-cooked-meat-dish].map do |key|
      food = services.catalog.foods["cooked-rice"].with(key: key, class_key: key)
      services.catalog.keeping(food, "portioned", "freezer").row.low
    end
    expect(careful.min).to eq(NutShelf::Core::Again::FROZEN)
  end

  it "plans them for a day beyond the fridge's where there is a freezer, and cooks for that meal however late" do
    cook = plan
    again(cook, 1)
    expect(row(again(cook, 40)).kind).to eq("leftovers")
    expect(servings).to eq(6)
    expect { again(cook, NutShelf::Core::Again::FROZEN + 1) }.to raise_error(NutShelf::Desk::Conflict, /keep/)
  end

  it "gives each later meal the part that is good by then: the fridge's first, then the freezer's, then none" do
    cook = plan
    soon = again(cook, 1)
    late = again(cook, 9)
    put_by(cook, leftovers: ["2", place_id(ines, "fridge")], frozen: ["2", freezer])
    stacks = [soon, late].map { |id| lot(ines, row(id).lot_id) }
    expect(stacks.map(&:place_id)).to eq([place_id(ines, "fridge"), freezer])
    other = plan
    late = again(other, 9)
    put_by(other, leftovers: ["4", place_id(ines, "fridge")])
    expect(row(late).status).to eq("dropped")
  end

  it "has frozen portions taken out the evening before" do
    cook = plan
    late = again(cook, 9)
    put_by(cook, frozen: ["2", freezer])
    task = at_work(ines) { |work| NutShelf::Desk::Thawing.new(work, NutShelf::Desk::Plan.new(work)).tasks }.first
    expect(task).to have_attributes(on: today + 8, meal_id: late, for_on: today + 9, late: false, place: "Freezer")
    expect(task.amount).to eq("2 portions")
  end
end
