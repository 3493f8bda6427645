# frozen_string_literal: true

require "spec_helper"
require_relative "../../../core/planner/scorer"
require_relative "../../../core/planner/search"

RSpec.describe NutShelf::Core::Planner::Packs do
  planner = NutShelf::Core::Planner

  params = planner::Params.new(
    days: 7, grace_days: 0, waste_weight: 1r, stock_value: 1r, rep_window_days: 7, rep_cost: 0r, protein_cost: 0r,
    starch_cost: 0r, liking_weight: 0r, minute_cost: 0r, leftover_cost: 0r, leftover_like: 0r, skip_cost_per_eater: 9r
  )
  dish = lambda do |food, quantity, **facts|
    lines = food ? [planner::Line.new(food: food, quantity: quantity.to_r)] : []
    planner::Dish.new(minutes: 0, keeps_days: 0, liking: 0r, meals: %w[dinner].freeze, lines: lines.freeze, **facts)
  end
  # One meal a day for one, each with its dish.
  cost = lambda do |food, dishes, more: [], **facts|
    slots = dishes.each_index.map { |day| planner::Slot.new(day: day, meal: "dinner", eaters: 1, max_minutes: 99) }
    problem = planner::Problem.new(params: params.with(**facts), foods: [food, *more].freeze,
      dishes: dishes.uniq.freeze, slots: slots.freeze)
    plan = dishes.each_with_index.map do |one, day|
      planner::Meal.new(slot: day, kind: "cook", dish: dishes.uniq.index(one))
    end
    [planner::Scorer.new(problem).cost(plan), planner::Search.new(problem, from: plan).cost].uniq
  end
  # Two tins of 400 g at a hundredth of a coin a gram, good for years; two days once open.
  tins = planner::Food.new(
    price: 2/100r, opened_days: 2,
    lots: [planner::Lot.new(quantity: 800r, last_good: 900, unit_cost: 1/100r, pack: 400r)].freeze
  )
  nothing = dish.(nil, 0)
  half = dish.(0, 200)

  it "loses the rest of a tin that nobody finishes in its days" do
    expect(cost.(tins, [half, nothing, nothing, nothing])).to eq([4])
    expect(cost.(tins, [half, nothing, half, nothing])).to eq([4])
    expect(cost.(tins, [half, nothing, nothing, half])).to eq([8])
  end

  it "loses nothing of what is opened late enough to be good beyond the days" do
    late = [nothing] * 5
    expect(cost.(tins, [*late, half])).to eq([2])
  end

  it "opens a tin only for what whole ones do not give" do
    most = dish.(0, 500)
    expect(cost.(tins, [most, half, nothing, nothing, nothing])).to eq([8])
    expect(cost.(tins, [dish.(0, 400), nothing])).to eq([4])
  end

  it "buys whole packs, and has what is left of them for the days it keeps" do
    bunch = planner::Food.new(price: 1/100r, shop: planner::Shop.new(pack: 300r, days: 3))
    third = dish.(0, 100)
    expect(cost.(bunch, [third, nothing, nothing, nothing, nothing])).to eq([3])
    expect(cost.(bunch, [third, nothing, third, third])).to eq([3])
    expect(cost.(bunch, [third, nothing, nothing, nothing, third])).to eq([4])
  end

  it "counts what can be frozen in time for less" do
    expect(cost.(tins.with(waste_weight: 1/4r), [half, nothing, nothing, nothing])).to eq([5/2r])
  end

  it "has what a dish makes for the days after it, for nothing" do
    broth = planner::Food.new(price: 1/100r)
    chicken = dish.(nil, 0, makes: [planner::Making.new(food: 0, quantity: 500r, days: 3)].freeze)
    soup = dish.(0, 500)
    expect(cost.(broth, [chicken, nothing, nothing, soup])).to eq([0])
    expect(cost.(broth, [chicken, nothing, nothing, nothing, soup])).to eq([5])
    expect(cost.(broth, [soup, chicken])).to eq([5])
  end

  it "prefers the dish that finishes what another one opens" do
    other = dish.(1, 200)
    plain = planner::Food.new(price: 15/1000r)
    slots = (0..2).map { |day| planner::Slot.new(day: day, meal: "dinner", eaters: 1, max_minutes: 99) }
    pinned = slots.each_with_index.map { |slot, at| at.zero? ? slot.with(pin: 0) : slot }
    problem = planner::Problem.new(params: params, foods: [tins, plain].freeze, dishes: [half, other].freeze,
      slots: pinned.freeze)
    plan = planner::Search.new(problem, seed: 1).run(moves: 300)
    expect(plan.count { |meal| meal.dish.zero? }).to eq(2)
  end
end
