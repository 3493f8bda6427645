# frozen_string_literal: true

require_relative "../support"
require_relative "../../../boot/reference"
require_relative "../../../core/reference/trip_table_checks"

RSpec.describe NutShelf::Core::TripTables do
  include CoreSupport

  let(:tables) { NutShelf::Boot::Reference.tables(NutShelf::Boot::Reference::FOLDER) }

  def faults(table)
    changed = tables.merge(table => tables.fetch(table).map(&:dup))
    yield changed[table].first
    NutShelf::Core::TripTableChecks.new(changed, catalog).faults
  end

  it "are at peace with the foods as they are shipped" do
    expect(NutShelf::Core::TripTableChecks.new(tables, catalog).faults).to eq([])
  end

  {
    "assemblies" => ["packaging", "sack", "packaging sack"], "assembly_lines" => ["food_key", "moon", "no food moon"],
    "cold" => %w[hours_at_30c 99 warmer], "dry_parts" => ["moisture", "damp", "moisture damp"],
    "drying" => ["yield_low", "0.9", "out of order"], "pack_kinds" => ["scope", "aisle:Moon", "neither"],
    "recipe_gear" => ["recipe_key", "moon", "no recipe moon"], "volumes" => ["food_key", "moon", "no food moon"],
    "produce_jars" => ["food_key", "moon", "no food moon"],
    "essentials" => ["needed_when", "never", "needed_when never"]
  }.each do |table, (column, value, told)|
    it "refuse #{table} with #{column} #{value}" do
      # The first way of keeping cold is none at all.
      found = faults(table) do |row|
        row.update(table == "cold" ? { "hours_at_10c" => "1", column => value } : { column => value })
      end
      expect(found).to include(a_string_including(told)).and(all(start_with("#{table}: ")))
    end
  end

  it "refuse a number that is none, saying where" do
    broken = tables.merge("packaging" => [tables["packaging"].first.merge("tare_g" => "light")])
    expect { described_class.read(broken) }.to raise_error(NutShelf::Core::BadTable, /zip-bag-100 has no usable tare_g/)
  end

  it "say of every dish for the trail what it takes on a flame" do
    cooked = catalog.recipes.select { |one| one.tags.include?("trail") && one.gear != ["none"] }
    expect(cooked.map(&:key) - catalog.trips.recipe_gear.keys).to eq([])
  end

  it "weigh every food's pack that is sold, and fill no jar that nobody may bottle" do
    sold = catalog.foods.values.reject do |food|
      food.key.start_with?("class-") || ["Home leftovers", "Baby"].include?(food.aisle) ||
        %w[supplies water].include?(food.food_group)
    end
    expect(sold.reject { |food| catalog.trips.pack_kind(food) }.map { |food| [food.key, food.aisle] }).to eq([])
    classes = catalog.trips.produce_jars.map(&:jar_class).uniq
    expect(classes.reject { |key| catalog.row(key, "cool_dark", "home_canned") }).to eq([])
  end
end
