# frozen_string_literal: true

require_relative "../support/api"

# What a device sends: when it was done, and what comes back so that one chip can be redrawn.
RSpec.describe "Letters", :api do
  let!(:who) { sign_in(household!) }
  let(:tins) { put_away(who, "canned-chickpeas", "cupboard", count: "3", occurred_on: "2026-11-10")["lot_id"] }

  def enveloped(on:, sequence: "1764000000000", held: "yes")
    {
      "Act-Device" => "phoneofjuna", "Act-Sequence" => sequence, "Act-On" => on, "Act-Held" => held
    }.each { |name, value| header name, value }
  end

  it "notes an act on the day its envelope says" do
    enveloped(on: "2026-11-22")
    tell("/api/stacks/#{tins}/take", { amount: "400" })
    expect(ask("/api/acts")["acts"].first).to include("kind" => "take", "occurred_on" => "2026-11-22")
  end

  it "says what of a late act could not be done" do
    enveloped(on: "2026-11-22")
    expect(tell("/api/stacks/#{tins}/take", { amount: "2000" })["unsettled"].first).to include("still there")
  end

  it "refuses an envelope it cannot read, and one too old, in words" do
    enveloped(on: "soon")
    send_json("/api/stacks/#{tins}/take", {})
    expect([last_response.status, JSON.parse(last_response.body)["title"]]).to eq(
      [422, "The letter's envelope cannot be read."]
    )
    enveloped(on: "2026-09-01")
    send_json("/api/stacks/#{tins}/take", {})
    expect(JSON.parse(last_response.body)).to include(
      "status" => 409,
      "code" => "too_late",
      "title" => match(/too long ago/)
    )
  end

  it "answers an act with the stacks it touched as they are now, and those that are gone" do
    taken = tell("/api/stacks/#{tins}/take", { amount: "400" })["touched"]
    expect(taken).to eq("stacks" => ask("/api/stacks")["stacks"], "gone" => [])
    expect(taken["stacks"].first["amount"]).to eq("2 x 400 g")
    rest = tell("/api/stacks/#{tins}/throw", { outcome: "binned", why: "turned" })
    expect(rest["touched"]).to eq("stacks" => [], "gone" => [tins])
    expect(tell("/api/acts/#{rest["act_id"]}/undo")["touched"]["stacks"].map { |stack| stack["id"] }).to eq([tins])
  end
end
