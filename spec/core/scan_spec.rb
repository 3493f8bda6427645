# frozen_string_literal: true

require_relative "support"
require "prop_check"
require_relative "../../core/scan/gs1"

RSpec.describe "Scans" do
  include CoreSupport

  check = NutShelf::Core::CheckDigit

  it "knows a right check digit from a wrong one" do
    expect(%w[4006381333931 036000291452 96385074 00012345600012].map { |code| check.valid?(code) }).to all(be(true))
    expect(%w[4006381333932 036000291453 96385075 400638133393 abc 12345].map { |code| check.valid?(code) }).to all(be(false))
  end

  it "catches every single wrong digit" do
    PropCheck.forall(PropCheck::Generators.choose((10**11)..((10**12) - 1)), PropCheck::Generators.choose(0..12), PropCheck::Generators.choose(1..9)) do |base, at, by|
      code = "#{base}#{check.of(base.to_s)}"
      wrong = code.dup.tap { |text| text[at] = ((text[at].to_i + by) % 10).to_s }
      raise code unless check.valid?(code) && !check.valid?(wrong)
    end
  end

  def read(text) = NutShelf::Core::Gs1.read(text, today: day("2026-11-24"))

  it "reads item, dates, lot and weight, with separators, prefix or brackets" do
    expected = { gtin: "04006381333931", best_before: day("2028-05-31"), lot: "L7-B", net_g: 750 }
    expect(read("]C1010400638133393115280500310300075010L7-B").to_h.compact).to eq(expected)
    expect(read("010400638133393110L7-B\u001D152805003103000750").to_h.compact).to eq(expected)
    expect(read("(01)04006381333931(15)280500(3103)000750(10)L7-B").to_h.compact).to eq(expected)
    expect(read("(17)261203(11)261120(13)261121(37)12").to_h.compact).to eq(use_by: day("2026-12-03"), made_on: day("2026-11-20"), packed_on: day("2026-11-21"), count: 12)
  end

  it "settles the century within fifty years" do
    expect(read("(15)760101").best_before.year).to eq(2076)
    expect(read("(15)770101").best_before.year).to eq(1977)
    expect(read("(11)991231").made_on.year).to eq(1999)
  end

  it "says what is wrong instead of guessing" do
    wrong = { "(01)04006381333932" => /check digit/, "(15)281345" => /no such day/, "(15)28" => /six digits/, "(37)twelve" => /no number/, "]C1XX" => /application identifier/, "(21)abc" => /nothing in it/ }
    wrong.each { |text, words| expect { read(text) }.to raise_error(NutShelf::Core::Gs1::Unreadable, words) }
  end

  it "does not take an ordinary line or number for an element string" do
    expect(["4006381333931", "3 tins chickpeas", "12 eggs ub 3 dec"].map { |text| NutShelf::Core::Gs1.like?(text) }).to all(be(false))
    expect(["(01)04006381333931", "]C10104006381333931", "010400638133393115280500"].map { |text| NutShelf::Core::Gs1.like?(text) }).to all(be(true))
  end
end
