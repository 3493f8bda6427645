# frozen_string_literal: true

require_relative "support"

# What went into another stack, and what nobody knows the day of.
RSpec.describe NutShelf::Core::Judge, "parts and unknown days" do
  include CoreSupport

  def part(**facts) = NutShelf::Core::Part.new(name: "A part", **facts)

  def jar(events, place: "fridge", key: "class-home-broth", **facts)
    story(key, place, situation: "left_over", made_on: "2026-11-22", events: events, **facts)
  end

  def poured(on, one) = event(:topped_up, on, parts: [one])

  describe "poured into what is frozen" do
    def tub(one, later = []) = jar([poured("2026-11-24", one), *later], place: "freezer")

    it "a fresh part freezes that day, and its days left bind after thawing" do
      out = [event(:moved, "2026-12-01", place: standing("fridge"))]
      expect(date(tub(part(safety_until: day("2026-11-25")), out), today: "2026-12-01").safety_until).to eq(
        day("2026-12-02")
      )
      expect(date(tub(part(safety_until: day("2026-11-24")), out), today: "2026-12-01").safety_until).to eq(
        day("2026-12-01")
      )
    end

    it "a part past its quality date keeps that date, one that is not does not" do
      expect(date(tub(part(quality_until: day("2026-11-23")))).state).to eq(:look)
      expect(date(tub(part(quality_until: day("2026-11-24")))).usable_until).to be > day("2026-12-30")
    end

    it "a frozen part keeps its dates and its days left" do
      kept =
        date(tub(part(frozen: true, quality_until: day("2026-12-10"), safety_until: day("2027-01-10"), days_left: 0)))
      expect(kept).to have_attributes(
        quality_until: day("2026-12-10"),
        safety_until: day("2027-01-10"),
        days_left_frozen: 0
      )
      expect(kept.steps.last).to include("frozen, good until 10 Dec 2026")
      expect(date(tub(part(frozen: true))).steps.last).to end_with("was poured in, frozen.")
    end
  end

  describe "poured into what is not" do
    it "a frozen part thaws there, and then the jar is not frozen again" do
      thawed = jar([poured("2026-11-23", part(frozen: true, days_left: 9))])
      row = catalog.keeping(food("class-home-broth"), "thawed", "fridge").row
      expect(date(thawed).safety_until).to be <= day("2026-11-23") + row.after_thaw_days
      expect(date(jar([poured("2026-11-23", part(frozen: true, days_left: 0))])).safety_until).to eq(day("2026-11-23"))
      again = jar([poured("2026-11-23", part(frozen: true)), event(:moved, "2026-11-23", place: standing("freezer"))])
      expect(date(again).stopped).to be(true)
    end

    it "a part that was thawed keeps the jar out of the freezer" do
      into = [event(:moved, "2026-11-24", place: standing("freezer"))]
      expect(date(jar([poured("2026-11-24", part(thawed: true)), *into])).stopped).to be(true)
      expect(date(jar([poured("2026-11-24", part), *into])).stopped).to be(false)
    end

    it "says the earliest of its dates, or that it has none" do
      both = date(jar([poured("2026-11-23", part(quality_until: day("2027-01-01"), safety_until: day("2026-12-05")))]))
      expect(both.steps).to include(/good until 5 Dec 2026; the earliest/)
      expect(date(jar([poured("2026-11-23", part)])).steps).to include(/without a date/)
    end

    it "refuses by the day it was poured: good that day, not the day after" do
      expect(
        [day("2026-11-23"), day("2026-11-22")].map do |until_on|
          date(jar([poured("2026-11-23", part(safety_until: until_on))])).stopped
        end
      ).to eq([false, true])
    end
  end

  describe "cooked into a dish" do
    def dish(*parts)
      date(jar([event(:cooked, "2026-11-22", parts: parts)], key: "class-cooked-soup-stew"), today: "2026-11-22")
    end

    it "brings along a quality date that had passed, and nothing else of what was raw" do
      expect(dish(part(quality_until: day("2026-11-21")))).to have_attributes(
        usable_until: day("2026-11-21"),
        state: :look
      )
      expect(dish(part(quality_until: day("2026-11-22"), safety_until: day("2026-11-22")))).to have_attributes(
        safety_until: day("2026-11-24"),
        quality_until: nil
      )
    end

    it "does not begin anew when something is added and heated later" do
      later =
        jar(
          [event(:cooked, "2026-11-23", parts: [part(safety_until: day("2026-11-23"))])],
          key: "class-cooked-soup-stew"
        )
      expect(date(later, today: "2026-11-23").safety_until).to eq(day("2026-11-24"))
      early = jar([event(:cooked, "2026-11-23")], key: "class-cooked-soup-stew")
      expect(date(early, today: "2026-11-23").steps).to include(
        "Heated again on 23 Nov 2026: its days do not begin anew."
      )
      expect(
        date(jar([event(:cooked, "2026-11-25")], key: "class-cooked-soup-stew"), today: "2026-11-25")
      ).to have_attributes(stopped: true)
      expect(
        date(jar([event(:cooked, "2026-11-24")], key: "class-cooked-soup-stew"), today: "2026-11-24")
      ).to have_attributes(stopped: false)
    end
  end

  describe "a day nobody knows" do
    let(:milk) { { acquired_on: "2026-11-01", printed_on: "2026-12-31", printed_kind: :best_before } }

    it "counts for opening and cutting from the first known day, and asks for a look without one" do
      expect(date(story("uht-milk", "fridge", **milk, events: [event(:opened, nil)])).steps).to include(
        /Nobody knows when it was opened: 1 Nov 2026 counts/
      )
      expect(date(story("onions", "fridge", events: [event(:cut, nil)]))).to have_attributes(
        look_first: true,
        state: :look
      )
      expect(date(story("onions", "fridge", acquired_on: "2026-11-20", events: [event(:cut, nil)]))).to have_attributes(
        usable_until: day("2026-11-27"),
        look_first: false
      )
      expect(date(story("uht-milk", "fridge", events: [event(:opened, nil)]))).to have_attributes(look_first: true)
    end

    it "says nothing for a good look, and counts early for one that found it turning" do
      tin = { acquired_on: "2025-01-01", printed_on: "2026-10-31", printed_kind: :best_before }
      expect(
        date(story("canned-chickpeas", "cupboard", **tin, events: [event(:looked, nil, result: :good)])).state
      ).to eq(:look)
      expect(
        date(
          story("potatoes", "cool_dark", acquired_on: "2026-11-20", events: [event(:looked, nil, result: :turning)])
        ).usable_until
      ).to eq(day("2026-11-22"))
      expect(date(story("honey", "cupboard", events: [event(:looked, nil, result: :turning)]))).to have_attributes(
        look_first: true
      )
      expect(date(story("honey", "cupboard", events: [event(:looked, nil, result: :bad)])).stopped).to be(true)
    end

    it "keeps the dates from before for freezing, and does not lift a stop by it" do
      frozen =
        story(
          "chicken-breast",
          "fridge",
          acquired_on: "2026-11-20",
          printed_on: "2026-11-26",
          printed_kind: :use_by,
          events: [event(:frozen, nil)]
        )
      expect(date(frozen)).to have_attributes(usable_until: day("2026-11-26"), frozen: true)
      expect(date(frozen).steps).to include(/day of freezing is not known/)
    end

    it "counts time out of the cold as a night when the day of coming back is unknown" do
      away =
        story(
          "beef-mince",
          "fridge",
          acquired_on: "2026-11-24",
          printed_on: "2026-11-28",
          printed_kind: :use_by,
          events: [
            event(:moved, "2026-11-24", place: standing("cupboard")),
            event(:moved, nil, place: standing("fridge"))
          ]
        )
      expect(date(away).safety_until).to eq(day("2026-11-24"))
    end
  end

  it "keeps what is set apart apart, with the reason where there is one" do
    expect(date(story("honey", "cupboard", quarantined: true, quarantine_reason: "pests")).steps.last).to eq(
      "Set apart as not to eat until somebody clears it: pests."
    )
    expect(date(story("honey", "cupboard", quarantined: true)).steps.last).to eq(
      "Set apart as not to eat until somebody clears it."
    )
  end

  it "says once that an earlier date comes first, and only where one does" do
    printed = { acquired_on: "2026-11-01", printed_kind: :best_before, events: [event(:opened, "2026-11-20")] }
    expect(date(story("uht-milk", "fridge", printed_on: "2026-11-21", **printed)).steps.last).to eq(
      "An earlier date comes first: 21 Nov 2026."
    )
    same = date(story("uht-milk", "fridge", printed_on: "2026-11-23", **printed))
    expect([same.usable_until, same.steps.grep(/earlier date/)]).to eq([day("2026-11-23"), []])
  end

  it "lets a safety date bind before a quality date of the same day" do
    both =
      story(
        "plain-yoghurt",
        "fridge",
        printed_on: "2026-11-26",
        printed_kind: :use_by,
        acquired_on: "2026-11-20",
        events: [poured("2026-11-21", part(quality_until: day("2026-11-26")))]
      )
    expect(date(both)).to have_attributes(basis: :printed, safety_until: day("2026-11-26"))
  end
end
