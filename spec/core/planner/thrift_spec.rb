# frozen_string_literal: true

require "spec_helper"
require_relative "../../../bench/planner_instances"
require_relative "../../../core/planner/thrift"

RSpec.describe NutShelf::Core::Planner::Thrift do
  planner = NutShelf::Core::Planner

  let(:problem) { PlannerInstances.problem(Random.new(5), 7, %w[dinner], 20, 60) }
  let(:scorer) { planner::Scorer.new(problem) }
  let(:free) { planner::Search.new(problem, seed: 1).tap { |search| search.run(moves: 800) } }

  it "leaves the plan alone where it costs no more than may be spent" do
    plan, cost = described_class.new(problem, scorer.spent(free.plan) + 1).run(moves: 2000)
    expect(cost).to eq(scorer.cost(plan))
    expect(cost).to be_within(1).of(free.cost)
  end

  it "spends less where less may be spent, at the least cost beside that" do
    all = scorer.spent(free.plan)
    spent = [1r, 3/4r, 1/2r, 1/4r].map do |share|
      thrift = described_class.new(problem, all * share)
      plan, cost = thrift.run(moves: 3000)
      expect(cost).to be <= thrift.cost(free.plan)
      expect(cost).to eq(thrift.cost(plan))
      scorer.spent(plan)
    end
    expect(spent).to eq(spent.sort.reverse)
    expect(spent[1]).to be <= [spent[0], all * 3 / 4].min
  end

  it "says the best there is where nothing stays within it, and counts what is over" do
    bare = problem.with(foods: problem.foods.map { |food| food.with(lots: [].freeze) }.freeze)
    plan, cost = described_class.new(bare, 1r).run(moves: 1000)
    scorer = planner::Scorer.new(bare)
    expect(cost).to eq(scorer.cost(plan) + (5 * (scorer.spent(plan) - 1)))
    expect(plan.map(&:kind)).to include("cook")
  end

  it "tells only plans that are better than those before" do
    costs = []
    described_class.new(problem, 1r).run(moves: 500) { |_, cost| costs << cost }
    expect(costs).to eq(costs.sort.reverse.uniq)
  end

  it "counts what is bought in whole packs, one pack for several meals" do
    food = planner::Food.new(price: 1/100r, shop: planner::Shop.new(pack: 500r),
      lots: [planner::Lot.new(quantity: 100r, last_good: 9, unit_cost: 0r)].freeze)
    dish = planner::Dish.new(minutes: 0, keeps_days: 0, liking: 0r, meals: %w[dinner].freeze,
      lines: [planner::Line.new(food: 0, quantity: 200r)].freeze)
    slots = (0..2).map { |day| planner::Slot.new(day: day, meal: "dinner", eaters: 1, max_minutes: 9) }
    small = problem.with(foods: [food].freeze, dishes: [dish].freeze, slots: slots.freeze, history: [].freeze)
    cooked = ->(times) { (0..2).map { |at| planner::Meal.new(slot: at, kind: at < times ? "cook" : "skip", dish: 0) } }
    expect((0..3).map { |times| planner::Scorer.new(small).spent(cooked.(times)) }).to eq([0, 5, 5, 5])
    loose = small.with(foods: [food.with(shop: nil)].freeze)
    expect((0..3).map { |times| planner::Scorer.new(loose).spent(cooked.(times)) }).to eq([0, 1, 3, 5])
  end
end
