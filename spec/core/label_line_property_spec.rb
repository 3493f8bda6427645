# frozen_string_literal: true

require "prop_check"
require_relative "support"
require_relative "../../boot/label_line"
require_relative "../../core/quantity/wording"

# Lines made from known facts must read back as those facts, however they are written.
RSpec.describe "Label lines made from facts" do
  generators = PropCheck::Generators
  today = Date.new(2026, 11, 24)
  reader = NutShelf::Boot::LabelLine.demo_reader

  foods = {
    "canned-chickpeas" => ["tins chickpeas", 400, "g"], "dry-pasta" => ["packs pasta", 500, "g"],
    "honey" => ["jars honey", 450, "g"], "apple-juice" => ["cartons apple juice", 1000, "ml"],
    "rolled-oats" => ["bags rolled oats", 1000, "g"], "canned-sardines" => ["tins sardines", 120, "g"],
    "uht-milk" => ["cartons uht milk", 1000, "ml"], "passata" => ["bottles passata", 690, "g"]
  }
  places = {
    "Kitchen cupboard" => "kitchen", "Cellar rack" => "cellar", "Fridge" => "fridge", "Ferry box" => "ferry box"
  }
  dates = [
    ["%Y-%m-%d", :day], ["%d.%m.%Y", :day], ["%-d.%-m.%y", :day], ["%d/%m/%Y", :day], ["%-d %b %Y", :day],
    ["%-d %B %Y", :day], ["%b %-d, %Y", :day], ["%m/%Y", :month], ["%-m/%y", :month], ["%Y-%m", :month],
    ["%b %Y", :month], ["%B %Y", :month], ["end %Y", :year], ["%Y", :year]
  ]

  pick = ->(list) { generators.one_of(*list.map { |entry| generators.constant(entry) }) }
  facts =
    generators.fixed_hash(
      food: pick.call(foods.keys),
      count: generators.choose(2..40),
      place: pick.call(places.keys),
      ahead: generators.choose(40..3000),
      form: generators.choose(0..(dates.size - 1)),
      cents: generators.choose(1..9999),
      order: generators.choose(0..3)
    )

  meant =
    lambda do |date, precision|
      { day: date, month: Date.new(date.year, date.month, -1), year: Date.new(date.year, 12, 31) }.fetch(precision)
    end

  it "read back, whatever the order and the form of the date" do
    PropCheck.forall(facts) do |food:, count:, place:, ahead:, form:, cents:, order:|
      words, size, unit = foods.fetch(food)
      written, precision = dates.fetch(form)
      day = today + ahead
      price = format("€%.2f", cents / 100.0)
      parts = ["#{count} #{words} #{size} #{unit}", "bb #{day.strftime(written)}", places.fetch(place), price].rotate(
        order
      )
      draft = reader.read(parts.join(" "), today: today)
      read =
        draft.to_h.values_at(
          :count, :amount, :unit, :food, :date, :date_kind, :place, :price_minor, :unread, :questions
        )
      expect([parts.join(" "), *read]).to eq(
        [parts.join(" "), count, size, unit, food, meant.call(day, precision), "best_before", place, cents, [], []]
      )
    end
  end

  it "read back the sizes that the wording prints" do
    PropCheck.forall(generators.choose(1..60), generators.choose(1..9999)) do |packs, grams|
      whole = NutShelf::Core::Quantity.of(packs * grams, "g")
      printed = NutShelf::Core::Wording.stack(whole, pack: NutShelf::Core::Quantity.of(grams, "g"))
      draft = reader.read("#{printed} rolled oats", today: today)
      expect([printed, draft.count * draft.amount, draft.food]).to eq([printed, whole.amount, "rolled-oats"])
    end
  end

  it "survive a typo in the food's name" do
    {
      "canned-chickpeas" => %w[chikpeas chickpaes chickpeass], "spaghetti" => %w[spagetti spaghett sphagetti],
      "sauerkraut" => %w[saurkraut sauerkrout], "mustard" => %w[mustrad mustar], "raisins" => %w[rasins raisens]
    }.each do |key, words|
      words.each { |word| expect([word, reader.read("2 packs #{word} 400 g", today: today).food]).to eq([word, key]) }
    end
  end

  it "never take a wrong date in silence: what cannot be one day asks or is left unread" do
    ["31.2.2027", "32.1.2027", "2027-13-01", "30 feb 2027", "0.0.27", "99/99", "2027-02-30"].each do |text|
      draft = reader.read("honey 450 g bb #{text}", today: today)
      expect([text, draft.date, draft.questions.map(&:field).include?("date") || draft.unread.any?]).to eq(
        [text, nil, true]
      )
    end
  end

  it "span exactly the words each field was read from" do
    line = "3 tins chickpeas 400 g bb 5/2028 cellar €2.67"
    spans = reader.read(line, today: today).spans.transform_values { |from, to| line[from...to] }
    expect(spans).to include(amount: "400 g", date: "bb 5/2028", place: "cellar", price: "€2.67")
    expect(spans[:food]).to include("chickpeas")
  end
end
