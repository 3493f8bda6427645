# frozen_string_literal: true

require_relative "../support/browser"

# A trip is written down, filled, and mended.
RSpec.describe "Trips", :browser do
  let(:who) { household! }

  def meals = inside(who) { |house| house.trips.meals(house.trips.all.first.id) }

  it "fills a trip, says what stands against a meal, and takes another dish instead" do
    enter(who)
    visit "/trips"
    expect(page).to have_text("No trip is written down")
    click_button "A new trip"
    fill_in "Name", with: "Two days by the water"
    fill_in "Leaves on", with: "2026-12-05"
    fill_in "Back on", with: "2026-12-06"
    select "Breakfast", from: "Last meal on the way"
    click_button "Save"
    expect(page).to have_css("h1", text: "Two days by the water")
    expect(page).to have_text("0 of ").and have_text("open", minimum: 4)
    click_button "Fill the meals"
    expect(page).to have_text("What it comes to", wait: 20)
    expect(page).to have_no_text("\nopen", wait: 20)
    expect(meals.count { |one| one.kind != "food" }).to eq(4)
    find("button", text: "Dinner").click
    expect(page).to have_css("[role=dialog]", text: "Instead")
    within("[role=dialog]") { find("button", text: "Macaroni cheese", match: :first).click }
    expect(page).to have_text("needs a hob", wait: 10)
    find("button", text: "Dinner").click
    within("[role=dialog]") { click_button "Take off Macaroni cheese" }
    expect(page).to have_css("[role=dialog]", text: "nothing against it")
    expect(meals.count { |one| one.kind != "food" }).to eq(3)
  end
end
