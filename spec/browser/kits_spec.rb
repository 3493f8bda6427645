# frozen_string_literal: true

require_relative "../support/browser"

# A kit from nothing to a closed gap, and a power cut from the first touch to an undo.
RSpec.describe "Kits", :browser do
  let(:who) { household!(people: 2) }

  it "are made, looked through and closed, and what was done is taken back" do
    put_away(who, "canned-chickpeas", "cupboard", count: "12", printed_on: "2029-06-30", printed_kind: "best_before")
    enter(who)
    visit "/kits"
    expect(page).to have_text("No kit yet")
    click_button "New kit"
    fill_in "What it is called", with: "Gale box"
    fill_in "For how many days", with: "3"
    click_button "Keep the kit"
    expect(page).to have_css("h1", text: "Gale box").and have_css("th", text: "Water")
    first("summary", text: "By person").click
    expect(page).to have_text("no weight, counted as usual")
    expect(page).to have_text("Chickpeas, canned")
    click_button "Set 12 packs apart"
    expect(page).to have_css("section", text: "What belongs to it").and have_link("Chickpeas, canned")
    click_button "Undo"
    expect(page).to have_text("Nothing belongs to it yet")
  end

  it "say how long the household would last with and without power and water" do
    put_away(who, "canned-chickpeas", "cupboard", count: "24", printed_on: "2029-06-30", printed_kind: "best_before")
    enter(who)
    visit "/kits/lasting"
    expect(page).to have_css("section", text: "No power, no water").and have_text("First to run out: water to drink.")
    click_button "half full"
    expect(page).to have_css("[data-look=main]", text: "half full")
  end

  it "tell in a power cut what to eat first, and settle it in one act" do
    put_away(who, "plain-yoghurt", "fridge", printed_on: "2026-12-05", printed_kind: "use_by")
    put_away(who, "beef-mince", "freezer", amount: "500")
    began = (Time.now.utc - (9 * 3600)).iso8601
    cut = act(:BeginOutage, who, { started_at: began, freezer_percent: 100 })["outage_id"]
    enter(who)
    visit "/kits/power-cut"
    expect(page).to have_text("9 hours in the dark").or have_text("9.1 hours in the dark")
    expect(all("main li b").map(&:text)).to eq(["Plain whole-milk yoghurt", "Beef mince, 15% fat, raw"])
    click_button "Freezer -12 °C"
    expect(page).to have_text("1 reading noted")
    click_button "The power is back"
    expect(page).to have_css("li", text: /yoghurt.*Throw out/m).and have_css("li", text: /mince.*Keep/m)
    click_button "Tick all"
    click_button "Do so with 2 stacks"
    expect(page).to have_button("The power went")
    click_button "Undo"
    expect(page).to have_css("li", text: /yoghurt.*Throw out/m)
    expect(inside(who) { |house| house.kits.outage.id }).to eq(cut)
  end
end
