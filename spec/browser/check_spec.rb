# frozen_string_literal: true

require_relative "../support/browser"

# Looking through a place: one tap blesses what is plain, and nothing that has to be looked at by itself.
RSpec.describe "Looking through a place", :browser do
  let(:who) { household! }

  def packed(key, **more)
    put_away(who, key, "cupboard", printed_on: "2028-05-31", printed_kind: "best_before", **more)["lot_id"]
  end

  it "takes what was found in one act, what stood beside pests by a word of its own" do
    oats = packed("rolled-oats", count: "3", amount: "500")
    rice = packed("white-rice", amount: "1000")
    packed("canned-chickpeas", count: "2")
    act(:SortPests, who, { lot_id: oats, packs: 1 })
    enter(who)
    visit "/places/#{place_id(who, "cupboard")}/check"
    expect(page).to have_text("pests were found beside it", count: 2)
    click_button "The other 1 stack is good"
    expect(page).to have_text("1 of 3 said")
    within("[aria-label^='How is White rice']") { click_button "good" }
    click_button "I looked through it"
    expect(page).to have_css("[role=dialog]", text: "Look through")
    expect([rice, oats].map { |id| lot(who, id).look_first }).to eq([false, true])
    click_button "Undo"
    Timeout.timeout(20) { Thread.pass until lot(who, rice).look_first }
  end
end
