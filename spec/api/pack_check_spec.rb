# frozen_string_literal: true

require_relative "../support/api"

# Whether a big pack is worth it, over the wire.
RSpec.describe "A big pack", :api do
  let!(:ines) { sign_in(household!(people: 2)) }

  def check(key, packs, **more) = tell("/api/pack-check", { food_id: food_id(ines, key), packs: packs, **more })

  def pack(amount, price, unit: "g") = { amount: amount.to_s, unit: unit, price_minor: price }

  # 250 g of cream cheese are good five days once open here, 500 g are twice as much for half as much again.
  it "costs what is eaten of it while it is good" do
    found = check("cream-cheese", [pack(180, 180), pack(500, 300)], use_per_week: "210")
    days = found["good_days"]
    eaten = (210 * days / 7.0).round
    expect(found).to include("use_known" => true, "said" => true, "choice" => eaten * 180 >= 180 * 300 ? 1 : 0)
    expect(found["packs"].map { |one| one["fresh"]["all"] }).to eq([eaten >= 180, false])
    expect(found["packs"][1]["fresh"]).to include("eaten" => "#{eaten} g", "weeks" => (eaten / 210.0).round(1))
    expect(found["packs"][1]["fresh"]["kilo_minor"]).to be_within(2).of(300_000 / (210 * days / 7.0))
  end

  it "is eaten out of the freezer where there is one and the food freezes" do
    found = check("wholemeal-bread", [pack(400, 150), pack(1200, 300)], use_per_week: "400")
    frozen = found["packs"][1]["frozen"]
    expect(frozen).to include("eaten" => "1.2 kg", "all" => true, "kilo_minor" => 250)
    expect(frozen["to_freeze"]).not_to be_nil
    expect(found["frozen_choice"]).to eq(1)
  end

  it "is dried where the guide knows how long it keeps so, and portioned where it has a usual portion" do
    apples = check("apples", [pack(1000, 240), pack(10_000, 900)], use_per_week: "400")
    expect(apples["dried_days"]).to be_positive
    expect(apples["packs"][1]["dried"]["to_freeze"]).not_to be_nil
    expect(check("chicken-thighs", [pack(500, 600)], use_per_week: "200")["dried_days"]).to be_nil
    frozen = check("wholemeal-bread", [pack(1200, 300)], use_per_week: "400")["packs"].first["frozen"]
    expect(frozen["portions"]).to be_positive
  end

  it "knows how fast the food goes where the ledger does, and says where it does not" do
    found = check("white-rice", [pack(1, 250, unit: "g")])
    expect(found).to include("use_known" => false, "choice" => nil)
    expect(found["packs"].first["fresh"]).to include("kilo_minor" => nil, "portion_minor" => nil)
    act(:SetFood, ines, { food_id: food_id(ines, "white-rice"), weekly_said: "700" })
    expect(check("white-rice", [pack(1000, 250)])).to include("use" => "700 g", "use_known" => true, "said" => false)
  end

  it "takes an offer for what it comes to, and opens sealed packs one after the other" do
    offer = ->(kind, price) { { **pack(180, price), offer: kind } }
    found = check("cream-cheese", [pack(180, 180), offer.("two_for", 300), offer.("third_free", 180),
                                   offer.("half_price", 181)], use_per_week: "210")
    expect(found["packs"].map { |one| one.values_at("size", "price_minor") }).to eq(
      [["180 g", 180], ["2 x 180 g", 300], ["3 x 180 g", 360], ["180 g", 91]]
    )
    one = found["packs"].first["fresh"]["kilo_minor"]
    expect(found["packs"][1]["fresh"]["kilo_minor"]).to be_within(1).of(one * 300 / 360.0)
    expect(found["choice"]).to eq(3)
  end

  it "says from which use on the big one is the cheaper" do
    found = check("cream-cheese", [pack(180, 180), pack(500, 300)], use_per_week: "10")
    expect(found["break_even"]).to eq("#{(300 * 7.0 / found["good_days"]).round} g")
    expect(check("cream-cheese", [pack(180, 180), pack(500, 900)], use_per_week: "10")["break_even"]).to be_nil
  end

  it "refuses what nobody can weigh, and changes nothing" do
    refused = check("cream-cheese", [pack(0, 100)])
    expect([last_response.status, refused["title"]]).to match([422, /weighs/])
    expect(ask("/api/acts")["acts"]).to eq([])
  end

  it "names other forms that were bought here, for as much as a kilo" do
    line = inside(ines) { |house| house.recipes.values.values.flat_map(&:lines) }.find do |one|
      one.substitutes.any? && one.food_key.start_with?("canned-")
    end
    other, factor = line.substitutes.first
    put_away(ines, other, "cupboard", amount: "1000", price_minor: 240)
    forms = check(line.food_key, [pack(400, 89)], use_per_week: "200")["forms"]
    expect(forms.map { |one| one["food"] }).to eq([inside(ines) { |house| house.foods.by_key([other])[other].name }])
    expect(forms.first["kilo_minor"]).to be >= (240 * factor).floor
    expect(forms.first["per_hundred"]).to be >= (factor * 100).floor
  end
end
