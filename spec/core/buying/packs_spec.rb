# frozen_string_literal: true

require "json"
require "prop_check"
require "spec_helper"
require_relative "../../../core/buying/big_pack"
require_relative "../../../core/buying/pack_cover"
require_relative "../../../exchange/packs_file"

RSpec.describe "Packs" do
  core = NutShelf::Core
  path = File.expand_path("../../cases/packs.json", __dir__)
  answers = JSON.parse(JSON.generate(NutShelf::Exchange::PacksFile.new(File.read(path)).answers))

  JSON.parse(File.read(path)).each do |one|
    it "answers the worked case #{one["id"]} of #{one["kind"]}" do
      expect(answers.fetch(one["id"])).to eq(one["expected"])
    end
  end

  # Every set of packs up to what is certainly too much.
  def every(packs, need)
    counts = packs.map { |pack| (0..((need / pack.size).ceil + 1)).to_a }
    counts.first.product(*counts.drop(1)).filter_map do |list|
      amount = list.each_index.sum(0r) { |at| list[at] * packs[at].size }
      price = list.each_index.sum { |at| list[at] * packs[at].price_minor }
      [list, amount, price] if amount >= need
    end
  end

  def best(packs, need, cap)
    within, beyond = every(packs, need).partition { |_, amount, _| cap.nil? || amount <= cap }
    return within.map { |list, amount, price| [price, list.sum, amount, true] }.min if within.any?

    beyond.map { |list, amount, price| [amount, price, list.sum, false] }.min.then do |amount, price, number, fits|
      [price, number, amount, fits]
    end
  end

  it "finds what trying every set finds" do
    dice = Random.new(11)
    200.times do
      packs = Array.new(dice.rand(1..4)) do
        core::BuyablePack.new(size: dice.rand(1..12) * 50r, price_minor: dice.rand(0..300))
      end
      need = dice.rand(0..40) * 37r
      eaten, room = Array.new(2) { dice.rand < 0.5 ? dice.rand(0..2500).to_r : nil }
      found = core::PackCover.new(packs).call(need, eaten_while_good: eaten, room: room)
      limit = [eaten, room].compact.min
      cap = limit && [need, limit].max
      expect([found.price_minor, found.counts.sum, found.amount, found.within_cap]).to eq(best(packs, need, cap))
    end
  end

  it "buys nothing where nothing is needed, and knows no packs where there are none" do
    pack = core::BuyablePack.new(size: 400r, price_minor: 90)
    expect(core::PackCover.new([pack]).call(0r).counts).to eq([0])
    expect(core::PackCover.new([]).call(400r)).to be_nil
  end

  it "finds the same by a search and by a table, of any sizes" do
    g = PropCheck::Generators
    packs = g.array(g.tuple(g.choose(1..40), g.choose(0..300)), min: 1, max: 4)
    PropCheck.forall(packs, g.choose(0..200), g.choose(1..7),
      g.one_of(g.constant(nil), g.choose(0..300))) do |list, need, part, cap|
      sold = list.map { |size, price| core::BuyablePack.new(size: Rational(size, part), price_minor: price) }
      found = %i[search table].map do |way|
        core::PackCover.new(sold).call(need.to_r, eaten_while_good: cap&.to_r, way: way)
          .then { |cover| [cover.within_cap, cover.price_minor, cover.counts.sum, cover.amount] }
      end
      expect(found.uniq.size).to eq(1)
    end
  end

  it "finds the packs of a year's need at once" do
    packs = [7, 30, 125, 400, 950].map { |size| core::BuyablePack.new(size: size.to_r, price_minor: size + 13) }
    expect(core::PackCover.new(packs).call(20_000r).amount).to be >= 20_000
  end

  it "never says that more of a pack is eaten than there is, or that freezing makes it dearer" do
    dice = Random.new(3)
    200.times do
      pack = core::BuyablePack.new(size: dice.rand(1..5000).to_r, price_minor: dice.rand(1..900))
      use = dice.rand(0..900).to_r
      days = dice.rand(0..120)
      frozen = core::BigPack::Freezer.new(days: dice.rand(0..365),
        room: dice.rand < 0.5 ? dice.rand(0..3000).to_r : nil)
      plain = core::BigPack.new(use, days).of(pack)
      cold = core::BigPack.new(use, days, freezer: frozen).of(pack)
      expect([plain, cold].map(&:eaten)).to all(be <= pack.size)
      expect(cold.eaten).to be >= plain.eaten
      expect(cold.to_freeze).to be <= [frozen.room, pack.size].compact.min
      expect(plain.true_minor_per_thousand.nil?).to eq((use * days).zero?)
    end
  end

  it "opens sealed packs in turn, as long as they keep" do
    # 100 g a week, five days once open: 71.4 g of each 180 g. Sealed they keep 12 days: the third is good for two.
    check = NutShelf::Core::BigPack.new(100r, 5, sealed_days: 12)
    bundle = NutShelf::Core::BuyablePack.new(size: 900r, price_minor: 500, count: 5)
    expect(check.of(bundle).eaten).to eq((500 + 500 + 200)/7r)
    expect(NutShelf::Core::BigPack.new(100r, 5).of(bundle).eaten).to eq(5 * 500/7r)
    expect(check.of(bundle.with(count: 1)).eaten).to eq(500/7r)
  end

  it "chooses nothing where nothing would be eaten" do
    packs = [core::BuyablePack.new(size: 500r, price_minor: 90)]
    expect(core::BigPack.new(0r, 90).choice(packs)).to be_nil
  end

  {
    "no list of packs" => [{ "need" => "1" }, /packs .*List packs/], "no need" => [{ "packs" => [] }, /packs/],
    "a size of nothing" => [{ "need" => "1", "packs" => [{ "size" => "0", "price_minor" => 1 }] }, /packs 1, size/],
    "a price that is no number" => [
      { "need" => "1", "packs" => [{ "size" => "1", "price_minor" => "x" }] }, /price_minor/
    ],
    "a need that is no number" => [{ "need" => "much", "packs" => [{ "size" => "1", "price_minor" => 1 }] }, /need/]
  }.each do |name, (input, words)|
    it "names the case and the field for #{name}" do
      file = NutShelf::Exchange::PacksFile.new(JSON.generate([{ id: "mine", kind: "cover", input: input }]))
      expect { file.answers }.to raise_error(NutShelf::Exchange::CaseFile::Unreadable, /Case mine.*#{words.source}/)
    end
  end

  it "says what is wrong with a file that is no list of cases" do
    ["[", "{}", "[1]"].each do |text|
      expect { NutShelf::Exchange::PacksFile.new(text) }.to raise_error(NutShelf::Exchange::CaseFile::Unreadable)
    end
  end
end
