# frozen_string_literal: true

require_relative "../support/browser"

# A box in the car is refreshed.
RSpec.describe "A standing box", :browser do
  let(:who) { household! }

  it "says what stays, comes out, goes in and is bought, and does all the swaps at once" do
    car = act(:AddPlace, who, { name: "Car box", kind: "cupboard", low_c: -4, high_c: 34 })["place_id"]
    put_away(who, "crackers", "cupboard", place_id: car, amount: "200", printed_on: "2027-03-15",
      printed_kind: "best_before")
    put_away(who, "crackers", "cupboard", amount: "200", printed_on: "2028-12-31", printed_kind: "best_before")
    enter(who)
    visit "/places/#{car}/box"
    expect(page).to have_text("It gets -4 to 34 °C there")
    select inside(who) { |house| house.foods.find(food_id(who, "crackers")).name }, from: "Food"
    fill_in "Packs", with: "3"
    click_button "Say so"
    expect(page).to have_text("1 pack comes out").and have_text("1 pack goes in").and have_text("Buy 2 packs, dated")
    click_button "Do all the swaps"
    expect(page).to have_text("3 packs wanted, 1 stay").and have_text("Nothing has to move.")
    expect(page).to have_text("Something else for the box?").and have_text("kcal")
    click_button "instead of 2 packs of Plain wheat crackers", match: :first
    expect(page).to have_text("1 pack wanted, 1 stay")
    expect(page).to have_text("Buy 2 packs, dated")
    wants = inside(who) { |house| house.trips.box_wants(car).to_h { |one| [one.food_id, one.packs] } }
    expect(wants.values).to contain_exactly(1, 2)
    click_button "Put what to buy on the list"
    expect(page).to have_css("body", text: /list/i)
    visit "/shop"
    expect(page).to have_text(/2 packs for Car box, dated/)
    there = inside(who) { |house| house.lots.of_food(food_id(who, "crackers"), []) }
    expect(there.select { |one| one.place_id == car }.map(&:printed_on)).to eq([Date.new(2028, 12, 31)])
  end
end
