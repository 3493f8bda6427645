# frozen_string_literal: true

require_relative "../support/browser"

# Packs become portions, shown before anything moves.
RSpec.describe "The bench", :browser do
  let(:who) { household! }

  it "shows size, cost and dates, portions in one act, and offers the labels" do
    put_away(who, "chicken-thighs", "fridge", count: "4", amount: "900", price_minor: 2999, printed_on: "2026-11-26",
      printed_kind: "use_by")
    freezer = inside(who) { |house| house.places.find(place_id(who, "freezer")) }
    enter(who)
    visit "/portion?food=#{food_id(who, "chicken-thighs")}"
    expect(page).to have_button("Portion it", disabled: true)
    check "take", allow_label_click: true
    act(:ReadScale, who, { grams: "150", steady: true })
    click_button "Weigh: Trim, weighed"
    expect(page).to have_field("Trim, weighed, in g", with: "150")
    fill_in "How many portions", with: "13"
    select freezer.name, from: "Freezer for the rest"
    fill_in "How many stay fresh", with: "2"
    expect(page).to have_text("13 portions of").and have_text("9 at").and have_text(/2 x .*Fridge/i)
    expect(inside(who) { |house| house.lots.of_food(food_id(who, "chicken-thighs"), []).size }).to eq(1)
    click_button "Portion it"
    expect(page).to have_link("Print their labels")
    made = inside(who) { |house| house.lots.of_food(food_id(who, "chicken-thighs"), []) }
    expect(made.sum(&:on_hand)).to be_within(Rational(1, 100)).of(3450)
    expect(made.sum(&:value_minor)).to eq(2999)
    click_link "Print their labels"
    expect(page).to have_css("h1", text: "Labels")
    expect(page.all("input[type=checkbox]:checked").size).to eq(made.size)
  end
end
