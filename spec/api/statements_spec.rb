# frozen_string_literal: true

require_relative "../support/api"
require_relative "../../bench/replay"

# However much a household has, a view asks for it in as many statements: what grows with the rows is asked at once.
RSpec.describe "Statements of a view", :api do
  let!(:ines) { sign_in(household!) }

  # Something of everything that views list, once more.
  def live(number)
    foods = inside(ines) { |house| house.foods.all }.select { |food| food.dimension == "mass" }.sort_by(&:key)
    foods[number * 4, 4].each { |food| stock(food, number) }
    more_places(number)
    learn(foods[number], number)
    meals(number)
  end

  def stock(food, number)
    lot = put_away(ines, food.key, "cupboard", count: "2", printed_on: "2026-11-26", printed_kind: "best_before")
    put_away(ines, food.key, "freezer", count: "2")
    act(:AddCare, ines, { title: "Look #{number}", first_on: "2026-11-24", lot_id: lot["lot_id"] })
    act(:SetApart, ines, { lot_id: lot["lot_id"], amount: "10", for: "the boat" })
  end

  def more_places(number)
    place = act(:AddPlace, ines, { name: "Shed #{number}", kind: "cupboard", tier: "backstock" })["place_id"]
    put_away(ines, "canned-chickpeas", "cupboard", place_id: place, count: "3")
    act(:StartCount, ines, { place_id: place })
    act(:AddContainer, ines, { name: "Jar #{number}", kind: "jar", capacity_ml: 500 })
    act(:AddPerson, ines, { name: "Mo #{number}", portion_factor: "1" })
  end

  def learn(food, number)
    code = %w[4006381333931 4000417025005 5000159407236].fetch(number)
    act(:LearnBarcode, ines, { code: code, food_id: food.id, amount: "450", unit: "g" })
  end

  def meals(number)
    recipes = inside(ines) { |house| house.recipes.values.keys }
    2.times do |one|
      act(:PlanMeal, ines, { recipe_id: recipes[(number * 7) + one], on: (HouseSupport::TODAY + one).iso8601 })
    end
  end

  def counted
    %w[
      today stacks foods?usual=yes places meals dishes list bought
      bring-forward containers care counts people barcodes acts look-back look-back/by/food look-back/give-away kits
      kits/lasting
    ].to_h do |path|
      services.forget
      replay = Replay.of(services.database.sequel) { get "/api/#{path}" }
      expect([path, last_response.status]).to eq([path, 200])
      [path, replay.reads.size]
    end
  end

  it "are as many, however much there is" do
    live(0)
    live(1)
    before = counted
    live(2)
    expect(counted).to eq(before)
  end
end
