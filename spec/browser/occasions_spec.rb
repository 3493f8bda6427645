# frozen_string_literal: true

require_relative "../support/browser"

# A birthday from the first line to how it was: menu, who comes, what to begin when, onto the plan, written down.
RSpec.describe "Occasions", :browser do
  let(:who) { household!(people: 2) }
  let(:today) { HouseSupport::TODAY }

  def feast(**more)
    act(:KeepOccasion, who, {
      name: "Piet's birthday", recurrence: { kind: "date", month: 11, day: 28 }, meal: "dinner", serve_at: "18:00",
      dishes: [{ dish: "two-bean-chilli" }], **more
    })["occasion_id"]
  end

  it "is written down, gets a menu and guests, and says what to begin when" do
    enter(who)
    visit "/occasions"
    expect(page).to have_text("Nothing comes round yet")
    click_button "Write down an occasion"
    fill_in "What", with: "First soup"
    select "Every month, on a weekday", from: "Comes round"
    select "the last", from: "Which"
    select "Sunday", from: "Weekday"
    click_button "Save"
    expect(page).to have_css("h1", text: "First soup").and have_text("the last Sunday of every month")
    fill_in "Put a dish on the menu", with: "two-bean"
    click_button "Two-bean chilli", match: :first
    expect(page).to have_text("for those who come").and have_text("minutes of work")
    fill_in "Guests", with: "Bram: kiwi"
    within("form[aria-label='Who comes']") { click_button "Save" }
    expect(page).to have_text("Nobody here knows “kiwi”")
    fill_in "Guests", with: "Aunt Fenna\nBram: nuts"
    within("form[aria-label='Who comes']") { click_button "Save" }
    expect(page).to have_text("4 people")
    fill_in "An idea", with: "Lanterns"
    click_button "Keep it"
    expect(page).to have_button("Drop the idea: Lanterns")
  end

  it "goes onto its day and back off it, and comes up in the meals until then" do
    feast
    put_away(who, "white-rice", "cupboard")
    enter(who)
    expect(page).to have_text("Comes up: Piet's birthday").and have_text("its menu is not on the plan yet")
    visit "/meals"
    click_link "Piet's birthday"
    click_button "Put it on Sat 28 Nov"
    expect(page).to have_text("on the plan")
    click_button "See its week"
    expect(page).to have_text("Two-bean chilli").and have_no_css("h2", text: "Comes up")
    click_button "Undo"
    expect(page).to have_no_text("Two-bean chilli")
  end

  it "says next time what was eaten this time" do
    id = feast
    act(:HoldOccasion, who, { occasion_id: id, on: today.iso8601 })
    enter(who)
    visit "/occasions/#{id}"
    click_button "Write down how it was"
    fill_in "Portions of Two-bean chilli cooked", with: "4"
    fill_in "Portions of Two-bean chilli left", with: "1"
    fill_in "Next time otherwise", with: "Less rice."
    within("form[aria-label='Write down how it was']") { click_button "Save" }
    expect(page).to have_text("4 cooked, 1 left").and have_text("Less rice.")
    expect(page).to have_text("by what was eaten the last time")
    click_button "Print", exact: true
    expect(page).to have_css("h1", text: "Piet's birthday").and have_text("On the table")
  end
end
