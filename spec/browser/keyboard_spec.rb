# frozen_string_literal: true

require_relative "../support/browser"

# Everything by keyboard alone: real key events, no click.
RSpec.describe "By keyboard alone", :browser do
  let(:who) { household! }

  def stacks = inside(who) { |house| house.lots.shelf.all }

  it "puts away, walks the shelf, takes, opens, looks, throws and undoes" do
    enter(who)
    keys("n")
    expect(page).to have_css("[data-label-line]:focus")
    ["3 tins chickpeas 400 g bb 5/2028 cupboard", "2 jars honey bb tomorrow cupboard"].each do |text|
      keys(text)
      expect(page).to have_css(".pill", text: "Cupboard")
      keys(:enter)
      expect(page).to have_content("Put away", wait: 5)
      expect(page).to have_field("Label line: what do you put away?", with: "")
    end
    keys(:escape)
    keys("2")
    expect(page).to have_css("h1", text: "Shelf")
    expect(page).to have_css(".chip", count: 2)
    page.execute_script("document.querySelector('[data-chip]').focus()")
    first_name = page.evaluate_script("document.activeElement.textContent")
    keys(:right)
    expect(page.evaluate_script("document.activeElement.textContent")).not_to eq(first_name)
    expect(page.evaluate_script("document.activeElement.dataset.column === undefined && document.activeElement.dataset.chip !== undefined")).to be(true)
    keys(:enter)
    expect(page).to have_css("[role=dialog]", text: "Chickpeas")
    keys("t")
    expect(page).to have_content("Took 400 g")
    expect(page).to have_css("[role=dialog]", text: "2 x 400 g")
    keys("o")
    expect(page).to have_content("Opened Chickpeas, canned")
    expect(page).to have_css("[role=dialog]", text: "400 g, open")
    keys("l")
    expect(page).to have_content("Looked at Chickpeas, canned: good")
    keys("x")
    expect(page).to have_css("select[name=outcome]:focus")
    keys(:enter)
    keys(:tab, :tab, :tab, :enter)
    expect(page).to have_content("Threw away 400 g")
    expect(page).to have_no_css("[role=dialog]")
    expect(stacks.count { |row| row[:open] }).to eq(0)
    keys("z")
    expect(page).to have_content("Undone: Threw away")
    expect(stacks.count { |row| row[:open] }).to eq(1)
  end

  it "plans and cooks" do
    put_away(who, "canned-chickpeas", "cupboard", count: "4", printed_on: "2026-11-27", printed_kind: "best_before")
    enter(who)
    keys("4")
    expect(page).to have_css("h1", text: "Meals")
    expect(page).to have_button("Put", exact: false)
    tab_to { |text| text.start_with?("Put on") }
    keys(:enter)
    expect(page).to have_link("Cook", exact: false)
    page.execute_script("document.activeElement.blur(); document.body.focus()")
    tab_to { |text| text == "Cook" }
    keys(:enter)
    expect(page).to have_button("Cooked")
    tab_to { |text| text == "Cooked" }
    keys(:enter)
    expect(page).to have_css("h1", text: "Meals")
    expect(page).to have_content("cooked")
  end

  it "acts on the chip in hand without opening it, and asks where a key needs an answer" do
    put_away(who, "canned-chickpeas", "cupboard", count: "4", printed_on: "2027-11-27", printed_kind: "best_before")
    enter(who)
    keys("2")
    expect(page).to have_css(".chip", text: "4 x 400 g")
    page.execute_script("document.querySelector('[data-chip]').focus()")
    keys("t")
    expect(page).to have_content("Took 400 g")
    expect(page).to have_css(".chip", text: "3 x 400 g")
    page.execute_script("document.querySelector('[data-chip]').focus()")
    keys("m")
    expect(page).to have_css("[role=dialog] select[name=place]:focus")
    keys(:escape)
    expect(page).to have_no_css("[role=dialog]")
  end

  it "shows its keys, finds, and lets single keys be switched off" do
    enter(who)
    keys("?")
    expect(page).to have_css("[role=dialog]", text: "walk the shelf")
    keys(:escape)
    expect(page).to have_no_css("[role=dialog]")
    keys("/")
    expect(page).to have_css("[data-find]:focus")
    keys(:tab)
    page.execute_script("localStorage.setItem('nut-shelf.keys-off', 'yes'); document.activeElement.blur()")
    keys("4")
    expect(page).to have_css("h1", text: "Shelf")
  end

  # Tab on until the focus rests on what is wanted; a loop that could not end would be a defect of its own.
  def tab_to
    120.times do
      keys(:tab)
      return if yield page.evaluate_script("document.activeElement.textContent.trim()")
    end
    raise "Tab never reached it."
  end
end
