# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "A power cut over the wire", :api do
  let!(:ines) { sign_in(household!) }
  let!(:mince) { put_away(ines, "beef-mince", "freezer", amount: "500")["lot_id"] }

  def cut(more = "") = ask("/api/outages?now=#{Time.now.utc.iso8601}#{more}")["outage"]

  it "says nothing where there is none, and what to eat first while it lasts" do
    expect(cut).to be_nil
    put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-12-05", printed_kind: "use_by")
    tell("/api/outages", { started_at: (Time.now.utc - 7200).iso8601, freezer_percent: 50 })
    told = cut
    expect(told["hours"].to_f).to be_between(2, 2.1)
    expect(told["stacks"].map { |one| one.values_at("where", "by_hour") }).to eq([%w[fridge 4], %w[freezer 24]])
  end

  it "prepares what is said in the dark by stack and hour, and takes what phones told without knowing its number" do
    put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-12-05", printed_kind: "use_by")
    told = ask("/api/outages/prepared")
    expect(told.values_at("outage", "fridge_hours")).to eq([nil, 4])
    expect(told["freezer"].map { |one| one.values_at("percent", "hours") }).to eq([[100, "48"], [50, "24"], [25, "12"]])
    half = told["stacks"].find { |one| one["lot_id"] == mince }["ways"].find { |way| way["percent"] == 50 }
    expect(half["turns"].map { |turn| turn.values_at("upto", "verdict") })
      .to eq([%w[12 keep], %w[24 refreeze], %w[26 cook_now], [nil, "throw"]])
    reading = { reading: { where: "fridge", c: "7", at: Time.now.utc.iso8601 } }
    expect(tell("/api/outages/current/change", reading)["code"]).to eq("not_fit")
    tell("/api/outages", { started_at: (Time.now.utc - 7200).iso8601, freezer_percent: 50 })
    tell("/api/outages/current/change", reading)
    expect(ask("/api/outages/prepared")["outage"]).to include("freezer_percent" => 50, "read" => ["fridge"])
    expect(cut["readings"].size).to eq(1)
  end

  # Nine hours shut: the yoghurt is over by its rule, whatever its date says.
  it "lets nobody eat, cut, portion, pour, plan or give away what its rule would throw out, until it is settled" do
    printed = { printed_on: "2027-01-30", printed_kind: "best_before" }
    over = put_away(ines, "plain-yoghurt", "fridge", count: "2", amount: "150", **printed)["lot_id"]
    jar = tell("/api/containers", { name: "Jar", kind: "jar", capacity_ml: 1500, owned: 1 })["container_id"]
    offered = -> { at_work(ines) { |work| NutShelf::Desk::LookingBack::GiveAway.new(work).fit?(work.shelf.stack(over)) } }
    expect(offered.call).to be(true)
    cut = tell("/api/outages", { started_at: (Time.now.utc - (9 * 3600)).iso8601, freezer_percent: 50 })["outage_id"]
    tell("/api/outages/#{cut}/change", { ended_at: Time.now.utc.iso8601 })
    ways = {
      "stacks/#{over}/take" => { amount: "150" }, "stacks/#{over}/prepare" => { how: "cooked" },
      "stacks/#{over}/portion" => { count: 2 }, "stacks/#{over}/decant" => { container_id: jar },
      "look-back/give-away" => { stacks: [{ lot_id: over }] },
      "meals" => { lot_id: over, servings: "1", on: "2026-11-25", meal: "dinner" }
    }
    ways.each do |path, body|
      expect([path, tell("/api/#{path}", body)["title"]])
        .to eq([path, "Plain whole-milk yoghurt stood in a power cut that is not settled."])
    end
    expect(offered.call).to be(false)
    expect(tell("/api/stacks/#{over}/throw", { amount: "150", outcome: "binned", why: "turned" })["code"]).to be_nil
  end

  it "tells the verdict by what somebody found, and refuses a finding that is none" do
    id = tell("/api/outages", { started_at: (Time.now.utc - 90_000).iso8601, freezer_percent: 50 })["outage_id"]
    tell("/api/outages/#{id}/change", { ended_at: Time.now.utc.iso8601 })
    verdict = ->(more) { cut(more)["stacks"].first.values_at("verdict", "rule") }
    expect(verdict.call("")).to eq(%w[cook_now two_hour_rule])
    expect(verdict.call("&found=#{mince}:hard")).to eq(%w[keep still_hard])
    expect(verdict.call("&found=#{mince}:warm:3")).to eq(%w[throw two_hour_rule])
    get "/api/outages?found=#{mince}:lukewarm"
    expect(last_response.status).to eq(422)
    done = tell("/api/outages/#{id}/settle", { stacks: [{ lot_id: mince, finding: "warm" }], replace: true })
    expect(done["thrown"]).to eq(1)
    expect(cut).to be_nil
  end
end
