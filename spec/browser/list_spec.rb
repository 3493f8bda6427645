# frozen_string_literal: true

require_relative "../support/browser"

# A list on two phones, with and without signal.
RSpec.describe "The list in the shop", :browser do
  let(:ines) { household! }
  let(:tomas) { another_member(ines, "Tomas") }

  before do
    %w[honey rolled-oats].each { |key| act(:SetWant, ines, { food_id: food_id(ines, key), par: "400" }) }
  end

  def another_member(keeper, name)
    inside(keeper) do |house|
      account = house.db[:accounts].insert(email: "#{SecureRandom.hex(4)}@sallow.example", name: name, status_id: 2)
      house.db[:memberships].insert(account_id: account, household_id: keeper.household_id, role: "helper")
      NutShelf::Desk::Caller.new(account_id: account, household_id: keeper.household_id, role: "helper")
    end
  end

  def lines = inside(ines) { |house| house.shopping.of(house.shopping.open.id) }

  def on_phone(who)
    using_session(who.account_id) do
      size(BrowserSupport::PHONE)
      yield
    end
  end

  def open_list(who)
    enter(who)
    visit "/shop"
    expect(page).to have_css("h1", text: "Shop")
  end

  it "loses and doubles nothing that two people did without signal, whoever comes back first" do
    on_phone(ines) do
      open_list(ines)
      click_button "Take the list along"
      expect(page).to have_button("We are home")
    end
    on_phone(tomas) { open_list(tomas) }
    gate.shut = true
    on_phone(ines) do
      all("main input[type=checkbox]").each(&:click)
      fill_in "Write something on the list", with: "candles for the cake please"
      click_button "Put it on the list"
      expect(page).to have_text("candles for the cake please").and have_text("waits for signal")
      visit "about:blank"
    end
    on_phone(tomas) do
      all("main input[type=checkbox]").first.click
      expect(page).to have_text("waits for signal")
    end
    gate.shut = false
    on_phone(tomas) { expect(page).to have_no_text("waits for signal", wait: 30) }
    expect(lines.flat_map { |line| line.ticks.map { |one| one["name"] } }).to eq(["Tomas"])
    on_phone(ines) do
      visit "/shop"
      expect(page).to have_no_text("waits for signal", wait: 30)
      click_button "We are home"
      click_link "were bought and wait to be put away", exact: false
      expect(page).to have_text("each ticked it")
      expect_accessible("what was bought")
    end
    twice = inside(ines) { |house| house.shopping.bought.map { |line| line.ticks.size } }
    expect(twice).to contain_exactly(1, 2)
    waiting = inside(ines) { |house| house.shopping.waiting.map(&:text) }
    expect(waiting).to eq(["candles for the cake please"])
  end

  it "takes a hurried thumb for one, keeps no line that was sent, and says what is missing before anything goes" do
    enter(ines)
    visit "/shop"
    fill_in "Write something on the list", with: "lamp wick for the stairs"
    find_button("Put it on the list").double_click
    expect(page).to have_css("main li", text: "lamp wick for the stairs", count: 1)
    expect(page).to have_field("Write something on the list", with: "").and have_no_text("What you typed before")
    first("main input[type=checkbox]").click
    click_link "1 thing was bought and waits to be put away"
    fill_in "How many", with: "abc"
    click_button "Put it away"
    expect(page).to have_text("how many, how much one pack holds, and where it goes")
    fill_in "How many", with: "1"
    find_button("Put it away").double_click
    expect(page).to have_text("Everything is put away").and have_no_text("put away already")
    expect(on_shelf(ines).size).to eq(1)
  end

  it "keeps the next thing in sight, says what is new, and puts everything away at once" do
    enter(ines)
    visit "/shop"
    click_button "Take the list along"
    expect(page).to have_button("Next: ", exact: false)
    act(:SetWant, ines, { food_id: food_id(ines, "white-rice"), par: "400" })
    expect(page).to have_css("h2", text: "Needed since you left", wait: 20)
    expect_accessible("the list, out with it")
    all("main input[type=checkbox]").each(&:click)
    expect(page).to have_text("Everything is in the basket.")
    click_button "We are home"
    click_link "3 things were bought and wait to be put away"
    click_button "Put 3 away"
    expect(page).to have_text("Everything is put away")
    expect(on_shelf(ines).map(&:food_key)).to contain_exactly("honey", "rolled-oats", "white-rice")
  end

  it "opens without network, says of when it is, and keeps what is done there over closing the browser" do
    put_away(ines, "canned-chickpeas", "cupboard")
    enter(ines)
    with_worker { |path| expect(page).to have_text(path == "/shop" ? "Honey" : "Chickpeas") }
    gate.dark = true
    visit "/shop"
    expect(page).to have_text(/You see it as of \d\d:\d\d/).and have_text("Honey")
    first("main input[type=checkbox]").click
    expect(page).to have_text("waits for signal")
    visit "/shelf"
    expect(page).to have_css(".chip", text: "Chickpeas")
    visit "/shop"
    expect(page).to have_text("waits for signal")
    gate.dark = false
    expect(page).to have_no_text("waits for signal", wait: 30)
    expect(page).to have_no_text("You see it as of", wait: 30)
    expect(inside(ines) { |house| house.shopping.bought.map(&:text) }).to eq(["Rolled oats"])
  end

  it "leaves nothing of the house behind for whoever comes after" do
    enter(ines)
    with_worker { |path| expect(page).to have_text(path == "/shop" ? "Honey" : "Shelf") }
    expect(kept_answers).to include("/api/list", "/api/stacks")
    find("header [aria-haspopup=menu]").click
    find("[role=menuitem]", text: "Sign out").click
    expect(page).to have_field("Password")
    # That nobody is signed in may be told again.
    expect(kept_answers - ["/api/session"]).to eq([])
  end
end
