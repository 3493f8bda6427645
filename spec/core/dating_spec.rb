# frozen_string_literal: true

require_relative "support"

RSpec.describe NutShelf::Core::Judge do
  include CoreSupport

  describe "printed dates and opening" do
    let(:printed) { { acquired_on: "2026-11-01", printed_on: "2027-03-31", printed_kind: :best_before } }

    it "gives opened long-life milk its opened rule, for safety by the short figure" do
      rules = own("class-uht-milk", "fridge", "opened", 4, 7, kind: :safety)
      dating = date(story("uht-milk", **printed, events: [event(:opened, "2026-11-20")]), catalog: rules)
      expect(dating).to have_attributes(
        safety_until: day("2026-11-24"),
        usable_until: day("2026-11-24"),
        days_left: 0,
        state: :front,
        basis: :opened
      )
    end

    it "leaves the sealed litre beside it alone" do
      expect(date(story("uht-milk", "cupboard", **printed))).to have_attributes(
        usable_until: day("2027-03-31"),
        safety_until: nil,
        state: :resting,
        basis: :printed
      )
    end

    it "never lets opening lengthen a life" do
      dating =
        date(
          story(
            "uht-milk",
            acquired_on: "2026-11-01",
            printed_on: "2026-11-22",
            printed_kind: :best_before,
            events: [event(:opened, "2026-11-20")]
          )
        )
      expect(dating).to have_attributes(usable_until: day("2026-11-22"), quality_until: day("2026-11-22"))
    end

    it "keeps the sealed answer for food that opening does not shorten" do
      dating =
        date(
          story(
            "white-rice",
            "cupboard",
            acquired_on: "2026-01-01",
            printed_on: "2028-01-31",
            printed_kind: :best_before,
            events: [event(:opened, "2026-06-01")]
          )
        )
      expect(dating.usable_until).to eq(day("2028-01-31"))
    end

    it "takes a use-by date for safety, and infant food's date whatever it is called" do
      expect(
        date(story("plain-yoghurt", acquired_on: "2026-11-10", printed_on: "2026-11-23", printed_kind: :use_by)).state
      ).to eq(:stop)
      expect(
        date(story("infant-formula-powder", "cupboard", printed_on: "2026-11-23", printed_kind: :best_before)).state
      ).to eq(:stop)
    end

    it "is undated when neither date nor day is known" do
      expect(date(story("honey", "cupboard"))).to have_attributes(usable_until: nil, state: :undated, days_left: nil)
    end
  end

  describe "freezing and thawing" do
    let(:mince) { { acquired_on: "2026-11-23", printed_on: "2026-11-26", printed_kind: :use_by } }

    def frozen(on, *later, **facts)
      story("beef-mince", **facts, events: [event(:moved, on, place: standing("freezer")), *later])
    end

    it "stops the old clock and starts the freezer's, for quality" do
      expect(date(frozen("2026-11-24", **mince))).to have_attributes(
        quality_until: day("2027-03-24"),
        safety_until: nil,
        basis: :frozen
      )
    end

    it "counts thawed mince by its day after thawing, for safety" do
      thawed = frozen("2026-11-24", event(:moved, "2026-12-10", place: standing("fridge")), **mince)
      expect(date(thawed, today: "2026-12-10")).to have_attributes(
        safety_until: day("2026-12-11"),
        quality_until: nil,
        basis: :thawed
      )
    end

    it "never gives more days than its safety date had left when frozen" do
      thawed = frozen("2026-11-26", event(:moved, "2026-12-10", place: standing("fridge")), **mince)
      expect(date(thawed, today: "2026-12-10").safety_until).to eq(day("2026-12-10"))
    end

    it "stops for good what was frozen after its safety date" do
      thawed = frozen("2026-11-27", event(:moved, "2026-12-10", place: standing("fridge")), **mince)
      expect(date(thawed, today: "2026-11-27").state).to eq(:stop)
    end

    it "refuses to freeze again what thawed raw" do
      again = frozen("2026-11-24", event(:thawed, "2026-12-10"), event(:frozen, "2026-12-10"), **mince)
      expect(date(again, today: "2026-12-10").state).to eq(:stop)
    end

    it "does not stretch a tin's printed date by the freezer, and says why" do
      tin =
        story(
          "canned-chickpeas",
          "cupboard",
          printed_on: "2027-05-31",
          printed_kind: :best_before,
          events: [event(:moved, "2026-11-01", place: standing("freezer"))]
        )
      expect(date(tin)).to have_attributes(usable_until: day("2027-05-31"), flags: include(include(code: :will_freeze)))
    end
  end

  describe "looks" do
    let(:tin) { { acquired_on: "2025-01-01", printed_on: "2026-10-31", printed_kind: :best_before } }
    let(:looked) { story("canned-chickpeas", "cupboard", **tin, events: [event(:looked, "2026-11-20", result: :good)]) }

    it "asks for a look past a quality date" do
      expect(date(story("canned-chickpeas", "cupboard", **tin))).to have_attributes(state: :look, days_left: -24)
    end

    it "covers a sealed tin for 180 days" do
      expect(date(looked)).to have_attributes(usable_until: day("2027-05-19"), basis: :look, state: :resting)
    end

    it "extends nothing under \"by the date\"" do
      expect(date(looked, school: :by_the_date)).to have_attributes(usable_until: day("2026-10-31"), state: :look)
    end

    it "never reaches beyond the tolerance of the class" do
      late = story("canned-chickpeas", "cupboard", **tin, events: [event(:looked, "2027-09-20", result: :good)])
      expect(date(late, today: "2027-09-21").usable_until).to eq(day("2027-10-31"))
    end

    it "stops on a bad look" do
      expect(
        date(story("canned-chickpeas", "cupboard", **tin, events: [event(:looked, "2026-11-20", result: :bad)])).state
      ).to eq(:stop)
    end
  end

  describe "places" do
    it "carries the used-up share to the rule of the new place" do
      rules = own("potatoes", "cupboard", "whole", 20, 20)
      rules =
        rules.with_own(
          {
            %w[potatoes cool_dark whole] =>
              CoreSupport::CORE::KeepingRow.new(
                scope: "potatoes", place: "cool_dark", state: "whole", low: 60, high: 60, kind: :quality
              )
          }
        )
      moved =
        story(
          "potatoes",
          "cupboard",
          acquired_on: "2026-11-01",
          events: [event(:moved, "2026-11-11", place: standing("cool_dark"))]
        )
      expect(date(moved, catalog: rules).usable_until).to eq(day("2026-11-11") + 30)
    end

    it "holds high-risk food out of the cold to two hours" do
      dating =
        date(
          story(
            "beef-mince",
            acquired_on: "2026-11-24",
            printed_on: "2026-11-28",
            printed_kind: :use_by,
            events: [event(:moved, "2026-11-24", place: standing("cupboard"))]
          ),
          today: "2026-11-25"
        )
      expect(dating).to have_attributes(state: :stop, flags: include(include(code: :two_hours)))
    end

    it "warns of freezing where the lowest temperature is below zero" do
      shed =
        CoreSupport::CORE::Story.new(
          food: food("canned-chickpeas"),
          place: standing("cool_dark", name: "the shed", low: -6),
          printed_on: day("2028-05-31"),
          printed_kind: :best_before
        )
      expect(date(shed).flags).to include(include(code: :will_freeze, text: include("the shed")))
    end
  end

  describe "food made at home and ripening" do
    it "keeps a cooked dish by its rule, and the recipe's own limit when shorter" do
      expect(date(story("class-cooked-soup-stew", situation: "left_over", made_on: "2026-11-23")).safety_until).to eq(
        day("2026-11-25")
      )
      expect(
        date(
          story("class-cooked-soup-stew", situation: "left_over", made_on: "2026-11-23", leftover_days: 1)
        ).safety_until
      ).to eq(day("2026-11-24"))
    end

    it "says when ripening fruit is ready" do
      dating = date(story("avocado", "cupboard", situation: "ripening", acquired_on: "2026-11-24"))
      expect(dating.ready_on).to be > day("2026-11-24")
      expect(dating).to have_attributes(state: :not_ready)
      expect(dating.usable_until).to be > dating.ready_on
    end
  end

  it "changes the answer and the sentence together when a rule changes" do
    opened =
      story(
        "uht-milk",
        acquired_on: "2026-11-01",
        printed_on: "2027-03-31",
        printed_kind: :best_before,
        events: [event(:opened, "2026-11-20")]
      )
    dating = date(opened, catalog: own("class-uht-milk", "fridge", "opened", 2, 2, kind: :safety))
    expect(dating.safety_until).to eq(day("2026-11-22"))
    expect(dating.steps.join(" ")).to include("2 days", "22 Nov 2026")
  end

  it "counts short under \"by the date\" and long under \"look, then decide\" for quality" do
    oats = story("rolled-oats", "cupboard", acquired_on: "2026-11-24", situation: "bought_sealed")
    expect(date(oats, school: :by_the_date).usable_until).to be < date(oats).usable_until
  end
end
