# frozen_string_literal: true

require "base64"
require_relative "../support/api"

# A new household from its imported pantry to a settled power cut, over the wire.
RSpec.describe "A week without a ferry, from the beginning", :api do
  let!(:ines) { sign_in(household!(people: 5)) }

  def pantry
    <<~CSV
      food,count,amount,best before
      Chickpeas canned,12,400 g,2029-06-30
      Baked beans,10,400 g,2028-09-30
      Chopped tomatoes canned,12,400 g,2028-07-31
      Sweetcorn canned,8,340 g,2028-05-31
      Peaches canned,6,400 g,2028-10-31
      Tuna in water canned,8,140 g,2029-05-31
      Spaghetti,6,500 g,2028-01-31
      Couscous,4,500 g,2028-03-31
      Rolled oats,2,1 kg,2027-10-31
      UHT milk,4,1 l,2027-03-31
      Peanut butter,2,340 g,2027-12-31
      Bottled water,12,5 l,2028-01-31
    CSV
  end

  def today(day) = HouseSupport.clock.day = day

  def imported
    place = place_id(ines, "cupboard")
    file = { content: Base64.strict_encode64(pantry), place_id: place }
    preview = tell("/api/import/preview", file)
    expect(preview["unknown_foods"]).to be_empty
    tell("/api/import", file)
  end

  def gaps(kit)
    ask("/api/kits/#{kit}")["lines"].to_h { |line| [line["line"], line["gap"].to_f] }.select { |_, gap| gap.positive? }
  end

  # Packs are bought whole and each step is worked out anew, so a third of the cost may take four: the largest budget
  # that takes three, as a household finds it.
  def budget_of_three(kit, cost)
    15.downto(0) do |turn|
      budget = (cost / 3.0).ceil + (turn * 100)
      tell("/api/kits/#{kit}/change", { budget_minor: budget })
      return budget if ask("/api/kits/#{kit}/closing")["steps"].size == 3
    end
    0
  end

  # Everything waiting on the list is bought, and put away with dates that reach.
  def shopped(place)
    ask("/api/list")["aisles"].flat_map { |aisle| aisle["items"] }
      .each { |item| tell("/api/list/#{item["ref"]}/mark", { status: "ticked" }) }
    stacks = ask("/api/bought")["lines"].flat_map do |line|
      line["packs"].map do |pack|
        { ref: line["ref"], food_id: line["food_id"], place_id: place, printed_on: "2029-01-31",
          printed_kind: "best_before", **pack.slice("count", "amount", "unit") }
      end
    end
    tell("/api/bought", { stacks: stacks })
  end

  it "keeps a kit for five and a cat: gap, shelf, three steps, boxes, refresh, gale, power cut, undo" do
    imported
    wren = ask("/api/people")["people"].last
    tell("/api/people/#{wren["id"]}/change", { version: wren["version"], age: 9, excludes: ["peanut"] })
    tell("/api/kits/pets", { name: "Biscuit", species: "cat", kg: "4.5" })
    kit = tell("/api/kits", {
      name: "Ferry box", days: 7, refresh_days: ["12-12"], fuel_amount: "920", canister: "230"
    })["kit_id"]
    open = gaps(kit)
    expect(open.keys).to include("water", "cat", "grains", "kcal")

    tell("/api/kits/#{kit}/close", { fetch: true, buy: "none" })
    fetched = gaps(kit)
    expect(fetched["kcal"]).to be < open["kcal"]
    closing = ask("/api/kits/#{kit}/closing")
    expect(budget_of_three(kit, closing["cost_minor"])).to be_positive
    3.times { tell("/api/kits/#{kit}/close", { fetch: false, buy: "step" }) }
    expect(ask("/api/kits/#{kit}/closing")["buy"]).to be_empty
    shopped(place_id(ines, "cupboard"))
    expect(gaps(kit)).to be_empty

    boxes = ask("/api/kits/#{kit}/boxes")["boxes"]
    tell("/api/kits/#{kit}/pack", { boxes: boxes.map do |box|
      { **box.slice("number", "holds"), packs: box["packs"].map { |one| one.slice("lot_id", "count") } }
    end })
    expect(gaps(kit)).to be_empty
    expect(ask("/api/print/kits/#{kit}/boxes")["parts"].size).to be >= boxes.size
    get "/api/labels/lids.pdf?kit=#{kit}"
    expect(last_response.status).to eq(200)

    today(Date.new(2027, 12, 12))
    plan = ask("/api/kits/#{kit}/refresh")
    expect(plan["on"]).to eq("2027-12-12")
    expect(plan["kitchen"]).not_to be_empty
    plan["kitchen"].each { |one| tell("/api/kits/#{kit}/refresh", { take_out: one["lot_id"] }) }
    expect(ask("/api/kits/#{kit}/refresh")["kitchen"]).to be_empty
    tell("/api/kits/#{kit}/refresh", { done: true })
    expect(ask("/api/kits/#{kit}/refresh")["on"]).to eq("2028-12-12")
    today(HouseSupport::TODAY)

    event = tell("/api/events", {
      name: "Gale", hour: (Time.now.utc + 86_400).iso8601, fill_l: "20", flush_l: "20", helpers: 2, days: 3, has: []
    })["event_id"]
    tell("/api/events/#{event}/tick", { key: "fill-water", done: true })
    expect(ask("/api/events")["events"].first["done"].map { |one| one["key"] }).to eq(["fill-water"])

    yoghurt = put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-12-05", printed_kind: "use_by")["lot_id"]
    cut = tell("/api/outages", { started_at: (Time.now.utc - (9 * 3600)).iso8601, freezer_percent: 50 })["outage_id"]
    tell("/api/outages/#{cut}/change", { ended_at: Time.now.utc.iso8601 })
    expect(ask("/api/outages")["outage"]["stacks"].map { |one| one.values_at("lot_id", "verdict") })
      .to include([yoghurt, "throw"])
    settled = tell("/api/outages/#{cut}/settle", { stacks: [{ lot_id: yoghurt }], replace: true })
    expect(settled["thrown"]).to eq(1)
    tell("/api/acts/#{settled["act_id"]}/undo")
    expect(ask("/api/stacks/#{yoghurt}")["stack"]["amount"]).to eq("400 g")
    expect(ask("/api/outages")["outage"]["id"]).to eq(cut)
  end
end
