# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/menu"

RSpec.describe NutShelf::Core::Kits::Menu do
  include KitSupport

  def menu(stacks, days: 2, kcal: 3950r, eaters: house.first(2), **said)
    described_class.new(catalog, figures, days: days, kcal_per_day: kcal, eaters: eaters, **said).call(stacks)
  end

  it "loses no gram, and keeps heat, water, flame and need" do
    random = Random.new(37)
    30.times do
      stacks = Array.new(random.rand(1..9)) { |at| random_packs(random, "s#{at}", until_on: day("2028-01-01")) }
      heat = random.rand(0..10).to_r
      water = random.rand(0..10).to_r
      laid = menu(stacks, gear: %i[none kettle burner full].sample(random: random), heat_l: heat, cook_water_l: water)
      whole = stacks.group_by(&:food).transform_values { |list| list.sum(&:edible_g) }
      eaten = laid.meals.map(&:grams).inject { |all, one| all.merge(one) { |_, a, b| a + b } }
      expect(whole.to_h { |food, _| [food, eaten.fetch(food, 0r) + laid.left.fetch(food, 0r)] }).to eq(whole)
      expect(laid.heat_l).to be <= heat
      expect(laid.cook_water_l).to be <= water
      laid.meals.each { |meal| expect(flame(meal)).to be <= 20 }
    end
  end

  def flame(meal)
    meal.grams.keys.reject do |food|
      food.ready_to_eat || food.preparing.pour_on
    end.sum { |food| food.preparing.minutes || 0 }
  end

  # Each way to deal packs to days.
  def best_poorest(kcal, days)
    (0...days).to_a.repeated_permutation(kcal.size)
      .map { |dealt| (0...days).map { |day| kcal.zip(dealt).sum { |one, to| to == day ? one : 0 } }.min }.max
  end

  # Where every pack is another food; of packs of one food each day gets its own first, whatever else it has.
  it "gives the poorest day of whole packs at least three quarters of the best dealing" do
    random = Random.new(41)
    tins = %w[baked-beans canned-beef-stew canned-chickpeas canned-lentils canned-sardines canned-black-beans]
    20.times do
      stacks = tins.sample(random.rand(2..6), random: random).map do |key|
        packs(key, key, "#{random.rand(1..4) * 100}g", until_on: "2028-01-01")
      end
      laid = menu(stacks, eaters: house, kcal: 10_850r, gear: :full)
      all = stacks.flat_map { |one| Array.new(one.packs) { one.pack_edible_g * one.food.nutrition.kcal / 100 } }
      expect(laid.days.min * 4).to be >= best_poorest(all, 2) * 3
    end
  end

  it "names who can eat nothing of a meal" do
    laid = menu([packs("pb", "peanut-butter", "340g", until_on: "2028-01-01")], days: 1, eaters: house.values_at(0, 3))
    fed = laid.meals.reject { |meal| meal.grams.empty? }
    expect(fed.map { |meal| meal.nothing_for.map(&:name) }).to eq([["Wren"]])
    expect((laid.meals - fed).map { |meal| meal.nothing_for.size }).to all(eq(2))
  end

  describe NutShelf::Core::Kits::Levelling do
    it "pours all there is, never above a room, and levels what it wets" do
      random = Random.new(43)
      100.times do
        rooms = Array.new(random.rand(1..6)) do |at|
          [at, [Rational(random.rand(0..20), 2), Rational(random.rand(0..10), 2)]]
        end.to_h
        amount = Rational(random.rand(0..40), 2)
        gets = described_class.call(rooms, amount)
        expect(gets.values.sum).to eq([amount, rooms.values.sum(&:last)].min)
        tops = rooms.select do |at, (_, room)|
          gets[at].positive? && gets[at] < room
        end.map { |at, (stands, _)| stands + gets[at] }
        expect(tops.uniq.size).to be <= 1
        dry = rooms.select { |at, (_, room)| gets[at].zero? && room.positive? }.map { |_, (stands, _)| stands }
        expect(dry.min || 100).to be >= (tops.first || 0)
      end
    end
  end
end
