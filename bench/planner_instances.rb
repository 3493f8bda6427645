# frozen_string_literal: true

require_relative "../desk/filling"

# Problems nobody tuned the planner for, made by a seeded generator: weeks of dinners, fortnights of lunches and
# dinners, months. A household's, as far as chance goes: few foods stand in many dishes, what is dear is used by the
# gram, most stacks keep for months and a fifth of them turns within the span, lunches of a working day are for one or
# two and quick, somebody comes to dinner, something is pinned. The best known of one is what a long search of four
# seeds finds.
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
    made = Array.new(dishes) { dish(chance, foods, meals) }.freeze
    Planner::Problem.new(
      params: params(days, chance), foods: foods.map(&:food).freeze, dishes: made,
      slots: slots(chance, days, meals, made),
      history: Array.new(4) { Planner::Cooked.new(day: -1 - chance.rand(6), dish: chance.rand(dishes)) }.freeze
    )
  end

  def params(days, chance)
    Planner::Params.new(
      days: days, grace_days: 3, waste_weight: 12/10r, stock_value: [0r, 0r, 2/10r, 6/10r].sample(random: chance),
      rep_window_days: 7, rep_cost: 6/10r, protein_cost: 8/10r, starch_cost: 1/2r, liking_weight: 1/2r,
      minute_cost: 2/100r, leftover_cost: 6/10r, leftover_like: 7/10r, skip_cost_per_eater: 9r
    )
  end

  # A food with what a serving takes of it, and how often dishes ask for it.
  Kind = NutShelf::Core::Value.of(:food, :serving, :weight)

  def foods(chance, count, lots, days)
    owned = Array.new(count) { chance.rand < 0.7 }
    there = owned.each_index.select { |at| owned[at] }
    spread = Array.new(lots) { there.sample(random: chance) }.tally
    Array.new(count) do |key|
      serving = (4 * (45**chance.rand)).round
      price = (Rational((100 * (12**chance.rand)).round, 1000) / serving).round(5)
      Kind.new(serving: serving, weight: 1.0 / (15 + chance.rand(count)),
        food: food(chance, price, serving, spread.fetch(key, 0), days))
    end
  end

  def food(chance, price, serving, count, days)
    lots = Array.new(count) do
      turns = chance.rand < (days > 7 ? 0.21 : 0.12)
      Planner::Lot.new(quantity: (chance.rand(4..12) * serving).to_r,
        last_good: turns ? chance.rand(0..(days + 2)) : chance.rand((days + 3)..600),
        unit_cost: (price * chance.rand(80..115) / 100).round(5))
    end
    Planner::Food.new(price: price, lots: lots.sort_by(&:last_good).freeze)
  end

  def dish(chance, kinds, meals)
    keys = kinds.each_index.sort_by { |at| -(chance.rand**(1 / kinds[at].weight)) }
    lines = Array.new(chance.rand(7..11)) { line(chance, kinds, keys) }
    tag = ->(names) { chance.rand < 0.15 ? nil : names.sample(random: chance) }
    Planner::Dish.new(
      minutes: chance.rand(8..60), keeps_days: chance.rand < 0.58 ? 0 : chance.rand(1..3), lines: lines.freeze,
      liking: Rational(chance.rand(1000), 1000), gear: GEAR.sample(chance.rand(1..2), random: chance),
      meals: chance.rand < 0.33 ? meals : [meals.sample(random: chance)],
      protein: tag.(%w[egg pork chicken bean fish cheese beef]), starch: tag.(%w[rice pasta potato bread noodle oats])
    )
  end

  def line(chance, kinds, keys)
    others = Array.new(chance.rand < 0.17 ? chance.rand(1..2) : 0) do
      Planner::Substitute.new(food: keys.pop, ratio: Rational(chance.rand(85..120), 100), cost: 5/100r)
    end
    omit = chance.rand < 0.09 ? Rational(chance.rand(100..300), 1000) : nil
    key = keys.shift
    quantity = [kinds[key].serving * chance.rand(50..150) / 100, 1].max
    Planner::Line.new(food: key, quantity: quantity.to_r, substitutes: others.freeze, omit_cost: omit)
  end

  def slots(chance, days, meals, dishes)
    home = chance.rand(3..5)
    made = days.times.flat_map { |day| meals.map { |meal| slot(chance, day, meal, home) } }
    made.each_index { |at| made[at] = settled(chance, made, at, dishes) }.freeze
  end

  def slot(chance, day, meal, home)
    free = day % 7 > 4
    quick = meal == "lunch" && !free
    eaters = quick ? chance.rand(1..2) : home + (chance.rand < 0.1 ? 2 : 0)
    minutes = quick ? 20 : (free && 75) || chance.rand(25..60)
    Planner::Slot.new(day: day, meal: meal, eaters: eaters, max_minutes: minutes, gear: GEAR)
  end

  # One in twenty is pinned, one is not wanted, one is for the leftovers of the meal before it.
  def settled(chance, slots, at, dishes)
    fitting = dishes.each_index.select { |one| dishes[one].meals.include?(slots[at].meal) }
    case chance.rand(20)
    when 0 then slots[at].with(pin: fitting.sample(random: chance))
    when 1 then slots[at].with(skip: true)
    when 2
      before = at.positive? && slots[at - 1]
      plain = before && before.pin.nil? && !before.skip && before.leftovers_from.nil?
      plain ? slots[at].with(leftovers_from: at - 1) : slots[at]
    else slots[at]
    end
  end
end
