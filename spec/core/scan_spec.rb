# frozen_string_literal: true

require_relative "support"
require "prop_check"
require_relative "../../core/scan/scan"

RSpec.describe "Scans" do
  include CoreSupport

  check = NutShelf::Core::CheckDigit

  it "knows a right check digit from a wrong one" do
    expect(%w[4006381333931 036000291452 96385074 00012345600012].map { |code| check.valid?(code) }).to all(be(true))
    expect(%w[4006381333932 036000291453 96385075 400638133393 abc 12345].map { |code| check.valid?(code) }).to all(
      be(false)
    )
  end

  it "catches every single wrong digit" do
    PropCheck.forall(
      PropCheck::Generators.choose((10**11)..((10**12) - 1)),
      PropCheck::Generators.choose(0..12),
      PropCheck::Generators.choose(1..9)
    ) do |base, at, by|
      code = "#{base}#{check.of(base.to_s)}"
      wrong = code.dup.tap { |text| text[at] = ((text[at].to_i + by) % 10).to_s }
      raise code unless check.valid?(code) && !check.valid?(wrong)
    end
  end

  def read(text) = NutShelf::Core::Gs1.read(text, today: day("2026-11-24"))

  it "reads item, dates, lot and weight, with separators, prefix or brackets" do
    expected = { gtin: "04006381333931", best_before: day("2028-05-31"), lot: "L7-B", net_g: 750, notes: [] }
    expect(read("]C1010400638133393115280500310300075010L7-B").to_h.compact).to eq(expected)
    expect(read("010400638133393110L7-B\u001D152805003103000750").to_h.compact).to eq(expected)
    expect(read("(01)04006381333931(15)280500(3103)000750(10)L7-B").to_h.compact).to eq(expected)
    expect(read("(17)261203(11)261120(13)261121(37)12").to_h.compact).to eq(
      use_by: day("2026-12-03"),
      made_on: day("2026-11-20"),
      packed_on: day("2026-11-21"),
      count: 12,
      notes: []
    )
  end

  it "settles the century within fifty years" do
    expect(read("(15)760101").best_before.year).to eq(2076)
    expect(read("(15)770101").best_before.year).to eq(1977)
    expect(read("(11)991231").made_on.year).to eq(1999)
  end

  it "says what is wrong instead of guessing, where nothing else can be read" do
    wrong = {
      "(01)04006381333932" => /check digit/,
      "(15)281345" => /no such day/,
      "(15)28" => /six digits/,
      "(37)twelve" => /no number/,
      "]C1XX" => /not known here|nothing in it/,
      "(21)abc" => /nothing in it/,
      "(00)340063810000000016" => /parcel/,
      "(37)123456789" => /no number of up to 8 digits/,
      "(3103)7500" => /no number/
    }
    wrong.each { |text, words| expect { read(text) }.to raise_error(NutShelf::Core::Gs1::Unreadable, words) }
  end

  it "lets one damaged or unknown element leave the others as they are" do
    reading = read("(01)04006381333931(15)281345(99)shop's own(10)L7-B(8200)http")
    expect(reading).to have_attributes(
      gtin: "04006381333931",
      best_before: nil,
      lot: "L7-B",
      notes: [match(/best before date says 281345, and there is no such day/)]
    )
    expect(read("]C101040063813339319999X\u001D10L7").to_h.compact).to include(gtin: "04006381333931", lot: "L7")
    expect(read("]C10104006381333931ZZ9\u001D10L7").to_h.compact).to include(gtin: "04006381333931", lot: "L7")
    expect(read("]C10104006381333931ZZ9")).to have_attributes(gtin: "04006381333931", notes: [match(/not known here/)])
    expect(read("(01)04006381333932(15)280500")).to have_attributes(
      gtin: nil,
      best_before: day("2028-05-31"),
      notes: [match(/check digit/)]
    )
  end

  it "reads weights in pounds and ounces, volumes, the shop's day and the hour a thing expires" do
    expect(read("(3202)000150").net_g).to eq(Rational("680.388555"))
    expect(read("(3570)000016").net_g).to eq(Rational("453.59237"))
    expect(read("(3152)000075").net_ml).to eq(750)
    expect(read("(3601)000010").net_ml).to eq(Rational("946.352946"))
    expect(read("(16)261203").sell_by).to eq(day("2026-12-03"))
    expect(read("(7003)2612031430").use_by).to eq(day("2026-12-03"))
    expect(read("(310)000750(15)280500")).to have_attributes(net_g: nil, best_before: day("2028-05-31"))
  end

  it "reads a Digital Link by its path and its query" do
    expect(read("https://id.example.com/01/04006381333931/10/L7-B?17=261203&3103=000750&x=1").to_h.compact).to eq(
      gtin: "04006381333931",
      lot: "L7-B",
      use_by: day("2026-12-03"),
      net_g: 750,
      notes: []
    )
    expect(read("https://example.com/shop/01/4006381333931").gtin).to eq("04006381333931")
    expect(NutShelf::Core::Gs1.like?("https://example.com/01/soon")).to be(false)
  end

  it "knows a shortened number as the long one" do
    pairs = {
      "04252614" => "042100005264", "01234565" => "012345000065", "06543217" => "065100004327",
      "01234531" => "012300000451"
    }
    pairs.each do |short, long|
      expect([check.valid?(short), check.gtin14(short)]).to eq([true, long.rjust(14, "0")]), short
    end
    expect(check.gtin14("96385074")).to eq("00000096385074")
  end

  it "takes the figure out of a code of the shop itself, so that the item is known whatever it weighs" do
    light, heavy =
      %w[212345000500 212345001234].map do |digits|
        NutShelf::Core::Scan.read("#{digits}#{check.of(digits)}", today: day("2026-11-24"))
      end
    expect([light.gtin, light.figure, heavy.figure]).to eq([heavy.gtin, "00500", "01234"])
    expect(NutShelf::Core::Scan.read("4006381333931", today: day("2026-11-24")).figure).to be_nil
  end

  it "does not take an ordinary line or number for an element string" do
    expect(
      ["4006381333931", "3 tins chickpeas", "12 eggs ub 3 dec"].map { |text| NutShelf::Core::Gs1.like?(text) }
    ).to all(be(false))
    expect(
      ["(01)04006381333931", "]C10104006381333931", "010400638133393115280500"].map do |text|
        NutShelf::Core::Gs1.like?(text)
      end
    ).to all(be(true))
  end
end
