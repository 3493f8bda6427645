# frozen_string_literal: true

require_relative "support"

# The finer points of the real date, and what must hold for every food there is.
RSpec.describe NutShelf::Core::Judge do
  include CoreSupport

  describe "bought frozen" do
    it "keeps its printed date, or counts the freezer rule from the day it was bought" do
      expect(
        date(
          story(
            "frozen-peas", "freezer", situation: "bought_frozen", acquired_on: "2026-11-01", printed_on: "2027-05-31",
            printed_kind: :best_before
          )
        )
      ).to have_attributes(usable_until: day("2027-05-31"), basis: :printed)
      dating = date(story("frozen-peas", "freezer", situation: "bought_frozen", acquired_on: "2026-11-01"))
      expect(dating.usable_until).to be > day("2027-02-01")
      expect(dating.safety_until).to be_nil
    end

    it "thaws when it is carried to the fridge" do
      thawed =
        story(
          "frozen-fish-fillets",
          "freezer",
          situation: "bought_frozen",
          acquired_on: "2026-11-01",
          printed_on: "2027-05-31",
          printed_kind: :best_before,
          events: [event(:moved, "2026-11-24", place: standing("fridge"))]
        )
      expect(date(thawed)).to have_attributes(basis: :thawed)
      expect(date(thawed).usable_until).to be <= day("2026-11-26")
    end
  end

  describe "what a look covers" do
    def looked(key, place, school: :look_then_decide, **facts)
      date(
        story(key, place, **facts, events: [*facts[:events], event(:looked, "2026-11-24", result: :good)]),
        school: school,
        today: "2026-11-24"
      )
    end

    it "covers sealed food 180 days, frozen 90, opened dry food 30 and the fridge 3, within its class's tolerance" do
      expect(
        looked("canned-chickpeas", "cupboard", printed_on: "2026-11-20", printed_kind: :best_before).usable_until
      ).to eq(day("2026-11-24") + 180)
      expect(looked("butter", "fridge", printed_on: "2026-11-20", printed_kind: :best_before).usable_until).to eq(
        day("2026-11-27")
      )
      frozen =
        looked(
          "white-bread",
          "freezer",
          printed_on: "2026-08-01",
          printed_kind: :best_before,
          events: [event(:frozen, "2026-07-30")]
        )
      expect(frozen.usable_until).to be <= day("2026-11-24") + 90
    end

    it "does not reach past a use-by date" do
      expect(looked("plain-yoghurt", "fridge", printed_on: "2026-11-23", printed_kind: :use_by).state).to eq(:stop)
    end

    it "says nothing about a date that comes after the look" do
      early =
        story(
          "canned-chickpeas",
          "cupboard",
          printed_on: "2026-11-30",
          printed_kind: :best_before,
          events: [event(:looked, "2026-11-20", result: :good)]
        )
      expect(date(early, today: "2026-12-05").state).to eq(:look)
    end
  end

  describe "states" do
    def state(until_on, **more)
      NutShelf::Core::State.of(
        today: day("2026-11-24"),
        policy: NutShelf::Core::Policy.new(**more),
        dates: NutShelf::Core::State::Dates.new(usable_until: day(until_on))
      )
    end

    it "is front up to 7 days, soon up to 30, resting beyond, and good through its last day" do
      expect(%w[2026-11-24 2026-12-01 2026-12-02 2026-12-24 2026-12-25].map { |text| state(text) }).to eq(
        %i[front front soon soon resting]
      )
      expect(state("2026-11-23")).to eq(:look)
    end

    it "follows the household's windows" do
      expect(state("2026-11-30", front_days: 3, soon_days: 10)).to eq(:soon)
    end

    it "puts stop before everything and not ready before looking at dates" do
      dates = NutShelf::Core::State::Dates.new(usable_until: day("2027-01-01"), safety_until: day("2026-11-01"))
      expect(
        NutShelf::Core::State.of(today: day("2026-11-24"), policy: NutShelf::Core::Policy.new, dates: dates)
      ).to eq(:stop)
      expect(
        NutShelf::Core::State.of(
          today: day("2026-11-24"),
          policy: NutShelf::Core::Policy.new,
          dates: NutShelf::Core::State::Dates.new(usable_until: day("2027-01-01"), ready_on: day("2026-12-01"))
        )
      ).to eq(:not_ready)
    end
  end

  it "stops what is set apart as not to eat, whatever its date" do
    expect(
      date(story("honey", "cupboard", printed_on: "2030-01-01", printed_kind: :best_before, quarantined: true)).state
    ).to eq(:stop)
  end

  describe "opened on a day nobody knows" do
    let(:jam) { { situation: "opened", printed_on: "2028-05-31", printed_kind: :best_before } }

    it "counts the first day anything is known of it" do
      came = date(story("jam", "fridge", **jam, acquired_on: "2026-11-24"))
      noted =
        date(
          story(
            "jam",
            "fridge",
            acquired_on: "2026-11-24",
            printed_on: "2028-05-31",
            printed_kind: :best_before,
            events: [event(:opened, "2026-11-24")]
          )
        )
      expect(came.usable_until).to eq(noted.usable_until)
      expect(date(story("jam", "fridge", **jam, acquired_on: "2026-11-24", known_on: "2026-10-20")).usable_until).to eq(
        came.usable_until - 35
      )
      expect(came.steps.join).to include("nobody knows when it was opened, 24 Nov 2026 counts")
    end

    it "asks for a look where nothing is known, which then is the first thing known" do
      unknown = date(story("plain-yoghurt", "fridge", situation: "opened"))
      expect(unknown).to have_attributes(state: :look, usable_until: nil, look_first: true)
      looked =
        date(
          story("plain-yoghurt", "fridge", situation: "opened", events: [event(:looked, "2026-11-24", result: :good)])
        )
      expect(looked).to have_attributes(state: :front, look_first: false, safety_until: day("2026-11-27"))
    end

    it "keeps a use-by, and stops infant food past its printed date whatever its state" do
      expect(
        date(story("plain-yoghurt", "fridge", **jam, printed_on: "2026-11-26", printed_kind: :use_by)).usable_until
      ).to eq(day("2026-11-26"))
      states = %w[opened bought_sealed].product(
        [[], [event(:opened, nil)], [event(:moved, "2026-11-20", place: standing("freezer"))]]
      )
      stopped =
        states.map do |situation, events|
          date(
            story(
              "infant-formula-powder", "cupboard", situation: situation, printed_on: "2026-11-23",
              printed_kind: :best_before, events: events
            )
          ).state
        end
      expect(stopped.uniq).to eq([:stop])
    end

    it "takes the same day for an opening noted without one" do
      noted =
        date(
          story(
            "uht-milk",
            "fridge",
            acquired_on: "2026-11-20",
            printed_on: "2027-03-31",
            printed_kind: :best_before,
            events: [event(:opened, nil)]
          )
        )
      expect(noted.usable_until).to eq(
        date(
          story(
            "uht-milk",
            "fridge",
            acquired_on: "2026-11-20",
            printed_on: "2027-03-31",
            printed_kind: :best_before,
            events: [event(:opened, "2026-11-20")]
          )
        ).usable_until
      )
    end
  end

  it "flags opened food that keeps only in the cold, and counts it short" do
    dating =
      date(
        story(
          "jam",
          "cupboard",
          acquired_on: "2026-10-01",
          printed_on: "2028-05-31",
          printed_kind: :best_before,
          events: [event(:opened, "2026-11-20")]
        )
      )
    expect(dating.flags.map { |flag| flag[:code] }).to include(:better_cold)
    expect(dating.flags.map { |flag| flag[:text] }).to include(/Better in the fridge: it keeps \d+ to \d+ months there/)
    expect(dating.usable_until).to eq(day("2026-12-20"))
  end

  it "judges a move by each place in turn and floors fractions of days" do
    rules =
      own("apples", "cupboard", "whole", 10, 10).with_own(
        {
          %w[apples fridge whole] =>
            NutShelf::Core::KeepingRow.new(
              scope: "apples", place: "fridge", state: "whole", low: 35, high: 35, kind: :quality
            ),
          %w[apples cupboard ripe] =>
            NutShelf::Core::KeepingRow.new(
              scope: "apples", place: "cupboard", state: "ripe", low: 10, high: 10, kind: :quality
            ),
          %w[apples fridge ripe] =>
            NutShelf::Core::KeepingRow.new(
              scope: "apples", place: "fridge", state: "ripe", low: 35, high: 35, kind: :quality
            )
        }
      )
    there = event(:moved, "2026-11-04", place: standing("fridge"))
    once = story("apples", "cupboard", acquired_on: "2026-11-01", events: [there])
    expect(date(once, catalog: rules).usable_until).to eq(day("2026-11-04") + 24)
    back =
      story(
        "apples",
        "cupboard",
        acquired_on: "2026-11-01",
        events: [there, event(:moved, "2026-11-14", place: standing("cupboard"))]
      )
    expect(date(back, catalog: rules).usable_until).to eq(day("2026-11-14") + 4)
  end

  describe "for every food" do
    let(:foods) do
      catalog.foods.values.reject { |food| food.key.start_with?("class-") || food.food_group == "supplies" }
    end

    def judged(food, place, school: :look_then_decide, **facts)
      date(
        NutShelf::Core::Story.new(food: food, place: standing(place), acquired_on: day("2026-11-20"), **facts),
        school: school
      )
    end

    it "opening never lengthens a life" do
      longer =
        foods.product(%w[cupboard fridge]).select do |food, place|
          printed = { printed_on: day("2026-12-20"), printed_kind: :best_before }
          sealed = judged(food, place, **printed).usable_until
          opened = judged(food, place, **printed, events: [event(:opened, "2026-11-22")]).usable_until
          opened && sealed && opened > sealed
        end
      expect(longer.map { |food, place| [food.key, place] }).to be_empty
    end

    it "\"by the date\" never gives more days than \"look, then decide\"" do
      more =
        foods.product(%w[cupboard cool_dark fridge freezer]).select do |food, place|
          strict = judged(food, place, school: :by_the_date).usable_until
          loose = judged(food, place).usable_until
          strict && loose && strict > loose
        end
      expect(more.map { |food, place| [food.key, place] }).to be_empty
    end

    it "is never usable past its safety date, and always says why" do
      stories =
        foods.product(
          %w[cupboard fridge freezer],
          [[], [event(:opened, "2026-11-21")], [event(:looked, "2026-11-22", result: :good)]]
        )
      wrong =
        stories.select do |food, place, events|
          dating = judged(food, place, events: events)
          (dating.safety_until && dating.usable_until > dating.safety_until) || dating.steps.empty?
        end
      expect(wrong.map { |food, place, _| [food.key, place] }).to be_empty
    end

    it "is stopped for good when frozen after its use-by date" do
      frozen =
        foods.select { |food| food.freezes != "no" && !food.freezing_damage }.map do |food|
          judged(
            food,
            "fridge",
            printed_on: day("2026-11-20"),
            printed_kind: :use_by,
            events: [event(:moved, "2026-11-23", place: standing("freezer"))]
          )
        end
      expect(frozen.map(&:state).uniq).to eq([:stop])
    end
  end
end
