# frozen_string_literal: true

require "spec_helper"
require "date"
require_relative "../../../core/planning/shopping_trips"

RSpec.describe NutShelf::Core::ShoppingTrips do
  keeping = { "rice" => nil, "carrots" => 30, "mince" => 2, "lettuce" => 5 }

  def day(number) = Date.new(2026, 12, number)

  def need(food, on, grams = 100) = described_class::Need.new(food_key: food, on: day(on), grams: grams.to_r)

  define_method(:shared) do |days, needs|
    described_class.new(days.map { |number| day(number) }, keeps: ->(key) { keeping.fetch(key) }).call(needs)
  end

  def bought(made)
    made.trips.to_h { |trip| [trip.on.day, trip.buys.transform_values { |list| list.map { |one| one.on.day } }] }
  end

  it "gets what keeps on the first day, and fresh food on the last that still serves its meal" do
    made = shared([1, 8, 15], [need("rice", 16), need("carrots", 10), need("lettuce", 10), need("mince", 15)])
    expect(bought(made)).to eq(
      1 => { "rice" => [16], "carrots" => [10] }, 8 => { "lettuce" => [10] }, 15 => { "mince" => [15] }
    )
    expect([made.late, made.short]).to eq([[], []])
  end

  it "says what is needed before anybody goes, and what will not keep until its meal" do
    made = shared([3, 10], [need("rice", 2), need("mince", 6), need("lettuce", 8)])
    expect(made.late.map(&:food_key)).to eq(["rice"])
    expect(made.short.map(&:food_key)).to eq(["mince"])
    expect(bought(made)).to eq(3 => { "mince" => [6], "lettuce" => [8] }, 10 => {})
  end

  it "puts all it needs of a food on one day together" do
    made = shared([1], [need("rice", 2, 100), need("rice", 5, 250)])
    expect(made.trips.first.buys["rice"].sum(&:grams)).to eq(350)
  end

  # Nothing is forgotten and nothing is bought after its meal, whatever the days are.
  it "serves every need once, in time" do
    dice = Random.new(9)
    80.times do
      days = Array.new(dice.rand(0..4)) { dice.rand(1..28) }.uniq.sort
      needs = Array.new(dice.rand(0..20)) { need(keeping.keys.sample(random: dice), dice.rand(1..28)) }
      made = shared(days, needs)
      served = made.trips.flat_map { |trip| trip.buys.values.flatten.map { |one| [trip.on, one] } }
      expect((served.map(&:last) + made.late).sort_by(&:hash)).to eq(needs.sort_by(&:hash))
      expect(served.map { |on, one| one.on - on }).to all(be >= 0)
    end
  end
end
