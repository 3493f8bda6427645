# frozen_string_literal: true

require_relative "../support/browser"

# A fridge with food in it is not switched off by a hurried thumb.
RSpec.describe "A fridge that is switched off", :browser do
  let(:who) { household! }

  it "asks first, says since when it is off, and is switched on again" do
    ham = put_away(who, "ham-sliced", "fridge", amount: "150", printed_on: "2026-12-10",
      printed_kind: "use_by")["lot_id"]
    id = place_id(who, "fridge")
    enter(who)
    visit "/places?place=#{id}"
    within("[role=dialog]") do
      click_button "Switch off"
      expect(page).to have_text("1 stack in it will count as standing in the warm from today.")
      click_button "Switch off"
      expect(page).to have_text("Off since Tue 24 Nov, today")
    end
    expect(lot(who, ham).usable_until.nil? || lot(who, ham).usable_until < Date.new(2026, 12, 10)).to be(true)
    within("[role=dialog]") do
      click_button "Switch on"
      expect(page).to have_no_text("Off since")
    end
    expect(inside(who) { |house| house.places.find(id) }).to have_attributes(kind: "fridge", off_since: nil)
  end
end
