# frozen_string_literal: true

require_relative "support"
require_relative "../../boot/label_line"

RSpec.describe NutShelf::Core::LabelLine::Reader do
  def reader(**settings)
    places = JSON.parse(File.read(NutShelf::Boot::LabelLine::DEMO)).map { |place| known(place["name"], place["kind"]) }
    lexicon =
      NutShelf::Core::LabelLine::Lexicon.new(
        foods: NutShelf::Boot::Reference.catalog.foods,
        names: NutShelf::Boot::LabelLine.names,
        places: settings.delete(:places) || places,
        nicknames: {
          "biscuit's beans" => "cat-food-wet"
        }
      )
    described_class.new(lexicon, **settings)
  end

  def known(name, kind) = NutShelf::Core::LabelLine::KnownPlace.new(name: name, kind: kind)

  def read(line, **settings) = reader(**settings).read(line, today: Date.new(2026, 11, 24))

  def facts(draft)
    {
      "count" => draft.count,
      "amount" => draft.amount,
      "unit" => draft.unit,
      "food" => draft.food,
      "date" => draft.date&.iso8601,
      "kind" => draft.date_kind,
      "opened" => draft.opened_on&.iso8601,
      "frozen" => draft.frozen_on&.iso8601,
      "place" => draft.place,
      "price" => draft.price_minor,
      "state" => draft.state,
      "lot" => draft.lot_text,
      "asks" => draft.questions.map(&:field),
      "unread" => draft.unread
    }
  end

  def wanted(text)
    said = text.scan(/(\w+)=(\S+)/).to_h
    %w[count amount unit food date kind opened frozen place price state lot]
      .to_h { |key| [key, said[key]] }
      .tap do |want|
        %w[count amount].each { |key| want[key] &&= want[key].to_r }
        want["price"] &&= want["price"].to_i
        want["place"] &&= want["place"].tr("_", " ")
        %w[asks unread].each { |key| want[key] = said.fetch(key, "").split(",") }
      end
  end

  def self.lines(file) = File.readlines(File.join(__dir__, file), chomp: true)

  cases = lines("label_line_cases.txt").reject { |row| row.start_with?("#") }.map { |row| row.split(" | ", 2) }.freeze

  cases.each do |line, answer|
    it "reads #{line.inspect}" do
      expect(facts(read(line))).to eq(wanted(answer))
    end
  end

  households = {
    "demo" => {},
    "us" => {
      places: ["Shelf 1", "Shelf 2", "Camper", "Camper fridge", "Freezer", "Freezer drawer 2", "Pantry", "Fridge"],
      measures: NutShelf::Core::LabelLine::Units::MEASURES.fetch("us"),
      day_order: :mdy,
      currency: "USD"
    },
    "de" => {
      places: %w[Vorratsschrank Kühlschrank Keller],
      languages: %w[en de]
    },
    "fr" => {
      places: %w[Placard Frigo],
      languages: %w[en fr]
    },
    "es" => {
      places: %w[Despensa Nevera],
      languages: %w[en es]
    }
  }.freeze
  habits =
    %w[label_line_habits.txt label_line_kitchens.txt label_line_shelves.txt]
      .flat_map { |file| lines(file) }
      .slice_before(/\A## /)
      .flat_map do |section|
        household = section.first[/\A## (\w+)/, 1]
        section.grep(%r{ \| }).map { |row| [household, *row.split(" | ", 2)] }
      end

  habits.each do |household, line, answer|
    it "reads #{line.inspect} in the household #{household}" do
      expect(facts(at_home(line, **households.fetch(household)))).to eq(wanted(answer))
    end
  end

  it("has at least 350 lines with right answers") { expect(cases.size + habits.size).to be >= 550 }

  # A line as that household reads it; its places tell their kind by their names.
  def at_home(line, places: nil, **settings)
    known = places ? NutShelf::Boot::LabelLine.places(JSON.generate(places)) : NutShelf::Boot::LabelLine.demo_places
    NutShelf::Boot::LabelLine.reader(places: known, **settings).read(line, today: Date.new(2026, 11, 24))
  end

  it "offers both readings of a date it will not guess" do
    answers = read("passata 500g bb mar 27").questions.first.answers.map { |answer| answer[:value] }
    expect(answers).to contain_exactly("2027-03-27", "2027-03-31")
  end

  it "reads day and month in the household's order" do
    expect(read("honey 450g bb 5/31/28", day_order: :mdy).date).to eq(Date.new(2028, 5, 31))
    expect(read("honey 450g bb 3/4/28", day_order: :mdy).date).to eq(Date.new(2028, 3, 4))
    expect(read("honey 450g bb 3/4/28").date).to eq(Date.new(2028, 4, 3))
    expect(read("honey 450g bb 5/28", day_order: :mdy).questions.map(&:field)).to eq(["date"])
  end

  it "reads the household's cups and pints" do
    expect(read("2 cups flour", measures: { cup: "us_cup" }).amount).to eq("473.176473".to_r)
    expect(read("1 pint whole milk", measures: { pint: "us_pint" }).amount).to eq("473.176473".to_r)
  end

  it "asks which place when a word fits two" do
    draft = read("4 tins beans rack", places: [known("Cellar rack", "cool_dark"), known("Hall rack", "cupboard")])
    expect(draft.questions.first).to have_attributes(field: "place", answers: have_attributes(size: 2))
  end

  it "says where in the line each field was read" do
    line = "3 tins chickpeas 400 g bb 5/2028 cellar"
    from, to = read(line).spans[:date]
    expect(line[from...to]).to eq("bb 5/2028")
  end

  it "keeps the describing words as the label" do
    expect(read("half jar plum jam").label).to eq("plum jam")
  end

  it "reads any text without failing" do
    [
      "",
      "   ",
      "x x x",
      "@",
      "bb",
      "€",
      "½",
      "1/0",
      "999999999999999999 tins beans",
      "bb 99/99/99",
      "\u0000",
      "🥫 2 tins",
      "in in in",
      "9" * 5000
    ].each { |line| expect { read(line) }.not_to raise_error }
  end
end
