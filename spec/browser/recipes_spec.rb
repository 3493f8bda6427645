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

  it "come in several at once, and are kept all or none" do
    enter(household!(people: 2))
    visit "/recipes/bring-in"
    two = %w[Stew Broth].map do |name|
      { "@type" => "Recipe", "name" => "#{name} of the quay", "recipeIngredient" => ["2 tins white beans"],
        "recipeInstructions" => "Simmer.", "recipeYield" => "4" }
    end
    fill_in "Paste the recipe here", with: JSON.generate("@graph" => two)
    click_button "Read it"
    click_button "Keep all 2 as they were read"
    expect(page).to have_link("Stew of the quay").and have_link("Broth of the quay")
    click_button "Undo"
    expect(page).to have_no_link("Stew of the quay")
  end

  it "say what may stand in, and how much of it" do
    who = household!(people: 2)
    enter(who)
    visit "/recipes/new"
    fill_in "What you call it", with: "Quay stew"
    fill_in "What goes in", with: "2 tins white beans"
    click_button "Another may stand in"
    fill_in "What may stand in for “2 tins white beans”", with: "canned chickpeas"
    click_button "Chickpeas, canned", match: :first
    fill_in "Grams of Chickpeas, canned for one gram", with: "1.2"
    click_button "Keep it"
    expect(page).to have_css("h1", text: "Quay stew")
    kept = inside(who) { |house| house.recipes.values.values.find { |one| one.name == "Quay stew" } }
    expect(kept.lines.first.substitutes).to eq("canned-chickpeas" => 6/5r)
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
