# frozen_string_literal: true

require_relative "support"
require_relative "exact_program"
require_relative "../../../core/kits/endurance/endurance"

RSpec.describe NutShelf::Core::Kits::Endurance::Reckoning do
  include KitSupport

  def endurance = NutShelf::Core::Kits::Endurance

  def reckon(people, stacks, pets: [], **said)
    asked = endurance::Asked.new(start: day("2026-11-24"), people: people, pets: pets, heat_l: 0r, **said)
    described_class.new(catalog, figures, needs: kits::Needs.new(figures), asked: asked, stacks: stacks)
  end

  # Whether some way of eating does, found by trying them all at once: an amount for each class, group and day.
  def program?(classes, needs, days, share, water, heat)
    ways = classes.flat_map { |one| needs.each_index.flat_map { |group| (1..days).map { |on| [one, group, on] } } }
      .select { |one, group, on| one.mask[group] == 1 && on <= one.last }
    factors = ->(&rule) { ways.map { |way| rule.call(*way).to_r } }
    limits = classes.map { |one| [factors.call { |other, *| other.equal?(one) ? 1 : 0 }, one.amount] }
    needs.each_with_index.to_a.product((1..days).to_a).each do |(need, group), on|
      here = factors.call { |_, to, at| to == group && at == on ? 1 : 0 }
      limits << [here, need] << [ways.zip(here).map { |(one, *), there| one.extra ? there : 0r }, need * share]
    end
    limits << [factors.call { |one, *| one.water }, water] if water
    limits << [factors.call { |one, *| one.heat }, heat] if heat
    ExactProgram.new(limits, ways.size).most == needs.sum * days
  end

  def random_class(random)
    cold = random.rand(3).zero?
    endurance::FoodClass.new(
      amount: random.rand(1..8).to_r, mask: random.rand(1..3), last: random.rand(1..4), extra: random.rand(4).zero?,
      water: cold ? 0r : Rational(random.rand(0..3), 2), heat: cold ? 0r : Rational(random.rand(0..3), 3)
    )
  end

  it "decides by prices just what trying every way of eating decides" do
    random = Random.new(23)
    outcomes = Array.new(300) do |round|
      classes = Array.new(random.rand(1..4)) { random_class(random) }
      needs = Array.new(2) { random.rand(0..3).to_r }
      days = random.rand(1..3)
      water, heat = Array.new(2) { random.rand(5).zero? ? nil : Rational(random.rand(0..6), 2) }
      budgets = endurance::Budgets.new(water: water, heat: heat)
      table = endurance::Table.new(
        classes.select { |one| budgets.makes?(one) }, needs: needs, last_needs: needs, days: days, extras_share: 0.4r
      )
      decided = budgets.allow?(table)
      expect(decided).to eq(program?(classes, needs, days, 0.4r, water, heat)), "round #{round}"
      decided
    end
    expect(outcomes.tally.values.min).to be > 40
  end

  def pantry(random, size)
    Array.new(size) { |at| random_packs(random, "s#{at}", until_on: day("2026-11-24") + random.rand(0..60)) } <<
      packs("water", "bottled-water", "5l", count: random.rand(1..30), until_on: "2027-05-31")
  end

  it "never gives fewer person-days for more stock, more fuel, a fuller freezer, power or running water" do
    random = Random.new(31)
    people = house.first(3)
    25.times do
      stacks = pantry(random, random.rand(1..12))
      said = { gear: %i[none kettle burner].sample(random: random), heat_l: random.rand(0..20).to_r, power: false,
               running_water: false, freezer_fill: 0.5r, max_days: 30 }
      ask = ->(more = [], **other) { reckon_with(people, stacks + more, **said, **other) }
      plain = ask.call
      expect(plain.person_days).to be_between(plain.days * 3, (plain.days * 3) + 2).or eq(90)
      [ask.call([random_packs(random, "more", until_on: day("2026-12-20"))]), ask.call(heat_l: said[:heat_l] + 3),
       ask.call(freezer_fill: 1r), ask.call(power: true), ask.call(running_water: true)].each do |richer|
        expect(richer.person_days).to be >= plain.person_days
      end
    end
  end

  def reckon_with(people, stacks, heat_l:, **said)
    asked = endurance::Asked.new(start: day("2026-11-24"), people: people, pets: [], heat_l: heat_l, **said)
    described_class.new(catalog, figures, needs: kits::Needs.new(figures), asked: asked, stacks: stacks).call
  end

  it "counts an animal and an infant by what is theirs, and lets them drink with the first" do
    infant = person("Olli", age: 0, formula_fed: true)
    cat = kits::Pet.new(name: "Biscuit", species: "cat", kg: 4.5r)
    stacks = [packs("tin", "infant-formula-powder", "800g", until_on: "2027-01-01"),
              packs("dry", "cat-food-dry", "1kg", until_on: "2027-01-01"),
              packs("water", "bottled-water", "5l", count: 4, until_on: "2027-01-01")]
    found = reckon([*house.first(1), infant], stacks, pets: [cat], power: false, running_water: false).call
    expect([found.formula_days, found.water_days]).to eq([6, 3])
    expect(found.pets.fetch("cat")).to be > 10
    expect(found.runs_out_first).to eq(:food)
  end

  it "counts no food without a date, over its date, or that the dark took" do
    stacks = [packs("a", "rolled-oats", "500g", count: 20),
              packs("b", "rolled-oats", "500g", count: 20, until_on: "2026-11-23"),
              packs("c", "beef-mince", "500g", count: 20, until_on: "2026-12-20", place: "fridge")]
    expect(reckon(house.first(1), stacks, power: false, gear: :burner).call.food_days).to eq(1)
    expect(reckon(house.first(1), stacks.first(2)).call.food_days).to eq(0)
    expect(reckon(house.first(1), stacks, power: true).call.food_days).to be > 1
  end

  it "says what alone would give one more day" do
    rice = packs("rice", "white-rice", "5kg", count: 9, until_on: "2028-01-01")
    beans = packs("beans", "canned-chickpeas", "400g", count: 200, until_on: "2028-01-01")
    water = packs("water", "bottled-water", "5l", count: 3, until_on: "2028-01-01")
    out = lambda { |stacks, **said|
      asked = endurance::Asked.new(start: day("2026-11-24"), people: house, pets: [], **said)
      described_class.new(catalog, figures, needs: kits::Needs.new(figures), asked: asked,
        stacks: stacks).call.runs_out_first
    }
    dark = { power: false, running_water: false, gear: :burner }
    expect(out.call([rice, beans, water], **dark, heat_l: 100r)).to eq(:water)
    expect(out.call([packs("rice", "white-rice", "5kg", until_on: "2028-01-01")], power: true)).to eq(:food)
    expect(out.call([rice], **dark, running_water: true, heat_l: 3r)).to eq(:heat)
    expect(out.call([rice, water.with(packs: 5)], **dark, heat_l: 1000r)).to eq(:cooking_water)
    expect(out.call([rice, water.with(packs: 5)], **dark, heat_l: 12r)).to eq(:both)
    expect(out.call([rice, beans], power: true, max_days: 5)).to be_nil
  end
end
