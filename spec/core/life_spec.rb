# frozen_string_literal: true

require_relative "support"

RSpec.describe "What hands do to food" do
  include CoreSupport

  it "runs the ripe rule from the day somebody finds fruit ripe" do
    bananas =
      story(
        "bananas",
        "cupboard",
        situation: "ripening",
        acquired_on: "2026-11-20",
        events: [event(:ripened, "2026-11-24")]
      )
    dating = date(bananas)
    ripe = catalog.keeping(food("bananas"), "ripe", "cupboard").row
    expect(dating.ready_on).to eq(day("2026-11-24"))
    expect(dating.usable_until).to eq(day("2026-11-24") + ripe.high)
    expect(dating.steps.join(" ")).to include("Found ripe on 24 Nov 2026")
  end

  it "gives what is cut the time of cut food, never more than it had" do
    lettuce = story("lettuce", "fridge", acquired_on: "2026-11-23", events: [event(:cut, "2026-11-24")])
    expect(date(lettuce)).to have_attributes(
      usable_until: day("2026-11-26"),
      safety_until: day("2026-11-26"),
      basis: :cut
    )
    late = story("lettuce", "fridge", acquired_on: "2026-11-15", events: [event(:cut, "2026-11-24")])
    expect(date(late).usable_until).to eq(day("2026-11-25"))
  end

  it "starts a new life by cooking in time, and freezes again what was thawed" do
    mince =
      story(
        "beef-mince",
        "freezer",
        printed_on: "2026-11-26",
        printed_kind: :use_by,
        acquired_on: "2026-11-22",
        events: [
          event(:frozen, "2026-11-22"),
          event(:moved, "2026-12-01", place: standing("fridge")),
          event(:cooked, "2026-12-02")
        ]
      )
    expect(date(mince, today: "2026-12-02")).to have_attributes(usable_until: day("2026-12-04"), basis: :cooked)
    again =
      story(
        "beef-mince",
        "freezer",
        printed_on: "2026-11-26",
        printed_kind: :use_by,
        acquired_on: "2026-11-22",
        events: [*mince.events, event(:moved, "2026-12-03", place: standing("freezer"))]
      )
    expect(date(again, today: "2026-12-03")).to have_attributes(stopped: false, basis: :frozen)
  end

  it "does not let cooking mend what is past its safety date" do
    late =
      story(
        "beef-mince",
        "fridge",
        printed_on: "2026-11-22",
        printed_kind: :use_by,
        acquired_on: "2026-11-20",
        events: [event(:cooked, "2026-11-24")]
      )
    expect(date(late)).to have_attributes(state: :stop, stopped: true)
    expect(date(late).steps.last).to include("cooking does not mend that")
  end

  it "makes the way of storing part of the rule, and carries the used share over when it changes" do
    water = date(story("fresh-parsley", "fridge", acquired_on: "2026-11-24", method: "water"))
    bag = date(story("fresh-parsley", "fridge", acquired_on: "2026-11-24", method: "bag"))
    expect([water.usable_until, bag.usable_until]).to eq([day("2026-12-08"), day("2026-12-01")])
    expect(bag.steps.join(" ")).to include("in a bag")
    # 7 of 14 days in water are half; of 7 days in a bag three and a half are left, floored.
    moved =
      date(
        story(
          "fresh-parsley",
          "fridge",
          acquired_on: "2026-11-17",
          method: "water",
          events: [event(:stored, "2026-11-24", method: "bag")]
        )
      )
    expect(moved.usable_until).to eq(day("2026-11-27"))
  end

  it "never lets another way of storing stretch a safety time" do
    stretched =
      catalog.foods.values.flat_map { |one| catalog.rows_of(one) }.select(&:storage).select do |row|
        base = catalog.row(row.scope, row.place, row.state)
        base.kind == :safety && row.high > base.high
      end
    expect(stretched).to be_empty
  end

  it "takes the earliest date of the parts when a jar is topped up" do
    jar = poured(part("Older oats", quality_until: day("2027-01-31")))
    expect(date(jar)).to have_attributes(usable_until: day("2027-01-31"))
    expect(date(poured(part("Oats of unknown age"))).usable_until).to eq(day("2027-05-30"))
  end

  def part(name, **facts) = NutShelf::Core::Part.new(name: name, **facts)

  def poured(*parts, later: [])
    story(
      "rolled-oats",
      "cupboard",
      printed_on: "2027-05-30",
      printed_kind: :best_before,
      acquired_on: "2026-11-01",
      events: [event(:topped_up, "2026-11-20", parts: parts), *later]
    )
  end

  it "keeps the dates, stops and unknown ages of the parts, wherever the jar is carried afterwards" do
    carried =
      poured(
        part("Older oats", quality_until: day("2026-11-26")),
        later: [event(:moved, "2026-11-23", place: standing("cool_dark"))]
      )
    expect(date(carried)).to have_attributes(usable_until: day("2026-11-26"), basis: :part)
    bad = [
      part("Oats with moths", stopped: true),
      part("Broth", safety_until: day("2026-11-19")),
      part("Broth", unknown: true)
    ]
    expect(bad.map { |one| date(poured(one)).stopped }).to eq([true] * 3)
    expect(date(poured(bad.first)).steps.last).to include("Oats with moths was poured in on 20 Nov 2026")
  end

  it "freezes what is poured into a frozen tub, and remembers the days it had left" do
    tub =
      story(
        "class-home-broth",
        "freezer",
        situation: "left_over",
        made_on: "2026-11-01",
        events: [
          event(:topped_up, "2026-11-20", parts: [part("Broth", safety_until: day("2026-11-20"))]),
          event(:moved, "2026-12-01", place: standing("fridge"))
        ]
      )
    expect(date(tub, today: "2026-12-01")).to have_attributes(safety_until: day("2026-12-01"), state: :front)
  end

  it "gives what a look finds turning two days, one in the fridge" do
    potatoes =
      story(
        "potatoes",
        "cool_dark",
        acquired_on: "2026-11-20",
        events: [event(:looked, "2026-11-24", result: :turning)]
      )
    expect(date(potatoes)).to have_attributes(usable_until: day("2026-11-26"), state: :front)
    yoghurt =
      story(
        "plain-yoghurt",
        "fridge",
        printed_on: "2026-12-20",
        printed_kind: :best_before,
        acquired_on: "2026-11-20",
        events: [event(:looked, "2026-11-24", result: :turning)]
      )
    expect(date(yoghurt).usable_until).to eq(day("2026-11-25"))
    again =
      story(
        "potatoes",
        "cool_dark",
        acquired_on: "2026-11-20",
        events: [event(:looked, "2026-11-24", result: :turning), event(:looked, "2026-11-27", result: :good)]
      )
    expect(date(again, today: "2026-11-27")).to have_attributes(usable_until: day("2026-11-26"), state: :look)
  end

  it "carries a passed best-before over the days of what was found turning, and no further" do
    found =
      lambda do |on|
        date(
          story(
            "canned-chickpeas",
            "cupboard",
            printed_on: "2026-10-31",
            printed_kind: :best_before,
            acquired_on: "2026-01-02",
            events: [event(:looked, on, result: :turning)]
          )
        )
      end
    expect(found.call("2026-11-24")).to have_attributes(usable_until: day("2026-11-26"), state: :front)
    expect(found.call(nil)).to have_attributes(state: :look)
  end

  it "ends the date where care that is part of the rule ends" do
    celery =
      story(
        "celery",
        "fridge",
        acquired_on: "2026-11-20",
        method: "water",
        care_until: day("2026-11-26"),
        care_words: "Change the water"
      )
    expect(date(celery).usable_until).to eq(day("2026-11-26"))
    expect(date(celery).steps.last).to include("Change the water")
  end
end
