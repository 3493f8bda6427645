# frozen_string_literal: true

require_relative "../support/browser"

# As a new user on an empty instance: a household, a foreign list, a phone, two dishes, a shop, a cook, an undo.
RSpec.describe "A new user", :browser do
  let(:empty) do
    url = HouseSupport.owner_url.sub(%r{/[^/]*\z}, "/nut_shelf_new")
    NutShelf::Store::Owner.drop(url)
    app_url = NutShelf::Boot::Wiring.migrated(url)
    NutShelf::Desk::Services.new(**NutShelf::Boot::Wiring.services(app_url).to_h, clock: clock)
  end

  before do
    Capybara.app =
      NutShelf::Api::App.build(
        services: empty,
        secret: "s" * 96,
        build: "new",
        interface: NutShelf::Boot::Web::INTERFACE,
        throttle: false
      )
  end

  after do
    Capybara.reset_sessions!
    empty.database.disconnect
  end

  # Sixty lines as another program would write them: German, semicolons, decimal commas, Windows-1252.
  def german_list
    words =
      CSV
        .read(NutShelf::Boot::LabelLine::WORDS, headers: true)
        .map { |row| row["de"].split(";").first }
        .select { |word| NutShelf::Boot::LabelLine.foreign_words[word].size == 1 }
        .first(60)
    path = File.join(Dir.tmpdir, "nut-shelf-german.csv")
    rows =
      words.each_with_index.map do |word, index|
        "#{word};#{(index % 4) + 1};400 g;#{%w[Vorrat
                                               Kühlschrank][index % 2]};#{format("%02d",
                                                 (index % 28) + 1)}.12.2026;#{(index % 9) + 1},#{10 + (index % 80)}"
      end
    File.write(
      path,
      "Lebensmittel;Anzahl;Inhalt;Lagerort;Mindestens haltbar bis;Preis\r\n#{rows.join("\r\n")}\r\n".encode(
        "Windows-1252"
      )
    )
    path
  end

  def make_household
    visit "/"
    expect(page).to have_css("h1", text: "A new household")
    expect_accessible("the first start")
    fill_in "Name of the household", with: "Our place"
    fill_in "Your name", with: "Ada"
    fill_in "E-mail address, to sign in", with: "ada@example.test"
    fill_in "Password, at least ten characters", with: "long enough for us"
    fill_in "Time zone", with: "Europe/Dublin"
    click_button "Make the household"
    expect(page).to have_content("Start with one place")
  end

  def stock = page.evaluate_async_script("fetch('/api/stacks').then((r) => r.json()).then(arguments[0])")

  it "gets from nothing to a cooked meal" do
    make_household
    visit "/bring-in"
    attach_file("CSV file", german_list)
    expect(page).to have_content("60 lines")
    click_button "Bring in all 60"
    expect(page).to have_content("Brought in 60 stacks")

    visit "/"
    [
      "1 kg rolled oats bb 5/2028 cupboard 1.90",
      "6 eggs bb 12 dec fridge",
      "half jar plum jam opened yesterday fridge"
    ].each do |text|
      line(text)
      expect(page).to have_field("Label line: what do you put away?", with: "")
      expect(page).to have_content("Put away")
    end
    expect(page).to have_css("h2", text: "Front of the shelf")
    first(".chip").click
    expect(page).to have_css("[role=dialog] ol li")
    find("[role=dialog] [aria-label=Close]").click

    visit "/meals"
    expect(page).to have_button("Put on", exact: false)
    2.times do |number|
      first(:button, "Put on", exact: false).click
      expect(page).to have_link("Cook", exact: false, count: number + 1)
      click_button "choose a dish", match: :first
    end
    visit "/shop"
    expect(page).to have_css("h1", text: "Shop")
    before = stock
    visit "/meals"
    first(:link, "Cook", exact: false).click
    click_button "Cooked", wait: 20
    expect(page).to have_css("h1", text: "Meals")
    expect(page).to have_content("Cooked")
    expect(stock["totals"]["value_minor"]).to be < before["totals"]["value_minor"]
    visit "/meals"
    click_button "Lately"
    first(:button, "Undo: Cooked", exact: false).click
    expect(page).to have_content("Undone: Cooked")
    expect(stock["totals"]).to eq(before["totals"])
  end
end
