# frozen_string_literal: true

require "prop_check"
require_relative "../../../core/buying/aisle_order"

RSpec.describe NutShelf::Core::AisleOrder do
  it "walks the aisles as they were ticked, by the first thing of each" do
    expect(described_class.learn([], %w[Bread Tins Bread Dairy])).to eq(%w[Bread Tins Dairy])
  end

  it "keeps what was not needed this time behind what it stood behind" do
    expect(described_class.learn(%w[Bread Spices Dairy Tins], %w[Tins Bread])).to eq(%w[Tins Bread Spices Dairy])
    expect(described_class.learn(%w[Frozen Bread], %w[Bread])).to eq(%w[Frozen Bread])
  end

  it "loses no aisle and doubles none" do
    g = PropCheck::Generators
    lists = g.array(g.choose(0..7))
    PropCheck.forall(lists, lists) do |known, walked|
      known = known.uniq.map(&:to_s)
      walked = walked.map(&:to_s)
      order = described_class.learn(known, walked)
      expect(order).to match_array(known | walked)
      expect(order & walked).to eq(walked.uniq)
    end
  end

  it "puts aisles nobody walked yet last, by name" do
    expect(described_class.sorted(%w[Tins Water Bread Pet], %w[Bread Tins])).to eq(%w[Bread Tins Pet Water])
  end
end
