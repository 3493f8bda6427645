# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/companions"
require_relative "../../../core/kits/supplies_needed"

RSpec.describe NutShelf::Core::Kits::Companions do
  include KitSupport

  def lacks(grams, given_up: [])
    described_class.new(catalog.kits.companions, given_up: given_up).call(grams.transform_values(&:to_r))
  end

  it "lets a mix feed by what it is made with, a stand-in among it, and nothing of it twice" do
    expect(lacks({ "pancake-mix" => 500 }).map(&:needs_key)).to eq(%w[egg-powder vegetable-oil])
    expect(described_class.shares(lacks({ "pancake-mix" => 500 }))).to eq("pancake-mix" => 0)
    expect(lacks({ "pancake-mix" => 500, "egg-powder" => 60, "vegetable-oil" => 46 })).to be_empty
    expect(lacks({ "pancake-mix" => 500, "eggs" => 240, "butter" => 48 })).to be_empty
    half = lacks({ "pancake-mix" => 500, "egg-powder" => 30, "vegetable-oil" => 46 })
    expect(half.map { |one| [one.grams, one.share] }).to eq([[30, 1/2r]])
    both = lacks({ "egg-powder" => 60, "pancake-mix" => 500, "vegetable-oil" => 40 })
    expect(both.map { |one| [one.food_key, one.needs_key, one.grams] }).to eq([["pancake-mix", "vegetable-oil", 6]])
  end

  it "takes what is done without on purpose for there" do
    expect(lacks({ "pancake-mix" => 500 }, given_up: %w[egg-powder vegetable-oil])).to be_empty
  end

  it "feeds as far as it can be eaten without" do
    pasta = lacks({ "macaroni-cheese-mix" => 200 })
    expect(described_class.shares(pasta)).to eq("macaroni-cheese-mix" => 3/4r)
    expect(described_class.shares(lacks({ "instant-mash" => 120 }))).to eq("instant-mash" => 1)
  end

  describe NutShelf::Core::Kits::SuppliesNeeded do
    def needed(**said)
      described_class.new(
        catalog.kits.supplies, level: :usual, people: 5, days: 7, canisters: 2, home_filled_l: 60r, of_use: [], **said
      ).call.to_h { |one| [one.supply.food_key, one.amount] }
    end

    it "asks by person, week, torch and container, and only for what is of use" do
      plain = needed
      expect(plain).to include("torch" => 5, "batteries-aa" => 20, "toilet-paper" => 5, "liquid-soap" => 250)
      expect(plain.keys & %w[can-opener gas-canister water-container hand-sanitiser]).to be_empty
      all = needed(of_use: %w[tin_opener burner no_water home_filled])
      expect(all).to include("can-opener" => 1, "gas-canister" => 2, "water-container" => 6, "hand-sanitiser" => 250)
    end
  end
end
