# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/budget_steps"
require_relative "../../../core/kits/closing"

RSpec.describe NutShelf::Core::Kits::Closing do
  include KitSupport

  def gives = @gives ||= kits::Gives.new(catalog, figures, eaters: house)

  def offer(key, pack, price, max: nil)
    kits::Offer.new(given: gives.of(packs(key, key, pack)), price_minor: price, max: max)
  end

  describe NutShelf::Core::Kits::Covering do
    # Every set of packs up to what covers all by itself.
    def best(kinds, amounts, half)
      ranges = kinds.map do |one|
        (0..[one.max, one.gives.zip(amounts).map do |give, open|
          (open / give).ceil
        end.max].compact.min).to_a
      end
      able = ranges.first.product(*ranges.drop(1)).select do |counts|
        amounts.each_index.all? do |which|
          kinds.zip(counts).sum do |one, count|
            one.gives[which] * count
          end >= amounts[which]
        end &&
          within?(kinds, counts, half)
      end
      able.min_by do |counts|
        cost = kinds.zip(counts)
        [cost.sum { |one, count| one.price_minor * count }, counts.sum, cost.sum do |one, count|
          one.weight * count
        end, counts.map(&:-@)]
      end
    end

    def within?(kinds, counts, half)
      return true unless half

      kinds.zip(counts).select { |_, count| count.positive? }.group_by { |one, _| one.food }.all? do |_, list|
        list.sum { |one, count| one.gives.first * count } - list.map { |one, _| one.gives.first }.min < half
      end
    end

    it "finds a set as cheap as the best of all counts, of the fewest packs, the least weight, the earliest offers" do
      random = Random.new(3)
      150.times do
        kinds = Array.new(random.rand(1..4)) do |at|
          described_class::Kind.new(
            food: "f#{at / 2}", price_minor: random.rand(1..5) * 10, weight: random.rand(1..3).to_r,
            gives: [Rational(random.rand(2..9), 2), Rational(random.rand(1..9), 3)].first(random.rand(1..2)),
            max: [nil, nil, 2, 3].sample(random: random)
          )
        end
        size = kinds.map { |one| one.gives.size }.min
        kinds = kinds.map { |one| one.with(gives: one.gives.first(size)) }
        amounts = Array.new(size) { Rational(random.rand(1..24), 2) }
        half = size == 1 && random.rand(4).positive? ? amounts.first / 2 : nil
        expect(described_class.new(kinds, half: half).call(amounts)).to eq(best(kinds, amounts, half))
      end
    end

    # Prices at a guess are the same for every size, so that thousands of mixtures cost the same.
    it "covers what a year takes, for hardly more than if packs could be cut, whatever the mixture" do
      random = Random.new(5)
      4.times do |turn|
        kinds = Array.new(12) do |at|
          size = random.rand(5..300).to_r
          described_class::Kind.new(
            food: "f#{at / 2}", weight: size, max: nil, price_minor: (size * (turn.even? ? 2 : random.rand(1..4))).ceil,
            gives: turn < 2 ? [size] : [size, size * random.rand(1..9) / 9]
          )
        end
        amounts = [90_000r, 60_000r].first(kinds.first.gives.size)
        counts = described_class.new(kinds, half: turn < 2 ? 45_000r : nil).call(amounts)
        given = amounts.each_index.map { |at| kinds.zip(counts).sum { |one, count| one.gives[at] * count } }
        expect(given.zip(amounts)).to all(satisfy { |have, open| have >= open })
        expect(within?(kinds, counts, 45_000r)).to be(true) if turn < 2
        expect(cost(kinds, counts)).to be_between(least(kinds, amounts), least(kinds, amounts, turn) * 1.01r)
      end
    end

    def cost(kinds, counts) = kinds.zip(counts).sum { |one, count| one.price_minor * count }

    # With packs that can be cut; where no food may cover more than half, the two best share.
    def least(kinds, amounts, turn = 2)
      floor = kinds.inject(kits::CostFloor.bare) { |all, one| all.with(one.gives, one.price_minor) }.of(amounts)
      return floor if turn > 1

      rates = kinds.group_by(&:food).values.map { |list| list.map { |one| one.price_minor / one.gives.first }.min }
      amounts.first * rates.min(2).sum / 2
    end
  end

  it "fetches from the own shelf first, what keeps longest before the rest" do
    shelf = [packs("b", "canned-peas", "400g", count: 2, until_on: "2028-01-01"),
             packs("a", "canned-peas", "400g", count: 2, until_on: "2028-06-01")].map { |one| gives.of(one) }
    closed = described_class.new({ "vegetables" => 7r }, shelf: shelf, offers: [offer("canned-peas", "400g", 95)]).call
    expect(closed.fetched.transform_keys(&:id)).to eq("a" => 2, "b" => 1)
    expect(closed.bought).to be_empty
  end

  it "buys what there is where nothing covers a line, and says what stays open" do
    closed = described_class.new({ "vegetables" => 20r }, shelf: [],
      offers: [offer("canned-peas", "400g", 95, max: 3)]).call
    expect([closed.bought.sum(&:count), closed.left]).to eq([3, { "vegetables" => 11r }])
    expect(described_class.new({ "fruit" => 5r }, shelf: [], offers: []).call.left).to eq("fruit" => 5r)
  end

  it "takes more than half of one food rather than leave a line open" do
    offers = [offer("canned-peas", "400g", 95), offer("canned-sweetcorn", "340g", 115, max: 1)]
    expect(described_class.new({ "vegetables" => 20r }, shelf: [], offers: offers).call.left).to be_empty
  end

  it "does not fill up energy with oil and sugar" do
    offers = [offer("vegetable-oil", "1l", 10), offer("sugar-white", "1kg", 10), offer("couscous", "500g", 400)]
    closed = described_class.new({ "kcal" => 5000r, "protein_g" => 0r }, shelf: [], offers: offers).call
    expect(closed.bought.map { |one| one.offer.food.key }).to eq(["couscous"])
  end

  describe NutShelf::Core::Kits::BudgetSteps do
    it "buys each pack once, never spends more than the purse holds, and carries the rest over" do
      offers = [offer("canned-peas", "400g", 95), offer("canned-sweetcorn", "340g", 115), offer("raisins", "500g", 240),
                offer("couscous", "500g", 135)]
      random = Random.new(5)
      20.times do
        gaps = { "vegetables" => random.rand(1..40).to_r, "fruit" => random.rand(0..30).to_r,
                 "kcal" => random.rand(0..9000).to_r }
        closed = kits::Closing.new(gaps, shelf: [], offers: offers).call
        tool = described_class.new(closed, per_day: { "vegetables" => 14r, "fruit" => 10r, "kcal" => 10_850r }, days: 7)
        budget = random.rand(100..600)
        steps = tool.call(budget)
        expect(steps.flat_map(&:offers)).to eq(tool.order)
        expect(tool.order.sum(&:price_minor)).to eq(closed.cost_minor)
        purse = 0
        steps.each do |step|
          purse += budget - step.offers.sum(&:price_minor)
          expect([purse, step.left_minor]).to eq([step.left_minor, purse])
          expect(purse).to be >= 0
        end
      end
    end
  end
end
