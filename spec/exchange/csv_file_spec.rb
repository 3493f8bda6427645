# frozen_string_literal: true

require "spec_helper"
require_relative "../../exchange/csv_file"
require_relative "../../exchange/stock_csv"
require_relative "../../exchange/stock_words"
require_relative "../../store/rows"

RSpec.describe NutShelf::Exchange::CsvFile do
  def read(text) = described_class.new(text)

  {
    "," => "a,b,c\n1,2,3\n4,5,6\n", ";" => "a;b;c\n1,5;2;3\n4;5,5;6\n", "\t" => "a\tb\tc\n1\t2\t3\n",
    "|" => "a|b|c\n1|2|3\n"
  }.each do |sign, text|
    it "finds #{sign.inspect} between the columns" do
      expect(read(text)).to have_attributes(delimiter: sign, headings: %w[a b c])
    end
  end

  it "reads UTF-8, UTF-8 with a mark, UTF-16 both ways and Windows-1252" do
    text = "Käse;Größe\n1;2\n"
    expect(read(text)).to have_attributes(encoding: "UTF-8", headings: %w[Käse Größe])
    expect(read("\uFEFF#{text}")).to have_attributes(encoding: "UTF-8", headings: %w[Käse Größe])
    expect(read("\xFF\xFE".b + text.encode("UTF-16LE").b)).to have_attributes(
      encoding: "UTF-16",
      headings: %w[Käse Größe]
    )
    expect(read("\xFE\xFF".b + text.encode("UTF-16BE").b)).to have_attributes(
      encoding: "UTF-16",
      headings: %w[Käse Größe]
    )
    expect(read(text.encode("Windows-1252"))).to have_attributes(encoding: "Windows-1252", headings: %w[Käse Größe])
  end

  it "finds the decimal sign out of the numbers" do
    expect(read("a;b\n1,50;x\n2,75;y\n").decimal).to eq(",")
    expect(read("a,b\n1.50,x\n2.75,y\n").decimal).to eq(".")
  end

  it "keeps the line number of each row, past quoted newlines and blank lines" do
    expect(read("a,b\n\"one\ntwo\",2\n\n3,4\n").rows.map(&:first)).to eq([2, 5])
  end

  it "says which line is broken" do
    expect { read("a,b\n1,2\n\"3,4\n") }.to raise_error(described_class::Unreadable, /quotes/)
  end

  it "gives each field to one column only" do
    expect(read("name,product,count\nx,y,1\n").columns.map { |column| column[:field] }).to eq(["food", nil, "count"])
  end

  {
    "Best Before Date" => "best_before", "MHD" => "best_before", "Mindestens haltbar bis" => "best_before",
    "À consommer de préférence avant le" => "best_before", "Fecha de caducidad" => "best_before",
    "Use-by" => "use_by", "Verbrauchen bis" => "use_by", "DLC" => "use_by", "Quantité" => "count",
    "Anzahl" => "count", "Cantidad" => "count", "Lagerort" => "place", "Emplacement" => "place",
    "Ubicación" => "place", "Inhalt" => "amount", "Poids" => "amount", "Einheit" => "unit", "Unité" => "unit",
    "Preis" => "price", "Prix unitaire" => "price_each", "Einzelpreis" => "price_each", "Gekauft am" => "bought_on",
    "Ouvert le" => "opened_on", "Eingefroren am" => "frozen_on", "Colour" => nil
  }.each do |heading, field|
    it "takes #{heading.inspect} for #{field.inspect}" do
      expect(NutShelf::Exchange::Headings.field(heading)).to eq(field)
    end
  end
end

RSpec.describe NutShelf::Exchange::Figures do
  def readings(text, *others) = described_class.new([text, *others]).readings(text)

  it "takes each cell by itself where it tells" do
    expect(
      [
        "3,45", "1.010,40", "1,010.40", "0.125", "0,125", "1234.5", "12", "1.000.000", "400 g", "2 x 1,5 l"
      ].map { |text| readings(text) }
    ).to eq(
      [
        ["3.45"], ["1010.40"], ["1010.40"], ["0.125"], ["0.125"], ["1234.5"], ["12"], ["1000000"], ["400 g"],
        ["2 x 1.5 l"]
      ]
    )
  end

  it "goes by the rest of the file where it does not, and gives both where that tells nothing" do
    expect([readings("1,125 kg", "2,50"), readings("1,125 kg", "2.50"), readings("1.000 g", "2,50")]).to eq(
      [["1.125 kg"], ["1125 kg"], ["1000 g"]]
    )
    expect(readings("1,125 kg")).to eq(["1.125 kg", "1125 kg"])
    expect(readings("1,125 kg", "2,50", "2.50")).to eq(["1.125 kg", "1125 kg"])
    expect(described_class.new(%w[05.2028 3,20]).sign).to eq(",")
  end
end

RSpec.describe NutShelf::Exchange::StockCsv do
  it "defuses whatever a spreadsheet would run" do
    cells = ["=1+1", "+1", "-1", "@x", "\tx", "plain", "5-a-day"]
    expect(cells.map { |cell| NutShelf::Exchange::Sheet.defuse(cell) }).to eq(
      ["'=1+1", "'+1", "'-1", "'@x", "'\tx", "plain", "5-a-day"]
    )
  end

  it "writes packs as count and size, what is open as one, and nouns as they are" do
    lot = NutShelf::Store::Rows::Lot.new(on_hand: 1200r, pack_amount: 400r, dimension: "mass", open: false)
    expect(described_class.amounts(lot)).to eq(%w[3 400 g])
    expect(described_class.amounts(lot.with(open: true, on_hand: 150.5r))).to eq(%w[1 150.5 g])
    expect(
      described_class.amounts(lot.with(noun: "jar", on_hand: 0.5r, pack_amount: nil, dimension: "count"))
    ).to eq(["0.5", nil, "jar"])
  end
end

RSpec.describe NutShelf::Exchange::StockWords do
  it "knows packs, places and states of other languages" do
    expect(described_class.amount("3 Dosen 400 Gramm")).to eq("3 tin 400 g")
    expect(%w[Kühlschrank congélateur Keller despensa garage].map { |text| described_class.place_kind(text) }).to eq(
      ["fridge", "freezer", "cool_dark", "cupboard", nil]
    )
    expect(%w[angebrochen congelé sobras neu].map { |text| described_class.state(text) }).to eq(
      ["opened", "frozen", "leftover", nil]
    )
  end
end
