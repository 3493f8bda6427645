# frozen_string_literal: true

require_relative "../desk/filling"

# Problems nobody tuned the planner for, made by a seeded generator: weeks of dinners, fortnights of lunches and
# dinners, months. The best known of one is what a long search of four seeds finds.
module PlannerInstances
  Planner = NutShelf::Core::Planner
  SIZES = [
    [:small, 7, %w[dinner], 40, 200], [:small, 7, %w[dinner], 40, 120], [:medium, 14, %w[lunch dinner], 80, 200],
    [:medium, 14, %w[lunch dinner], 80, 260], [:large, 28, %w[lunch dinner], 200, 400]
  ].freeze
  GEAR = %w[hob oven blender slow_cooker].freeze

  module_function

  # @return [Hash{String=>Planner::Problem}]
  def fresh(count)
    Array.new(count) do |index|
      size, days, meals, dishes, lots = SIZES[index % SIZES.size]
      ["#{size}-fresh-#{index + 1}", problem(Random.new(9000 + index), days, meals, dishes, lots)]
    end.to_h
  end

  # @return [Float] coins
  def best(name, problem)
    seconds = name.start_with?("small") ? 6 : 15
    [11, 12, 13, 14].map do |seed|
      NutShelf::Desk::Filling.new(seed: seed, seconds: seconds).call(problem).cost
    end.min.to_f
  end

  def problem(chance, days, meals, dishes, lots)
    foods = foods(chance, 120 + (dishes / 4), lots, days)
    Planner::Problem.new(
      params: params(days, chance), foods: foods,
      dishes: Array.new(dishes) { dish(chance, foods, meals) }.freeze,
      slots: days.times.flat_map { |day| meals.map { |meal| slot(chance, day, meal) } }.freeze,
      history: Array.new(4) { Planner::Cooked.new(day: -1 - chance.rand(6), dish: chance.rand(dishes)) }.freeze
    )
  end

  def params(days, chance)
    Planner::Params.new(
      days: days, grace_days: 3, waste_weight: 12/10r, stock_value: [0r, 2/10r, 6/10r].sample(random: chance),
      rep_window_days: 7, rep_cost: 6/10r, protein_cost: 8/10r, starch_cost: 1/2r, liking_weight: 1/2r,
      minute_cost: 2/100r, leftover_cost: 6/10r, leftover_like: 7/10r, skip_cost_per_eater: 9r
    )
  end

  def foods(chance, count, lots, days)
    spread = Array.new(lots) { chance.rand(count) }.tally
    Array.new(count) do |key|
      price = Rational(chance.rand(100..2200), 100_000)
      there = Array.new(spread.fetch(key, 0)) do
        last = chance.rand < 0.55 ? chance.rand(0..(days + 6)) : chance.rand(40..200)
        Planner::Lot.new(quantity: chance.rand(100..900).to_r, last_good: last,
          unit_cost: (price * chance.rand(70..125) / 100).round(5))
      end
      Planner::Food.new(price: price, lots: there.sort_by(&:last_good).freeze)
    end.freeze
  end

  def dish(chance, foods, meals)
    keys = (0...foods.size).to_a.shuffle(random: chance)
    lines = Array.new(chance.rand(6..12)) { line(chance, keys) }
    tag = ->(names) { chance.rand < 0.15 ? nil : names.sample(random: chance) }
    Planner::Dish.new(
      minutes: chance.rand(12..70), keeps_days: [0, 0, 1, 2, 3].sample(random: chance), lines: lines.freeze,
      liking: Rational(chance.rand(1000), 1000), gear: GEAR.sample(chance.rand(1..2), random: chance),
      meals: chance.rand < 0.6 ? meals : [meals.sample(random: chance)],
      protein: tag.(%w[egg pork chicken bean fish cheese]), starch: tag.(%w[rice pasta potato bread])
    )
  end

  def line(chance, keys)
    others = Array.new([0, 0, 0, 1, 2].sample(random: chance)) do
      Planner::Substitute.new(food: keys.pop, ratio: Rational(chance.rand(85..120), 100), cost: 5/100r)
    end
    omit = chance.rand < 0.1 ? Rational(chance.rand(100..300), 1000) : nil
    Planner::Line.new(food: keys.pop, quantity: chance.rand(5..220).to_r, substitutes: others.freeze, omit_cost: omit)
  end

  def slot(chance, day, meal)
    Planner::Slot.new(
      day: day, meal: meal, eaters: [1, 2, 3, 3, 4, 5].sample(random: chance),
      max_minutes: [25, 40, 52, 75, 90].sample(random: chance), gear: GEAR
    )
  end
end
