# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/boxes"
require_relative "../../../core/kits/deep_pantry"
require_relative "../../../core/kits/refreshing"

RSpec.describe "boxes, refresh and floor of a kit" do
  include KitSupport

  def gives = @gives ||= kits::Gives.new(catalog, figures, eaters: house)

  def packets(random, size)
    Array.new(size) { |at| kits::Packet.of(gives.of(random_packs(random, "s#{at}"))) }.flatten
  end

  it "deals each pack into one box, within weight and room, in no more boxes than are needed" do
    random = Random.new(13)
    25.times do
      all = packets(random, random.rand(1..9))
      tool = kits::Boxes.new(box_ml: 20_000r, limit_g: 12_000r, box_tare_g: 1500r)
      dealt = tool.call(all)
      expect((dealt.boxes.flat_map(&:packets) + dealt.left_out).tally).to eq(all.tally)
      dealt.boxes.each do |box|
        expect(box.gross_g).to be <= 12_000
        expect(box.packets.sum(&:box_ml)).to be <= 20_000
      end
      expect(dealt.boxes.size).to be >= 2
      expect(dealt.left_out).to all(satisfy { |one| one.gross_g + 1500 > 12_000 || one.box_ml > 20_000 })
    end
  end

  it "keeps half of every line, less its largest pack, when a box is lost and both leave room" do
    random = Random.new(17)
    30.times do
      all = packets(random, random.rand(1..8))
      dealt = kits::Boxes.new(box_ml: 10**9, limit_g: 10**9).call(all)
      expect(dealt.boxes.size).to eq(2)
      expect(dealt.spread_ok.except("kcal").values).to all(be(true))
    end
  end

  it "deals thousands of packs, and none where nobody could carry them all" do
    tool = kits::Boxes.new(box_ml: 30_000r, limit_g: 12_000r, box_tare_g: 1500r)
    many = kits::Packet.of(gives.of(packs("tin", "canned-chickpeas", "400g", count: 1500)))
    dealt = tool.call(many)
    expect([dealt.boxes.sum { |box| box.packets.size }, dealt.left_out]).to eq([1500, []])
    expect(tool.call(many * 3)).to have_attributes(boxes: [], left_out: many * 3)
    none = kits::Boxes.new(box_ml: 30_000r, limit_g: 1500r, box_tare_g: 1500r).call(many.first(2))
    expect(none.left_out).to eq(many.first(2))
  end

  it "says what goes into no box, and puts every fragile and tinned thing on its label" do
    heavy = kits::Packet.of(gives.of(packs("sack", "white-rice", "5kg")))
    glass = kits::Packet.of(gives.of(packs("jam", "jam", "454g", count: 2)))
    dealt = kits::Boxes.new(box_ml: 20_000r, limit_g: 4_000r).call(heavy + glass)
    expect([dealt.left_out.map(&:id), dealt.boxes.sum(&:glass_g).ceil]).to eq([["sack"], 1362])
  end

  it "replaces as many packs as leave, and never with what does not reach" do
    random = Random.new(19)
    days = %w[04-01 10-01]
    40.times do
      until_on = -> { day("2027-04-01") + random.rand(-60..500) }
      box = Array.new(random.rand(1..6)) { |at| random_packs(random, "b#{at}", until_on: until_on.call) }
      shelf = box.sample(3, random: random).each_with_index.map do |one, at|
        one.with(id: "s#{at}", usable_until: until_on.call)
      end
      found = kits::Refreshing.new(days, margin: 30).call(day("2027-04-01"), box: box, shelf: shelf)
      leave = found.look + found.kitchen.map(&:stack)
      expect((found.stay + leave).sort_by(&:id)).to eq(box.sort_by(&:id))
      expect(found.fetch.values.sum + found.buy.values.sum).to eq(leave.sum(&:packs))
      expect(found.fetch.map do |one, count|
        one.usable_until >= found.must_reach && count <= one.packs
      end).to all(be(true))
      expect(found.kitchen).to all(satisfy { |one| one.per_week * one.weeks >= one.stack.packs && one.weeks.positive? })
    end
  end

  it "takes the 29th of February for the end of that month, in every year" do
    days = ["02-29"]
    expect([2027, 2028].map { |year| kits::RefreshDay.after(days, Date.new(year, 1, 1)) })
      .to eq([day("2027-02-28"), day("2028-02-29")])
    expect(kits::RefreshDay.after(["10-01"], day("2027-10-01"))).to eq(day("2028-10-01"))
  end

  it "looks first at what has no date although its kind has one" do
    found = kits::Refreshing.new(["10-01"], margin: 30)
      .call(day("2027-04-01"), box: [packs("jam", "jam", "454g"), packs("salt", "salt", "1kg")], shelf: [])
    expect([found.look.map(&:id), found.stay.map(&:id)]).to eq([["jam"], ["salt"]])
  end

  it "frees no pack that would leave a line short, and all of what counts for nothing" do
    random = Random.new(29)
    30.times do
      stacks = Array.new(random.rand(1..6)) do |at|
        gives.of(random_packs(random, "s#{at}", until_on: day("2026-11-24") + random.rand(0..90)))
      end
      need = { "kcal" => random.rand(0..9000).to_r, "grains" => random.rand(0..40).to_r }
      floor = kits::DeepPantry.new(days: 7, margin: 30, need: need).call(day("2026-11-24"), stacks)
      stacks.each { |one| expect_free(floor, one, need) }
    end
  end

  def expect_free(floor, given, need)
    free = floor.free.fetch(given.stack)
    return expect(free).to eq(given.stack.packs) unless given.stack.reaches?(floor.must_reach)

    left = ->(line, packs) { floor.have[line] - (given.line(line) / given.stack.packs * packs) }
    expect(need.select do |line, _|
      given.line(line).positive?
    end.map { |line, must| free.zero? || left.call(line, free) >= must })
      .to all(be(true))
    return if free == given.stack.packs

    expect(left.call(floor.binding[given.stack], free + 1)).to be < need[floor.binding[given.stack]]
  end
end
