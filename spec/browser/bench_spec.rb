# frozen_string_literal: true

require_relative "../support/browser"

# Packs become portions, shown before anything moves.
RSpec.describe "The bench", :browser do
  let(:who) { household! }

  it "shows size, cost and dates, portions in one act, and offers the labels" do
    put_away(who, "chicken-thighs", "fridge", count: "4", amount: "900", price_minor: 2999, printed_on: "2026-11-26",
      printed_kind: "use_by")
    freezer = inside(who) { |house| house.places.find(place_id(who, "freezer")) }
    enter(who)
    visit "/portion?food=#{food_id(who, "chicken-thighs")}"
    expect(page).to have_button("Portion it", disabled: true)
    check "take", allow_label_click: true
    act(:ReadScale, who, { grams: "150", steady: true })
    click_button "Weigh: Trim, weighed"
    expect(page).to have_field("Trim, weighed, in g", with: "150")
    fill_in "How many portions", with: "13"
    select freezer.name, from: "Freezer for the rest"
    fill_in "How many stay fresh", with: "2"
    expect(page).to have_text("13 portions of").and have_text("9 at").and have_text(/2 x .*Fridge/i)
    expect(inside(who) { |house| house.lots.of_food(food_id(who, "chicken-thighs"), []).size }).to eq(1)
    click_button "Portion it"
    expect(page).to have_link("Print their labels")
    made = inside(who) { |house| house.lots.of_food(food_id(who, "chicken-thighs"), []) }
    expect(made.sum(&:on_hand)).to be_within(Rational(1, 100)).of(3450)
    expect(made.sum(&:value_minor)).to eq(2999)
    click_link "Print their labels"
    expect(page).to have_css("h1", text: "Labels")
    expect(page.all("input[type=checkbox]:checked").size).to eq(made.size)
  end

  it "adds a quarter of a tin to each portion, of which nobody hears before it is opened for them" do
    put_away(who, "chicken-thighs", "fridge", amount: "900", price_minor: 900)
    tin = put_away(who, "canned-tuna-water", "cupboard", amount: "140", price_minor: 120, printed_on: "2029-05-31",
      printed_kind: "best_before")["lot_id"]
    enter(who)
    visit "/portion?food=#{food_id(who, "chicken-thighs")}"
    check "take", allow_label_click: true
    find("summary", text: "Added to each portion").click
    find_field("Which stack?").find("option", text: "Tuna in water").select_option
    fill_in "or one pack for so many", with: "4"
    click_button "Add to each"
    expect(page).to have_text("4 portions of 260 g").and have_text("4 at").and have_text("2.55")
    expect(lot(who, tin).on_hand).to eq(140)
    click_button "Portion it"
    expect(page).to have_link("Print their labels")
    expect(lot(who, tin).on_hand).to eq(0)
    expect(on_shelf(who).map(&:label)).to all(eq("Chicken thighs with tuna in water"))
  end

  it "keeps a bag of one's own, to be filled again and taken off" do
    %w[couscous walnuts].each { |key| put_away(who, key, "cupboard", amount: "400", price_minor: 300) }
    enter(who)
    visit "/portion/bags"
    select "One of my own", from: "Which bag?"
    { "Couscous" => "80", "Walnut halves" => "20" }.each do |name, grams|
      find_field("Put in besides").find("option", text: name).select_option
      fill_in "How much", with: grams
      click_button "Put in"
      expect(page).to have_button("Leave out #{name}")
    end
    expect_accessible("a bag of one's own")
    fill_in "Its name", with: "Quay couscous"
    fill_in "Water to add, in ml", with: "170"
    fill_in "It stands for, in min", with: "6"
    click_button "Keep it as a bag of ours"
    expect(page).to have_text("Kept the bag Quay couscous")
    select "Quay couscous, ours: 5 possible", from: "Which bag?"
    expect(page).to have_field("Couscous, g", with: "80")
    kept = inside(who) { |house| house.own_bags.all.first }
    expect(kept).to have_attributes(water_ml: 170, stand_minutes: 6, meal: "dinner", water_heat: "boil")
    click_button "Take this bag off the list"
    expect(page).to have_text("Took the bag Quay couscous off")
    expect(inside(who) { |house| house.own_bags.all }).to be_empty
  end

  it "fills eighteen of twenty bags, says why not more, and weighs a scoop more" do
    { "whole-milk-powder" => %w[460 613], "cocoa-powder" => %w[125 155], "sugar-white" => %w[1000 109],
      "protein-powder-cocoa" => %w[500 1500] }.each do |key, (amount, price)|
      put_away(who, key, "cupboard", amount: amount, price_minor: price.to_i, printed_on: "2027-12-31",
        printed_kind: "best_before")
    end
    enter(who)
    visit "/portion/bags"
    select "Cup of cocoa: 18 possible", from: "Which bag?"
    fill_in "How many bags", with: "20"
    expect(page).to have_text("18 of 20 bags").and have_text("Whole milk powder: 40 g missing for 20.")
    expect(page).to have_text("46 g, 48.5 g packed")
    select "Whey protein powder, cocoa", from: "Put in besides"
    fill_in "How much", with: "30"
    click_button "Put in"
    expect(page).to have_text("76 g, 78.5 g packed").and have_text("Without the change: 46 g")
    act(:ReadScale, who, { grams: "28", steady: true })
    click_button "Weigh: Whey protein powder, cocoa"
    expect(page).to have_text("74 g, 76.5 g packed")
    click_button "Leave out Whey protein powder, cocoa"
    expect(page).to have_no_text("Without the change")
    click_button "Fill the bags"
    expect(page).to have_link("Print their labels")
    bags = on_shelf(who).select { |stack| stack.noun == "bag" }
    expect(bags.sum(&:on_hand)).to eq(18)
  end
end
