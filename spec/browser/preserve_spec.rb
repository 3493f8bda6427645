# frozen_string_literal: true

require_relative "../support/browser"

# Batches that are dried, from what goes in to what comes out.
RSpec.describe "Preserving", :browser do
  let(:who) { household! }

  def dried(in_g, out_g, hours)
    lot = put_away(who, "tomatoes", "fridge", amount: in_g)["lot_id"]
    id = act(:BeginBatch, who, { process: "drying", cut: "tomatoes", takes: [{ lot_id: lot }] })["batch_id"]
    act(:FinishBatch, who, { batch_id: id, place_id: place_id(who, "cupboard"), out_g: out_g, more_hours: hours,
      passed: true })
  end

  it "expects of the fourth batch what the three before gave, and puts it away once it passed its test" do
    [%w[2400 150 11], %w[3100 230 13], %w[2750 187 12]].each { |one| dried(*one) }
    put_away(who, "tomatoes", "fridge", amount: "5200", price_minor: 910)
    enter(who)
    visit "/portion/preserve"
    expect(page).to have_text("No batch is under way.").and have_text("187 g came out, 6.8 %")
    select page.find_field("What is dried").all("option").map(&:text).grep(/^Tomato/).first, from: "What is dried"
    expect(page).to have_text("Of your last 3 batches: 6.8 % comes out, 12 hours.")
    check "take", allow_label_click: true
    expect(page).to have_text("Gives about 354 g, 1.8 litres")
    click_button "Begin the batch"
    expect(page).to have_text("5.2 kg went in").and have_text("expect 354 g after 12 hours")
    check "Cut evenly; weigh what goes in", allow_label_click: true
    expect(page).to have_checked_field("Cut evenly; weigh what goes in", wait: 10)
    fill_in "Hours more", with: "12.5"
    click_button "Note it"
    expect(page).to have_text("12.5 hours so far")
    click_button "What came out of"
    act(:ReadScale, who, { grams: "349", steady: true })
    click_button "Weigh: Weighed out"
    expect(page).to have_text("It has not passed its test")
    check "passed", allow_label_click: true
    select inside(who) { |house| house.places.find(place_id(who, "cupboard")) }.name, from: "Where it goes"
    expect(page).to have_text(/349 g .*dried at home/)
    click_button "Put it away"
    expect(page).to have_text("349 g came out, 6.7 %").and have_text("No batch is under way.")
    made = inside(who) { |house| house.lots.all }.find { |lot| lot.on_hand == 349 }
    expect(made).to have_attributes(value_minor: 910, situation: "home_dried")
  end
end
