# frozen_string_literal: true

require_relative "support"
require_relative "../../core/planning/meal_slot"
require_relative "../../core/planning/plan_rules"

RSpec.describe NutShelf::Core::MealSlots do
  include CoreSupport

  core = NutShelf::Core
  person = Struct.new(:id, :name, :portion_factor, :strict, :excludes)
  said = Struct.new(:on_date, :weekday, :name, :meal, :evening, :minutes, :morning_minutes, :eaters, :gear, :note,
    keyword_init: true)

  let(:tuesday) { day("2026-11-24") }
  let(:people) do
    [person.new(1, "Ines", 1r, false, []), person.new(2, "Piet", 4/5r, true, ["peanut"])]
  end

  define_method(:fact) { |**facts| said.new(evening: "home", note: "", **facts) }
  def slots(**more) = described_class.new(people: people, usual: { "dinner" => 75 }, **more)

  def recipe(**facts)
    NutShelf::Core::Recipe.new(
      key: "x", name: "X", meal: "dinner", servings: 2, active_minutes: 10, total_minutes: 30, gear: ["hob"],
      leftover_days: 1, freezes: false, steps: [], tags: [], lines: [], **facts
    )
  end

  it "is as usual where nobody said anything: everybody, the usual minutes, at home" do
    slot = slots.of(tuesday, "dinner")
    expect(slot).to have_attributes(servings: 9/5r, minutes: 75, evening: "home", said_by: nil, timed: false)
    expect([slot.excludes, slot.strict?, slot.wanted?]).to eq([["peanut"], true, true])
  end

  it "takes the day's word before the weekday's, and the weekday's before what is usual" do
    football = fact(weekday: 2, name: "Football", meal: "dinner", evening: "shifts", minutes: 20)
    today = fact(on_date: tuesday, meal: "dinner", eaters: { "people" => [1], "guests" => [{ "portion" => "0.5" }] })
    weekly = slots(patterns: [football])
    expect(weekly.of(tuesday,
      "dinner")).to have_attributes(evening: "shifts", minutes: 20, said_by: "Football", timed: true)
    expect(weekly.of(tuesday + 1, "dinner")).to have_attributes(evening: "home", minutes: 75)
    own = slots(patterns: [football], said: [today]).of(tuesday, "dinner")
    expect(own).to have_attributes(evening: "home", minutes: 75, said_by: "day", servings: 3/2r)
    expect(own.eaters.map(&:name)).to eq(%w[Ines guest])
  end

  it "gives the meals of the days in the order of time" do
    list = slots(meals: %w[lunch dinner]).between(tuesday, tuesday + 1)
    expect(list.map { |slot| [slot.on, slot.meal] }).to eq(
      [[tuesday, "lunch"], [tuesday, "dinner"], [tuesday + 1, "lunch"], [tuesday + 1, "dinner"]]
    )
  end

  it "wants nothing where everybody eats out, or nobody is there" do
    expect(slots(said: [fact(on_date: tuesday, meal: "dinner", evening: "out")]).of(tuesday, "dinner")).not_to be_wanted
    nobody = fact(on_date: tuesday, meal: "dinner", eaters: { "people" => [] })
    expect(slots(said: [nobody]).of(tuesday, "dinner")).not_to be_wanted
  end

  it "says what stands against a dish: minutes, gear, the kind of evening" do
    slot = lambda { |**facts|
      core::MealSlot.new(on: tuesday, meal: "dinner", eaters: [core::Eater.new(name: "Ines")], **facts)
    }
    expect(slot.(minutes: 30).against(recipe)).to eq([])
    expect(slot.(minutes: 29).against(recipe)).to eq(["It takes 30 minutes, and there are 29."])
    expect(slot.(minutes: 15).against(recipe(total_minutes: 480))).to eq([])
    expect(slot.(gear: ["kettle"]).against(recipe)).to eq(["There is no hob that evening."])
    expect(slot.(evening: "no_oven").against(recipe(gear: ["oven"]))).to eq(["There is no oven that evening."])
    expect(slot.(evening: "no_oven").against(recipe)).to eq([])
    expect(slot.(evening: "no_power").against(recipe)).to eq(["There is no hob that evening."])
    expect(slot.(evening: "no_power").against(recipe(gear: ["none"]))).to eq([])
    expect(slot.(evening: "packed").against(recipe)).to eq(["It cannot be packed to go."])
    expect(slot.(evening: "packed").against(recipe(tags: ["packable"]))).to eq([])
    at_once = slot.(evening: "shifts").against(recipe(leftover_days: 0))
    expect(at_once).to eq(["It does not wait for those who come later."])
  end

  it "heats no leftovers without power" do
    dark = core::MealSlot.new(on: tuesday, meal: "dinner", evening: "no_power")
    expect([dark.again?(recipe), dark.again?(recipe(tags: ["no-cook"])),
            dark.with(evening: "home").again?(recipe)]).to eq(
      [false, true, true]
    )
  end

  describe core::PlanRules do
    it "has a default for every rule, and takes no strength it does not know" do
      expect(described_class.new.to_h).to eq(described_class::ALL.to_h { |rule| [rule.key, rule.default] })
      expect(described_class.new("shelf" => "eat_down").params(7).stock_value).to eq(1/5r)
      expect(described_class.new("shelf" => "nonsense").to_h["shelf"]).to eq("level")
      expect(described_class::ALL.map { |rule| rule.strengths.key?(rule.default) }).to all(be(true))
    end
  end
end
