# frozen_string_literal: true

require_relative "support"
require_relative "../../core/reference/guide"
require_relative "../../core/dating/look_list"
require_relative "../../core/planning/thaw"

RSpec.describe "Keeping guidance" do
  include CoreSupport

  def guide(key, school: :look_then_decide)
    NutShelf::Core::Guide.new(catalog, food(key), NutShelf::Core::Policy.new(school: school))
  end

  it "answers for every food, and its figures are those the dates use" do
    catalog.foods.each_value do |one|
      expect { NutShelf::Core::Guide.new(catalog, one, NutShelf::Core::Policy.new).table }.not_to raise_error
    end
    line = guide("uht-milk").table.find { |row| row.situation == "opened" }
    expect(line.places["fridge"].days).to eq(catalog.keeping(food("uht-milk"), "opened", "fridge").row.low)
    expect(line.places["cupboard"].row).to be_nil
    expect(line.places["cupboard"].reason).not_to be_empty
  end

  it "follows the school for quality and never for safety" do
    oats = lambda do |school|
      guide("rolled-oats", school: school).table.find { |row| row.situation == "bought_sealed" }.places["cupboard"].days
    end
    expect([oats.(:by_the_date), oats.(:look_then_decide)]).to eq([365, 540])
    mince = lambda do |school|
      guide("beef-mince", school: school).table.find { |row| row.situation == "opened" }.places["fridge"].days
    end
    expect(mince.(:by_the_date)).to eq(mince.(:look_then_decide))
  end

  it "compares ways of storing, names signs, care and losses" do
    parsley = guide("fresh-parsley")
    expect(parsley.methods_compared.map { |row| [row.storage, row.high] }).to eq(
      [["water", 14], ["paper", 10], ["bag", 7]]
    )
    expect(parsley.signs).to include("Slime, black leaves")
    expect(parsley.care.first).to include(every_days: 2)
    expect(parsley.losses.map { |row| row[:process] }).to include("freezing")
    expect(guide("baking-powder").losses.map { |row| row[:process] }).not_to include("freezing")
  end

  it "says how what is only limp becomes crisp again, and that this makes nothing safe" do
    expect(guide("celery").revival).to match(
      /\ACut\ the\ ends\ and\ stand\ the\ sticks\ in\ cold\ water,\ for\ half\ an\ hour\.\ .*
        slimy,\ mouldy\ or\ smells\ is\ not\ made\ good\ by\ water\.\z/x
    )
    expect([guide("beef-mince").revival, guide("canned-chickpeas").revival]).to eq([nil, nil])
    risky = catalog.revivals.keys.select { |key| food(key).aisle != "Fresh vegetables" }
    expect(risky).to eq([])
  end

  it "gives each kind of pack its own list, and takes the worst sign seen" do
    kind = lambda do |key, **more|
      NutShelf::Core::LookList.kind(food(key), situation: "bought_sealed", frozen: false, wrapping: "plastic", **more)
    end
    expect(
      [
        kind.("canned-chickpeas", wrapping: "tin"),
        kind.("flour-white"),
        kind.("lettuce"),
        kind.("frozen-peas", frozen: true),
        kind.("honey", wrapping: "glass"),
        kind.("class-home-canned-jam", situation: "home_canned"),
        kind.("salt")
      ]
    ).to eq(%w[tin flour_grain fresh frozen honey home_jar other])
    expect(catalog.signs.keys).to match_array(%w[tin jar home_jar flour_grain frozen fresh open honey supply other])
    expect(
      [[], %i[good], %i[good turning], %i[turning bad good]].map { |means| NutShelf::Core::LookList.verdict(means) }
    ).to eq(%i[good good turning bad])
  end

  it "takes a roast out two days before, a small pack the evening before" do
    thaw = ->(grams) { NutShelf::Core::Thaw.start(on: day("2026-11-28"), grams: grams.to_r, hours_per_kg: 24r) }
    expect([thaw.(300), thaw.(1500), thaw.(2500)]).to eq(
      [[day("2026-11-27"), 12], [day("2026-11-26"), 36], [day("2026-11-25"), 60]]
    )
  end
end
