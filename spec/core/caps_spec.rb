# frozen_string_literal: true

require_relative "support"

# Dates that cannot be laundered: each of these stories once came out good.
RSpec.describe NutShelf::Core::Judge, "caps" do
  include CoreSupport

  def move(on, kind) = event(:moved, on, place: standing(kind))

  let(:tin) { { acquired_on: "2026-11-01", printed_on: "2028-05-31", printed_kind: :best_before } }
  let(:raw) { { acquired_on: "2026-11-24", printed_on: "2026-11-26", printed_kind: :use_by } }

  describe "time out of the cold" do
    it "stays, once a night has passed, wherever the food is carried" do
      opened =
        story(
          "canned-chickpeas",
          "cupboard",
          **tin,
          events: [event(:opened, "2026-11-24"), move("2026-11-26", "fridge")]
        )
      expect(date(opened, today: "2026-11-26")).to have_attributes(state: :stop, safety_until: day("2026-11-24"))
      stew =
        story(
          "class-cooked-soup-stew",
          "fridge",
          situation: "left_over",
          made_on: "2026-11-24",
          events: [move("2026-11-24", "cupboard"), move("2026-11-25", "fridge")]
        )
      expect(date(stew, today: "2026-11-25")).to have_attributes(state: :stop)
    end

    it "is in time on the same day, in whichever order the day was noted" do
      there = [event(:opened, "2026-11-24"), move("2026-11-24", "fridge")]
      [there, there.reverse].each do |events|
        expect(date(story("canned-chickpeas", "cupboard", **tin, events: events))).to have_attributes(
          usable_until: day("2026-11-27"),
          flags: []
        )
      end
    end

    it "does not count sealed packs that have a figure there, nor food that germs do not like" do
      expect(date(story("canned-chickpeas", "cupboard", **tin)).flags).to be_empty
      bread =
        story(
          "white-bread",
          "fridge",
          acquired_on: "2026-11-23",
          events: [event(:opened, "2026-11-23"), move("2026-11-24", "cupboard")]
        )
      expect(date(bread).flags).to be_empty
    end

    it "makes food of unknown hours unplannable" do
      milk = story("semi-skimmed-milk", "cupboard", printed_on: "2026-12-20", printed_kind: :best_before)
      expect(date(milk)).to have_attributes(unknown: true, usable_until: nil, state: :undated)
    end
  end

  it "keeps a recipe's own limit through every move" do
    stew =
      story(
        "class-cooked-soup-stew",
        "fridge",
        situation: "left_over",
        made_on: "2026-11-23",
        leftover_days: 1,
        events: [move("2026-11-23", "cool_dark"), move("2026-11-23", "fridge")]
      )
    expect(date(stew).safety_until).to eq(day("2026-11-24"))
  end

  describe "what begins in a freezer" do
    it "is frozen that day" do
      expect(date(story("chicken-breast", "freezer", **raw))).to have_attributes(
        basis: :frozen,
        usable_until: day("2026-11-24") + 270,
        frozen: true
      )
    end

    it "has the days after thawing, not its printed date, and is not frozen a second time" do
      out = [move("2026-12-10", "fridge")]
      cheese =
        story(
          "mozzarella", "freezer", acquired_on: "2026-11-24", printed_on: "2026-12-20", printed_kind: :best_before,
          events: out
        )
      expect(date(cheese, today: "2026-12-10").usable_until).to eq(day("2026-12-11"))
      again =
        story("chicken-breast", "freezer", acquired_on: "2026-11-24", events: [*out, move("2026-12-10", "freezer")])
      expect(date(again, today: "2026-12-10").stopped).to be(true)
    end

    it "was in the fridge until the day somebody noted" do
      late = story("chicken-breast", "freezer", **raw, events: [event(:frozen, "2026-11-27")])
      expect(date(late, today: "2026-11-27").stopped).to be(true)
      eve =
        story("chicken-breast", "freezer", **raw, events: [event(:frozen, "2026-11-26"), move("2026-12-10", "fridge")])
      expect(date(eve, today: "2026-12-10").safety_until).to eq(day("2026-12-10"))
    end

    it "keeps its printed date where nobody knows the day of freezing" do
      expect(
        date(story("chicken-breast", "freezer", printed_on: "2026-11-26", printed_kind: :use_by)).usable_until
      ).to eq(day("2026-11-26"))
    end

    it "holds for leftovers and for goods bought frozen by another name" do
      expect(
        date(
          story("class-cooked-soup-stew", "freezer", situation: "left_over", made_on: "2026-11-24", leftover_days: 2)
        ).safety_until
      ).to be_nil
      expect(date(story("frozen-peas", "freezer", acquired_on: "2026-11-24"))).to have_attributes(
        frozen: true,
        basis: :frozen
      )
    end
  end

  describe "thawing" do
    it "out of the cold leaves high-risk food that day only; bread and berries may" do
      mince = story("beef-mince", "freezer", acquired_on: "2026-11-01", events: [move("2026-11-24", "cupboard")])
      expect(date(mince)).to have_attributes(usable_until: day("2026-11-24"), flags: include(include(code: :two_hours)))
      expect(
        date(
          story("white-bread", "freezer", acquired_on: "2026-11-01", events: [move("2026-11-24", "cupboard")])
        ).usable_until
      ).to eq(day("2026-11-26"))
      expect(
        date(story("frozen-berries", "freezer", acquired_on: "2026-11-01", events: [move("2026-11-24", "cupboard")]))
      ).to have_attributes(usable_until: day("2026-11-26"), flags: [])
    end

    it "does not lift a stop, nor a freezer date that has passed" do
      late = story("beef-mince", "fridge", **raw, events: [move("2026-11-27", "freezer"), move("2026-12-01", "fridge")])
      expect(date(late, today: "2026-12-01").state).to eq(:stop)
      old = story("white-bread", "freezer", acquired_on: "2026-06-01", events: [move("2026-11-24", "fridge")])
      expect(date(old)).to have_attributes(state: :look, usable_until: day("2026-08-30"))
    end

    it "counts what came in thawed from the day it came, and not at all without one" do
      expect(date(story("beef-mince", "fridge", situation: "thawed", made_on: "2026-11-23"))).to have_attributes(
        usable_until: day("2026-11-24"),
        thawed: true
      )
      expect(date(story("beef-mince", "fridge", situation: "thawed"))).to have_attributes(
        state: :undated,
        unknown: true
      )
    end
  end

  describe "freezing" do
    it "asks for a look where food was past its quality date and nobody had looked" do
      cheese = { acquired_on: "2026-10-01", printed_on: "2026-11-20", printed_kind: :best_before }
      late = story("cheddar", "fridge", **cheese, events: [move("2026-11-23", "freezer")])
      expect(date(late)).to have_attributes(state: :look, usable_until: day("2026-11-20"))
      looked =
        story(
          "cheddar",
          "fridge",
          **cheese,
          events: [event(:looked, "2026-11-22", result: :good), move("2026-11-23", "freezer")]
        )
      expect(date(looked)).to have_attributes(state: :resting, basis: :frozen)
      after =
        story(
          "cheddar",
          "fridge",
          **cheese,
          events: [move("2026-11-23", "freezer"), event(:looked, "2026-11-24", result: :good)]
        )
      expect(date(after).usable_until).to be > day("2026-11-24")
    end

    it "gives food of unknown age no date" do
      expect(date(story("chicken-breast", "fridge", events: [move("2026-11-20", "freezer")]))).to have_attributes(
        usable_until: nil,
        unknown: true
      )
    end
  end

  describe "cooking" do
    it "starts a new food: what was turning before is over" do
      mince =
        story(
          "beef-mince",
          "fridge",
          **raw,
          events: [event(:looked, "2026-11-24", result: :turning), event(:cooked, "2026-11-24")]
        )
      expect(date(mince)).to have_attributes(usable_until: day("2026-11-26"), basis: :cooked)
      expect(
        date(
          story(
            "beef-mince",
            "fridge",
            **raw,
            events: [event(:looked, "2026-11-24", result: :turning), move("2026-11-24", "freezer")]
          )
        ).basis
      ).to eq(:frozen)
    end

    it "does not start leftovers anew by heating them" do
      stew =
        story(
          "class-cooked-soup-stew",
          "fridge",
          situation: "left_over",
          made_on: "2026-11-22",
          events: [event(:cooked, "2026-11-24")]
        )
      expect(date(stew).safety_until).to eq(day("2026-11-24"))
      twice = story("beef-mince", "fridge", **raw, events: [event(:cooked, "2026-11-24"), event(:cooked, "2026-11-26")])
      expect(date(twice, today: "2026-11-26").safety_until).to eq(day("2026-11-26"))
    end

    it "brings along the date of a part that was cooked before, and the stop of one past safety" do
      parts = [
        [{ safety_until: day("2026-11-25"), cooked: true }, "2026-11-25", false],
        [{ safety_until: day("2026-11-25") }, "2026-11-26", false],
        [{ safety_until: day("2026-11-23") }, "2026-11-26", true],
        [{ unknown: true }, "2026-11-26", true]
      ]
      parts.each do |facts, until_on, stopped|
        part = NutShelf::Core::Part.new(name: "Ham", **facts)
        soup =
          story(
            "class-cooked-soup-stew",
            "fridge",
            situation: "left_over",
            made_on: "2026-11-24",
            events: [event(:cooked, "2026-11-24", parts: [part])]
          )
        expect(date(soup)).to have_attributes(safety_until: day(until_on), stopped: stopped)
      end
    end

    it "mends nothing of unknown age, and nothing that has no figure once cooked" do
      expect(date(story("beef-mince", "fridge", events: [event(:cooked, "2026-11-24")]))).to have_attributes(
        unknown: true,
        usable_until: nil
      )
      honey =
        story(
          "honey",
          "cupboard",
          printed_on: "2026-11-01",
          printed_kind: :use_by,
          events: [event(:cooked, "2026-10-24")]
        )
      expect(date(honey).state).to eq(:stop)
    end
  end

  describe "supplies" do
    it "have no dating, no two hours and no opened place" do
      %w[torch batteries-aa household-bleach gas-canister].each do |key|
        events = [event(:opened, "2026-11-01"), move("2026-11-02", "freezer"), move("2026-11-03", "cupboard")]
        expect(date(story(key, "cupboard", acquired_on: "2026-10-01", events: events))).to have_attributes(
          usable_until: nil, flags: [], state: :undated, unknown: false
        )
      end
    end

    it "keep a printed date, and are not used when found bad or set apart" do
      expect(date(story("batteries-aa", "cupboard", printed_on: "2026-10-01", printed_kind: :best_before)).state).to eq(
        :look
      )
      expect(date(story("torch", "cupboard", events: [event(:looked, "2026-11-01", result: :bad)])).state).to eq(:stop)
      expect(date(story("torch", "cupboard", quarantined: true)).state).to eq(:stop)
    end
  end

  it "leaves a sealed home-bottled jar alone for a night in the fridge" do
    jar = story("class-home-canned-jam", "cupboard", situation: "home_canned", made_on: "2026-08-01")
    back =
      story(
        "class-home-canned-jam",
        "cupboard",
        situation: "home_canned",
        made_on: "2026-08-01",
        events: [move("2026-11-20", "fridge"), move("2026-11-21", "cupboard")]
      )
    expect(date(back).usable_until).to be_within(1).of(date(jar).usable_until)
  end

  describe "flags" do
    it "clear after the right move, which starts the clock that had no figure before" do
      fennel = story("fennel", "cupboard", acquired_on: "2026-11-23")
      expect(date(fennel).flags).not_to be_empty
      moved = story("fennel", "cupboard", acquired_on: "2026-11-23", events: [move("2026-11-24", "fridge")])
      expect(date(moved)).to have_attributes(
        flags: [],
        usable_until: date(story("fennel", "fridge", acquired_on: "2026-11-23")).usable_until
      )
    end

    it "remember that a sealed pack stood in the freezer" do
      tin =
        story(
          "canned-chickpeas",
          "cupboard",
          **self.tin,
          events: [move("2026-11-20", "freezer"), move("2026-11-21", "cupboard")]
        )
      expect(date(tin).flags.map { |flag| flag[:code] }).to eq([:was_frozen])
    end
  end

  it "does not let a second opening or cut begin anew, nor wind up a clock that has run out" do
    milk = story("uht-milk", "fridge", **tin, events: [event(:opened, "2026-11-20"), event(:opened, "2026-11-24")])
    expect(date(milk).safety_until).to eq(
      date(story("uht-milk", "fridge", **tin, events: [event(:opened, "2026-11-20")])).safety_until
    )
    onion =
      story(
        "onions",
        "fridge",
        acquired_on: "2026-11-01",
        events: [event(:cut, "2026-11-01"), move("2026-11-20", "cupboard"), move("2026-11-21", "fridge")]
      )
    expect(date(onion).state).to eq(:look)
  end
end
