# frozen_string_literal: true

require_relative "support"

# What stands beside gnawed packs is looked at first, whatever its date says, until somebody did.
RSpec.describe "What stood beside pests" do
  include CoreSupport

  let(:printed) { { acquired_on: "2026-11-01", printed_on: "2028-01-31", printed_kind: :best_before } }

  def oats(*events, food: "rolled-oats", place: "cupboard", **more)
    date(story(food, place, **printed, **more, events: events))
  end

  it "asks for a look, keeps its date and says why" do
    dating = oats(event(:suspected, "2026-11-20"))
    expect(dating).to have_attributes(state: :look, look_first: true, usable_until: day("2028-01-31"))
    expect(dating.flags.map { |flag| flag[:code] }).to eq([:pests_near])
    expect(dating.steps.last).to eq("Pests were found beside it on 20 Nov 2026: look at it first, whatever its date.")
  end

  it "is good again once somebody looked and found it so, or turning for its days" do
    good = oats(event(:suspected, "2026-11-20"), event(:looked, "2026-11-21", result: :good))
    expect(good).to have_attributes(state: :resting, look_first: false, usable_until: day("2028-01-31"), flags: [])
    turning = oats(event(:suspected, "2026-11-20"), event(:looked, "2026-11-23", result: :turning))
    expect(turning).to have_attributes(state: :front, look_first: false, usable_until: day("2026-11-25"))
  end

  it "is not answered by a look before, nor by one nobody knows the day of" do
    before = oats(event(:looked, "2026-11-19", result: :good), event(:suspected, "2026-11-20"))
    undated = oats(event(:suspected, "2026-11-20"), event(:looked, nil, result: :good))
    expect([before, undated].map(&:state)).to eq(%i[look look])
  end

  it "stays with it into other places, into the freezer and out of it, opened or cooked" do
    [
      event(:moved, "2026-11-21", place: standing("cool_dark")), event(:opened, "2026-11-21"),
      event(:frozen, "2026-11-21", place: standing("freezer"))
    ].each do |later|
      expect(oats(event(:suspected, "2026-11-20"), later)).to have_attributes(state: :look, look_first: true)
    end
    cooked = [event(:cooked, "2026-11-23"), event(:moved, "2026-11-23", place: standing("fridge"))]
    expect(oats(event(:suspected, "2026-11-20"), *cooked)).to have_attributes(state: :look, cooked: true)
  end

  it "counts for those who go by the date too, and a look answers it for them" do
    told = story("rolled-oats", "cupboard", **printed, events: [event(:suspected, "2026-11-20")])
    looked = told.with(events: [*told.events, event(:looked, "2026-11-21", result: :good)])
    expect([told, looked].map { |one| date(one, school: :by_the_date).state }).to eq(%i[look resting])
  end

  it "never makes what is not to eat a matter of looking" do
    expect(oats(event(:looked, "2026-11-10", result: :bad), event(:suspected, "2026-11-20")).state).to eq(:stop)
  end
end
