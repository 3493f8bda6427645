# frozen_string_literal: true

require_relative "../support/browser"

RSpec.describe "Every view", :browser do
  let(:who) { household! }

  before do
    put_away(who, "canned-chickpeas", "cupboard", count: "4", printed_on: "2026-11-27", printed_kind: "best_before")
    put_away(who, "canned-chickpeas", "cupboard", count: "2", printed_on: "2026-11-26", printed_kind: "best_before")
    put_away(who, "beef-mince", "fridge", printed_on: "2026-11-20", printed_kind: "use_by")
    put_away(who, "canned-sardines", "cupboard", amount: "85", printed_on: "2026-10-31", printed_kind: "best_before")
    put_away(who, "frozen-peas", "freezer", amount: "1000", printed_on: "2027-05-31", printed_kind: "best_before")
    honey = put_away(who, "honey", "cupboard", amount: "450")
    act(:Take, who, { lot_id: honey["lot_id"], amount: "100" })
    put_away(who, "avocado", "cupboard", count: "2", amount: "1", unit: "piece", state: "unripe")
    salt = put_away(who, "salt", "cupboard", amount: "500", printed_on: "2028-01-31", printed_kind: "best_before")
    act(:SetLevel, who, { lot_id: salt["lot_id"], level: "half" })
    open =
      put_away(
        who, "uht-milk", "cupboard", amount: "1000", unit: "ml", printed_on: "2027-03-31", printed_kind: "best_before"
      )
    act(:Open, who, { lot_id: open["lot_id"] })
    recipe =
      inside(who) do |house|
        house.recipes.values.find { |_, value| value.lines.any? { |entry| entry.food_key == "canned-chickpeas" } }.first
      end
    act(:ChangePlace, who, { place_id: place_id(who, "cupboard"), inner_mm: [800, 350, 400], fill_percent: 50 })
    act(:AddContainer, who, { name: "Jar", kind: "jar", capacity_ml: 500 })
    act(:AddCare, who, { title: "Turn the tins", first_on: "2026-11-20", every_days: 30 })
    @count = act(:StartCount, who, { place_id: place_id(who, "cupboard") })["count_id"]
    act(
      :EnterLine,
      who,
      {
        count_id: @count,
        lot_id: on_shelf(who).find { |row| row.food_key == "honey" }.id,
        found: "gone"
      }
    )
    @kit = act(:SetKit, who, { name: "Ferry box", days: 3 })["kit_id"]
    act(:BeginOutage, who, { started_at: (Time.now.utc - 7200).iso8601, freezer_percent: 50 })
    @meal = act(:PlanMeal, who, { recipe_id: recipe, on: "2026-11-25" })["meal_id"]
    @trip = act(:KeepTrip, who, { name: "Two days", leaves_on: "2026-12-01", back_on: "2026-12-02" })["trip_id"]
    act(:SetTripMeal, who,
      { trip_id: @trip, on: "2026-12-01", meal: "dinner", kind: "recipe", dish: "macaroni-cheese" })
    act(:BeginBatch, who, { process: "drying", cut: "tomatoes",
      takes: [{ lot_id: put_away(who, "tomatoes", "fridge", amount: "900")["lot_id"] }] })
    @recipe = recipe
    @occasion = act(
      :KeepOccasion, who,
      { name: "A feast", recurrence: { kind: "date", month: 12, day: 5 }, meal: "dinner", serve_at: "18:30",
        dishes: [{ dish: inside(who) { |house| house.recipes.find(recipe).key } }], ideas: [{ text: "Lanterns" }] }
    )["occasion_id"]
  end

  def views
    stack = on_shelf(who).first.id
    {
      "/" => "h1",
      "/shelf" => ".chip",
      "/shelf?as=table" => "[role=table]",
      "/shelf?stack=#{stack}" => "[role=dialog] li",
      "/meals" => "article",
      "/meals?span=month" => "ol[aria-label]",
      "/meals/#{@meal}" => "ol",
      "/meals/audit" => "h2",
      "/meals/eat-down" => "form",
      "/make?with=#{stack}" => "h1",
      "/occasions" => "h1",
      "/shop/packs" => "h1",
      "/kits" => "h1",
      "/kits/#{@kit}" => "table",
      "/kits/lasting" => "dl",
      "/kits/power-cut" => "ul li",
      "/look-back" => ".recharts-surface",
      "/look-back/give-away" => "h1",
      "/shop/bought" => "[type=radio], [role=radio], .board",
      "/occasions/#{@occasion}" => "ol li",
      "/recipes" => "ul li",
      "/recipes/#{@recipe}" => "h2",
      "/recipes/new" => "textarea",
      "/recipes/bring-in" => "textarea",
      "/shop" => "h1",
      "/bring-in" => "input[type=file]",
      "/count" => "h1",
      "/count/#{@count}" => "[aria-label='The stack in hand']",
      "/keeping?food=#{food_id(who, "lettuce")}" => "table",
      "/places?place=#{place_id(who, "cupboard")}" => "[role=dialog] h3",
      "/places/#{place_id(who, "cupboard")}/check" => "h2",
      "/portion?food=#{food_id(who, "rolled-oats")}" => "h1",
      "/portion/bags" => "[role=status]",
      "/portion/preserve" => "fieldset",
      "/portion/season" => "section",
      "/portion/bowls" => "fieldset",
      "/trips" => "section",
      "/places/#{place_id(who, "cupboard")}/box" => "section",
      "/trips/#{@trip}" => "h3",
      "/trips/#{@trip}/packing" => "li",
      "/bring-forward" => "h1",
      "/jars" => "h1",
      "/labels?stacks=#{stack}" => "[type=checkbox]",
      "/recall" => "form",
      "/people" => "form",
      "/phones" => "h1",
      "/scanner" => "h2",
      "/scale" => "output",
      "/shelf?stack=#{stack}&do=portion" => "[aria-label='What it does to the date'] li"
    }
  end

  { "wide" => BrowserSupport::WIDE, "phone" => BrowserSupport::PHONE }.each do |name, pair|
    it "has nothing axe complains of, #{name}, light and dark" do
      enter(who)
      size(pair)
      views.each do |path, sign|
        visit path
        expect(page).to have_css(sign).and have_css("main h1")
        expect(page).to have_no_css("[role=status]", text: "…")
        %w[light dark].each do |theme|
          page.execute_script("document.documentElement.dataset.theme = '#{theme}'")
          expect_accessible("#{path} #{theme} #{name}")
        end
      end
    end
  end

  it "has doors that axe finds nothing on" do
    visit "/"
    expect(page).to have_button("Sign in")
    expect_accessible("sign-in")
  end

  it "shows the differences of a count without a complaint" do
    enter(who)
    visit "/count/#{@count}"
    click_button "Finish", match: :first
    expect(page).to have_button("Finish: make the stock so")
    expect_accessible("differences")
  end

  it "shows unsure labels and the one-hand form without a complaint" do
    enter(who)
    fill_in "Label line: what do you put away?", with: "grog 500g mar 27"
    expect(page).to have_content("Which food is it?")
    expect_accessible("an unsure line")
    fill_in "Label line: what do you put away?", with: ""
    click_button "With one hand"
    expect(page).to have_css("[role=dialog]")
    expect_accessible("one hand")
  end
end
