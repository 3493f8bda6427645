# frozen_string_literal: true

require_relative "../../../core/looking_back/advice"
require_relative "../../../core/looking_back/follow_up"
require_relative "../../../core/quantity/quantity"

RSpec.describe NutShelf::Core::Advice do
  big = NutShelf::Core::Quantity.of(500r, "g")

  def outcome(kind, value, why: "", **more)
    NutShelf::Core::Outcome.new(
      on: Date.new(2026, 11, 3), kind: kind, food_id: 1, group: "dairy", value_minor: value, movement_id: 1, why: why,
      **more
    )
  end

  def facts(outcomes, **more)
    NutShelf::Core::Advice::Facts.new(
      food_id: 1, outcomes: outcomes, grams_of: lambda(&:amount), daily: 0r, trip_days: 7,
      money: ->(minor) { format("%.2f", minor/100r) }, **more
    )
  end

  def advised(*args, **more) = described_class.of([facts(*args, **more)]).first

  def pack(grams, price) = NutShelf::Core::Advice::Pack.new(grams: grams, price_minor: price, name: "#{grams.to_i} g")

  it "takes the small pack where less of each large one is eaten" do
    # Four pots of 500 g at 1.60: 375 g of each were eaten, 125 g turned. Small: 3 x 150 g at 0.45 a pot.
    list = [outcome("eaten", 480, grams: 1500r, pack: big, open: true),
            outcome("binned", 160, grams: 500r, pack: big, open: true, why: "turned")]
    one = advised(list, packs: [pack(150r, 45), pack(500r, 160)])
    expect(one).to have_attributes(kind: "smaller_pack", saving_minor: 640 - (4 * 3 * 45), change: { largest: 150r })
    expect(one.steps.join).to include("6.40", "3 x 150 g", "5.40")
  end

  it "leaves the large pack where the small ones would cost more" do
    list = [outcome("eaten", 480, grams: 1500r, pack: big, open: true),
            outcome("binned", 160, grams: 500r, pack: big, open: true, why: "turned")]
    expect(advised(list, packs: [pack(150r, 65), pack(500r, 160)])).to be_nil
  end

  it "knows no smaller pack for what nobody eats" do
    list = Array.new(2) { outcome("binned", 80, grams: 500r, pack: big, why: "disliked") }
    expect(advised(list, packs: [pack(150r, 45)])).to have_attributes(kind: "stop")
  end

  it "freezes what lay too long, where it freezes" do
    list = [outcome("eaten", 300), outcome("binned", 200, why: "turned"), outcome("binned", 90, why: "pest")]
    expect(advised(list, freezes: true)).to have_attributes(kind: "freeze", saving_minor: 200)
    expect(advised(list)).to be_nil
  end

  it "keeps less in the house where sealed packs were thrown away" do
    list = [outcome("eaten", 300), outcome("binned", 250, why: "forgotten")]
    expect(advised(list, daily: 30r)).to have_attributes(kind: "lower_par", saving_minor: 250, change: { par: 210 })
    expect(advised(list, daily: 30r, par: 200)).to be_nil
    expect(advised(list.map { |one| one.with(open: true) }, daily: 30r)).to be_nil
  end

  it "names the place where less of it is wasted, of places it may stand in" do
    list = Array.new(3) { outcome("binned", 100, why: "forgotten", place_id: 1) } +
      Array.new(3) { outcome("eaten", 100, place_id: 2) }
    places = { 1 => "Shed", 2 => "Cellar" }
    expect(advised(list, places: places, homes: [2])).to have_attributes(kind: "place", saving_minor: 300,
      change: { place_id: 2 })
    expect(advised(list, places: places, homes: [])).to be_nil
  end

  it "cooks a dish more, as far as that would have used it" do
    list = [outcome("eaten", 300, grams: 300r), outcome("binned", 200, grams: 400r, why: "turned", open: true)]
    dish = NutShelf::Core::Advice::Use.new(recipe_id: 9, name: "Soup", grams: 300r)
    expect(advised(list, dish: dish)).to have_attributes(kind: "dish", saving_minor: 150, change: { recipe_id: 9 })
  end

  it "stops buying what nobody likes, or what nobody ever ate" do
    disliked = Array.new(2) { outcome("binned", 80, why: "disliked", open: true) }
    expect(advised([*disliked, outcome("eaten", 50)])).to have_attributes(kind: "stop", saving_minor: 160)
    never = Array.new(2) { outcome("binned", 80, why: "pest") }
    expect(advised(never)).to have_attributes(kind: "stop", saving_minor: 160)
    expect(advised([*never, outcome("eaten", 50)])).to be_nil
  end

  it "says nothing of a food of which nearly all is eaten, or of small change" do
    expect(advised([outcome("eaten", 1900), outcome("binned", 200, why: "turned")], freezes: true)).to be_nil
    expect(advised([outcome("binned", 49, why: "turned")], freezes: true)).to be_nil
  end

  it "advises five things at most, what saves most first" do
    foods = (1..8).map do |id|
      facts([outcome("binned", 100 * id, why: "turned")], freezes: true).with(food_id: id)
    end
    expect(described_class.of(foods).map(&:food_id)).to eq([8, 7, 6, 5, 4])
  end

  it "never says that more would have been saved than was thrown away or paid" do
    random = Random.new(5)
    150.times do
      list = Array.new(random.rand(1..8)) do
        outcome(%w[eaten binned composted].sample(random: random), random.rand(0..400), grams: random.rand(1..900).to_r,
          pack: [nil, big].sample(random: random), open: random.rand < 0.5, place_id: random.rand(1..2),
          why: %w[turned forgotten disliked].sample(random: random))
      end
      told = facts(list, freezes: random.rand < 0.5, daily: random.rand(0..60).to_r, homes: [1, 2],
        packs: [pack(150r, random.rand(20..90)), pack(500r, 160)], places: { 1 => "A", 2 => "B" })
      all = described_class.new(told).all
      wasted = list.select(&:wasted?).sum(&:value_minor)
      expect(all.reject { |one| one.kind == "smaller_pack" }.map(&:saving_minor)).to all(be <= wasted)
      expect(all.map(&:saving_minor)).to all(be_between(0, list.sum(&:value_minor)))
    end
  end

  describe NutShelf::Core::FollowUp do
    change = Date.new(2026, 10, 1)

    def sides(before, after)
      told = lambda do |sums, sign|
        sums.each_with_index.map do |sum, at|
          outcome(sum.zero? ? "eaten" : "binned",
            sum.zero? ? 100 : sum).with(on: Date.new(2026, 10, 1) + (sign * (at + 1)))
        end
      end
      [*told.(before, -1), *told.(after, 1)]
    end

    define_method(:verdict) do |before, after, days: 35|
      NutShelf::Core::FollowUp.of(taken_on: change, today: change + days, outcomes: sides(before, after))
    end

    it "helped where a third less is wasted, over as many weeks on either side" do
      told = verdict([300, 0, 0], [200, 0, 0])
      expect(told).to have_attributes(verdict: "helped", weeks: 5, before_minor: 300, after_minor: 200)
      expect(verdict([300, 0, 0], [201, 0, 0]).verdict).to eq("not")
    end

    it "cannot tell where too little left, and waits four weeks" do
      expect(verdict([300, 0], [0, 0, 0]).verdict).to eq("cannot_tell")
      expect(verdict([0, 0, 0], [0, 0, 0]).verdict).to eq("cannot_tell")
      expect(verdict([300, 0, 0], [0, 0, 0], days: 27).verdict).to eq("early")
    end
  end
end
