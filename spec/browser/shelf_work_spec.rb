# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "Work at the shelf", :browser do
  let(:who) { household! }

  def stack(id) = lot(who, id)

  def scan(code)
    expect(page).to have_css("[data-scanner]", visible: :all)
    page.execute_script(
      "const c = new BroadcastChannel('nut-shelf.scanner'); c.postMessage(#{code.to_json}); c.close()"
    )
  end

  it "shows what each act does to the date before it is done" do
    mince =
      put_away(
        who, "beef-mince", "fridge", amount: "1000", printed_on: "2026-11-26", printed_kind: "use_by",
        price_minor: 1000
      )[
        "lot_id"
      ]
    enter(who)
    visit "/shelf?stack=#{mince}"
    click_button "Freeze"
    expect(page).to have_css("[aria-label='What it does to the date']", text: "good until 24 Mar 2027")
    within("[role=dialog]") { click_button "More" }
    click_button "Portions"
    fill_in "How many portions", with: "3"
    select "Freezer", from: "Where it goes then"
    expect(page).to have_css(
      "[aria-label='What it does to the date'] li",
      text: "2 x 333 g as a stack of its own in Freezer: good until 24 Mar 2027"
    )
    click_button "Make the portions"
    expect(page).to have_content("Made 3 portions")
    values = inside(who) { |house| house.lots.all.map(&:value_minor) }
    expect(values.sum).to eq(1000)
  end

  it "keeps what was typed when an act is refused" do
    tin = put_away(who, "canned-chickpeas", "cupboard", count: "2")["lot_id"]
    enter(who)
    visit "/shelf?stack=#{tin}&do=amend"
    fill_in "Directions, kept when the box is thrown away", with: "Rinse well"
    fill_in "Made on", with: Date.new(2031, 1, 1)
    click_button "Keep it so"
    expect(page).to have_css("[aria-live]", text: "Wed 1 Jan 2031 has not come yet.")
    expect(page).to have_field("Directions, kept when the box is thrown away", with: "Rinse well")
    fill_in "Made on", with: Date.new(2026, 11, 1)
    click_button "Keep it so"
    expect(page).to have_content("Changed day it was made, directions")
    expect(stack(tin).directions).to eq("Rinse well")
  end

  it "goes through the short list for the pack, and takes the worst sign" do
    tin =
      put_away(who, "canned-chickpeas", "cupboard", count: "2", printed_on: "2026-10-31", printed_kind: "best_before")[
        "lot_id"
      ]
    enter(who)
    visit "/shelf?stack=#{tin}&do=look"
    expect(page).to have_css("[aria-label='What it does to the date']", text: "good until 23 May 2027")
    check "Rust that wipes off", allow_label_click: true, exact: false
    expect(page).to have_css("[aria-label='What it does to the date']", text: "good until Thu 26 Nov, in 2 days")
    check "Bulging", allow_label_click: true, exact: false
    expect(page).to have_css("[aria-label='What it does to the date']", text: "not to eat")
    click_button "Note it"
    expect(page).to have_content("Looked at Chickpeas, canned: bad")
    expect(stack(tin).stopped).to be(true)
  end

  it "pours into a jar, tops it up, and keeps care" do
    act(:AddContainer, who, { name: "Oat jar", kind: "jar", capacity_ml: 2000, owned: 1 })
    oats =
      put_away(
        who, "rolled-oats", "cupboard", count: "2", amount: "500", printed_on: "2027-05-30",
        printed_kind: "best_before"
      )[
        "lot_id"
      ]
    enter(who)
    visit "/shelf?stack=#{oats}"
    within("[role=dialog]") { click_button "More" }
    click_button "Into a jar"
    expect(page).to have_css("[aria-label='What it does to the date'] li", text: "as a stack of its own")
    click_button "Pour it in"
    expect(page).to have_css("[role=dialog]", text: "in Oat jar")
    within("[role=dialog]") { click_button "More" }
    click_button "Top it up"
    click_button "Pour it in"
    expect(page).to have_css("[role=dialog]", text: "1 kg, open")
    click_button "Something to do"
    fill_in "What", with: "Check for insects"
    select "every 30 days", from: "Then"
    find("form", text: "First on").click_button("Remember it")
    expect(page).to have_content("To do: Check for insects")
    clock.day = Date.new(2026, 11, 25)
    visit "/"
    click_button "Done: Check for insects"
    expect(page).to have_content("Done: Check for insects")
  end

  it "opens a stack by its label, learns a code once, and knows it from then on" do
    tin = put_away(who, "canned-chickpeas", "cupboard", count: "2")["lot_id"]
    enter(who)
    visit "/s/#{tin}"
    expect(page).to have_css("[role=dialog]", text: "Chickpeas, canned")
    visit "/"
    expect(page).to have_css("h1")
    scan("/s/#{tin}")
    expect(page).to have_css("[role=dialog]", text: "Chickpeas, canned")
    visit "/shelf"
    expect(page).to have_css(".chip")
    scan("4006381333931")
    expect(page).to have_css("[role=dialog]", text: "A code that is new here")
    fill_in "Which food is it", with: "honey"
    click_button "Honey"
    click_button "340 g", match: :first
    expect(page).to have_content("Learnt")
    expect(page).to have_css(".pill", text: "Honey")
    line("4006381333931")
    expect(page).to have_content("Answer the dashed labels first.").or have_content("Put away")
  end

  it "puts a scanned pack away with the date its code tells" do
    put_away(who, "canned-chickpeas", "cupboard", count: "2")
    act(
      :LearnBarcode,
      who,
      { code: "4006381333931", food_id: food_id(who, "canned-chickpeas"), amount: "400", unit: "g" }
    )
    enter(who)
    line("honey 450 g bb 5/2028 cupboard")
    expect(page).to have_content("Put away")
    line("(01)04006381333931(15)290131(10)L7")
    expect(page).to have_content("Put away 400 g Chickpeas, canned")
    expect(on_shelf(who).map(&:usable_until)).to include(
      Date.new(2029, 1, 31)
    )
  end

  it "weighs an open jar while counting" do
    honey = put_away(who, "honey", "cupboard", amount: "450", state: "opened")["lot_id"]
    enter(who)
    visit "/scale"
    fill_in "Grams, jar and all", with: "300"
    click_button "Put it on"
    expect(page).to have_css("output", text: "300 g")
    visit "/count"
    click_button "Count Cupboard"
    click_button "by the scale"
    expect(page).to have_content("1 of 1 said")
    click_button "Finish", match: :first
    click_button "Finish: make the stock so"
    expect(page).to have_content("1 different")
    expect(stack(honey).on_hand).to eq(300)
  end

  it "brings forward, says what fits, prints labels and sets a level by a touch" do
    salt = put_away(who, "salt", "cupboard", amount: "750")["lot_id"]
    act(:SetLevel, who, { lot_id: salt, level: "plenty" })
    back = act(:AddPlace, who, { name: "Loft", kind: "cupboard", tier: "backstock" })["place_id"]
    act(:SetFood, who, { food_id: food_id(who, "canned-chickpeas"), working_amount: "800" })
    tins =
      put_away(
        who, "canned-chickpeas", "cupboard", place_id: back, count: "6", printed_on: "2028-05-31",
        printed_kind: "best_before"
      )[
        "lot_id"
      ]
    enter(who)
    visit "/bring-forward"
    click_button "Brought: 2 tins of 400 g Chickpeas, canned"
    expect(page).to have_content("Nothing to bring")
    expect(stack(tins).on_hand).to eq(1600)
    visit "/places"
    click_button "Cupboard", exact: false, match: :first
    click_button "Change it"
    { "wide" => "800", "deep" => "350", "high" => "400" }.each { |name, size| fill_in name, with: size }
    click_button "Keep it so"
    expect(page).to have_content("Changed Cupboard")
    click_button "Will a box fit?"
    within("form", text: "The box") do
      { "wide" => "200", "deep" => "150", "high" => "180" }.each { |name, size| fill_in name, with: size }
    end
    click_button "How many fit?"
    expect(page).to have_content("18 fit.")
    visit "/shelf"
    click_button "Table salt: plenty", exact: false
    find("[role=menuitem]", text: "low").click
    expect(page).to have_content("low")
    expect(stack(salt).level).to eq("low")
    visit "/labels?stacks=#{tins}"
    expect(page).to have_content("1 label, 1 sheet").and have_link("Open the PDF").and have_link("As a picture (PNG)")
  end

  it "invites, joins, and keeps the ways" do
    enter(who)
    visit "/people"
    fill_in "Invite", with: "Juna"
    click_button "Make a link"
    link = find_field("The link").value
    choose "By the date.", exact: false
    click_button "Keep it so"
    expect(page).to have_content("The school is now: by the date")
    Capybara.reset_sessions!
    visit(URI.parse(link).then { |uri| "#{uri.path}##{uri.fragment}" })
    expect(page).to have_content("You are invited as helper.")
    fill_in "E-mail address", with: (juna = "juna-#{rand(10**9)}@example.test")
    fill_in "Password, at least ten characters", with: "a long password"
    click_button "Come in"
    expect(page).to have_css("h1", text: "Nov")
    visit "/people"
    expect(page).to have_content("you are a helper")
    expect(page).to have_no_button("Make a link")
    visit "/bring-in"
    expect(page).to have_content("keeper")
    expect(page).to have_no_field("CSV file")
    Capybara.reset_sessions!
    enter(who)
    visit "/people"
    within(find("li", text: juna)) do
      first(:button).click
      expect(page).to have_content("can then no longer come in")
      click_button "Rather not"
      expect(page).to have_no_content("can then no longer come in")
      first(:button).click
      click_button "Let them go"
    end
    expect(page).to have_no_content(juna)
  end

  it "changes one's own password, and the old one no longer opens" do
    enter(who)
    visit "/people"
    fill_in "Your password now", with: "not that one"
    fill_in "The new one, at least ten characters", with: "another long password"
    click_button "Change the password"
    expect(page).to have_css("[role=alert]")
    fill_in "Your password now", with: BrowserSupport::PASSWORD
    click_button "Change the password"
    expect(page).to have_content("Your password is changed.")
    email = services.database.outside { |db| db[:accounts].where(id: who.account_id).get(:email) }
    Capybara.reset_sessions!
    visit "/"
    fill_in "E-mail address", with: email
    fill_in "Password", with: "another long password"
    click_button "Sign in"
    expect(page).to have_css("main h1", text: "Nov")
  end

  it "says how to keep a food from any stack, and takes an own time" do
    parsley = put_away(who, "fresh-parsley", "fridge", amount: "50")["lot_id"]
    enter(who)
    visit "/shelf?stack=#{parsley}"
    click_link "How to keep it"
    expect(page).to have_css("h2", text: "Parsley, fresh").and have_content("standing in water")
    click_button "An own time"
    select "fridge", from: "Where"
    select "whole", from: "How"
    fill_in "Days at least", with: "3"
    fill_in "Days at most", with: "5"
    fill_in "Why", with: "It wilts in our fridge"
    click_button "Use this time"
    expect(page).to have_content("your own: It wilts in our fridge")
    expect(stack(parsley).usable_until).to eq(Date.new(2026, 11, 29))
  end
end
