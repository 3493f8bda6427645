# frozen_string_literal: true

require_relative "../support"
require_relative "../../../core/kits/figures"
require_relative "../../../core/trips/fill"
require_relative "../../../core/trips/faults"
require_relative "../../../core/trips/grid_score"

RSpec.describe NutShelf::Core::Trips::Fill do
  include CoreSupport

  let(:trips) { NutShelf::Core::Trips }
  let(:figures) { NutShelf::Core::Kits::Figures.new(targets: catalog.targets) }
  let(:dice) { Random.new(RSpec.configuration.seed) }
  let(:day) { Date.new(2027, 4, 5) }

  def cold(hours_of = "soft-bag-2", temp = 12)
    trips::ColdKept.new(catalog.trips.cold.fetch(hours_of), temp_c: temp.to_r, leaves: Time.utc(2027, 4, 5, 8))
  end

  def means(**more)
    trips::Means.new(cold: cold, pot_ml: 1500r, gear: ["burner"], pots: 1, no_tins: true, no_glass: true, **more)
  end

  def faults(**more) = trips::Faults.new(catalog, figures, NutShelf::Core::Policy.new, means(**more))

  def recipe(key) = catalog.recipes.find { |one| one.key == key } || raise(key)

  def choice(key, *meals, **more)
    assembly = catalog.trips.assemblies[key]
    trips::Choice.new(assembly: assembly, recipe: assembly ? nil : recipe(key), meals: meals, **more)
  end

  def slots(days, *meals)
    (0...days).flat_map { |at| meals.map { |meal| trips::Slot.new(day: day + at, meal: meal, servings: 3) } }
  end

  def choices
    [
      choice("ham-crispbread-plate", "lunch"), choice("tortilla-tuna-roll", "lunch"),
      choice("crispbread-cheese-plate", "lunch"), choice("frankfurter-couscous-pot", "dinner"),
      choice("one-pot-tomato-pasta", "dinner"), choice("macaroni-cheese", "dinner"),
      choice("sardine-mash-pot", "dinner"), choice("tomato-couscous-bag", "dinner"),
      choice("jerky-mash-bag", "dinner", good_until: day + 2), choice("oat-apple-bag", "breakfast"),
      choice("cocoa-oat-bag", "breakfast")
    ]
  end

  def any_stock(list)
    keys = list.flat_map { |one| (one.recipe || one.assembly).lines.map(&:food_key) }.uniq
    keys.select { dice.rand < 0.7 }.to_h do |key|
      [key, Array.new(dice.rand(1..2)) do
        [[nil, day + dice.rand(-3..40)].sample(random: dice), dice.rand(10..900).to_r]
      end]
    end
  end

  def brute(score, slots, list)
    may = slots.map { |slot| [*list.select { |one| one.meals.include?(slot.meal) }, nil] }
    may.first.product(*may.drop(1)).reject { |grid| refused?(score, grid) }.map { |grid| score.of(grid) }.min
  end

  def refused?(score, grid)
    opened = {}
    grid.each_with_index.any? do |one, at|
      next false unless one

      bad = score.refused?(one, at, opened)
      score.opens(one, at).each { |key| opened[key] = true }
      bad
    end
  end

  it "finds no more faults and empty cells than any grid has, and of few grids the best" do
    6.times do
      list = choices.sample(dice.rand(3..7), random: dice)
      asked = slots(2, *%w[breakfast lunch dinner].sample(2, random: dice))
      score = trips::GridScore.new(faults(avoid: [[], ["milk"]].sample(random: dice)), asked,
        stock: any_stock(list), targets: { day => 6000r, day + 1 => 7000r })
      least = brute(score, asked, list)
      all = described_class.of(score, asked, list).call
      expect(all.score).to eq(least)
      searched = described_class.of(score, asked, list, few: 0).call(seconds: 30)
      expect([searched.score.empty, searched.score.faults]).to eq([least.empty, least.faults])
      expect(refused?(score, searched.grid)).to be(false)
    end
  end

  it "weighs every grid alike as a table that was sent elsewhere" do
    list = choices
    asked = slots(3, "breakfast", "lunch", "dinner")
    score = trips::GridScore.new(faults(avoid: ["fish"]), asked, stock: any_stock(list),
      targets: { day => 6000r, day + 1 => 7000r })
    may = asked.map { |slot| list.select { |one| one.meals.include?(slot.meal) } }
    table, told, known = Marshal.load(Marshal.dump(score.table(may)))
    told.each_with_index { |options, at| expect(options.map(&:key)).to eq(may[at].map(&:key)) }
    expect(known.map(&:key)).to match_array(list.map(&:key))
    60.times do
      picks = asked.each_index.map { |at| [nil, *may[at].each_index].sample(random: dice) }
      plain, sent = [may, told].map { |lists| picks.each_with_index.map { |pick, at| pick && lists[at][pick] } }
      expect(table.of(sent)).to eq(score.of(plain))
      keys = list.select(&:recipe).flat_map { |one| score.opens(one, 2) }.uniq
      opened = keys.to_h { |key| [key, dice.rand < 0.3] }
      picks.each_with_index.select(&:first).each do |pick, at|
        expect(table.refused?(told[at][pick], at, opened)).to eq(score.refused?(may[at][pick], at, opened))
        cell = may[at][pick].cell(asked[at], opened.select { |_, is| is }.keys)
        plainly = faults(avoid: ["fish"]).of(cell).map(&:kind)
        expect(score.count(may[at][pick], at, opened)).to eq(plainly.size)
        expect(score.refused?(may[at][pick], at, opened)).to be(plainly.intersect?(trips::GridScore::REFUSES))
      end
    end
  end

  it "takes what needs cold before the cold ends, and what stays good after" do
    asked = slots(3, "lunch", "dinner")
    list = choices.select { |one| one.meals.intersect?(%w[lunch dinner]) }
    score = trips::GridScore.new(faults, asked, stock: {
      "ham-sliced" => [[day + 3, 400r]], "crispbread" => [[day + 200, 800r]], "cheddar" => [[day + 20, 600r]]
    })
    filled = described_class.of(score, asked, list, few: 0).call(seconds: 20)
    expect([filled.score.empty, filled.score.faults]).to eq([0, 0])
    ham = filled.grid.index { |one| one.key == "ham-crispbread-plate" }
    expect(ham).to be < 2
    bag = filled.grid.index { |one| one.key == "jerky-mash-bag" }
    expect(bag).to(satisfy { |at| at.nil? || asked[at].day <= day + 2 })
  end

  it "does not count on what is past its date by then" do
    asked = slots(1, "lunch")
    grid = [choice("tortilla-tuna-roll", "lunch")]
    keys = grid[0].recipe.lines.map(&:food_key)
    points = [nil, day - 1, day].map do |last|
      stock = last ? keys.to_h { |key| [key, [[last, 5000r]]] } : {}
      trips::GridScore.new(faults, asked, stock: stock).of(grid).points
    end
    expect(points[1]).to be >= points[0]
    expect(points[2]).to be < points[1]
  end

  it "leaves what is pinned, and a meal open that nothing is allowed for" do
    asked = slots(2, "lunch")
    list = [choice("tortilla-tuna-roll", "lunch"), choice("crispbread-cheese-plate", "lunch")]
    score = trips::GridScore.new(faults(avoid: ["gluten"]), asked, stock: {})
    filled = described_class.of(score, asked, list, pinned: { 1 => list[0] }).call
    expect(filled.grid.map { |one| one&.key }).to eq([nil, "tortilla-tuna-roll"])
    expect(filled.score.empty).to eq(1)
  end

  it "goes on from a grid that stood, and takes none that may not stand" do
    asked = slots(4, "breakfast", "lunch", "dinner")
    score = trips::GridScore.new(faults, asked, stock: {})
    best = described_class.of(score, asked, choices).call(seconds: 5)
    none = described_class.of(score, asked, choices, clock: -> { 0 })
    again = none.call(seconds: -1, standing: best.grid)
    expect(again.score).to eq(best.score)
    ham = asked.map { |slot| slot.meal == "lunch" ? choices.first : nil }
    expect(none.call(seconds: -1, standing: ham).grid).to eq(none.call(seconds: -1).grid)
  end

  it "stops when its time is over, with what it has by then" do
    ticks = 0
    asked = slots(6, "breakfast", "lunch", "dinner")
    score = trips::GridScore.new(faults, asked, stock: {})
    filled = described_class.of(score, asked, choices, clock: -> { ticks += 1 }).call(seconds: 5)
    expect(filled.grid.size).to eq(18)
    expect(filled.score.faults).to eq(0)
  end
end
