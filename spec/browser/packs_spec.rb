# frozen_string_literal: true

require_relative "../support/browser"

# Standing in front of a big pack in the shop.
RSpec.describe "Is the big pack worth it?", :browser do
  let(:who) { household!(people: 2) }

  it "says what of it would be eaten, and which one to take" do
    put_away(who, "white-rice", "cupboard")
    enter(who)
    visit "/shop"
    click_link "Is the big pack worth it?"
    fill_in "Which food", with: "wholemeal wheat"
    click_button "Wholemeal wheat flour"
    fill_in "Usual pack, size", with: "1000"
    fill_in "Usual pack, price", with: "1.50"
    fill_in "Other pack, size", with: "5"
    fill_in "Other pack, price", with: "6"
    click_button "What does it really cost?"
    expect(page).to have_text("Nobody knows yet how fast it goes")
    fill_in "Used in a week, g (empty: as it is known here)", with: "120"
    click_button "What does it really cost?"
    expect(page).to have_css("h2", text: "Take the 1 kg").and have_text("1.543 kg of it is eaten, in 12.9 weeks")
    expect(page).to have_text("That is €3.89 a kilo").and have_text("only if").and have_text("From 311 g a week on")
  end
end
