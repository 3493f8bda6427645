# frozen_string_literal: true

require_relative "../support/api"

# What is looked over before a week is planned.
RSpec.describe "The audit", :api do
  let!(:ines) { sign_in(household!(people: 2)) }
  let(:today) { HouseSupport::TODAY }

  def audit(days = 7) = ask("/api/plan/audit?days=#{days}")

  def names(list) = list.map { |one| one["stack"]["food"] }

  it "has what turns in the days wherever it stands, and not what keeps" do
    put_away(ines, "canned-chickpeas", "cupboard", printed_on: (today + 3).iso8601, printed_kind: "best_before")
    put_away(ines, "canned-lentils", "cupboard", printed_on: (today + 90).iso8601, printed_kind: "best_before")
    expect(names(audit["turning"])).to eq(["Chickpeas, canned"])
    expect(names(audit(92)["turning"])).to include("Lentils, canned")
    put_away(ines, "ham-sliced", "fridge", printed_on: (today + 2).iso8601, printed_kind: "use_by")
    expect(audit["turning"].first).to include("place" => "Fridge", "past" => "400 g", "past_minor" => be_positive)
  end

  it "has what is set apart and comes due, and cooked portions that wait" do
    tins = put_away(ines, "canned-chickpeas", "cupboard", count: "3",
      printed_on: (today + 400).iso8601, printed_kind: "best_before")["lot_id"]
    act(:SetApart, ines, { lot_id: tins, for: "the boat", until: (today + 5).iso8601 })
    put_away(ines, "cooked-rice", "fridge", state: "leftover", made_on: today.iso8601, amount: "300", unit: "g")
    expect(audit["reserved"].first).to include("for" => "the boat", "until" => (today + 5).iso8601)
    expect(audit(3)["reserved"]).to eq([])
    expect(names(audit["waiting"])).to eq(["Cooked white rice, leftover"])
    expect(names(audit["turning"])).not_to include("Cooked white rice, leftover")
  end

  it "spreads a glut over the open meals and the freezer, and the days take it in one act" do
    plums = put_away(ines, "plums", "fridge", amount: "6000", unit: "g")["lot_id"]
    asked = { lot_id: plums, from: today.iso8601, to: (today + 6).iso8601 }
    spread = tell("/api/plan/spread", asked)
    expect(spread["meals"].size).to be >= 2
    expect(spread).to include("freezes" => true, "freezer_id" => place_id(ines, "freezer"))
    expect(spread["rest_amount"].to_r).to be_positive
    meals = spread["meals"].map { |one| one.slice("on", "meal", "recipe_id", "choices") }
    filled = tell("/api/plan/fill", { meals: meals })
    expect(filled["meal_ids"].size).to eq(meals.size)
    expect(tell("/api/plan/spread", asked)["meals"].map { |one| one["on"] } & meals.map { |one| one["on"] }).to eq([])
    tell("/api/acts/#{filled["act_id"]}/undo")
  end

  it "spreads nothing of what nobody should eat" do
    old = put_away(ines, "beef-mince", "fridge", printed_on: (today - 3).iso8601, printed_kind: "use_by")["lot_id"]
    send_json("/api/plan/spread", { lot_id: old, from: today.iso8601, to: (today + 6).iso8601 })
    expect([status, JSON.parse(last_response.body)["reason"]]).to eq([409, "nothing_to_spread"])
  end
end
