# frozen_string_literal: true

require_relative "../support/browser"

# Nothing that was typed or done is lost: not while nobody answers, not by a refusal, a reload or another view.
RSpec.describe "Letters", :browser do
  let!(:who) { household! }

  def stacks = on_shelf(who)

  it "keeps every line typed while nobody answers, and lists those that need an answer" do
    enter(who)
    gate.shut = true
    line("passata 500g mar 27 cupboard")
    expect(page).to have_field("Label line: what do you put away?", with: "")
    line("2 jars honey cupboard")
    line("grog cupboard")
    expect(page).to have_button("3 wait: look", exact: false, wait: 10)
    visit page.current_path
    gate.shut = false
    expect(page).to have_button("look at what was not sent yet", exact: false, wait: 20)
    expect_accessible("the page while something waits")
    click_button "look at what was not sent yet", exact: false
    within("[role=dialog]") do
      expect(page).to have_no_css("section[aria-label='On its way']", wait: 20)
      expect(page).to have_css("section[aria-label='Needs an answer']", text: "grog cupboard")
      click_button "Close"
    end
    texts = [find("[data-label-line]").value, *all("[aria-label='Lines that wait'] .pill").map(&:text)].join(" ")
    expect(texts).to include("passata 500g mar 27", "grog")
    expect(stacks.map(&:food_key)).to eq(["honey"])
  end

  it "keeps an act that was refused when it came in late, to be looked at, sent again or dropped" do
    put_away(who, "canned-chickpeas", "cupboard", count: "1", printed_on: "2028-05-31", printed_kind: "best_before")
    enter(who)
    visit "/shelf?stack=#{stacks.first.id}"
    expect(page).to have_button("Take one")
    gate.shut = true
    click_button "Take one"
    expect(page).to have_content("The house is not answering")
    act(:Take, who, { lot_id: stacks.first.id })
    gate.shut = false
    expect(page).to have_content("Nothing of it is left.", wait: 20)
    visit "/"
    expect(page).to have_button("Lately")
    quiet
    click_button "1 waits: look", exact: false
    within("[role=dialog]") do
      expect(page).to have_content("Take: Chickpeas, canned").and have_content("somebody may have taken the last one.")
      expect_accessible("the list of what waits")
      click_button "Drop Take: Chickpeas, canned"
      expect(page).to have_content("Nothing waits.")
      click_button "Bring it back"
      click_button "Look at it"
    end
    expect(page).to have_current_path(/stack=/)
  end

  it "shows nobody else what one person wrote" do
    other = household!
    enter(who)
    gate.shut = true
    line("2 jars honey cupboard")
    expect(page).to have_content("The house is not answering")
    page.driver.clear_cookies
    gate.shut = false
    enter(other)
    expect(page).to have_no_button("waits", exact: false)
    expect(on_shelf(other)).to be_empty
  end

  it "keeps a half-filled form over a reload and over another view" do
    enter(who)
    visit "/places"
    click_button "New place"
    fill_in "Name", with: "Boat locker"
    select "cool and dark: cellar, larder", from: "Kind"
    visit "/places"
    click_button "New place"
    expect(page).to have_content("What you typed before is still here.")
    expect(find_field("Name").value).to eq("Boat locker")
    click_button "Make the place"
    expect(page).to have_content("Boat locker")
    click_button "New place"
    expect(find_field("Name").value).to eq("")
  end
end
