# frozen_string_literal: true

require_relative "../support/browser"

# Looking back at what became of the food, and changing something for next month.
RSpec.describe "Looking back", :browser do
  let(:who) { household!(people: 2) }

  before do
    yoghurt = put_away(who, "plain-yoghurt", "fridge", count: "2", amount: "500", price_minor: 320,
      printed_on: "2026-12-05", printed_kind: "use_by")["lot_id"]
    act(:Take, who, { lot_id: yoghurt, amount: "300" })
    act(:Throw, who, { lot_id: yoghurt, amount: "500", outcome: "binned", why: "turned" })
    enter(who)
    visit "/look-back"
  end

  it "says what was wasted, with every movement behind it" do
    expect(page).to have_css("dd",
      text: "€2.56").and have_text("went to waste, 500 g").and have_css("dd", text: "62.5 %")
    first("summary", text: "As a table").click
    expect(page).to have_css("td", text: "€1.60")
    click_button "reason"
    click_button "Binned, it turned"
    expect(page).to have_css("[role=dialog] li", text: "Plain whole-milk yoghurt 500 g")
    expect(page).to have_css("[role=dialog]", text: "11 days before its date")
  end

  it "changes what would have saved most with a touch, and takes it back with another" do
    expect(page).to have_text("It would have saved €1.02.")
    find_button("Ask for small packs from now on: Plain whole-milk yoghurt").double_click
    expect(page).to have_text("Too early to say").and have_no_text("does not stand")
    want = -> { inside(who) { |house| house.shopping.want(food_id(who, "plain-yoghurt")) } }
    expect(want.call.largest).to eq(150)
    click_button "Undo"
    expect(page).to have_text("It would have saved €1.02.")
    expect(want.call).to be_nil
  end
end
