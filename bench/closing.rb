# frozen_string_literal: true

require_relative "harness"
require_relative "../boot/reference"
require_relative "../core/kits/closing"
require_relative "../core/kits/gives"
require_relative "../core/kits/needs"

# What closes the gaps of an empty kit for five people, from every pack in the shops, at the same money a kilo: the
# worst case, where all mixtures cost alike. bin/bench closing [runs]
module ClosingBench
  Core = NutShelf::Core
  Kits = Core::Kits
  DAYS = [7, 14, 30, 90, 365].freeze
  A_KILO_MINOR = 400
  # Needs a day of five, in the units of each line.
  PER_DAY = {
    "water" => 20r, "grains" => 30r, "vegetables" => 15r, "fruit" => 10r, "dairy" => 10r, "protein" => 10r,
    "fat" => 10r, "sweets" => 5r, "drinks" => 10r, "kcal" => 10_500r, "protein_g" => 250r
  }.freeze

  module_function

  def catalog = @catalog ||= NutShelf::Boot::Reference.catalog

  def gives
    @gives ||= Kits::Gives.new(catalog, Kits::Figures.new(targets: catalog.targets),
      eaters: [Kits::Person.new(name: "Eater", age: 40)])
  end

  def offers
    foods = catalog.foods.values.select { |food| food.kit_group && food.shelf_stable? }
    foods.flat_map { |food| food.typical_packs.filter_map { |pack| offer(food, pack) } }
  end

  def offer(food, pack)
    given = gives.of(Kits::SupplyStack.new(id: food.key, food: food, packs: 1, pack: pack))
    Kits::Offer.new(given: given, price_minor: (given.stack.pack_g * A_KILO_MINOR / 1000).ceil)
  rescue Core::MissingFigure
    nil
  end

  def row(days, all, runs)
    gaps = PER_DAY.transform_values { |need| need * days }
    closed = nil
    times = Array.new(runs) { Harness.time { closed = Kits::Closing.new(gaps, shelf: [], offers: all).call } }.sort
    {
      days: days, offers: all.size, packs: closed.bought.sum(&:count), cost_minor: closed.cost_minor,
      median_s: (Harness.at(times, 0.5) / 1000).round(2), p95_s: (Harness.at(times, 0.95) / 1000).round(2)
    }
  end

  def rows(runs) = offers.then { |all| DAYS.map { |days| row(days, all, runs) } }
end

Harness.table("closing", ClosingBench.rows(Integer(ARGV.fetch(0, "3"))))
