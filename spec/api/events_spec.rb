# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "The hours before an event, over the wire", :api do
  let!(:ines) { sign_in(household!(people: 2)) }
  let(:now) { Time.now.utc }

  def events = ask("/api/events?now=#{now.iso8601}")["events"]

  it "counts back from the hour, takes ticks, and ends" do
    put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-12-05", printed_kind: "use_by")
    expect(events).to eq([])
    id = tell("/api/events", {
      name: "Gale", hour: (now + (40 * 3600)).iso8601, fill_l: "40", flush_l: "20", helpers: 2, days: 4, has: ["car"]
    })["event_id"]
    gale = events.first
    expect(gale.values_at("name", "hours_left", "begin_at")).to eq(["Gale", 39, gale["tasks"].first["start"]]).or eq(
      ["Gale", 40, gale["tasks"].first["start"]]
    )
    expect(gale["tasks"].map { |task| task["key"] }).to include("fuel-car", "fill-water")
    expect(gale["eat_first"].map { |one| one["name"] }).to eq(["Plain whole-milk yoghurt"])
    expect(gale["fresh"].map { |group| group["label"] }).to eq(%w[Fruit Vegetables])
    done = tell("/api/events/#{id}/tick", { key: "fill-water", done: true })
    expect(ask("/api/stacks/#{done["lot_id"]}")["stack"]["amount"]).to eq("4 x 10 l")
    expect(events.first["done"].map do |task|
      task.values_at("key", "by")
    end).to eq([["fill-water", "Keeper #{ines_number}"]])
    tell("/api/events/#{id}/change", { gone: true })
    expect(events).to eq([])
  end

  def ines_number = inside(ines) { |house| house.household.person(ines.account_id) }[/\d+/]

  it "makes one meal for all of a small leftover and tins, and prints the whole for the fridge door" do
    put_away(ines, "cooked-rice", "fridge", amount: "180", situation: "left_over", made_on: "2026-11-24")
    put_away(ines, "canned-chickpeas", "cupboard", count: "2", printed_on: "2029-06-30", printed_kind: "best_before")
    id = tell("/api/events", {
      name: "Gale", hour: (now + (40 * 3600)).iso8601, fill_l: "40", flush_l: "20", helpers: 2, days: 4, has: []
    })["event_id"]
    expect(events.first["stretched"].map { |one| one.values_at("name", "feeds", "tin", "count") })
      .to eq([["Cooked white rice, leftover", 1, "Chickpeas, canned", 1]])
    paper = ask("/api/print/events/#{id}?now=#{now.iso8601}")
    expect(paper["title"]).to eq("Before it comes: Gale")
    clock = paper["parts"].first
    expect(clock["rows"].size).to eq(events.first["tasks"].size)
    expect(clock["rows"].first[1]).to match(/\A\w{3} \d+ \w{3}, \d\d:\d\d\z/)
    expect(paper["parts"].find { |part| part["heading"] == "One meal for all" }["items"].first).to include("Chickpeas")
    get "/api/print/events/#{id}/pdf"
    expect(last_response.content_type).to eq("application/pdf")
    put_away(ines, "cooked-rice", "fridge", amount: "900", situation: "left_over", made_on: "2026-11-24")
    expect(events.first["stretched"].size).to eq(1)
  end

  it "feeds nobody a leftover or a tin somebody at the table may not have" do
    put_away(ines, "cooked-pasta", "fridge", amount: "180", situation: "left_over", made_on: "2026-11-24")
    put_away(ines, "canned-chickpeas", "cupboard", count: "2", printed_on: "2029-06-30", printed_kind: "best_before")
    tell("/api/events", {
      name: "Gale", hour: (now + (40 * 3600)).iso8601, fill_l: "40", flush_l: "20", helpers: 2, days: 4, has: []
    })
    expect(events.first["stretched"].size).to eq(1)
    person = ask("/api/people")["people"].last
    change = lambda do |excludes|
      version = ask("/api/people")["people"].last["version"]
      tell("/api/people/#{person["id"]}/change", { version: version, excludes: excludes })
    end
    change.(["gluten"])
    expect(events.first["stretched"]).to be_empty
    change.(["peanut"])
    expect(events.first["stretched"].size).to eq(1)
  end

  it "leaves out what there is no time for, and says so" do
    tell("/api/events", {
      name: "Gale", hour: (now + 7200).iso8601, fill_l: "40", flush_l: "0", helpers: 1, days: 2, has: []
    })
    told = events.first
    expect(told["left_out"].map { |task| task["key"] }).to include("freeze-bottles")
    expect(told["tasks"].map { |task| task["start"] }).to eq(told["tasks"].map { |task| task["start"] }.sort)
    get "/api/events?now=noon"
    expect(last_response.status).to eq(422)
  end
end
