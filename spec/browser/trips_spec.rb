# frozen_string_literal: true

require_relative "../support/browser"

# A trip is written down, filled, and mended.
RSpec.describe "Trips", :browser do
  let(:who) { household! }

  def meals = inside(who) { |house| house.trips.meals(house.trips.all.first.id) }

  it "fills a trip, says what stands against a meal, and takes another dish instead" do
    enter(who)
    visit "/trips"
    expect(page).to have_text("No trip is written down")
    click_button "A new trip"
    fill_in "Name", with: "Two days by the water"
    fill_in "Leaves on", with: "2026-12-05"
    fill_in "Back on", with: "2026-12-06"
    select "Breakfast", from: "Last meal on the way"
    click_button "Save"
    expect(page).to have_css("h1", text: "Two days by the water")
    expect(page).to have_text("0 of ").and have_text("open", minimum: 4)
    click_button "Fill the meals"
    expect(page).to have_text("What it comes to", wait: 20)
    expect(page).to have_no_text("\nopen", wait: 20)
    expect(meals.count { |one| one.kind != "food" }).to eq(4)
    find("button", text: "Dinner").click
    expect(page).to have_css("[role=dialog]", text: "Instead")
    within("[role=dialog]") { find("button", text: "Macaroni cheese", match: :first).click }
    expect(page).to have_text("needs a hob", wait: 10)
    find("button", text: "Dinner").click
    within("[role=dialog]") { click_button "Take off Macaroni cheese" }
    expect(page).to have_css("[role=dialog]", text: "nothing against it")
    expect(meals.count { |one| one.kind != "food" }).to eq(3)
  end

  it "packs from the list, notes what is eaten on the way, and comes home" do
    put_away(who, "dark-chocolate", "cupboard", count: "3", amount: "100", price_minor: 450, printed_on: "2027-08-31",
      printed_kind: "best_before")
    id = act(:KeepTrip, who, { name: "Two days", leaves_on: "2026-11-25", back_on: "2026-11-26" })["trip_id"]
    act(:SetTripMeal, who, { trip_id: id, on: "2026-11-25", meal: "snack", kind: "food", dish: "dark-chocolate",
      grams: "100" })
    enter(who)
    visit "/trips/#{id}/packing"
    expect(page).to have_text("200 g wanted").and have_text("Nothing is packed yet.")
    check "Quick-drying cloth", allow_label_click: true
    wait_until { inside(who) { |house| house.trips.find(id).ticked } == ["cloth"] }
    click_button "Pack Dark chocolate", match: :first
    expect(page).to have_text("200 g packed")
    along = inside(who) { |house| house.reservations.of_trip(id).first.lot_id }
    find("input[aria-label^='How much of Dark']").set("100")
    click_button "Eaten"
    expect(page).to have_no_text("Nothing is packed yet.")
    expect(page).to have_css("input[placeholder='0 g']")
    wait_until { lot(who, along).on_hand == 100 }
    find("input[placeholder='0 g']").set("60")
    click_button "We are home"
    expect(page).to have_text("Everybody is home from this trip.")
    left = inside(who) { |house| house.lots.of_food(food_id(who, "dark-chocolate"), []).sum(&:on_hand) }
    expect(left).to eq(160)
    visit "/trips"
    expect(page).to have_text("Of your last 1 trip")
  end

  it "opens in the tent without network, and sends what was eaten there later" do
    put_away(who, "dark-chocolate", "cupboard", count: "2", amount: "100", printed_on: "2027-08-31",
      printed_kind: "best_before")
    id = act(:KeepTrip, who, { name: "Two days", leaves_on: "2026-11-25", back_on: "2026-11-26" })["trip_id"]
    act(:SetTripMeal, who, { trip_id: id, on: "2026-11-25", meal: "snack", kind: "food", dish: "dark-chocolate",
      grams: "100" })
    along = on_shelf(who).first.id
    act(:PackTrip, who, { trip_id: id, takes: [{ lot_id: along }] })
    enter(who)
    with_worker
    Timeout.timeout(30) { Thread.pass until kept_answers.include?("/api/trips/#{id}/packing") }
    gate.dark = true
    visit "/trips/#{id}"
    expect(page).to have_text("Dark chocolate").and have_text(/You see it as of/)
    visit "/trips/#{id}/packing"
    find("input[aria-label^='How much of Dark']").set("50")
    click_button "Eaten"
    expect(page).to have_text(/wait/i)
    expect(lot(who, along).on_hand).to eq(200)
    gate.dark = false
    expect(page).to have_no_text("You see it as of", wait: 30)
    wait_until { on_shelf(who).sum(&:on_hand) == 150 }
  end

  it "moves a dish a day on with keys, and swaps two by dragging one onto the other" do
    id = act(:KeepTrip, who, { name: "Three days", leaves_on: "2026-11-25", back_on: "2026-11-27" })["trip_id"]
    first = act(:SetTripMeal, who, { trip_id: id, on: "2026-11-25", meal: "dinner", kind: "bag",
                                     dish: "tomato-couscous-bag" })["trip_meal_id"]
    enter(who)
    visit "/trips/#{id}"
    days = -> { meals.to_h { |one| [one.dish, one.on_date.day] } }
    page.execute_script("arguments[0].focus()", find("button", text: "Tomato couscous with seeds"))
    keys(%i[shift down])
    wait_until { days.call == { "tomato-couscous-bag" => 26 } }
    act(:SetTripMeal, who, { trip_id: id, on: "2026-11-25", meal: "dinner", kind: "bag", dish: "jerky-mash-bag" })
    visit "/trips/#{id}"
    find("button", text: "Tomato couscous with seeds").drag_to(find("button", text: /Dinner.*25 Nov/m))
    wait_until { days.call == { "tomato-couscous-bag" => 25, "jerky-mash-bag" => 26 } }
    expect(inside(who) { |house| house.trips.meals(id).map(&:id) }).to include(first)
  end

  it "soaks, eats what is left over, and buys on the way" do
    clock.day = Date.new(2026, 11, 24)
    id = act(:KeepTrip, who, { name: "Two days", leaves_on: "2026-11-25", back_on: "2026-11-26", leaves_hour: 20,
                               first_meal: "dinner", cold: "soft-bag-2", high_c: 12 })["trip_id"]
    act(:SetTripMeal, who, { trip_id: id, on: "2026-11-25", meal: "dinner", kind: "recipe", pinned: true,
                             dish: "bulgur-apricot-pot" })
    act(:SetTripMeal, who, { trip_id: id, on: "2026-11-26", meal: "breakfast", kind: "bag", dish: "oat-apple-bag" })
    enter(who)
    visit "/trips/#{id}"
    find("button", text: /Breakfast.*26 Nov/m, match: :first).click
    within("[role=dialog]") { click_button "Soak the evening before" }
    expect(page).to have_css("[role=dialog]", text: "Do not soak")
    within("[role=dialog]") { find("button", text: "✕").click }
    expect(page).to have_text("In the evening: cold water on")
    find("button", text: /Lunch.*26 Nov/m, match: :first).click
    within("[role=dialog]") { find("button", text: "The rest of Bulgur").click }
    expect(page).to have_text("The rest of Bulgur")
    expect(page).to have_text(/In bags/i).and have_text("roll-top dry bag")
    check "Thu 26 Nov, in 2 days, a shop", allow_label_click: true
    expect(page).to have_text("From Wed 25 Nov")
    expect(page).to have_text(/on the way, Thu 26 Nov/)
  end

  def wait_until = Timeout.timeout(20) { Thread.pass until yield }
end
