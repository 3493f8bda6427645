# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "The interface", :browser do
  let(:who) { household! }

  def stacks = on_shelf(who)

  it "goes from the label line to a cooked dish and back, after a reload too" do
    enter_by_the_door(who)
    expect(page).to have_content("Start with one place")
    line("250 g passata ub tomorrow fridge")
    expect(page).to have_content("Put away 250 g Sieved tomatoes (passata)")
    line("2 tins chickpeas 400 g bb 5/2028 cupboard 0.89 each")
    expect(page).to have_content("Put away 2 x 400 g Chickpeas, canned")
    expect(page).to have_css("h2", text: "Front of the shelf")

    click_link "Meals"
    first(:button, "Put on", exact: false).click
    expect(page).to have_link("Cook", exact: false)
    click_link "Shop"
    expect(page).to have_css("main input[type=checkbox]")
    first("main input[type=checkbox]").click
    click_link "1 thing was bought and waits to be put away"
    kinds = stacks.size
    select "Cupboard", from: "Where it goes"
    click_button "Put it away"
    expect(page).to have_content("Everything is put away")
    # Nothing is summed up before the house has answered.
    Timeout.timeout(20) { Thread.pass until stacks.size == kinds + 1 }

    before = stacks.sum(&:value_minor)
    click_link "Meals"
    expect(page).to have_link("Cook", exact: false)
    quiet
    first(:link, "Cook", exact: false).click
    click_button "Cooked", wait: 20
    expect(page).to have_content(/Cooked .+/)
    expect(stacks.sum(&:value_minor)).to be < before
    expect(page).to have_current_path("/meals")
    refresh
    click_button "Lately"
    first(:button, "Undo: Cooked", exact: false).click
    expect(page).to have_content("Undone: Cooked")
    expect(stacks.sum(&:value_minor)).to eq(before)
  end

  it "keeps every line of a fast hand: what is unclear waits beside the next" do
    enter(who)
    gate.slow("/api/label-line") do
      line("honey 450 g bb 5/2028 cupboard")
      line("passata 500g mar 27 cupboard")
      fill_in "Label line: what do you put away?", with: "2 kg rice cupboard"
    end
    expect(page).to have_css("[aria-label='Lines that wait']", text: "passata 500g mar 27 cupboard")
    find("[data-label-line]").send_keys(:enter)
    Timeout.timeout(20) { Thread.pass until stacks.size == 2 }
    expect(stacks.map(&:food_id)).to contain_exactly(food_id(who, "honey"), food_id(who, "white-rice"))
    click_button "passata 500g mar 27 cupboard"
    expect(page).to have_content("Which date is meant?")
    click_button "end of Mar 2027"
    find("[data-label-line]").send_keys(:enter)
    Timeout.timeout(20) { Thread.pass until stacks.size == 3 }
  end

  it "keeps what a view shows in its address, over a reload and for whoever gets the link" do
    enter(who)
    visit "/meals"
    click_button "lunch"
    expect(page).to have_current_path("/meals?meal=lunch")
    visit "/shop?days=14"
    expect(page).to have_css("button[aria-pressed=true]", text: "14 days")
    click_button "3 days"
    expect(page).to have_current_path("/shop?days=3")
    refresh
    expect(page).to have_css("button[aria-pressed=true]", text: "3 days")
    visit "/meals?meal=moonshine&day=yesterday"
    expect(page).to have_css("button[aria-pressed=true]", text: "any meal")
  end

  it "makes a food that nobody knew, from where it is missing" do
    enter(who)
    fill_in "Label line: what do you put away?", with: "400 g medlars fridge"
    click_button "which food?"
    click_button "None of these: a new food"
    within("[role=dialog]", text: "A new food") do
      expect(page).to have_field("Its name", with: "Medlars")
      expect(page).to have_button("Keep it as a food of ours", disabled: true)
      fill_in "It keeps like", with: "strawb"
      click_button "Strawberries", exact: false, match: :first
      expect(page).to have_content("as bought in the fridge")
      check "sulphite"
      expect_accessible("a new food")
      click_button "Keep it as a food of ours"
    end
    expect(page).to have_css(".pill", text: "Medlars")
    find("[data-label-line]").send_keys(:enter)
    Timeout.timeout(20) { Thread.pass until stacks.size == 1 }
    food = inside(who) { |house| house.foods.all.find { |row| row.key == "own-medlars" } }
    expect(stacks.first.food_id).to eq(food.id)
    expect(food.allergens).to eq(["sulphite"])
    expect(stacks.first.usable_until).not_to be_nil
    line("200 g medlars fridge")
    Timeout.timeout(20) { Thread.pass until stacks.size == 2 }
  end

  it "goes through pasted lines one by one" do
    enter(who)
    page.execute_script(<<~'JS')
      const data = new DataTransfer();
      data.setData("text", "honey 450 g cupboard\n2 kg rice cupboard\n\n3 tins sardines 120 g cupboard\n");
      document.querySelector("[data-label-line]").dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
    JS
    expect(page).to have_field("Label line: what do you put away?", with: "honey 450 g cupboard")
    expect(page).to have_content("2 lines wait:")
    ["honey 450 g cupboard", "2 kg rice cupboard", "3 tins sardines 120 g cupboard"].each do |text|
      expect(page).to have_field("Label line: what do you put away?", with: text)
      find("[data-label-line]").send_keys(:enter)
    end
    expect(page).to have_field("Label line: what do you put away?", with: "")
    Timeout.timeout(20) { Thread.pass until stacks.size == 3 }
  end

  it "asks where it is unsure and never guesses a date" do
    enter(who)
    fill_in "Label line: what do you put away?", with: "passata 500g mar 27 cupboard"
    expect(page).to have_content("Which date is meant?")
    find("[data-label-line]").send_keys(:enter)
    expect(page).to have_content("Answer the dashed labels first.")
    click_button "end of Mar 2027"
    find("[data-label-line]").send_keys(:enter)
    expect(page).to have_content("Put away 500 g")
    expect(stacks.first.usable_until).to eq(Date.new(2027, 3, 31))
  end

  it "lets each label be put right without typing the line again" do
    enter(who)
    fill_in "Label line: what do you put away?", with: "2 jars grog cupboard"
    click_button "which food?"
    fill_in "Find the food", with: "honey"
    choose "Honey"
    click_button "Put it right"
    click_button "+ date"
    fill_in "The date", with: Date.new(2028, 5, 31)
    click_button "Put it right"
    click_button "+ price"
    fill_in "Price of the whole line", with: "5,20"
    expect_accessible("a label being put right")
    click_button "Put it right"
    find("[data-label-line]").send_keys(:enter)
    expect(page).to have_content("Put away 2 jars")
    expect(stacks.first).to have_attributes(value_minor: 520, usable_until: Date.new(2028, 5, 31), food_key: "honey")
  end

  it "keeps what is typed while the database is away and sends it once" do
    enter(who)
    gate.shut = true
    line("2 jars honey cupboard")
    expect(page).to have_content("The house is not answering")
    visit page.current_path
    expect(page).to have_content("Try again").or have_content("not answering")
    gate.shut = false
    expect(page).to have_content("Put away 2 jars Honey", wait: 20)
    expect(page).to have_no_content("The house is not answering")
    expect(stacks.map { |row| row.on_hand.to_i }).to eq([2])
  end

  it "counts each of three quick presses, and says that they were three" do
    put_away(who, "canned-chickpeas", "cupboard", count: "5", printed_on: "2028-05-31", printed_kind: "best_before")
    enter(who)
    visit "/shelf?stack=#{stacks.first.id}"
    expect(page).to have_button("Take one")
    page.execute_script(
      "const b = [...document.querySelectorAll('button')].find((x) => x.textContent === 'Take one'); b.click(); " \
      "b.click(); b.click();"
    )
    expect(page).to have_content("Took 400 g Chickpeas, canned (3 times)")
    expect(page).to have_css("[role=dialog]", text: "2 x 400 g")
    expect(stacks.first.on_hand.to_i).to eq(800)
    click_button "Undo", match: :first
    expect(page).to have_css("[role=dialog]", text: "3 x 400 g")
  end

  it "agrees between two browsers" do
    stack =
      put_away(who, "canned-chickpeas", "cupboard", count: "3", printed_on: "2028-05-31", printed_kind: "best_before")
    enter(who)
    visit "/shelf"
    expect(page).to have_css(".chip", text: "3 x 400 g")
    using_session("second") do
      enter(who)
      visit "/shelf?stack=#{stack["lot_id"]}"
      click_button "Take one"
      expect(page).to have_content("2 x 400 g")
    end
    visit "/shelf"
    expect(page).to have_css(".chip", text: "2 x 400 g")
  end

  it "says why undo is not possible, and by what" do
    stack = put_away(who, "canned-chickpeas", "cupboard", count: "3")
    act(:Take, who, { lot_id: stack["lot_id"], amount: "400" })
    enter(who)
    click_button "Lately"
    click_button "Undo: Put away", exact: false
    expect(page).to have_content("Later: Took 400 g Chickpeas, canned. That has to be undone first.")
  end

  it "brings in a list after its preview" do
    enter(who)
    visit "/bring-in"
    path = File.join(Dir.tmpdir, "nut-shelf-list.csv")
    File.write(
      path,
      "Artikel;Menge;Inhalt;Lagerort;MHD\nHoney;2;450 g;Vorrat;31.05.2028\nGrog;1;500 g;Speicher;\n".encode(
        "Windows-1252"
      )
    )
    attach_file("CSV file", path)
    expect(page).to have_content("Which foods are these?")
    expect_accessible("a list with questions")
    fill_in "Find a food for Grog", with: "wine"
    click_button "Red wine"
    click_button "Make the place Speicher"
    click_button "Bring in all 2"
    expect(page).to have_content("Brought in 2 stacks")
    expect(stacks.size).to eq(2)
  end

  it "makes a place, and says so when the temperatures are the wrong way round" do
    enter(who)
    click_button "Keeper", exact: false
    find("[role=menuitem]", text: "New place").click
    fill_in "Name", with: "Shed"
    fill_in "Coldest, °C", with: "25"
    fill_in "Warmest, °C", with: "-6"
    expect_accessible("a new place")
    click_button "Make the place"
    expect(page).to have_content("The coldest is warmer than the warmest.")
    fill_in "Coldest, °C", with: "-6"
    fill_in "Warmest, °C", with: "25"
    click_button "Make the place"
    expect(page).to have_content("New place: Shed")
    line("2 jars honey shed")
    expect(page).to have_content("Put away 2 jars Honey")
  end

  it "puts away with one hand on a phone" do
    put_away(who, "canned-chickpeas", "cupboard", count: "3", printed_on: "2028-05-31", printed_kind: "best_before")
    enter(who)
    size(BrowserSupport::PHONE)
    visit "/"
    click_button "With one hand"
    click_button "Chickpeas, canned"
    expect(page).to have_select("Place, where it went last", selected: "Cupboard").and have_button(
            "Put away 3 x 400 g Chickpeas, canned"
          )
    click_button "One less"
    find("[role=radio]", text: "May").click
    click_button "Put away 2 x 400 g Chickpeas, canned"
    expect(page).to have_content("Put away: 2 x 400 g Chickpeas, canned, Cupboard")
    click_button "Same again"
    expect(page).to have_css("[role=status] div", text: "Put away: 2 x 400 g Chickpeas, canned", count: 2)
    expect(stacks.count { |row| row.on_hand == 800 && row.usable_until == Date.new(2028, 5, 31) }).to eq(2)
  end

  it "asks a food that is new to it where it goes, and takes a use-by to the day" do
    enter(who)
    size(BrowserSupport::PHONE)
    visit "/"
    click_button "With one hand"
    fill_in "Find a food", with: "whole milk"
    click_button "Whole milk, fresh"
    expect(page).to have_button("Put away", exact: false, disabled: true)
    find("[role=radio]", text: "use by").click
    find("[role=radio]", text: "Tue 1 Dec").click
    select "Fridge", from: "Place"
    click_button "Put away", exact: false
    expect(page).to have_content("Fridge")
    expect(lot(who, stacks.first.id)).to have_attributes(printed_kind: "use_by", printed_on: Date.new(2026, 12, 1))
  end
end
