# frozen_string_literal: true

require_relative "../support/browser"

# A cook at the stove: timers, another food on the spot, half of it, parts for fridge and freezer; and what leads there.
RSpec.describe "Cooking", :browser do
  let(:who) { household!(people: 2) }
  let(:today) { HouseSupport::TODAY }

  def dish(key) = inside(who) { |house| house.recipes.values.find { |_, one| one.key == key }.first }

  def far = { printed_on: (today + 300).iso8601, printed_kind: "best_before" }

  def portions = on_shelf(who).select { |stack| stack.noun == "portion" }.map { |stack| [stack.place, stack.on_hand] }

  it "runs timers, takes another food on the spot, halves, and keeps parts in fridge and freezer" do
    put_away(who, "canned-kidney-beans", "cupboard", **far)
    put_away(who, "canned-white-beans", "cupboard", **far)
    put_away(who, "canned-chopped-tomatoes", "cupboard", count: "2", **far)
    meal = act(:PlanMeal, who, { recipe_id: dish("two-bean-chilli"), on: today.iso8601 })["meal_id"]
    enter(who)
    visit "/meals/#{meal}"
    expect(page).to have_text("What to take").and have_text("Cupboard: ")
    click_button "Start 25 min"
    expect(page).to have_css("[role=timer]", text: /2[45]:\d\d/)
    click_button "Stop the timer: step 3"
    expect(page).to have_no_css("[role=timer]")
    expect(page).to have_text("Red kidney beans, canned")
    click_button "White beans", match: :first
    expect(page).to have_text("instead of Red kidney beans, canned")
    click_button "Half of it"
    expect(page).to have_text("1 portion,")
    fill_in "Portions left over", with: "1"
    fill_in "into the freezer", with: "2"
    click_button "Cooked", exact: true, wait: 20
    expect(page).to have_css("h1", text: "Meals")
    expect(portions).to contain_exactly(["Fridge", 1], ["Freezer", 2])
  end

  it "is left for another day or another dish with one press" do
    meal = act(:PlanMeal, who, { recipe_id: dish("two-bean-chilli"), on: today.iso8601 })["meal_id"]
    enter(who)
    visit "/meals/#{meal}"
    click_button "Something else"
    expect(page).to have_text("Choose instead of Two-bean chilli")
    visit "/meals/#{meal}"
    click_button "Not today"
    expect(page).to have_text("Put aside").and have_text("Two-bean chilli")
    expect(inside(who) { |house| house.meals.pool.map(&:id) }).to eq([meal])
  end

  it "is chosen by what has to go, and by how long the shelf lasts" do
    put_away(who, "canned-chickpeas", "cupboard", count: "6", **far)
    enter(who)
    visit "/make?with=#{food_id(who, "canned-chickpeas")}"
    expect(page).to have_css("h1", text: "What can be made with this?").and have_text("Pantry hummus")
    check "without a flame"
    expect(page).to have_no_text("Chickpea coconut curry")
    visit "/meals/eat-down"
    click_button "Look how long it lasts"
    expect(page).to have_text("Not quite", wait: 10)
    click_button "Begin these days"
    expect(page).to have_text("No ferry: day 1 of 14")
    click_button "End it"
    expect(page).to have_no_text("No ferry: day 1 of 14")
  end
end
