# frozen_string_literal: true

require "base64"
require_relative "../support/browser"
require_relative "../support/whole_week"

# The whole of it by hand: an imported list is looked along, a week is filled, two meals are kept, one is swapped, one
# slid, three are cooked with a lunch of leftovers among them, the rest is carried over. After every step stock,
# forecast, balance and missing list say the same, and the page says what they say.
RSpec.describe "A week of meals by hand", :browser do
  include WholeWeekSupport

  let(:who) { household!(people: 3) }
  let(:today) { HouseSupport::TODAY }

  def rows = inside(who) { |house| house.meals.between(today, today + 13) }

  def day(ahead) = all(".week-day")[ahead]

  def more(row, choice)
    day((row.on_date - clock.day).to_i).click_button("More for", exact: false, match: :first)
    find("[role=menuitem]", text: choice).click
  end

  # What the page says of the money is what the house says.
  def page_agrees
    agree!(who)
    visit "/meals"
    sums = at_work(who) { |work| NutShelf::Desk::Week.new(work, from: clock.day, to: clock.day + 6).balance }
    shown = [sums.to_buy, sums.rescued, sums.past].map { |minor| format("%.2f", minor / 100.0) }
    expect(page).to have_css("h1", text: "Meals")
    shown.each { |sum| expect(find("dl")).to have_text(sum) }
  end

  def fill
    act(:ImportStock, who, { content: Base64.strict_encode64(list(today)) })
    enter(who)
    page_agrees
    click_button "Audit"
    expect(page).to have_text("Cooked ham").and have_text("White bread")
    click_button "Fill the open meals"
    expect(page).to have_text("Filled 7 meals", wait: 15)
    page_agrees
  end

  def change
    cooks = rows.select { |row| row.kind == "cook" && rows.none? { |one| one.from_meal_id == row.id } }
    cooks.first(2).each do |row|
      more(row, "Keep")
      expect(page).to have_text("kept")
    end
    swapped = cooks[2]
    more(swapped, "Swap")
    first(:button, "Put it there").click
    expect(page).to have_no_text("Choose instead of")
    page_agrees
    slid = cooks.last
    more(slid, "Put aside, without a day")
    expect(page).to have_css("h2", text: "Put aside")
    page_agrees
    expect(rows.count(&:pinned)).to eq(2)
  end

  def cook_at(row, portions: nil)
    clock.day = row.on_date
    visit "/meals/#{row.id}"
    fill_in "Portions left over", with: portions if portions
    click_button "Cooked", exact: true, wait: 20
    expect(page).to have_css("h1", text: "Meals")
    page_agrees
  end

  def keeps?(row) = inside(who) { |house| house.recipes.find(row.recipe_id) }.leftover_days.positive?

  def next_cook(keeps: false)
    rows.find do |row|
      row.kind == "cook" && row.status == "planned" && row.on_date >= clock.day && (!keeps || keeps?(row))
    end
  end

  it "is audited, filled, changed, cooked, eaten again and carried over, and every view says the same" do
    fill
    change
    first = next_cook(keeps: true)
    lunch = act(:PlanMeal, who, { from_meal_id: first.id, on: (first.on_date + 1).iso8601, meal: "lunch" })["meal_id"]
    cook_at(first, portions: "3")
    clock.day = first.on_date + 1
    visit "/meals"
    expect(rows.find { |row| row.id == lunch }.kind).to eq("kept")
    find("button[aria-label^='Eaten']", match: :first).click
    expect(page).to have_text("eaten")
    page_agrees
    2.times { cook_at(next_cook) }
    clock.day = today + 12
    visit "/meals"
    click_button "Carry them over" if page.has_css?("h2", text: "Planned, and not cooked")
    expect(page).to have_no_css("h2", text: "Planned, and not cooked")
    page_agrees
  end
end
