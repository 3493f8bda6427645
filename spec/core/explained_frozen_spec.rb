# frozen_string_literal: true

require_relative "explained"

# What froze, thawed or was cooked explains its date in full, as somebody reads it.
RSpec.describe NutShelf::Core::Judge, "explained after frost and fire" do
  include CoreSupport
  include Explained

  describe "frozen and thawed" do
    def mince(printed)
      told(
        "beef-mince",
        "fridge",
        moved("2026-11-20", "freezer"),
        moved("2026-12-10", "fridge"),
        acquired_on: "2026-11-20",
        **use_by(printed)
      ).drop(1)
    end

    it "with the days it had left, which are told only where they bind" do
      thawed = "Thawed on 10 Dec 2026: 1 day in the fridge after thawing, until 11 Dec 2026 (safety)."
      expect(mince("2026-11-21")).to eq([Explained::FROZEN, thawed])
      expect(mince("2026-11-20")).to eq(
        [Explained::FROZEN, thawed, "No day was left of its safety date when it was frozen: until 10 Dec 2026."]
      )
    end

    it "on a day nobody knows, as early as may be" do
      expect(told("beef-mince", "freezer", moved(nil, "fridge"), acquired_on: "2026-11-20")).to eq(
        [
          Explained::FROZEN,
          "Nobody knows when it was thawed: 20 Nov 2026 counts, the first day it was known here.",
          "Thawed on 20 Nov 2026: 1 day in the fridge after thawing, until 21 Nov 2026 (safety)."
        ]
      )
    end

    it "past its date and not looked at, and only then" do
      unlooked = "It was past its date when it was frozen and nobody had looked: look first."
      expect(told("cheddar", "fridge", moved("2026-11-24", "freezer"), **best_before("2026-11-20"))[1]).to eq(unlooked)
      expect(told("cheddar", "fridge", moved("2026-11-24", "freezer"), **best_before("2026-12-20"))).not_to include(
        unlooked
      )
      expect(
        date(
          story("cheddar", "fridge", events: [moved("2026-11-20", "freezer")], **best_before("2026-11-20")),
          today: "2026-11-20"
        )
      ).to have_attributes(basis: :frozen, state: :resting)
      expect(
        told(
          "cheddar",
          "fridge",
          event(:opened, "2026-10-01"),
          moved("2026-11-24", "freezer"),
          **best_before("2026-12-20")
        )
      ).to include(unlooked)
    end

    it "too late is not frozen; thawed by nobody knows when does not go back" do
      expect(
        date(
          story(
            "beef-mince",
            "fridge",
            events: [moved("2026-11-24", "freezer")],
            **use_by("2026-11-22"),
            acquired_on: "2026-11-20"
          )
        )
      ).to have_attributes(stopped: true, frozen: false)
      expect(told("beef-mince", "fridge", moved("2026-11-24", "freezer"), situation: "thawed").last).to eq(
        "Frozen again on 24 Nov 2026 after thawing: only cooked food may go back."
      )
    end

    it "again, noted long after it left the freezer, is not the day it first went in" do
      back = [event(:thawed, "2026-10-07"), moved("2026-10-27", "freezer"), event(:frozen, "2026-11-20")]
      told_again = date(story("eggs", "freezer", situation: "frozen_at_home", acquired_on: "2026-10-05", events: back))
      expect(told_again).to have_attributes(stopped: true)
      expect(told_again.steps).to include("Frozen again on 27 Oct 2026 after thawing: only cooked food may go back.")
    end

    it "opened in the freezer it is only thawed, opened after it came out it is opened too" do
      out = [moved("2026-11-24", "cupboard"), event(:opened, "2026-11-24")]
      after, before =
        [out, out.reverse].map { |events| told("white-bread", "freezer", *events, acquired_on: "2026-11-01").drop(1) }
      thawed = "Thawed on 24 Nov 2026: 2 days in the fridge after thawing, until 26 Nov 2026 (quality)."
      expect(before).to eq([thawed])
      expect(after).to match(
        [thawed, start_with("Opened since 24 Nov 2026, in a cupboard"), "An earlier date comes first: 26 Nov 2026."]
      )
    end

    it "on the counter, food that germs like has that day only, whatever figure it has" do
      thawed =
        catalog.foods.values.select do |one|
          one.high_risk && catalog.keeping(one, "frozen_at_home", "freezer").row? &&
            catalog.keeping(one, "bought_sealed", "fridge").row&.kind == :quality
        end
      expect(thawed.size).to be > 10
      thawed.each do |one|
        dating =
          date(
            story(
              one.key,
              "freezer",
              situation: "bought_frozen",
              acquired_on: "2026-11-01",
              events: [moved("2026-11-20", "cupboard")]
            )
          )
        expect([one.key, dating.usable_until]).to eq([one.key, day("2026-11-20")])
      end
    end

    it "where the freezer does nothing for it, it keeps as in the fridge and may come out again" do
      expect(told("lettuce", "freezer", acquired_on: "2026-11-23")).to eq(
        ["It keeps as if it had not been frozen: until 3 Dec 2026."]
      )
      expect(told("lettuce", "freezer", event(:frozen, "2026-11-24"), acquired_on: "2026-11-23").last).to start_with(
        "As bought since 23 Nov 2026, in the fridge"
      )
      out =
        story(
          "lettuce",
          "fridge",
          acquired_on: "2026-11-23",
          events: [moved("2026-11-24", "freezer"), event(:thawed, "2026-11-25")]
        )
      expect(date(out).steps.last).to eq(
        "Moved to the fridge on 25 Nov 2026 with 20 % of its life used; of 10 days there, 8 days are left: until 3 " \
        "Dec 2026."
      )
      expect(date(out).flags.map { |flag| flag[:text] }).to eq(
        ["It stood in the freezer. Whole, it spoils there: look at it closely."]
      )
    end

    it "out of the freezer in the same order, however its freezing was told" do
      told_so =
        [event(:frozen, "2026-11-20"), moved("2026-11-20", "freezer")].map do |freezing|
          told(
            "white-bread",
            "cupboard",
            freezing,
            event(:opened, "2026-11-24"),
            moved("2026-11-24", "cupboard"),
            acquired_on: "2026-11-20"
          )
        end
      expect(told_so.first).to eq(told_so.last)
      expect(told_so.first.last).to start_with("Thawed on 24 Nov 2026")
    end

    it "has no seal any more, once thawed: a night out of the cold counts" do
      out = [moved("2026-11-20", "fridge"), moved("2026-11-20", "cupboard"), moved("2026-11-22", "fridge")]
      beans =
        date(story("canned-chickpeas", "freezer", situation: "bought_frozen", acquired_on: "2026-11-01", events: out))
      expect(beans).to have_attributes(usable_until: day("2026-11-20"), basis: :out_of_cold)
    end

    it "as what it was when it went in" do
      began =
        %w[cooked left_over frozen_at_home bought_sealed].map do |situation|
          date(story("beef-mince", "freezer", situation: situation, made_on: "2026-11-20"))
        end
      expect(began.map(&:days_left_frozen)).to eq([2, 2, 1, 1])
      expect(began.map { |dating| dating.steps.first[/\d to \d months/] }).to eq(
        ["2 to 4 months", "2 to 4 months", "3 to 4 months", "3 to 4 months"]
      )
    end

    it "what the freezer spoils whole is frozen once it is cut, and then only" do
      into = moved("2026-11-24", "freezer")
      whole, cut =
        [[into], [event(:cut, "2026-11-24"), into]].map do |events|
          date(story("cabbage", "fridge", acquired_on: "2026-11-23", events: events))
        end
      expect([whole.frozen, whole.usable_until, cut.frozen, cut.usable_until]).to eq(
        [false, day("2027-01-04"), true, day("2027-11-24")]
      )
      expect(whole.flags.map { |flag| flag[:text] }).to eq(
        ["Whole, it spoils below 0 C: take it out, or prepare it first."]
      )
    end

    it "frozen goods by whatever name they came, but not what came open" do
      expect(told("frozen-peas", "freezer", acquired_on: "2026-11-01")).to eq(
        [
          "Bought frozen since 1 Nov 2026, in the freezer: 8 to 12 months (quality); by \"look, then " \
          "decide\" the longer counts, until 1 Nov 2027."
        ]
      )
      expect(told("frozen-peas", "freezer", situation: "opened", acquired_on: "2026-11-01").last).to start_with(
        "Frozen on 1 Nov 2026, in time, in the freezer: 4 to 8 months"
      )
    end
  end

  describe "cooked" do
    it "on a day nobody knows, as early as may be; of unknown age, it stays so" do
      expect(told("beef-mince", "fridge", event(:cooked, nil), acquired_on: "2026-11-20")).to eq(
        [
          Explained::MINCE,
          "Nobody knows when it was cooked: 20 Nov 2026 counts, the first day it was known here.",
          "Cooked since 20 Nov 2026, in the fridge: 2 to 4 days (safety); the shorter counts, for safety, " \
          "until 22 Nov 2026."
        ]
      )
      again =
        [event(:opened, "2026-11-21"), event(:cut, "2026-11-21")].map do |event|
          told("beef-mince", "fridge", event(:cooked, "2026-11-20"), event, acquired_on: "2026-11-20").last
        end
      expect(again).to all(start_with("Cooked since 20 Nov 2026"))
      expect(told("beef-mince", "fridge", event(:cooked, "2026-11-24")).last).to eq(
        "Cooked, but nobody knows how old it was: cooking does not mend that."
      )
    end

    it "past its date and not looked at, and only then" do
      unlooked = "It was past its date when it was cooked and nobody had looked: look first."
      told_of =
        lambda do |printed|
          bought = { **best_before(printed), acquired_on: "2026-11-10" }
          told("plain-yoghurt", "fridge", event(:cooked, "2026-11-24"), **bought)
        end
      expect(told_of.call("2026-11-20")).to include(unlooked)
      expect(told_of.call("2026-11-30")).not_to include(unlooked)
    end

    it "on the day it was made is its making; on another it is heated again" do
      again = lambda do |on|
        told(
          "class-cooked-soup-stew",
          "fridge",
          event(:cooked, on),
          situation: "left_over",
          made_on: "2026-11-23"
        ).drop(1)
      end
      expect(again.call("2026-11-23")).to eq([])
      expect(again.call("2026-11-24")).to eq(["Heated again on 24 Nov 2026: its days do not begin anew."])
    end
  end
end
