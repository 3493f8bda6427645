# frozen_string_literal: true

require_relative "../support/browser"

# Counting as it is done: by keyboard at the table, with a thumb at the shelf, by two people at once.
RSpec.describe "Counting a house", :browser do
  let(:who) { household! }
  let(:foods) do
    inside(who) do |house|
      house
        .foods
        .all
        .select { |row| row.dimension == "mass" && row.aisle == "Tins and cans" }
        .first(20)
        .map(&:key)
    end
  end

  def fill(kind)
    foods.map do |key|
      put_away(
        who, key, kind, count: "3", amount: "400", unit: "g", printed_on: "2028-05-31", printed_kind: "best_before",
        price_minor: 600
      )[
        "lot_id"
      ]
    end
  end

  # On a wide window the box has the focus; nothing is typed before it does.
  def open_count(place, box: "[data-count-box]:focus")
    visit "/count"
    click_button "Count #{place}"
    expect(page).to have_css("h1", text: place)
    expect(page).to have_css(box)
  end

  def on_hand(id) = lot(who, id).on_hand.to_i

  def finish
    click_button "Finish", match: :first
    expect(page).to have_button("Finish: make the stock so")
  end

  it "takes 60 stacks in three places by keyboard, five of them different, and the history explains each" do
    %w[cupboard fridge freezer].each { |kind| fill(kind) }
    enter(who)
    answers = { "Cupboard" => { 2 => "2", 9 => "0" }, "Fridge" => { 4 => "5", 19 => "1" }, "Freezer" => { 0 => "2" } }
    changed = answers.flat_map { |place, differ| count_by_keys(place, differ) }
    expect(changed.map { |id| on_hand(id) }).to eq([800, 0, 2000, 400, 800])
    expect(on_shelf(who).sum(&:on_hand)).to eq(
      (60 * 1200) - 400 - 1200 + 800 - 800 - 400
    )
    visit "/shelf?stack=#{changed.first}"
    within("[aria-label=History]") do
      expect(page).to have_content("Counted Cupboard: 20 stacks, 2 different").and have_content("−400 g")
    end
    visit "/count"
    expect(page).to have_content("No place is due.")
  end

  # Types a number and Enter, or Enter alone; one Enter too many finishes nothing, the differences are looked at first.
  def count_by_keys(place, differ)
    open_count(place)
    id = inside(who) { |house| house.places.all.find { |row| row.name == place }.id }
    stacks = standing_in(who, id)
    stacks.each_index { |index| keys(*differ.fetch(index, "").chars, :enter) }
    expect(page).to have_content("20 of 20 said").and have_content("A word was said about everything")
    keys(:enter)
    expect(page).to have_content("A word was said about everything")
    keys(:tab, :enter)
    expect(page).to have_css("h1", text: "#{place}: #{differ.size} difference")
    expect(page).to have_css("[aria-label^='What became of']", count: differ.values.count { |text| text.to_i < 3 })
    expect(page).to have_no_css("button:focus", text: "Finish: make the stock so")
    click_button "Finish: make the stock so"
    expect(page).to have_content("Counted #{place}: 20 stacks, #{differ.size} different")
    differ.keys.map { |index| stacks[index].id }
  end

  it "takes the same by thumb on a phone, and undoes the last of it" do
    %w[cupboard fridge freezer].each { |kind| fill(kind) }
    enter(who)
    size(BrowserSupport::PHONE)
    {
      "Cupboard" => {
        3 => "gone",
        7 => "2"
      },
      "Fridge" => {
        12 => "4"
      },
      "Freezer" => {
        0 => "1",
        19 => "2"
      }
    }.each { |place, differ| count_by_thumb(place, differ) }
    left = -> { on_shelf(who).map { |row| row.on_hand.to_i }.tally }
    expect(left.call).to eq(1200 => 55, 800 => 2, 1600 => 1, 400 => 1)
    click_button "Undo"
    expect(page).to have_content("Undone: Counted Freezer")
    expect(left.call).to eq(1200 => 57, 800 => 1, 1600 => 1)
    expect(page).to have_link("Go on")
  end

  def count_by_thumb(place, differ)
    open_count(place, box: "[data-count-box]")
    20.times do |index|
      expect(page).to have_content("#{index} of 20 said")
      within("[aria-label='The stack in hand']") { click_button(differ.fetch(index, "As expected"), exact: true) }
    end
    finish
    expect(page).to have_content("#{place}: #{differ.size} difference")
    expect(page.evaluate_script("document.documentElement.scrollWidth > innerWidth")).to be(false)
    click_button "Finish: make the stock so"
    expect(page).to have_content("Counted #{place}: 20 stacks, #{differ.size} different")
  end

  it "counts a bare place from nothing, and what has no date waits for one" do
    enter(who)
    visit "/count"
    click_button "Count Cupboard"
    expect(page).to have_content("Nothing is expected here")
    ["3 tins chickpeas 400 g bb 5/2028", "1 kg rice", "2 jars honey"].each_with_index do |text, index|
      fill_in "What stands here besides", with: text
      expect(page).to have_css(".pill", text: "Cupboard")
      find("[data-unexpected]").send_keys(:enter)
      expect(page).to have_content("#{index + 1} more found")
    end
    finish
    click_button "Finish: make the stock so"
    expect(page).to have_content("Counted Cupboard: 3 stacks, 3 different")
    visit "/"
    expect(page).to have_button("Put a date on White rice, long grain").and have_button("Put a date on Honey")
    click_button "Put a date on White rice, long grain"
    fill_in "Date on the pack", with: Date.new(2028, 10, 31)
    expect(page).to have_css("[aria-label='What it does to the date']", text: "good until 31 Oct 2028")
    click_button "Keep it so"
    expect(page).to have_content("Changed printed date")
    expect(page).to have_content("Last good day: 31 Oct 2028")
  end

  it "goes on where another device stopped, and takes what was missing there as carried here" do
    tins =
      put_away(
        who, "canned-chickpeas", "cupboard", count: "5", printed_on: "2028-05-31", printed_kind: "best_before",
        price_minor: 445
      )[
        "lot_id"
      ]
    enter(who)
    open_count("Cupboard")
    keys("3", :enter)
    expect(page).to have_content("1 of 1 said")
    click_link "Pause"
    click_link "Go on"
    finish
    click_button "Finish: make the stock so"
    expect(page).to have_content("1 different")
    click_button "Count Fridge"
    fill_in "What stands here besides", with: "2 tins chickpeas 400 g"
    expect(page).to have_css(".pill", text: "2 x 400 g")
    find("[data-unexpected]").send_keys(:enter)
    expect(page).to have_content("1 more found")
    finish
    expect(page).to have_select("Where Chickpeas, canned came from", selected: "carried here: missing in Cupboard")
    click_button "Finish: make the stock so"
    expect(page).to have_content("Counted Fridge")
    carried = on_shelf(who).find { |row| row.place_id == place_id(who, "fridge") }
    expect([carried.on_hand.to_i, carried.usable_until, on_hand(tins)]).to eq([800, Date.new(2028, 5, 31), 1200])
  end

  it "lets two count two places while a third cooks, and loses nothing" do
    fill("cupboard")
    here = standing_in(who, place_id(who, "cupboard")).first(6).map(&:id)
    there = fill("fridge").first(6)
    enter(who)
    open_count("Cupboard")
    6.times { keys("2", :enter) }
    expect(page).to have_content("6 of 20 said")
    other = act(:StartCount, who, { place_id: place_id(who, "fridge") })["count_id"]
    there.each { |id| act(:EnterLine, who, { count_id: other, lot_id: id, found: "amount", packs: "2" }) }
    [*here, *there].each { |id| act(:Take, who, { lot_id: id }) }
    act(:FinishCount, who, { count_id: other })
    finish
    expect(page).to have_content("6 differences")
    click_button "Finish: make the stock so"
    expect(page).to have_content("6 different")
    expect([*here, *there].map { |id| on_hand(id) }.uniq).to eq([400])
    expect(inside(who) { |house| house.lots.out_of_balance }).to be_empty
  end

  it "keeps lines while the house does not answer, and sends them when it does" do
    ids = fill("cupboard")
    enter(who)
    open_count("Cupboard")
    gate.shut = true
    keys("2", :enter)
    expect(page).to have_content("The house is not answering")
    keys("1", :enter)
    gate.shut = false
    expect(page).to have_no_content("The house is not answering", wait: 15)
    expect(page).to have_content("2 of 20 said")
    expect(page).to have_css("[aria-label^='Take back what was said']", count: 2, wait: 15)
    expect(ids.map { |id| on_hand(id) }.uniq).to eq([1200])
  end
end
