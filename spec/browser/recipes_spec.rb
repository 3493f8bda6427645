# frozen_string_literal: true

require_relative "../support/browser"

# A cook brings a recipe in, looks it over, changes it, puts it on a day and takes the change back.
RSpec.describe "The household's dishes", :browser do
  def pasted
    <<~TEXT
      Gran's bean pot
      Serves 6
      Prep: 15 min | Cook: 40 min

      Ingredients
      - 2 tins white beans
      - 2-3 tbsp olive oil
      - 3 xyzzy roots
      Method
      1. Fry and simmer.
    TEXT
  end

  it "come in by pasting, are read line by line, kept, changed, planned and put away" do
    enter(household!(people: 2))
    visit "/recipes/bring-in"
    fill_in "Paste the recipe here", with: pasted
    click_button "Read it"
    expect(page).to have_field("What you call it", with: "Gran's bean pot")
    expect(page).to have_field("For how many", with: "6").and have_field("Minutes in all", with: "55")
    within("section[aria-label='How it is read']") do
      expect(page).to have_text("800 g, White beans, canned").and have_text("kept as words")
      click_button "2", exact: true
      expect(page).to have_text("2 or 3?", count: 0)
    end
    click_button "Keep it"
    expect(page).to have_css("h1", text: "Gran's bean pot")
    expect(page).to have_text("3 xyzzy roots").and have_text("no food known for it")
    click_button "More portions"
    expect(page).to have_text("7 portions")
    click_button "Change"
    fill_in "Notes", with: "less salt"
    click_button "Keep it"
    expect(page).to have_text("less salt").and have_text("Version 2")
    click_button "Put it there"
    expect(page).to have_text("Put Gran's bean pot on")
    click_button "Put away"
    expect(page).to have_text("nothing offers or plans it")
  end

  it "are found by their name or by what is in them, and none says how to go on" do
    enter(household!(people: 2))
    visit "/recipes"
    fill_in "Find a dish or a food in it", with: "two-bean"
    expect(page).to have_text("1 dish").and have_link("Two-bean chilli")
    fill_in "Find a dish or a food in it", with: "mussels"
    expect(page).to have_link("Mussels in white wine").and have_no_link("Two-bean chilli")
    fill_in "Find a dish or a food in it", with: "xyzzy"
    expect(page).to have_text("No dish is like that")
  end
end
