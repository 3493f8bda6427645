# frozen_string_literal: true

require_relative "../support/browser"

# A bowl of several foods is shared out, and the season is planned.
RSpec.describe "Bowls and the season", :browser do
  let(:who) { household! }

  it "shares out a bowl with something added, beside what a ready-made one cost" do
    put_away(who, "white-fish", "fridge", amount: "1200", price_minor: 1180, printed_on: "2026-11-26",
      printed_kind: "use_by")
    put_away(who, "canned-tuna-water", "cupboard", count: "3", amount: "140", price_minor: 357)
    enter(who)
    visit "/portion/bowls"
    expect(page).to have_text("Put in what was cooked, weigh the bowl and name it.")
    within("form", text: "What was cooked") do
      first(:select, "Which stack?").find("option", text: /White fish/).select_option
      click_button "Put in"
      expect(page).to have_text(/White fish.*, all of it/)
      all(:select, "Which stack?").last.find("option", text: /[Tt]una/).select_option
      fill_in "or one pack for so many", with: "3"
      click_button "Add to each"
      expect(page).to have_text("a pack for 3")
      act(:ReadScale, who, { grams: "1800", steady: true })
      click_button "Weigh: The cooked bowl weighs"
      fill_in "How many portions", with: "9"
      fill_in "What it is", with: "Biscuit's bowl"
      check "An animal eats it"
    end
    expect(page).to have_text("9 portions of").and have_text(/7 x .*Biscuit's bowl in /i)
    page.find_field("Beside a ready-made one").find("option", text: /[Tt]una/).select_option
    expect(page).to have_text("For 100 kcal: yours")
    click_button "Share it out"
    expect(page).to have_link("Print their labels")
    made = on_shelf(who).select { |stack| stack.label == "Biscuit's bowl" }
    expect(made.sum(&:on_hand)).to be_within(Rational(1, 10)).of(1800 + 420)
    expect(made.sum(&:value_minor)).to eq(1537)
  end

  it "plans a year of jars, changes it and takes it off" do
    enter(who)
    visit "/portion/season"
    expect(page).to have_text("Nothing is planned yet.")
    select "Plum jam, in jars", from: "What"
    fill_in "Eaten in a week, ml", with: "200"
    fill_in "Harvest begins", with: "2027-08-01"
    fill_in "And the year after", with: "2028-08-01"
    click_button "Plan it"
    expect(page).to have_text("200 ml a week").and have_text("Make 10.46 l in 21 × 500 ml")
    expect(page).to have_text("21 empty jars of 500 ml to find.").and have_text("0 ml of 10.46 l done")
    click_button "Change Plum jam"
    select "buy it", from: "Grow it or buy it"
    fill_in "Note", with: "Ask for a crate"
    click_button "Keep that"
    expect(page).to have_text("to be bought").and have_text("Ask for a crate")
    click_button "Change Plum jam"
    click_button "Take off"
    expect(page).to have_text("Nothing is planned yet.")
    click_button "Undo", match: :first
    expect(page).to have_text("Make 10.46 l")
  end

  it "takes a wrong day, a double click, a second browser and the back button as they come" do
    enter(who)
    visit "/portion/season"
    select "Plum jam, in jars", from: "What"
    fill_in "Eaten in a week, ml", with: "200"
    fill_in "Harvest begins", with: "2027-08-01"
    fill_in "And the year after", with: "2027-07-01"
    click_button "Plan it"
    expect(page).to have_text("The harvest after must come after this one")
    expect(page).to have_field("Eaten in a week, ml", with: "200")
    page.refresh
    expect(page).to have_field("Eaten in a week, ml", with: "200")
    fill_in "And the year after", with: "2028-08-01"
    twice("Plan it")
    expect(page).to have_text("200 ml a week")
    expect(inside(who) { |house| house.season.all.map(&:cut) }).to eq(["Plum jam"])
    click_button "Change Plum jam"
    act(:PlanSeason, who, { line_id: inside(who) { |house| house.season.all.first.id }, note: "Somebody else" })
    fill_in "Note", with: "Mine"
    click_button "Keep that"
    expect(page).to have_text(/meanwhile/i)
    expect(inside(who) { |house| house.season.all.map(&:note) }).to eq(["Somebody else"])
    page.refresh
    page.go_back
    page.go_forward
    expect(page).to have_text("Somebody else")
  end

  it "shares a bowl out once, however often it is pressed, and doubts what weighs too much" do
    put_away(who, "rolled-oats", "cupboard", amount: "900", price_minor: 200)
    enter(who)
    visit "/portion/bowls"
    first(:select, "Which stack?").find("option", text: /oats/i).select_option
    click_button "Put in"
    fill_in "The cooked bowl weighs, in g", with: "99999999"
    fill_in "What it is", with: "Porridge"
    expect(page).to have_text("It weighs far more than what was taken for it.")
    fill_in "The cooked bowl weighs, in g", with: "1800"
    expect(page).to have_text("4 portions of 450 g")
    page.refresh
    expect(page).to have_field("What it is", with: "Porridge").and have_text("4 portions of 450 g")
    twice("Share it out")
    expect(page).to have_link("Print their labels")
    expect(on_shelf(who).sum(&:on_hand)).to eq(1800)
  end

  def twice(name)
    button = find_button(name)
    page.execute_script("arguments[0].click(); arguments[0].click()", button)
  end
end
