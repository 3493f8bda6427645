# frozen_string_literal: true

require "spec_helper"
require "json"
require_relative "../../../bench/planner_instances"
require_relative "../../../core/planner/scorer"
require_relative "../../../core/planner/search"
require_relative "../../../exchange/planner_file"

RSpec.describe NutShelf::Core::Planner::Search do
  planner = NutShelf::Core::Planner
  folder = File.expand_path("../../../bench/planner", __dir__)
  given = lambda do |name|
    NutShelf::Exchange::PlannerFile.problem(File.read(File.join(folder, "#{name}.json")))
  end
  tiny = lambda do |seed|
    made = PlannerInstances.problem(Random.new(seed), 3, %w[dinner], 5, 60)
    made.with(slots: made.slots.map { |slot| slot.with(max_minutes: 90) }.freeze)
  end

  # What a household wishes beside the cost: some dishes often or seldom, coins an eater on others, what one table
  # likes and another does not.
  wishes = lambda do |problem, dice|
    dishes = problem.dishes.map do |dish|
      likings = Array.new(2) { Rational(dice.rand(0..10), 10) } if dice.rand < 0.5
      dish.with(extra: Rational(dice.rand(-20..60), 100), likings: likings)
    end
    tallies = Array.new(3) do
      some = dishes.each_index.select { dice.rand < 0.5 }
      planner::Tally.new(dishes: some, days: dice.rand(2..7),
        costs: Array.new(dice.rand(1..4)) { Rational(dice.rand(0..600), 100) })
    end
    slots = problem.slots.map { |slot| slot.with(table: dice.rand(2)) }
    problem.with(dishes: dishes.freeze, tallies: tallies, slots: slots.freeze)
  end

  # Packs that are good for days once open, whole ones in the shop, what dishes make besides, a freezer, cooking once
  # for several meals.
  packs = lambda do |problem, dice|
    foods = problem.foods.map do |food|
      lots = food.lots.map { |lot| dice.rand < 0.6 ? lot.with(pack: dice.rand(40..400).to_r) : lot }
      shop = dice.rand < 0.4 ? planner::Shop.new(pack: dice.rand(50..500).to_r, days: dice.rand(1..6)) : nil
      food.with(opened_days: dice.rand(1..5), lots: lots.freeze, shop: shop,
        waste_weight: dice.rand < 0.2 ? 4/10r : nil)
    end
    dishes = problem.dishes.map do |dish|
      makes = Array.new(dice.rand < 0.2 ? 1 : 0) do
        planner::Making.new(food: dice.rand(foods.size), quantity: dice.rand(20..150).to_r, days: dice.rand(1..4))
      end
      dish.with(makes: makes.freeze, chilled_days: dice.rand < 0.3 ? 2 : nil,
        keeps_days: dice.rand < 0.3 ? 9 : dish.keeps_days)
    end
    problem.with(foods: foods.freeze, dishes: dishes.freeze,
      params: problem.params.with(freeze_cost: 3/10r, again_most: dice.rand(1..3)))
  end

  # Every plan there is, one after the other.
  every = lambda do |problem|
    choices = problem.slots.each_index.map do |slot|
      cooks = problem.dishes.each_with_index.flat_map do |dish, key|
        options = dish.lines.each_with_index.map do |line, at|
          [[at, 0], *line.substitutes.each_index.map { |one| [at, one + 1] }, *([[at, -1]] if line.omit_cost)]
        end
        options.first.product(*options.drop(1)).map do |picked|
          planner::Meal.new(slot: slot, kind: "cook", dish: key, choices: picked.to_h)
        end
      end
      [planner::Meal.new(slot: slot, kind: "skip"), *cooks,
       *(0...slot).map { |from| planner::Meal.new(slot: slot, kind: "leftovers", from: from) }]
    end
    choices.first.product(*choices.drop(1))
  end
  cheapest = lambda do |problem|
    scorer = planner::Scorer.new(problem)
    every.(problem).filter_map do |plan|
      scorer.cost(plan)
    rescue planner::Scorer::Illegal
      nil
    end.min
  end
  few_choices = lambda do |problem|
    dishes = problem.dishes.map do |dish|
      lines = dish.lines.first(4).each_with_index.map { |line, at| at.zero? ? line : line.with(substitutes: [].freeze) }
      dish.with(lines: lines.freeze)
    end
    problem.with(dishes: dishes.freeze)
  end

  it "costs what the plain scorer says of the best plans known" do
    Dir[File.join(folder, "best-*.json")].each do |path|
      best = JSON.parse(File.read(path))
      problem = given.(File.basename(path, ".json").delete_prefix("best-"))
      cost = planner::Scorer.new(problem).cost(NutShelf::Exchange::PlannerFile.meals(best["plan"]))
      expect(cost.to_f).to be_within(1e-6).of(best["cost"])
    end
  end

  # The running total, after moves at any temperature, is to the billionth of a coin what the rules say.
  %w[small-1 medium-1 medium-3 large-1].each do |name|
    it "keeps its running total true through moves hot and cold on #{name}" do
      problem = name.start_with?("large") ? given.(name) : wishes.(given.(name), Random.new(name.sum))
      scorer = planner::Scorer.new(problem)
      3.times do |seed|
        search = described_class.new(problem, seed: seed)
        expect(scorer.cost(search.plan)).to eq(search.cost)
        [40, 160].each do |moves|
          plan = search.run(moves: moves)
          expect(scorer.cost(plan)).to eq(search.cost)
        end
      end
    end
  end

  it "keeps its running total true where packs are opened, dishes make food and one cook serves several meals" do
    %w[small-2 medium-2 large-2].each do |name|
      problem = packs.(given.(name), Random.new(name.sum))
      scorer = planner::Scorer.new(problem)
      2.times do |seed|
        search = described_class.new(problem, seed: seed)
        expect(scorer.cost(search.plan)).to eq(search.cost)
        [30, 120].each { |moves| expect(scorer.cost(search.run(moves: moves))).to eq(search.cost) }
      end
    end
  end

  it "finds the cheapest of all plans where all can be tried" do
    9.times do |seed|
      problem = few_choices.(tiny.(seed))
      problem = wishes.(problem, Random.new(seed)) if seed.odd?
      problem = packs.(problem, Random.new(seed)) if seed > 5
      search = described_class.new(problem, seed: 1)
      search.run(moves: seed > 5 ? 3000 : 400)
      expect(search.cost).to eq(cheapest.(problem)), "seed #{seed}"
    end
  end

  it "is within a hundredth of what is proven for a week, for a budget of moves" do
    { "small-1" => 38.509, "small-2" => 62.076, "small-3" => 43.742 }.each do |name, proven|
      search = described_class.new(given.(name), seed: 3)
      search.run(moves: 3000)
      expect(search.cost.to_f).to be_between(proven - 0.001, proven * 1.01)
    end
  end

  it "gives the same plan for the same seed and moves, and begins elsewhere with another" do
    problem = given.("medium-1")
    plans = [5, 5, 6].map { |seed| described_class.new(problem, seed: seed).run(moves: 300) }
    expect(plans[0]).to eq(plans[1])
    expect(plans[0]).not_to eq(plans[2])
  end

  it "keeps what is to stay, and changes little else when it begins with a plan" do
    problem = given.("medium-3")
    plan = described_class.new(problem, seed: 1).run(moves: 2000)
    kept = [0, 3, 7].select { |slot| plan[slot].kind == "cook" && plan.none? { |meal| meal.from == slot } }
    again = described_class.new(problem, seed: 2, from: plan, keep: kept).run(moves: 500)
    expect(kept.map { |slot| again[slot].dish }).to eq(kept.map { |slot| plan[slot].dish })
    expect(planner::Scorer.new(problem).cost(again)).to be <= planner::Scorer.new(problem).cost(plan)
  end

  it "tells better plans as it finds them, none worse than the one before" do
    told = []
    clock = -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }
    described_class.new(given.("medium-2"), seed: 1).run(seconds: 0.4, every: 0.02, clock: clock) do |_, cost|
      told << cost
    end
    expect(told.size).to be > 2
    expect(told).to eq(told.sort.reverse)
  end

  # The scorer refuses whatever breaks a rule, so every plan it costs keeps them.
  it "never breaks a rule, whatever is pinned, left out, fed or forbidden" do
    dice = Random.new(77)
    12.times do |turn|
      problem = PlannerInstances.problem(Random.new(turn), 6, %w[lunch dinner], 12, 60)
      slots = problem.slots.map { |slot| slot.with(pin: nil, skip: false, leftovers_from: nil) }
      slots.each_index do |at|
        before = at.positive? && slots[at - 1]
        plain = before && before == problem.slots[at - 1].with(pin: nil, skip: false, leftovers_from: nil)
        feeds = plain && problem.dishes.any? do |dish|
          dish.keeps_days.positive? && dish.minutes <= before.max_minutes && dish.meals.include?(before.meal)
        end
        only = Array.new(5) { dice.rand(12) }.uniq
        slots[at] = slots[at].then do |slot|
          case dice.rand(9)
          when 0 then slot.with(pin: dice.rand(12))
          when 1 then slot.with(skip: true)
          when 2, 3 then slot.with(only: only, may: only.first(3))
          when 4 then slot.with(allow_leftovers: false)
          when 5 then feeds ? slot.with(leftovers_from: at - 1) : slot
          else slot
          end
        end
      end
      problem = wishes.(problem.with(slots: slots.freeze), dice)
      problem = packs.(problem, dice) if turn > 5
      search = described_class.new(problem, seed: turn)
      plan = search.run(moves: 300)
      expect(planner::Scorer.new(problem).cost(plan)).to eq(search.cost)
    end
  end

  it "gives what is said to be eaten of a meal its place, and others only what is left of the most" do
    [1, 2, 5, 9, 14, 23, 31, 46].each do |turn|
      problem = PlannerInstances.problem(Random.new(turn), 6, %w[lunch dinner], 14, 60)
      [1, 2].each do |most|
        allowed = problem.with(params: problem.params.with(again_most: most))
        search = described_class.new(allowed, seed: turn)
        plan = search.run(moves: 120)
        expect(planner::Scorer.new(allowed).cost(plan)).to eq(search.cost), "turn #{turn}, most #{most}"
      end
    end
  end

  it "leaves open what no dish fits, and says nothing of it" do
    problem = tiny.(1)
    shut = problem.with(slots: problem.slots.map { |slot| slot.with(max_minutes: 1) }.freeze)
    plan = described_class.new(shut, seed: 1).run(moves: 20)
    expect(plan.map(&:kind)).to eq(%w[skip skip skip])
  end
end
