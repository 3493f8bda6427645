# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/gap"

RSpec.describe NutShelf::Core::Kits::Gap do
  include KitSupport

  # What the best sharing gives, by a plain maximum flow: each way from a stack to somebody who eats it, again and
  # again.
  def shared(needs, stacks, amounts)
    flow = Hash.new(0r)
    left = amounts.dup
    open = needs.dup
    while (way = way_from(left, open, flow, stacks))
      carried = [left[way.first], open[way.last]].min
      carried = [carried, *backward(way).map { |pair| flow[pair] }].min
      way.each_cons(2) { |a, b| stacks.include?(a) ? flow[[a, b]] += carried : flow[[b, a]] -= carried }
      left[way.first] -= carried
      open[way.last] -= carried
    end
    needs.values.sum - open.values.sum
  end

  def backward(way) = way.each_cons(2).select { |a, _| a.is_a?(kits::Person) }.map { |a, b| [b, a] }

  def way_from(left, open, flow, stacks)
    queue = stacks.select { |one| left[one].positive? }.map { |one| [one] }
    seen = queue.flatten
    queue.each do |way|
      at = way.last
      return way if at.is_a?(kits::Person) && open[at].positive?

      onward = at.is_a?(kits::Person) ? stacks.select { |one| flow[[one, at]].positive? } : open.keys.select do |one|
        one.eats?(at.food)
      end
      (onward - seen).each do |to|
        seen << to
        queue << [*way, to]
      end
    end
    nil
  end

  it "leaves open just what the best sharing leaves, and names the fewest who are short" do
    random = Random.new(11)
    words = %w[peanut fish meat dairy gluten egg animal milk]
    40.times do |round|
      people = Array.new(random.rand(1..5)) do |at|
        person("P#{at}", excludes: words.sample(random.rand(0..3), random: random))
      end
      stacks = Array.new(random.rand(0..7)) { |at| random_packs(random, "s#{at}") }
      needs = people.to_h { |one| [one, Rational(random.rand(0..40), 2)] }
      amounts = stacks.to_h { |one| [one, Rational(random.rand(1..60), 4)] }
      found = described_class.new(people, stacks).of("protein", needs) { |one| amounts[one] }
      expect(found.gap).to eq(needs.values.sum - shared(needs, stacks, amounts)), "round #{round}"
      next if found.gap.zero?

      eaten = amounts.sum { |stack, amount| found.short.any? { |one| one.eats?(stack.food) } ? amount : 0 }
      expect(needs.values_at(*found.short).sum - eaten).to eq(found.gap)
    end
  end

  it "has nobody short where there is enough" do
    found = described_class.new(house, [packs("a", "rolled-oats", "500g")]).of("grains", house.to_h do |one|
      [one, 1r]
    end) { 12r }
    expect([found.gap, found.short]).to eq([0, []])
  end
end
