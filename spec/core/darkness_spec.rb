# frozen_string_literal: true

require_relative "support"

# What a power cut does to a date: it shortens, and only cooking what was still safe lifts that.
RSpec.describe NutShelf::Core::Darkness do
  include CoreSupport

  def dark(verdict, on = "2026-11-24") = event(:dark, on, result: verdict)

  def mince(*events)
    story("beef-mince", "fridge", acquired_on: "2026-11-23", printed_on: "2026-11-28",
      printed_kind: :use_by, events: events)
  end

  it "caps what is eaten or cooked today at that day, as a matter of safety" do
    %i[eat_today cook_now].each do |verdict|
      expect(date(mince(dark(verdict)))).to have_attributes(usable_until: day("2026-11-24"),
        safety_until: day("2026-11-24"))
    end
    expect(date(mince(dark(:keep))).usable_until).to eq(day("2026-11-28"))
  end

  it "lets cooking that day begin anew, and freezing or a good look not" do
    cap = day("2026-11-24")
    expect(date(mince(dark(:cook_now), event(:cooked, "2026-11-24"))).usable_until).to be > cap
    expect(date(mince(dark(:cook_now), event(:looked, "2026-11-24", result: :good))).usable_until).to eq(cap)
    expect(date(mince(dark(:cook_now),
      event(:moved, "2026-11-24", place: standing("freezer")))).usable_until).to eq(cap)
  end

  it "has what thawed and is no danger eaten within a day, and says what froze again" do
    bread = story("white-bread", "freezer", situation: "frozen_at_home", acquired_on: "2026-11-01",
      events: [event(:frozen, "2026-11-01"), dark(:eat_soon)])
    expect(date(bread).usable_until).to eq(day("2026-11-25"))
    again = story("frozen-peas", "freezer", situation: "bought_frozen", acquired_on: "2026-11-01",
      events: [dark(:refreeze)])
    expect(date(again).flags.map { |flag| flag[:code] }).to include(:froze_again)
  end

  it "never makes a date later" do
    random = Random.new(61)
    keys = %w[beef-mince cheddar white-bread frozen-peas canned-chickpeas plain-yoghurt]
    80.times do
      place = %w[fridge freezer].sample(random: random)
      told = { acquired_on: "2026-11-#{random.rand(10..23)}" }
      told[:situation] = "bought_frozen" if place == "freezer"
      key = keys.sample(random: random)
      verdict = %i[eat_today cook_now eat_soon refreeze refreeze_poorer keep].sample(random: random)
      plain = date(story(key, place, **told)).usable_until
      after = date(story(key, place, **told, events: [dark(verdict)])).usable_until
      expect(after || plain || day("2099-01-01")).to be <= (plain || day("2099-01-01"))
    end
  end
end
