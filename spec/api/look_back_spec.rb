# frozen_string_literal: true

require_relative "../support/api"
require "csv"

# What became of the food as the interface, a spreadsheet and the printer get it.
RSpec.describe "The look back", :api do
  let!(:ines) { sign_in(household!) }
  let(:today) { HouseSupport::TODAY }
  let(:tins) { put_away(ines, "canned-chickpeas", "cupboard", count: "3", price_minor: 270)["lot_id"] }

  def look(rest = "") = ask("/api/look-back#{rest}")

  before do
    tell("/api/stacks/#{tins}/take", { amount: "400" })
    tell("/api/stacks/#{tins}/throw", { amount: "200", outcome: "binned", why: "turned" })
  end

  it "tells the last eight weeks from a Monday on, week by week" do
    told = look
    expect(told.values_at("from", "to", "first")).to eq(%w[2026-10-05 2026-11-24 2026-11-24])
    expect(told["total"]).to include("leaving_minor" => 135, "wasted_minor" => 45, "waste_permille" => 333,
      "wasted" => "200 g")
    expect(told["weeks"].map do |week|
      week["from"]
    end).to include("2026-10-05", "2026-11-23").and have_attributes(size: 8)
    expect(told["weeks"].last).to include("spent_minor" => 270, "stock_minor" => 135)
    expect(told["balance"]).to include("opening_minor" => 0, "closing_minor" => 135)
  end

  it "adds up every way, with what is behind each row" do
    %w[reason food group place shop pack person week].each do |way|
      rows = look("/by/#{way}")["rows"]
      expect([way, rows.sum { |row| row["leaving_minor"] }]).to eq([way, 135])
      behind = rows.flat_map { |row| look("/by/#{way}/behind?key=#{CGI.escape(row["key"])}")["outcomes"] }
      expect([way, behind.sum { |one| one["value_minor"] }]).to eq([way, 135])
    end
    expect(look("/by/reason")["rows"].map { |row| row["name"] }).to eq(["Binned, it turned", "Eaten"])
    expect(look("/by/spent/behind?key=2026-11-23")["outcomes"]).to match(
      [include("how" => "Bought", "value_minor" => 270, "amount" => "1.2 kg")]
    )
  end

  it "leaves as CSV, by any way and by week" do
    rows = %w[food weeks].to_h do |way|
      get "/api/look-back/by/#{way}/file"
      expect(last_response.headers["content-disposition"]).to include("look-back-#{way}.csv")
      text = last_response.body.force_encoding("UTF-8").delete_prefix("\uFEFF")
      [way, CSV.parse(text, headers: true)]
    end
    expect(rows["food"].first.to_h).to include("food" => "Chickpeas, canned", "eaten" => "0.90", "binned" => "0.45",
      "of it in %" => "33.3")
    last = rows["weeks"][-1]
    expect(last.to_h).to include("spent" => "2.70", "protein" => "2.70", "protein a person and day" => "0.68")
  end

  it "prints a month on a page" do
    paper = ask("/api/print/month?from=2026-11-10")
    expect(paper["subtitle"]).to start_with("1 Nov 2026 to 24 Nov 2026")
    cells = paper["parts"].flat_map { |part| part["rows"] }
    expect(cells).to include(["Binned", "0.45", "200 g", "33.3 %"], ["= In the house after", "1.35"])
    get "/api/print/month.pdf"
    expect(last_response.body).to start_with("%PDF")
  end

  it "refuses days that cannot be looked back over, and ways nobody knows" do
    ["?from=2026-11-20&to=2026-11-10", "?from=2020-01-01", "?from=soon"].each do |rest|
      expect(look(rest)).to include("status" => 422)
    end
    expect([look("/by/star"), look("/by/star/file")]).to all(include("status" => 404))
    expect(ask("/api/print/month?from=2027-02-01")).to include("status" => 422)
  end

  it "advises, and offers what can be given away" do
    expect(look("/advice").keys).to eq(%w[advice followed keeping eat_downs])
    long = put_away(ines, "honey", "cupboard", printed_on: "2028-01-31", printed_kind: "best_before")["lot_id"]
    clock.day = today + 70
    offers = look("/give-away")["stacks"]
    expect(offers).to match([include("stack_id" => long, "why" => "unused", "until" => "2028-01-31")])
    paper = ask("/api/print/give-away")
    expect(paper["parts"].first["rows"].first).to include("[ ]", "31 Jan 2028")
    done = tell("/api/look-back/give-away", { stacks: [{ lot_id: long, amount: offers.first["raw"] }], to: "Fenna" })
    expect(done["summary"]).to eq("Gave away one stack to Fenna")
    expect(look("/give-away")["stacks"]).to be_empty
  end
end
