# frozen_string_literal: true

require_relative "harness"
require_relative "../boot/reference"
require_relative "../core/kits/endurance/endurance"
require_relative "../core/quantity/conversion"

# How long a household would last, for 400 and 4,000 stacks: five people of five diets, dates from tomorrow to two years
# ahead, in the dark without running water, in the dark with it, and with both. Goals: 1 s and 5 s.
# bin/bench endurance [runs]
module EnduranceBench
  Core = NutShelf::Core
  Kits = Core::Kits
  START = Date.new(2026, 11, 24)
  SIZES = { 400 => 1.0, 4000 => 5.0 }.freeze
  ASKED = {
    "dark and dry" => { power: false, running_water: false }, "dark" => { power: false, running_water: true },
    "with power" => { power: true, running_water: true }
  }.freeze
  DIETS = [[], %w[fish], %w[animal], %w[peanut], %w[milk]].freeze

  module_function

  def catalog = NutShelf::Boot::Reference.catalog

  def figures = @figures ||= Kits::Figures.new(targets: catalog.targets)

  def people
    DIETS.each_with_index.map do |diet, at|
      Kits::Person.new(name: "Eater #{at + 1}", age: [44, 46, 15, 9, 78][at], excludes: diet.freeze)
    end
  end

  def foods
    @foods ||= catalog.foods.values.select do |food|
      food.nutrition.kcal && !food.key.start_with?("class-") && food.typical_packs.any? && weighed?(food)
    end
  end

  def weighed?(food)
    food.typical_packs.each { |pack| Core::Conversion.to(pack, :mass, food) }
    true
  rescue Core::MissingFigure
    false
  end

  def place(food)
    return "freezer" if food.aisle == "Frozen"

    food.shelf_stable? ? "cupboard" : "fridge"
  end

  # @return [Array<Kits::SupplyStack>] of any food, and water for some weeks
  def stacks(count, chance)
    water = Kits::SupplyStack.new(
      id: "water", food: catalog.food("bottled-water"), packs: count / 8, pack: Core::Quantity.of(5, "l"),
      usable_until: START + 200
    )
    Array.new(count) { |id| stack(id, foods[chance.rand(foods.size)], chance) } << water
  end

  def stack(id, food, chance)
    where = place(food)
    Kits::SupplyStack.new(
      id: id, food: food, packs: chance.rand(1..4), pack: food.typical_packs[chance.rand(food.typical_packs.size)],
      usable_until: START + chance.rand(1..(where == "cupboard" ? 700 : 40)), place: where,
      situation: where == "freezer" ? "bought_frozen" : "bought_sealed"
    )
  end

  def reckon(stacks, heat, **said)
    asked = Kits::Endurance::Asked.new(
      start: START, people: people, pets: [], heat_l: heat, gear: :burner, freezer_fill: 0.5r, **said
    )
    Kits::Endurance::Reckoning
      .new(catalog, figures, needs: Kits::Needs.new(figures), asked: asked, stacks: stacks).call
  end

  def row(count, goal, name, said, runs)
    found = nil
    times = Array.new(runs) do |run|
      all = stacks(count, Random.new(run))
      Harness.time { found = reckon(all, count/16r, **said) }
    end.sort
    {
      stacks: count, asked: name, days: found.days, out: found.runs_out_first.to_s,
      median_s: (Harness.at(times, 0.5) / 1000).round(2), p95_s: (Harness.at(times, 0.95) / 1000).round(2), goal_s: goal
    }
  end

  def rows(runs) = SIZES.flat_map { |count, goal| ASKED.map { |name, said| row(count, goal, name, said, runs) } }
end

Harness.table("endurance", EnduranceBench.rows(Integer(ARGV.fetch(0, "5"))))
