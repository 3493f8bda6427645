# frozen_string_literal: true

require_relative "explained"

# A date explains itself in full: every sentence of these stories, as somebody reads them, with the figures in them.
RSpec.describe NutShelf::Core::Judge, "explained" do
  include CoreSupport
  include Explained

  it "by what its pack says, and by its class where that is stricter" do
    expect(told("beef-mince", "fridge", acquired_on: "2026-11-22", **use_by("2026-11-26"))).to eq(
      ["Use by 26 Nov 2026 is printed on the pack."]
    )
    expect(told("infant-formula-powder", "cupboard", **best_before("2027-11-26"))).to eq(
      [
        "Best before 26 Nov 2027 is printed on the pack.",
        "Infant food: whatever the date is called, it is a safety date."
      ]
    )
    expect(told("honey", "cupboard")).to eq(["Neither a printed date nor the day it came is known, so it has no date."])
    expect(date(story("honey", "cupboard")).unknown).to be(false)
  end

  it "by one figure, by the shorter of two, by the household's school, or by a time of its own" do
    expect(told("beef-mince", "fridge", acquired_on: "2026-11-20")).to eq([Explained::MINCE])
    expect(told("white-bread", "cupboard", acquired_on: "2026-11-20")).to eq([Explained::BREAD])
    expect(
      date(story("white-bread", "cupboard", acquired_on: "2026-11-20"), school: :by_the_date).steps.last
    ).to end_with("by \"by the date\" the shorter counts, until 25 Nov 2026.")
    expect(told("white-bread", "cool_dark", acquired_on: "2026-11-20").last).to include(
      "cool and dark: 5 to 7 days (quality, by a cupboard's figure); by"
    )
    potatoes =
      date(
        story("potatoes", "cupboard", acquired_on: "2026-11-20"),
        catalog: own("potatoes", "cupboard", "whole", 20, 20, own_reason: "They sprout by then.")
      )
    expect(potatoes.steps).to eq(
      [
        "As bought since 20 Nov 2026, in a cupboard: 20 days (quality), until 10 Dec 2026.",
        "Your own time: They sprout by then."
      ]
    )
  end

  it "as no food, where it is none: a good look is no stop, a printed date needs no excuse" do
    torch = story("torch", "cupboard", events: [event(:looked, "2026-11-20", result: :good)])
    expect(date(torch)).to have_attributes(
      steps: ["It is no food: only a date on the pack would count."],
      stopped: false
    )
    expect(told("batteries-aa", "cupboard", **best_before("2030-10-01"))).to eq(
      ["Best before 1 Oct 2030 is printed on the pack."]
    )
  end

  it "out of the cold since the day it was known, without a rule that never began" do
    expect(told("beef-mince", "cupboard", known_on: "2026-11-24", **use_by("2026-11-26"))).to eq(
      [
        "Use by 26 Nov 2026 is printed on the pack.",
        "Out of the cold since 24 Nov 2026: good for two hours of that day only."
      ]
    )
    expect(warned("beef-mince", "cupboard", known_on: "2026-11-24")).to eq([Explained::TWO_HOURS])
    expect(warned("class-cooked-soup-stew", "cupboard", situation: "left_over", made_on: "2026-11-24")).to eq(
      ["Left-over food goes into the fridge within two hours, one above 32 C."]
    )
  end

  describe "where it was carried" do
    it "on the day it came, on its last day, and a day too late" do
      rest = ->(on) { told("white-bread", "cupboard", moved(on, "fridge"), acquired_on: "2026-11-20").last }
      expect(rest.call("2026-11-20")).to eq(
        "Moved to the fridge on 20 Nov 2026 with 0 % of its life used; of 7 days there, 7 days are left: until 27 " \
        "Nov 2026."
      )
      expect(rest.call("2026-11-27")).to eq(
        "Moved to the fridge on 27 Nov 2026 with 100 % of its life used; of 7 days there, none is left: until 27 Nov " \
        "2026."
      )
      expect(rest.call("2026-11-28")).to eq("Its time had run out on 27 Nov 2026, before it was moved.")
      expect(told("parsnips", "fridge", moved("2026-12-04", "cool_dark"), acquired_on: "2026-11-20").last).to include(
        "with 50 % of its life used; the rest counts there"
      )
    end

    it "on a day nobody knows: neither place lengthens it" do
      expect(told("white-bread", "cupboard", moved(nil, "fridge"), acquired_on: "2026-11-20").last).to eq(
        "Moved to the fridge on a day nobody knows: the place where it keeps less long counts, until 27 Nov 2026."
      )
      carrots =
        %w[cool_dark fridge].permutation.map do |from, into|
          date(story("carrots", from, acquired_on: "2026-11-20", events: [moved(nil, into)])).usable_until
        end
      expect(carrots).to eq([day("2026-12-25")] * 2)
    end
  end

  describe "in the hand" do
    it "found ripe, carried ripe, carried before" do
      bananas = lambda do |*events|
        told("bananas", "cupboard", *events, situation: "ripening", acquired_on: "2026-11-20").drop(2)
      end
      expect(bananas.call(event(:ripened, "2026-11-24"))).to eq(
        [
          "Found ripe on 24 Nov 2026.",
          "Ripe since 24 Nov 2026, in a cupboard: 1 to 3 days (quality); by \"look, then decide\" the longer " \
          "counts, until 27 Nov 2026."
        ]
      )
      expect(bananas.call(moved("2026-11-24", "fridge"))).to eq(
        [
          "Moved to the fridge on 24 Nov 2026 with 33 % of its life used; of 7 days there, 4 days are left: " \
          "until 28 Nov 2026."
        ]
      )
      expect(bananas.call(moved("2026-11-21", "fridge"))).to eq(
        ["Moved to the fridge on 21 Nov 2026 with 0 % of its life used; the rest counts there: until 30 Nov 2026."]
      )
      expect(bananas.call(moved("2026-11-27", "fridge"))).to eq(
        ["Its time had run out on 26 Nov 2026, before it was moved."]
      )
      expect(bananas.call(moved(nil, "fridge")).last).to end_with(
        "the place where it keeps less long counts, until 26 Nov 2026."
      )
      cold = lambda do |on|
        warned("bananas", "cupboard", moved(on, "fridge"), situation: "ripening", acquired_on: "2026-11-20")
      end
      expect([cold.call("2026-11-21"), cold.call("2026-11-23")]).to eq(
        [["Fruit does not ripen properly in the cold."], []]
      )
    end

    it "found ripe, though it was never one to ripen" do
      expect(
        told("potatoes", "cupboard", event(:ripened, "2026-11-22"), situation: "ripening", acquired_on: "2026-11-20")
      ).to include("Found ripe on 22 Nov 2026.")
    end

    it "found ripe where ripe fruit has no figure, and cut before it was ripe" do
      expect(
        told("pears", "cupboard", event(:ripened, "2026-11-22"), situation: "ripening", acquired_on: "2026-11-20").last
      ).to eq(
        "No figure: eat that day or move to the fridge. Counted the 4 days between its quick and its slow ripening."
      )
      cut =
        date(
          story(
            "bananas",
            "cupboard",
            situation: "ripening",
            acquired_on: "2026-11-20",
            events: [event(:cut, "2026-11-21")]
          )
        )
      expect(cut).to have_attributes(ready_on: day("2026-11-21"), usable_until: day("2026-11-22"))
    end

    it "opened without harm, stored another way, on a known day or not" do
      expect(told("honey", "cupboard", event(:opened, "2026-11-22"), acquired_on: "2026-11-20").last).to eq(
        "Opened on 22 Nov 2026; opening does not shorten its life."
      )
      parsley = lambda do |on|
        told("fresh-parsley", "fridge", event(:stored, on, method: "bag"), acquired_on: "2026-11-20").drop(1)
      end
      expect(parsley.call("2026-11-22")).to eq(
        ["Stored in a bag since 22 Nov 2026.", "14 % of its life was used by then: until 28 Nov 2026."]
      )
      expect(parsley.call(nil)).to eq(["Stored in a bag."])
    end

    it "cared for: only care that ends before its date is told" do
      oats = lambda do |until_on|
        told(
          "rolled-oats",
          "cupboard",
          care_until: until_on,
          care_words: "Fresh water",
          **best_before("2026-12-20")
        ).drop(1)
      end
      expect(oats.call("2026-12-19")).to eq(["Fresh water is part of its keeping: without it, good until 19 Dec 2026."])
      expect(oats.call("2026-12-20")).to eq([])
    end
  end

  it "not at all, for what was bottled at home without a tested way, and by hours for what has no figure out of the " \
     "cold" do
    %w[cupboard fridge freezer].each do |place|
      beans =
        date(
          story(
            "canned-kidney-beans",
            place,
            situation: "home_canned",
            made_on: "2026-11-23",
            events: [moved("2026-11-24", "fridge")]
          )
        )
      expect([place, beans.unknown, beans.usable_until, beans.state, beans.steps.first]).to match(
        [place, true, nil, :undated, /\AThere is no tested way to bottle it at home/]
      )
    end
    expect(
      date(story("class-home-canned-jam", "cool_dark", situation: "home_canned", made_on: "2026-11-23")).unknown
    ).to be(false)
    expect(
      date(story("canned-kidney-beans", "cupboard", situation: "ground", made_on: "2026-11-23"))
    ).to have_attributes(usable_until: day("2026-11-23"), basis: :out_of_cold)
  end

  it "of two dates on one day, the one of safety binds" do
    lettuce =
      story(
        "lettuce",
        "fridge",
        acquired_on: "2026-11-15",
        events: [event(:cut, "2026-11-24")],
        **best_before("2026-11-26")
      )
    expect(date(lettuce)).to have_attributes(
      usable_until: day("2026-11-26"),
      quality_until: day("2026-11-26"),
      basis: :cut
    )
  end

  it "covers by a look to the very last day of tolerance, and not after" do
    looks =
      %w[2026-11-22 2026-11-23].map do |on|
        date(story("white-bread", "cupboard", events: [event(:looked, on, result: :good)], **best_before("2026-11-20")))
      end
    expect(looks.map(&:basis)).to eq(%i[look printed])
    rice =
      story(
        "white-rice",
        "freezer",
        situation: "bought_frozen",
        events: [event(:looked, "2026-11-20", result: :good)],
        **best_before("2026-11-10")
      )
    expect(date(rice).usable_until).to eq(day("2026-11-20") + 90)
  end

  it "warns of each thing that is wrong with a place, once" do
    lettuce =
      NutShelf::Core::Story.new(
        food: food("lettuce"),
        acquired_on: day("2026-11-23"),
        place: standing("cupboard", low: -6),
        events: [event(:looked, "2026-11-24", result: :good), event(:opened, "2026-11-24")]
      )
    expect(date(lettuce).flags.map { |flag| flag[:code] }).to eq(%i[will_freeze two_hours])
  end

  it "covers what came thawed as something open, for it has no seal any more" do
    rice =
      story(
        "white-rice",
        "cupboard",
        situation: "thawed",
        made_on: "2024-06-01",
        events: [event(:looked, "2026-11-24", result: :good)]
      )
    expect(date(rice).usable_until).to eq(day("2026-11-24") + 30)
  end

  it "warns of nothing where a sealed pack has its place" do
    placed =
      catalog.foods.values.flat_map do |one|
        %w[cupboard fridge].filter_map { |place| [one.key, place] if catalog.keeping(one, "bought_sealed", place).row? }
      end
    expect(placed.size).to be > 200
    placed.each do |key, place|
      said = warned(key, place, acquired_on: "2026-11-24").grep_v(/\ABetter in the fridge/)
      expect([key, place, said]).to eq([key, place, []])
    end
  end

  describe "what is poured in" do
    def poured(on, **facts)
      event(:topped_up, on, parts: [NutShelf::Core::Part.new(name: "More of it", **facts)].freeze)
    end

    it "frozen dry goods go on as opened ones, not for that day alone" do
      flour =
        date(story("flour-white", "cupboard", acquired_on: "2026-11-20", events: [poured("2026-11-24", frozen: true)]))
      expect(flour).to have_attributes(usable_until: day("2026-11-24") + 240, safety_until: nil, thawed: false)
      expect(flour.steps.last).to eq(
        "More of it was poured in on 24 Nov 2026, without a date; the earliest of the parts counts."
      )
      bound =
        date(
          story(
            "flour-white",
            "cupboard",
            acquired_on: "2026-11-20",
            events: [poured("2026-11-24", frozen: true, days_left: 2)]
          )
        )
      expect(bound.safety_until).to eq(day("2026-11-26"))
    end

    it "on a day nobody knows is held against the first day of the jar" do
      jar = lambda do |limit|
        date(
          story(
            "class-home-broth",
            "fridge",
            situation: "left_over",
            made_on: "2026-11-24",
            events: [poured(nil, safety_until: day(limit))]
          )
        )
      end
      expect(jar.call("2026-11-23").steps.last).to eq(
        "More of it was poured in, and it was not to eat any more: not to eat."
      )
      expect(jar.call("2026-11-25")).to have_attributes(stopped: false, safety_until: day("2026-11-25"))
    end
  end
end
