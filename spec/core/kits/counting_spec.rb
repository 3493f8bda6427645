# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/counting"
require_relative "../../../core/kits/refreshing"

RSpec.describe NutShelf::Core::Kits::Counting do
  include KitSupport

  def of(stack, people: house, gear: :burner, **said)
    described_class.new(catalog, figures, must_reach: day("2027-10-31"), people: people, gear: gear, **said).of(stack)
  end

  def tin(**said) = packs("tin", "canned-chickpeas", "400g", until_on: "2029-01-01", **said)

  it "gives the first of several reasons" do
    wrong = { reserved_elsewhere: true, state: :stop, open: true, place: "fridge" }
    expect(wrong.keys.each_index.map { |at| of(tin(**wrong.drop(at).to_h)) }).to eq(%i[elsewhere stopped open cold])
    expect(of(tin)).to eq(:counts)
  end

  it "takes nothing for a store that keeps less than four weeks in a cupboard" do
    lows = catalog.foods.values.filter_map do |food|
      row = catalog.keeping(food, "bought_sealed", "cupboard").row
      [food.key, row.low] if row && !food.key.start_with?("class-")
    end
    short, long = lows.partition { |_, low| low < 28 }
    counted = ->(list) { list.map { |key, _| of(packs(key, key, "1", until_on: "2029-01-01"), gear: :full) }.tally }
    expect(counted.call(short).keys).to eq([:cold])
    expect(counted.call(long).keys).not_to include(:cold)
    expect(lows.map(&:last)).to include(28).or include(30)
  end

  it "leaves out what nobody it is for eats, unless what somebody does not like counts" do
    wren = person("Wren", excludes: ["peanut"].freeze)
    juna = person("Juna", dislikes: ["peanut-butter"].freeze)
    jar = packs("jar", "peanut-butter", "340g", until_on: "2029-01-01")
    expect([of(jar, people: [wren]), of(jar, people: [wren, juna])]).to eq(%i[nobody nobody])
    expect(of(jar, people: [wren, juna], disliked: true)).to eq(:counts)
    expect(of(packs("w", "bottled-water", "5l", until_on: "2029-01-01"), people: [])).to eq(:counts)
  end

  it "sends to the kitchen what is good on the very day of the refresh, for the week that is left" do
    due = packs("due", "canned-chickpeas", "400g", count: 3, until_on: "2027-04-01")
    found = kits::Refreshing.new(%w[04-01 10-01], margin: 30).call(day("2027-04-01"), box: [due], shelf: [])
    expect(found.kitchen.map { |one| [one.stack.id, one.weeks, one.per_week] }).to eq([["due", 1, 3]])
  end
end
