# frozen_string_literal: true

require_relative "kits/support"
require_relative "../../core/outage/ahead"

RSpec.describe NutShelf::Core::Outage::Ahead do
  include KitSupport

  def item(key, situation, place)
    NutShelf::Core::Outage::Item.new(id: key, food: food(key), situation: situation, place: place,
      usable_until: nil, finding: nil, warm_hours: nil)
  end

  def turns(one, fill: 1r) = described_class.new(catalog, figures, fill: fill).turns(one)

  it "lists when a verdict changes" do
    expect(turns(item("plain-yoghurt", "bought_sealed", "fridge")).map { |one| [one.upto, one.act] })
      .to eq([[4, :keep], [nil, :throw]])
    expect(turns(item("beef-mince", "frozen_at_home", "freezer")).map { |one| [one.upto, one.act] })
      .to eq([[24, :keep], [48, :refreeze], [50, :cook_now], [nil, :throw]])
    expect(turns(item("beef-mince", "frozen_at_home", "freezer"), fill: 1/2r).map(&:upto)).to eq([12, 24, 26, nil])
  end

  it "says what the rules say of that hour, whatever it is and whatever the food" do
    random = Random.new(7)
    foods = catalog.foods.values.reject { |one| one.key.start_with?("class-") || one.food_group == "supplies" }
    start = Time.utc(2026, 11, 24)
    bearing = foods.select(&:warm_hours)
    300.times do |turn|
      place = turn.odd? ? "fridge" : %w[fridge freezer].sample(random: random)
      states = place == "fridge" ? %w[opened cut cooked bought_sealed] : %w[frozen_at_home bought_frozen]
      one = item((turn.odd? ? bearing : foods).sample(random: random).key, states.sample(random: random), place)
      fill = [1r, 1/2r, 1/4r].sample(random: random)
      hours = Rational(random.rand(0..(turn.odd? ? 80 : 240)), 4)
      cut = NutShelf::Core::Outage::Cut.new(start: start, ends: start + (hours * 3600), fill: fill)
      said = NutShelf::Core::Outage::Judging.new(catalog, figures, cut).of(one)
      turn = turns(one, fill: fill).find { |candidate| candidate.upto.nil? || hours <= candidate.upto }
      expect([turn.act, turn.rule]).to eq([said.act, said.rule])
    end
  end
end
