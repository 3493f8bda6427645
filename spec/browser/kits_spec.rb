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

  it "count on nothing somebody does not like, as it was looked for by name" do
    enter(who)
    visit "/people"
    first("button", text: "Change", exact_text: true).click
    fill_in "Does not like, so no kit counts on it", with: "peanut butt"
    expect(page).to have_button("Peanut butter", exact: false)
    find_field("Does not like", exact: false).send_keys(:enter)
    expect(page).to have_button(text: /Peanut butter.*×/)
    within("[role=dialog]") { click_button "Keep it so" }
    expect(page).to have_no_css("[role=dialog]")
    expect(inside(who) { |house| house.household.people.flat_map(&:dislikes) }).to eq(["peanut-butter"])
  end

  it "say how long the household would last with and without power and water" do
    put_away(who, "canned-chickpeas", "cupboard", count: "24", printed_on: "2029-06-30", printed_kind: "best_before")
    enter(who)
    visit "/kits/lasting"
    expect(page).to have_css("section", text: "No power, no water").and have_text("First to run out: water to drink.")
    click_button "half full"
    expect(page).to have_css("[data-look=main]", text: "half full")
  end

  def until_kept(path)
    Timeout.timeout(30) { Thread.pass until kept_answers.include?(path) }
  end

  it "tell in a dark house what to eat, keep what is done there, and say nothing that only a reading decides" do
    put_away(who, "plain-yoghurt", "fridge", printed_on: "2026-12-05", printed_kind: "use_by")
    put_away(who, "beef-mince", "freezer", amount: "500")
    enter(who)
    with_worker
    until_kept("/api/outages/prepared")
    gate.dark = true
    visit "/kits/power-cut"
    click_button "The power went"
    expect(page).to have_text("Nothing answers").and have_css("li", text: /yoghurt.*by hour 4/m)
    expect(all("main li b").map(&:text)).to eq(["Plain whole-milk yoghurt", "Beef mince, 15% fat, raw"])
    click_button "Fridge 8 °C"
    click_button "The power is back"
    expect(page).to have_css("li", text: /yoghurt.*In doubt: throw out/m).and have_css("li", text: /mince.*Keep/m)
    expect_accessible("a power cut without network")
    gate.dark = false
    expect(page).to have_no_text("Nothing answers", wait: 30)
    expect(page).to have_css("li", text: /yoghurt.*Eat today/m)
    expect(inside(who) { |house| house.kits.outage.readings.size }).to eq(1)
  end

  it "are refreshed at the shelf without network, each thing once" do
    kit = act(:SetKit, who, { name: "Gale box", days: 3, refresh_days: ["12-12"] })["kit_id"]
    due = put_away(who, "canned-chickpeas", "cupboard", count: "3", printed_on: "2027-03-31",
      printed_kind: "best_before")["lot_id"]
    act(:RefreshKit, who, { kit_id: kit, put_in: due, packs: 3 })
    enter(who)
    with_worker
    until_kept("/api/kits/#{kit}/refresh")
    gate.dark = true
    visit "/kits/#{kit}"
    click_button "Refresh", exact: false
    click_button "Chickpeas", exact: false
    expect(page).to have_text("waits for signal").and have_no_button("Chickpeas", exact: false)
    gate.dark = false
    expect(page).to have_no_text("waits for signal", wait: 30)
    expect(inside(who) { |house| house.reservations.all(HouseSupport::TODAY) }).to be_empty
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
