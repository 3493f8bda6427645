# frozen_string_literal: true

require_relative "../support/browser"

# The shelf is looked along, a glut is spread, the open meals are filled; later, what nobody cooked is carried over.
RSpec.describe "Looking along the shelf before planning", :browser do
  let(:who) { household!(people: 2) }
  let(:today) { HouseSupport::TODAY }

  def rows = inside(who) { |house| house.meals.between(today, today + 13) }

  it "says what turns, spreads a glut over the days, and ends in filling the open meals" do
    put_away(who, "ham-sliced", "fridge", printed_on: (today + 2).iso8601, printed_kind: "use_by")
    put_away(who, "white-rice", "cupboard", amount: "1000", unit: "g")
    put_away(who, "cooked-rice", "fridge", state: "leftover", made_on: today.iso8601, amount: "300", unit: "g")
    enter(who)
    visit "/meals"
    click_button "Audit"
    expect(page).to have_text("Cooked ham").and have_text("400 g would go past")
    expect(page).to have_text("Cooked, and waits").and have_button("Plan it: Cooked white rice, leftover")
    fill_in "What there is far too much of", with: "6 kg plums"
    click_button "Put it away"
    expect(page).to have_text("over the days").and have_text("is left over")
    find("button", text: /Put \d+ meals? on their days/).click
    expect(page).to have_text("Filled")
    taken = rows.size
    expect(taken).to be >= 1
    click_button "Gone: Cooked ham"
    expect(page).to have_no_text("would go past", wait: 5).or have_no_button("Gone: Cooked ham")
    click_button "Fill the open meals"
    expect(page).to have_css("h1", text: "Meals")
    expect(page).to have_text("Filled", wait: 10)
    expect(rows.size).to be > taken
    expect(page).to have_no_current_path(/fill=yes/, url: true)
  end

  it "carries over what was planned and not cooked" do
    chilli = inside(who) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first }
    act(:PlanMeal, who, { recipe_id: chilli, on: today.iso8601 })
    clock.day = today + 2
    enter(who)
    visit "/meals"
    expect(page).to have_text("Planned, and not cooked").and have_text("Two-bean chilli, Tue 24 Nov")
    click_button "Carry them over"
    expect(page).to have_no_text("Planned, and not cooked")
    expect(rows.map(&:on_date)).to eq([today + 2])
  end
end
