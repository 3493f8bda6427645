# frozen_string_literal: true

require_relative "../support/api"
require_relative "../../devices/shop_feed"

# What a shop says it has and for how much, on the list; a stand-in reads it from a file.
RSpec.describe "A shop that says what it has", :api do
  rows = [
    { food: "rolled-oats", amount: "500", unit: "g", price_minor: 99 },
    { food: "plain-yoghurt", amount: "500", unit: "g", price_minor: 160, there: false },
    { food: "cream-cheese", amount: "180", unit: "g", price_minor: 200, offer: "third_free" },
    { food: "white-rice", amount: "1000", unit: "g", price_minor: 260, offer: "third_free" },
    { food: "rolled-oats", amount: "1000", unit: "g", price_minor: 900, offer: "two_for" },
    { food: "honey", amount: "450", unit: "g", price_minor: 501, offer: "half_price" }
  ]
  feed = NutShelf::Devices::ShopFeed.read(JSON.generate({ "Quay Stores" => rows }))

  let!(:ines) { sign_in(household!) }
  let(:shop) { act(:KeepShop, ines, { name: "Quay Stores" })["shop_id"] }

  # The same house, with a shop that says something.
  define_method(:app) { @app ||= ApiSupport.built(services: HouseSupport.services.with(shop_feed: feed)) }

  def want(key, par, weekly: nil)
    tell("/api/wants/#{food_id(ines, key)}", { par: par })
    act(:SetFood, ines, { food_id: food_id(ines, key), weekly_said: weekly }) if weekly
  end

  def line(key, query = "?shop=#{shop}")
    ask("/api/list#{query}")["aisles"].flat_map { |aisle| aisle["items"] }
      .find { |one| one["food_id"] == food_id(ines, key) }
  end

  it "is asked for the price of today, half of it where it says so" do
    want("rolled-oats", "500")
    want("honey", "400")
    expect(line("rolled-oats")).to include("cost_minor" => 99, "estimated" => false)
    expect(line("rolled-oats")["packs"]).to match([include("basis" => "asked", "shop" => "Quay Stores")])
    expect(line("honey")).to include("cost_minor" => 251)
    expect(line("rolled-oats", "")).to include("estimated" => true, "in_shop" => nil)
  end

  it "says what is out" do
    want("plain-yoghurt", "400")
    expect(line("plain-yoghurt")["in_shop"]).to include("out" => true, "offers" => [])
  end

  it "says which offer is worth it here, and which is not" do
    want("white-rice", "900", weekly: "400")
    want("cream-cheese", "180", weekly: "30")
    rice, cheese = %w[white-rice cream-cheese].map { |key| line(key)["in_shop"]["offers"].first }
    expect(rice).to include("worth" => true, "all" => true, "count" => 3, "price_minor" => 520)
    expect(rice["kilo_minor"]).to eq(173)
    expect(cheese).to include("all" => false, "of" => "540 g")
    expect(cheese["worth"]).to eq(cheese["kilo_minor"] < cheese["single_minor"])
  end

  it "holds two for a price against what one costs by itself, not against the price of both" do
    want("rolled-oats", "500", weekly: "5000")
    found = line("rolled-oats")["in_shop"]["offers"].first
    expect(found).to include("kind" => "two_for", "count" => 2, "kilo_minor" => 450, "worth" => false)
    expect(found["single_minor"]).to be < 450
  end

  it "is known by its own name alone" do
    market = act(:KeepShop, ines, { name: "The market" })["shop_id"]
    want("plain-yoghurt", "400")
    expect(line("plain-yoghurt", "?shop=#{market}")["in_shop"]).to be_nil
  end
end
