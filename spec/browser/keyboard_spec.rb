# frozen_string_literal: true

require_relative "../support/browser"

# Everything by keyboard alone: real key events, no click.
RSpec.describe "By keyboard alone", :browser do
  let(:who) { household! }

  # The door too: tab into the form, type, Enter.
  def enter_by_keys
    hash = Argon2::Password.new(t_cost: 1, m_cost: 5).create(BrowserSupport::PASSWORD)
    email =
      services.database.outside do |db|
        db[:accounts].where(id: who.account_id).update(password_hash: hash)
        db[:accounts].where(id: who.account_id).get(:email)
      end
    visit "/"
    expect(page).to have_field("E-mail address")
    tab_to("document.activeElement.name === 'login'")
    keys(email, :tab, BrowserSupport::PASSWORD, :enter)
    expect(page).to have_css("main h1", text: "Nov")
  end

  def on_chip = "document.activeElement.dataset.chip !== undefined"

  def stacks = on_shelf(who)

  it "puts away, walks the shelf, takes, opens, looks, throws and undoes" do
    enter_by_keys
    keys("n")
    expect(page).to have_css("[data-label-line]:focus")
    ["3 tins chickpeas 400 g bb 5/2028 cupboard", "2 jars honey bb tomorrow cupboard"].each do |text|
      keys(text)
      expect(page).to have_css(".pill", text: "Cupboard")
      keys(:enter)
      expect(page).to have_content("Put away", wait: 5)
      expect(page).to have_field("Label line: what do you put away?", with: "")
    end
    answered
    keys(:escape)
    keys("2")
    expect(page).to have_css("h1", text: "Shelf")
    expect(page).to have_css(".chip", count: 2)
    tab_to(on_chip)
    first_name = page.evaluate_script("document.activeElement.textContent")
    keys(:right)
    expect(page.evaluate_script("document.activeElement.textContent")).not_to eq(first_name)
    expect(page.evaluate_script(on_chip)).to be(true)
    keys(:enter)
    expect(page).to have_css("[role=dialog]", text: "Chickpeas")
    keys("t")
    expect(page).to have_content("Took 400 g")
    expect(page).to have_css("[role=dialog]", text: "2 x 400 g")
    keys("o")
    expect(page).to have_css(
      "[aria-label='What it does to the date']",
      text: "400 g, open as a stack of its own in Fridge: good until"
    )
    keys(:enter)
    expect(page).to have_content("Opened Chickpeas, canned")
    expect(page).to have_css("[role=dialog]", text: "400 g, open")
    keys("l")
    expect(page).to have_css("[aria-label='What it does to the date'] li")
    keys(:enter)
    expect(page).to have_content("Looked at Chickpeas, canned: good")
    keys("x")
    expect(page).to have_css("select[name=outcome]:focus")
    keys(:enter)
    keys(:tab, :tab, :tab, :enter)
    expect(page).to have_content("Threw away 400 g")
    expect(page).to have_no_css("[role=dialog]")
    expect(stacks.count(&:open)).to eq(0)
    keys("z")
    expect(page).to have_content("Undone: Threw away")
    expect(stacks.count(&:open)).to eq(1)
  end

  it "takes back with z what was done last, though its answer is still on its way" do
    enter_by_keys
    visit "/shelf"
    expect(page).to have_css("h1", text: "Shelf")
    keys("n")
    expect(page).to have_css("[data-label-line]:focus")
    keys("3 tins chickpeas 400 g bb 5/2028 cupboard")
    expect(page).to have_css(".pill", text: "Cupboard")
    keys(:enter)
    expect(page).to have_content("Put away 3 x 400 g Chickpeas")
    expect(page).to have_field("Label line: what do you put away?", with: "")
    keys("2 jars honey bb 5/2028 cupboard")
    expect(page).to have_css(".pill", text: "Honey")
    page.driver.browser.page.command(
      "Network.emulateNetworkConditions", offline: false, latency: 400, downloadThroughput: -1, uploadThroughput: -1
    )
    keys(:enter)
    page.execute_script("document.activeElement.blur()")
    keys("z")
    expect(page).to have_content("Undone: Put away 2")
    expect(stacks.size).to eq(1)
  end

  it "passes each board of the shelf with one press of Tab" do
    %w[white-rice dry-pasta rolled-oats].each do |food|
      2.times do |year|
        put_away(who, food, "cupboard", count: "1", printed_on: "202#{7 + year}-05-31", printed_kind: "best_before")
      end
    end
    put_away(who, "butter", "fridge", count: "1", printed_on: "2026-12-20", printed_kind: "best_before")
    enter_by_keys
    visit "/shelf"
    expect(page).to have_css(".chip", minimum: 4)
    tab_to(on_chip)
    keys(:right)
    first_board = page.evaluate_script("document.activeElement.closest('section').getAttribute('aria-label')")
    keys(:tab)
    expect(page.evaluate_script(on_chip)).to be(true)
    expect(page.evaluate_script("document.activeElement.closest('section').getAttribute('aria-label')")).not_to eq(
      first_board
    )
    keys(:tab)
    expect(page.evaluate_script(on_chip)).to be(false)
  end

  it "plans and cooks" do
    put_away(who, "canned-chickpeas", "cupboard", count: "4", printed_on: "2026-11-27", printed_kind: "best_before")
    enter_by_keys
    keys("4")
    expect(page).to have_css("h1", text: "Meals")
    expect(page).to have_button("Put", exact: false)
    tab_to(text("startsWith('Put on')"))
    keys(:enter)
    expect(page).to have_link("Cook", exact: false)
    tab_to("#{text("startsWith('Cook')")} && document.activeElement.tagName === 'A'", back: true)
    keys(:enter)
    expect(page).to have_button("Cooked")
    tab_to(text("startsWith('Cooked')"))
    keys(:enter)
    expect(page).to have_css("h1", text: "Meals")
    expect(page).to have_content("cooked")
  end

  it "acts on the chip in hand without opening it, and asks where a key needs an answer" do
    put_away(who, "canned-chickpeas", "cupboard", count: "4", printed_on: "2027-11-27", printed_kind: "best_before")
    enter_by_keys
    keys("2")
    expect(page).to have_css(".chip", text: "4 x 400 g")
    tab_to(on_chip)
    keys("t")
    expect(page).to have_content("Took 400 g")
    expect(page).to have_css(".chip", text: "3 x 400 g")
    keys("m")
    expect(page).to have_css("[role=dialog] select[name=place_id]:focus")
    keys(:escape)
    expect(page).to have_no_css("[role=dialog]")
  end

  it "shows its keys, finds, and lets single keys be switched off" do
    enter_by_keys
    keys("?")
    expect(page).to have_css("[role=dialog]", text: "walk the shelf")
    keys(:escape)
    expect(page).to have_no_css("[role=dialog]")
    keys("/")
    expect(page).to have_css("[data-find]:focus")
    keys(:tab)
    tab_to(text("includes('Keeper')"), back: true)
    keys(:enter)
    expect(page).to have_css("[role=menu]")
    # The menu moves its focus a moment after the key, so each step looks before it presses again.
    24.times { page.has_css?("[role=menuitemcheckbox]:focus", wait: 0.4) ? break : keys(:down) }
    expect(page).to have_css("[role=menuitemcheckbox]:focus", text: "Single keys")
    keys(:enter)
    expect(page).to have_no_css("[role=menu]")
    keys("4")
    expect(page).to have_css("h1", text: "Shelf")
  end

  # A condition on the words of what has the focus.
  def text(condition) = "document.activeElement.textContent.trim().#{condition}"

  # Tab on until the focus rests on what is wanted; a loop that could not end would be a defect of its own.
  def tab_to(condition, back: false)
    150.times do
      keys(back ? %i[shift tab] : :tab)
      return if page.evaluate_script(condition)
    end
    raise "Tab never reached it: #{condition}"
  end
end
