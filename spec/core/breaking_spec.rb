# frozen_string_literal: true

require_relative "support"
require_relative "../../core/dating/breaking"
require_relative "../../core/dating/look_list"

RSpec.describe NutShelf::Core::Breaking do
  include CoreSupport

  def kind(key, dimension, pack = nil) = described_class.kind(food(key), dimension: dimension, pack: pack&.to_r)

  it "cuts a piece of fresh produce, opens a pack, and does nothing to supplies" do
    expect(kind("onions", :count)).to eq(:cut)
    expect(kind("onions", :count, 1)).to eq(:cut)
    expect(kind("onions", :count, 6)).to eq(:opened)
    expect(kind("eggs", :count, 1)).to eq(:opened)
    expect(kind("canned-chickpeas", :mass, 400)).to eq(:opened)
    expect(kind("torch", :count)).to be_nil
  end

  it "takes a pack of about one piece's weight for that piece" do
    one = food("onions").g_per_piece / food("onions").edible_yield
    expect(kind("onions", :mass, one)).to eq(:cut)
    expect(kind("onions", :mass, one * Rational(3, 2))).to eq(:cut)
    expect(kind("onions", :mass, one * Rational(16, 10))).to eq(:opened)
    expect(kind("onions", :mass)).to eq(:opened)
    whole = food("onions").with(edible_yield: nil, g_per_piece: 100r)
    expect([150r, 151r].map { |pack| described_class.kind(whole, dimension: :mass, pack: pack) }).to eq(%i[cut opened])
    expect(kind("onions", :volume, one)).to eq(:opened)
    unweighed =
      NutShelf::Core::Food.new(
        key: "x", name: "X", aisle: "Fresh vegetables", food_group: "vegetables", dimension: :mass
      )
    expect(described_class.kind(unweighed, dimension: :mass, pack: 100r)).to eq(:opened)
  end
end

RSpec.describe NutShelf::Core::LookList do
  include CoreSupport

  def kind(key, situation: "bought_sealed", frozen: false, wrapping: "plastic", open: false)
    described_class.kind(food(key), situation: situation, frozen: frozen, wrapping: wrapping, open: open)
  end

  it "knows dry grain by its pests, fresh food by its aisle, and opened packs by neither" do
    expect([kind("rolled-oats"), kind("dried-chickpeas"), kind("rolled-oats", open: true)]).to eq(%w[flour_grain] * 3)
    expect(
      [kind("white-bread"), kind("beef-mince"), kind("plain-yoghurt"), kind("lettuce"), kind("white-bread", open: true)]
    ).to eq(%w[fresh fresh fresh fresh fresh])
    expect([kind("passata", situation: "cooked"), kind("passata", situation: "left_over")]).to eq(%w[fresh fresh])
    expect(
      [
        kind("passata", wrapping: "glass"),
        kind("passata", wrapping: "glass", open: true),
        kind("passata"),
        kind("paprika")
      ]
    ).to eq(%w[jar open other other])
    expect(
      [kind("honey", wrapping: "glass", open: true), kind("torch", frozen: true), kind("beef-mince", frozen: true)]
    ).to eq(%w[honey supply frozen])
    expect(kind("canned-chickpeas", wrapping: "tin")).to eq("tin")
    expect(kind("black-pepper-ground", wrapping: "glass")).to eq("jar")
  end

  it "takes the worst of the signs" do
    expect([%i[good turning], %i[bad turning], %i[good], []].map { |means| described_class.verdict(means) }).to eq(
      %i[turning bad good good]
    )
  end
end
