# frozen_string_literal: true

require_relative "support"
require_relative "../../core/dating/ripening"

# Edges that a careless change would move: a day at the border, the round of a share, the one that is not a plural.
RSpec.describe "Edges of the dates" do
  include CoreSupport

  def carried(key, from, into)
    date(story(key, from, acquired_on: "2026-11-20", events: [event(:moved, "2026-11-22", place: standing(into))]))
  end

  def looked(key, place, on: "2026-11-24", opened: false, **facts)
    before = opened ? [event(:opened, "2026-11-01")] : []
    date(
      story(
        key,
        place,
        acquired_on: "2026-01-01",
        printed_on: "2026-11-20",
        printed_kind: :best_before,
        **facts,
        events: [*before, event(:looked, on, result: :good)]
      )
    )
  end

  it "tell the share of a life in whole percent, and the days that are left there" do
    expect(carried("white-bread", "cupboard", "fridge").steps.last).to eq(
      "Moved to the fridge on 22 Nov 2026 with 29 % of its life used; of 7 days there, 5 days are left: until 27 Nov " \
      "2026."
    )
    expect(carried("carrots", "cool_dark", "fridge").steps.last).to eq(
      "Moved to the fridge on 22 Nov 2026 with 1 % of its life used; of 35 days there, 34 days are left: until 26 " \
      "Dec 2026."
    )
  end

  it "tell days up to 59, and years not in days" do
    expect(carried("apples", "cool_dark", "fridge").steps.last).to end_with(
      "of 56 days there, 54 days are left: until 15 Jan 2027."
    )
    expect(carried("apples", "fridge", "cool_dark").steps.last).to end_with("the rest counts there: until 16 Feb 2027.")
    sixty = own("apples", "fridge", "whole", 60, 60)
    kept =
      date(
        story(
          "apples",
          "cool_dark",
          acquired_on: "2026-11-20",
          events: [event(:moved, "2026-11-22", place: standing("fridge"))]
        ),
        catalog: sixty
      )
    expect(kept.steps.last).to include("the rest counts there")
  end

  it "count from the day it came where the old place had no figure" do
    expect(carried("fennel", "cupboard", "fridge")).to have_attributes(usable_until: day("2026-12-18"), basis: :rule)
  end

  it "cover 90 days in the freezer, 30 open and dry, 180 sealed; nothing for a tin left open out of the cold" do
    expect(looked("frozen-peas", "freezer", situation: "bought_frozen")).to have_attributes(
      usable_until: day("2026-11-24") + 86,
      basis: :look
    )
    expect(looked("rolled-oats", "cupboard", opened: true).usable_until).to eq(day("2026-11-24") + 30)
    expect(looked("canned-chickpeas", "cupboard").usable_until).to eq(day("2026-11-24") + 180)
    expect(looked("canned-chickpeas", "cupboard", opened: true)).to have_attributes(
      usable_until: day("2026-11-01"),
      basis: :out_of_cold
    )
  end

  it "cover nothing on the printed day itself, and everything from the day after" do
    expect(looked("canned-chickpeas", "cupboard", on: "2026-11-20")).to have_attributes(
      usable_until: day("2026-11-20"),
      state: :look
    )
    expect(looked("canned-chickpeas", "cupboard", on: "2026-11-21")).to have_attributes(
      usable_until: day("2026-11-21") + 180
    )
  end

  it "leave what happened on an unknown day where it was told, and sort the rest by their days" do
    events = [
      event(:moved, "2026-11-22", place: standing("freezer")),
      event(:opened, nil),
      event(:moved, "2026-11-21", place: standing("fridge"))
    ]
    steps = date(story("white-bread", "cupboard", acquired_on: "2026-11-20", events: events)).steps
    expect(steps.map { |step| step[/\A(?:As bought|Moved|Frozen)/] }.compact).to eq(["As bought", "Moved", "Frozen"])
  end

  describe NutShelf::Core::Ripening do
    def batch(count, per_day)
      described_class.new(count: count, ready_on: day("2026-11-24"), ripe_days: 3, cold_days: 7, per_day: per_day)
    end

    it "promises whole pieces only, and never more than will be eaten" do
      slow = batch(10, Rational(2, 5))
      expect([slow.leave_out, slow.move, slow.too_many]).to eq([1, 1, 8])
      expect(slow.steps.first).to end_with("on the counter: 1 is eaten in that time.")
      expect(slow.steps.last).to start_with("8 are more than will be eaten in time")
    end

    it "speaks of one as one" do
      expect(batch(1, 1).steps).to eq(
        ["1 is ripe from about 24 Nov 2026 and keeps 3 days on the counter: 1 is eaten in that time."]
      )
      expect(batch(2, 1).steps.first).to start_with(
        "2 are ripe from about 24 Nov 2026 and keep 3 days on the counter: 2 are eaten"
      )
    end
  end
end
