# frozen_string_literal: true

require "optparse"
require_relative "harness"
require_relative "planner_instances"
require_relative "../boot/workers"
require_relative "../core/planner/scorer"
require_relative "../desk/race"
require_relative "../exchange/planner_file"

# Fills every instance in a folder as the product does (two seeds in two workers, the better taken) and prints what the
# plan costs, beside the best known, for each time there is. The workers have filled another one before, as those of a
# house that runs have. bin/bench planner [--instances DIR] [--out DIR] [--seconds 0.3,1,3] [--fresh N]
module PlannerBench
  Planner = NutShelf::Core::Planner
  File_ = NutShelf::Exchange::PlannerFile

  module_function

  def options(arguments)
    found = { instances: File.expand_path("planner", __dir__), seconds: [0.3, 1.0, 3.0], fresh: 0 }
    OptionParser.new do |parser|
      parser.on("--instances DIR") { |value| found[:instances] = value }
      parser.on("--out DIR") { |value| found[:out] = value }
      parser.on("--seconds LIST") { |value| found[:seconds] = value.split(",").map { |one| Float(one) } }
      parser.on("--fresh N", Integer) { |value| found[:fresh] = value }
    end.parse(arguments)
    found
  end

  # @return [Hash{String=>Planner::Problem}]
  def problems(found)
    return PlannerInstances.fresh(found[:fresh]) if found[:fresh].positive?

    Dir[File.join(found[:instances], "*.json")].reject { |path| File.basename(path).start_with?("best-") }.sort
      .to_h { |path| [File.basename(path, ".json"), File_.problem(File.read(path))] }
  end

  # Read after planning, never while.
  def best_known(found, name)
    path = File.join(found[:instances], "best-#{name}.json")
    JSON.parse(File.read(path)).fetch("cost") if File.file?(path)
  end

  def fill(workers, problem, key, seconds)
    shared = NutShelf::Core::Work::Shared.new(key: key, value: problem)
    NutShelf::Desk::Race.new(workers, shared).run(NutShelf::Desk::Filling.new(seconds: seconds))
  end

  def measure(workers, found, name, problem)
    found[:seconds].map do |seconds|
      filled = fill(workers, problem, [name], seconds)
      cost = Planner::Scorer.new(problem).cost(filled.plan)
      raise "#{name}: says #{filled.cost.to_f}, costs #{cost.to_f}" if (cost - filled.cost).abs > 1e-6

      write(found[:out], "#{name}@#{seconds.to_s.delete_suffix(".0")}", filled.plan) if found[:out]
      [seconds, cost.to_f]
    end
  end

  def write(folder, name, plan)
    FileUtils.mkdir_p(folder)
    File.write(File.join(folder, "#{name}.json"), JSON.pretty_generate(File_.plan(plan)))
  end

  def rows(workers, found)
    all = problems(found)
    warm(workers, all.values)
    all.flat_map do |name, problem|
      costs = measure(workers, found, name, problem)
      best = found[:fresh].zero? ? best_known(found, name) : PlannerInstances.best(name, problem)
      costs.map do |seconds, cost|
        gap = best && ((cost - best) / best * 100).round(2)
        { instance: name, seconds: seconds, cost: cost.round(3), best_known: best&.round(3), gap_percent: gap,
          gap_money: best && (cost - best).round(2) }
      end
    end
  end

  def warm(workers, problems) = problems.first(2).each { |problem| fill(workers, problem, [:warm, problem.hash], 1.5) }

  def run(arguments)
    found = options(arguments)
    nursery = NutShelf::Boot::Workers::Nursery.start
    workers = NutShelf::Boot::Workers.new(nursery.door, most: 2)
    rows = rows(workers, found)
    Harness.table("planner", rows)
    summary(rows)
    pins = pins(workers, found)
    Harness.table("planner_pin", pins) if pins.any?
  ensure
    workers&.close
    nursery&.stop
  end

  # A meal of a good plan is pinned to another dish: 0.3 s from the plan as it stands, with a small cost for every other
  # meal that changes, beside 3 s from nothing.
  def pins(workers, found)
    problems(found).select { |name, _| name.start_with?("medium") }.map do |name, problem|
      plan = fill(workers, problem, [name], 1.0).plan
      pinned = pinned(problem, plan, Random.new(name.sum))
      shy = pinned.with(params: pinned.params.with(change_cost: 3/10r), slots: standing(pinned.slots, plan))
      shared = NutShelf::Core::Work::Shared.new(key: [name, :shy], value: shy)
      again = NutShelf::Desk::Race.new(workers, shared).run(NutShelf::Desk::Filling.new(seconds: 0.3, from: plan)).plan
      scorer = Planner::Scorer.new(pinned)
      ours, scratch = [again, fill(workers, pinned, [name, :pinned], 3.0).plan].map { |one| scorer.cost(one).to_f }
      changed = again.each_index.count { |slot| content(again, slot) != content(plan, slot) }
      { instance: name, replan: ours.round(3), scratch_3s: scratch.round(3),
        gap_percent: ((ours - scratch) / scratch * 100).round(2), changed: changed - 1 }
    end
  end

  def pinned(problem, plan, chance)
    slot = plan.each_index.select { |at| plan[at].kind == "cook" && plan.none? { |meal| meal.from == at } }
      .sample(random: chance)
    meal = problem.slots[slot].meal
    dishes = problem.dishes.each_index.select do |one|
      one != plan[slot].dish && problem.dishes[one].meals.include?(meal)
    end
    slots = problem.slots.dup
    slots[slot] = slots[slot].with(pin: dishes.sample(random: chance))
    problem.with(slots: slots.freeze)
  end

  def standing(slots, plan)
    slots.each_with_index.map { |slot, at| slot.with(now: plan[at].kind == "cook" ? plan[at].dish : nil) }.freeze
  end

  def content(plan, slot) = plan[slot].kind == "leftovers" ? plan[plan[slot].from].dish : plan[slot].dish

  def summary(rows)
    known = rows.select { |row| row[:gap_percent] }
    known.group_by { |row| [row[:instance][/\A[a-z]+/], row[:seconds]] }.each do |(size, seconds), list|
      gaps = list.map { |row| row[:gap_percent] }
      puts format("%-8s %4.1f s  mean %6.2f %%  worst %6.2f %%", size, seconds, gaps.sum / gaps.size, gaps.max)
    end
  end
end

PlannerBench.run(ARGV)
