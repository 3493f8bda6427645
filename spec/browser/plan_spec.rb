# frozen_string_literal: true

require_relative "../support/browser"

# A week of meals in the browser: filled, kept, swapped, slid, and what its evenings are like.
RSpec.describe "Planning a week", :browser do
  let(:who) { household!(people: 2) }
  let(:today) { HouseSupport::TODAY }

  def rows = inside(who) { |house| house.meals.between(today, today + 6) }

  # A dish whose neighbour and itself nobody eats again.
  def swappable(besides: nil)
    fed = rows.flat_map { |row| [row.from_meal_id, (row.id if row.kind == "leftovers")] }.compact
    rows.find do |row|
      ahead = (row.on_date - today).to_i
      following = rows.find { |one| one.on_date == row.on_date + 1 }
      ahead.between?(1, 5) && ahead != besides && ![row.id, following&.id].intersect?(fed)
    end
  end

  def day(ahead) = all(".week-day")[ahead]

  def more(name, choice)
    click_button("More for #{name}", exact: false, match: :first)
    find("[role=menuitem]", text: choice).click
  end

  # Fewer meals hang together, so that any of them can be moved.
  def no_leftovers
    version = inside(who) { |house| house.household.row.version }
    act(:SetHousehold, who, { version: version, settings: { plan_rules: { leftovers: "rather_not" } } })
  end

  it "fills the open meals, keeps one, swaps one, slides one by keys, and takes the filling back" do
    put_away(who, "canned-chickpeas", "cupboard", count: "4", printed_on: "2026-11-28", printed_kind: "best_before")
    no_leftovers
    enter(who)
    visit "/meals"
    click_button "Fill the open meals"
    expect(page).to have_css(".week-day article", minimum: 7, wait: 15)
    expect(page).to have_content("Filled 7 meals")
    first_name = day(0).find("article h3", match: :first).text

    more(first_name, "Keep")
    expect(day(0)).to have_content("kept")
    at = (swappable.on_date - today).to_i
    second = day(at).find("article h3", match: :first).text
    day(at).click_button("More for", exact: false, match: :first)
    find("[role=menuitem]", text: "Swap").click
    expect(page).to have_content("Choose instead of #{second}")
    first(:button, "Put it there").click
    expect(page).to have_no_css(".week-day:nth-child(#{at + 1}) h3", text: second)
    third = swappable(besides: at)
    day((third.on_date - today).to_i).find("article", match: :first).send_keys(%i[shift right])
    expect(page).to have_content("Slid")
    slid = -> { inside(who) { |house| house.meals.listed_one(third.id).on_date } }
    expect(slid.()).to eq(third.on_date + 1)

    click_button "Lately"
    first(:button, "Undo: Slid", exact: false).click
    expect(page).to have_content("Undone: Slid")
    expect(slid.()).to eq(third.on_date)
  end

  it "fills one meal alone, and puts a second dish beside the first" do
    no_leftovers
    enter(who)
    visit "/meals"
    within(day(1)) { click_button "Fill it: dinner", exact: false }
    expect(page).to have_css(".week-day article", count: 1, wait: 15)
    expect(page).to have_content("Filled 1 meal")
    day(1).click_button("More for", exact: false, match: :first)
    find("[role=menuitem]", text: "Another dish beside it").click
    first(:button, "Put on", exact: false).click
    expect(page).to have_css(".week-day article", count: 2)
    expect(day(1)).to have_css("article", count: 2)
    meals = inside(who) { |house| house.meals.between(today, today + 6) }
    expect(meals.map { |meal| [meal.on_date, meal.meal] }.uniq).to eq([[today + 1, "dinner"]])
  end

  it "says who eats and how long there is, for a day and for every such weekday" do
    enter(who)
    visit "/meals"
    day(1).click_button("who eats", exact: false)
    within("[role=dialog]") do
      select "eaten in shifts", from: "What kind of meal"
      fill_in "Minutes free before it", with: "20"
      check "So every Wednesday"
      fill_in "Called what (“football”)", with: "Football"
      click_button "Keep it so"
    end
    expect(day(1)).to have_content("eaten in shifts, 20 min")
    visit "/meals?from=2026-12-01"
    expect(day(1)).to have_content("eaten in shifts, 20 min")
  end

  it "takes what the household wants of its plans, and which meals are planned" do
    enter(who)
    visit "/meals"
    click_button "Rules"
    within("[role=dialog]") do
      check "breakfast"
      select "eat it down", from: "The shelf"
      fill_in "Spend at most, in a week (empty: as much as it takes)", with: "42,50"
      click_button "Keep it so"
    end
    expect(day(0)).to have_css("button", text: "breakfast")
    expect(page).to have_content("of €42.50 you set")
    settings = inside(who) { |house| house.household.row.settings }
    expect(settings).to include("planned_meals" => %w[breakfast dinner])
    expect(settings["plan_rules"]).to include("shelf" => "eat_down", "waste" => "usual")
  end

  it "goes without a cook: eating out, and putting a dish aside" do
    enter(who)
    visit "/meals"
    day(0).click_button("Eat out", exact: false)
    expect(day(0)).to have_content("Eating out")
    first(:button, "Put on", exact: false).click
    expect(page).to have_link("Cook", exact: false)
    name = find("article", text: "Cook").find("h3").text
    more(name, "Put aside")
    expect(page).to have_css("h2", text: "Put aside")
  end
end
