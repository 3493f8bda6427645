# frozen_string_literal: true

require_relative "../support"
require_relative "../../../core/kits/figures"
require_relative "../../../core/outage/eat_first"
require_relative "../../../core/outage/judging"

RSpec.describe NutShelf::Core::Outage::Judging do
  include CoreSupport

  def outage = NutShelf::Core::Outage

  def figures = NutShelf::Core::Kits::Figures.new(targets: catalog.targets)

  def start = Time.utc(2026, 11, 27, 20)

  def readings(list)
    list.map { |hour, celsius| outage::Reading.new(at: start + (hour * 3600), celsius: celsius.to_r) }
  end

  def cut(hours, fridge: [], freezer: [], fill: 1r)
    outage::Cut.new(start: start, ends: start + (hours * 3600), fridge: readings(fridge), freezer: readings(freezer),
      fill: fill)
  end

  def item(key, situation = "bought_sealed", place = "fridge", **said)
    outage::Item.new(id: key, food: food(key), situation: situation, place: place, **said)
  end

  def said(cut, *args, **facts)
    verdict = described_class.new(catalog, figures, cut).of(item(*args, **facts))
    [verdict.act, verdict.rule]
  end

  it "keeps a shut fridge four hours without a reading, and not a minute more" do
    expect(said(cut(4), "beef-mince")).to eq(%i[keep fridge_hours_no_power])
    expect(said(cut(4 + (1r / 60)), "beef-mince")).to eq(%i[throw fridge_hours_no_power])
  end

  it "goes by readings where there are some taken in the dark" do
    expect(said(cut(6, fridge: [[3, 4.8], [6, 5]]), "beef-mince")).to eq(%i[keep stayed_cold])
    expect(said(cut(6, fridge: [[4, 5], [6, 6]]), "beef-mince")).to eq(%i[eat_today two_hour_rule])
    expect(said(cut(6.5r, fridge: [[4, 5], [6, 6]]), "beef-mince")).to eq(%i[throw two_hour_rule])
    expect(said(cut(6, fridge: [[-1, 3]]), "beef-mince")).to eq(%i[throw fridge_hours_no_power])
  end

  it "takes the warmer of two readings of one moment, and a rise on after the last" do
    expect(said(cut(2, fridge: [[1, 4], [1, 8]]), "beef-mince").first).to eq(:eat_today)
    expect(described_class.new(catalog, figures, cut(5, fridge: [[2, 5]])).fridge_above).to eq(3)
  end

  it "halves the limit in great heat" do
    hot = cut(2, fridge: [[0.5r, 5], [2, 33]])
    expect(said(hot, "beef-mince")).to eq(%i[throw two_hour_rule])
  end

  it "throws opened mayonnaise out after eight hours, and keeps it before" do
    expect(said(cut(12), "mayonnaise", "opened")).to eq(%i[keep not_perishable])
    expect(said(cut(12.1r), "mayonnaise", "opened")).to eq(%i[throw warm_hours])
    expect(said(cut(12.1r), "mayonnaise")).to eq(%i[keep not_perishable])
  end

  it "judges the freezer by what was felt, else by readings, else by its hours" do
    peas = %w[frozen-peas bought_frozen freezer]
    expect(said(cut(24), *peas)).to eq(%i[keep still_hard])
    expect(said(cut(48), *peas)).to eq(%i[refreeze ice_or_cold])
    expect(said(cut(50), *peas)).to eq(%i[cook_now two_hour_rule])
    expect(said(cut(50.1r), *peas)).to eq(%i[throw two_hour_rule])
    expect(said(cut(90), *peas, finding: :hard)).to eq(%i[keep still_hard])
    expect(said(cut(1), *peas, finding: :warm)).to eq(%i[throw two_hour_rule])
    expect(said(cut(40, freezer: [[40, -2]]), *peas)).to eq(%i[refreeze ice_or_cold])
    expect(said(cut(40, freezer: [[40, 3]]), *peas)).to eq(%i[refreeze ice_or_cold])
    expect(said(cut(40, freezer: [[30, 6], [40, 4]]), *peas)).to eq(%i[throw two_hour_rule])
  end

  it "never has ice-cream frozen again, and bread that thawed eaten soon" do
    expect(said(cut(40), "ice-cream", "bought_frozen", "freezer")).to eq(%i[throw never_refrozen])
    expect(said(cut(100), "white-bread", "frozen_at_home", "freezer")).to eq(%i[eat_soon not_perishable])
  end

  # From what may stay as it is to what must go.
  def rank_of(act) = %i[keep refreeze refreeze_poorer eat_soon eat_today cook_now throw].index(act)

  it "is never kinder for a longer dark, a warmer reading or an emptier freezer" do
    random = Random.new(53)
    foods = %w[beef-mince cheddar uht-milk mayonnaise frozen-peas ice-cream white-bread canned-peaches]
    200.times do
      what = [foods.sample(random: random),
              *[%w[bought_sealed fridge], %w[opened fridge], %w[frozen_at_home freezer]].sample(random: random)]
      hours = random.rand(1..60)
      warm = random.rand(3) == 0 ? [] : [[hours/2r, random.rand(2..12)]]
      place = what.last == "freezer" ? :freezer : :fridge
      rank = ->(more) { rank_of(said(more, *what).first) }
      plain = rank.call(cut(hours, place => warm))
      expect(rank.call(cut(hours + random.rand(1..9), place => warm))).to be >= plain
      expect(rank.call(cut(hours, place => warm.map do |at, celsius|
        [at, celsius + random.rand(0..5)]
      end))).to be >= plain
      expect(rank.call(cut(hours, fill: 0.5r, place => warm))).to be >= plain
    end
  end

  it "puts first what stops keeping first" do
    tool = outage::EatFirst.new(catalog, figures, hours_allowed: 24r)
    items = [item("uht-milk"), item("frozen-peas", "bought_frozen", "freezer"), item("cheddar", "opened"),
             item("beef-mince")]
    expect(tool.call(items).map(&:id)).to eq(%w[beef-mince frozen-peas cheddar uht-milk])
  end
end
