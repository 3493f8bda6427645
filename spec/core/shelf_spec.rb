# frozen_string_literal: true

require "prop_check"
require_relative "support"
require_relative "../../core/rotation/place"
require_relative "../../core/rotation/once_opened"

RSpec.describe NutShelf::Core::Shelf do
  include CoreSupport

  let(:today) { day("2026-11-24") }

  def shelf(*stacks) = described_class.new(stacks, foods: catalog.foods, today: today)

  def place(kind, **more) = NutShelf::Core::Place.new(id: kind.hash, name: kind, kind: kind, tier: "working", **more)

  def openings(fridge: place("fridge"), school: :look_then_decide, catalog: self.catalog)
    NutShelf::Core::Openings.new(catalog: catalog, policy: NutShelf::Core::Policy.new(school: school), fridge: fridge)
  end

  it "is frozen through and through, so that it can be kept and sent to another process" do
    made = shelf(stack(1, "2027-01-01", opened: openings.of(food("canned-chickpeas"), :opened, place("cupboard"))))
    expect(made).to be_frozen
    expect([made.stacks, made.of("canned-chickpeas"), made.stack(1), made.keys.first]).to all(be_frozen)
    again = Marshal.load(Marshal.dump(made))
    expect(again.of("canned-chickpeas")).to eq(made.of("canned-chickpeas"))
  end

  it "is after some stacks changed as if it had been made of all of them" do
    dice = Random.new(8)
    some = lambda do |id|
      dates = [nil, *(0..4).map { |days| (today + days).iso8601 }]
      key = %w[canned-chickpeas honey passata].sample(random: dice)
      last = dates.sample(random: dice)
      stack(id, last, food_key: key, working: dice.rand < 0.5).then do |one|
        dice.rand < 0.4 && last ? one.with(strict_until: one.usable_until - 1) : one
      end
    end
    said = ->(made) { [made.stacks.to_a, made.keys.sort.map { |key| [made.of(key), made.of(key, strict: true)] }] }
    200.times do
      list = Array.new(dice.rand(12)) { |id| some.(id) }
      changed = [*list.sample(dice.rand(3), random: dice), *Array.new(dice.rand(3)) { |id| stack(id + 90) }].map(&:id)
      gone = (list.map(&:id) - changed).sample(dice.rand(3), random: dice)
      fresh = changed.map { |id| some.(id) }
      left = list.reject { |one| [*changed, *gone].include?(one.id) }
      before = shelf(*NutShelf::Core::Order.by_day(list))
      expect(said.(before.after(fresh, gone))).to eq(said.(shelf(*NutShelf::Core::Order.by_day([*left, *fresh]))))
    end
  end

  it "stands as it stood where nothing of a food changed" do
    before = shelf(stack(1, "2027-01-01"), stack(2, "2027-02-01", food_key: "honey"))
    after = before.after([stack(3, "2026-12-01", food_key: "honey")], [])
    expect(after.of("canned-chickpeas")).to be(before.of("canned-chickpeas"))
    expect(after.of("honey").map(&:id)).to eq([3, 2])
  end

  it "keeps what weighs nothing anybody knows, and plans nothing with it" do
    made = shelf(stack(1, nil).with(amount: nil, grams_per_unit: nil))
    expect([made.stack(1).id, made.of("canned-chickpeas"), made.cursor.left("canned-chickpeas", today)]).to eq(
      [1, [], 0]
    )
  end

  describe "kept by level" do
    def level(name, **facts) = stack(name.hash, nil, food_key: "salt", level: name, **facts)

    it "is there unless it is out, and low is on the list" do
      there = ->(*stacks) { [shelf(*stacks).free?("salt"), shelf(*stacks).running_out["salt"]] }
      expect(
        [there.(level("plenty")), there.(level("low")), there.(level("out")), there.(level("low"), level("half"))]
      ).to eq([[true, nil], [true, "low"], [false, "out"], [true, nil]])
    end

    it "is not there once nobody should eat it" do
      bad = [{ stopped: true }, { quarantined: true }, { age_unknown: true }, { safety_until: today - 1 }]
      expect(bad.map { |facts| shelf(level("plenty", **facts)).free?("salt") }).to eq([false] * 4)
      expect(shelf(level("plenty", safety_until: today)).free?("salt")).to be(true)
    end
  end

  it "draws by the dates of those who go by the date, when one of them eats along" do
    stacks = [
      stack(1, "2027-02-01", strict_until: day("2026-12-01")),
      stack(2, "2027-01-01", strict_until: day("2027-01-01"))
    ]
    first = lambda do |**how|
      shelf(*stacks.map { |one| one }).cursor(**how).draw("canned-chickpeas", 100r, today).picks.first.stack.id
    end
    expect([first.(strict: false), first.(strict: true)]).to eq([2, 1])
    late = shelf(stacks.first).cursor(strict: true)
    expect([late.left("canned-chickpeas", day("2026-12-01")), late.left("canned-chickpeas", day("2026-12-02"))]).to eq(
      [400, 0]
    )
    past = shelf(stack(3, "2027-02-01", strict_until: day("2026-11-01"), look_until: day("2027-05-01")))
    expect([true, false].map { |strict| past.cursor(strict: strict).left("canned-chickpeas", today) }).to eq([0, 400])
  end

  it "allows a look unless it is told not to, and goes by the usual dates unless told otherwise" do
    past = stack(1, "2026-11-01", look_until: day("2027-05-01"))
    left = ->(**how) { shelf(past).cursor(**how).left("canned-chickpeas", today) }
    expect([left.(), left.(allow_look: true), left.(allow_look: false)]).to eq([400, 400, 0])
  end

  it "puts an opened rest by its own date, of safety where its rule is one" do
    sealed = { usable_until: day("2027-03-01"), strict_until: day("2027-02-01"), safety_until: day("2027-04-01") }
    life = NutShelf::Core::OnceOpened.new(how: :opened, place_id: 9, place: "fridge", days: 7, strict_days: 4,
      kind: :quality)
    rest = ->(opened) { stack(1, nil, opened: opened, **sealed).rest_of(100r, today) }
    expect(rest.(life)).to have_attributes(
      usable_until: today + 7, strict_until: today + 4, safety_until: day("2027-04-01"), open: true, look_until: nil
    )
    expect(rest.(life.with(kind: :safety))).to have_attributes(safety_until: today + 7)
    expect(rest.(life.with(days: nil, strict_days: nil))).to have_attributes(usable_until: day("2027-03-01"))
    expect(rest.(nil)).to have_attributes(usable_until: day("2027-03-01"), amount: 100, open: true, place: "shelf")
  end

  it "gives what germs like no day once it is open where no rule keeps it, whoever eats it" do
    mince = openings(fridge: nil).of(food("beef-mince"), :opened, place("cupboard"))
    expect(mince).to have_attributes(days: 0, strict_days: 0, kind: :safety)
  end

  it "counts what is set apart in its place, and a place with half its range said as no way round" do
    set_apart = place("cupboard").with(tier: "set_apart")
    expect([set_apart.set_apart?, place("cupboard").set_apart?]).to eq([true, false])
    expect([place("fridge", low_c: 4), place("fridge", high_c: 4),
            place("fridge", low_c: 5, high_c: 4)].map(&:upside_down?))
      .to eq([false, false, true])
    expect([place("fridge", archived_at: Time.now), place("fridge")].map(&:gone?)).to eq([true, false])
  end

  describe "a cursor" do
    def tins(id, until_on, packs, **facts)
      life =
        NutShelf::Core::OnceOpened.new(
          how: :opened, place_id: 9, place: "fridge", days: 3, strict_days: 2, kind: :safety
        )
      stack(id, until_on, grams: packs * 400, value: packs * 100, pack: 400r, opened: life, **facts)
    end

    it "never gives the same gram twice, and a copy goes its own way" do
      one = shelf(stack(1, "2027-01-01")).cursor
      expect(one.draw("canned-chickpeas", 300r, today).missing).to eq(0)
      other = one.dup
      expect(
        [one.draw("canned-chickpeas", 300r, today).missing, other.draw("canned-chickpeas", 50r, today).missing]
      ).to eq([200, 0])
      expect([one, other].map { |cursor| cursor.left("canned-chickpeas", today) }).to eq([0, 50])
    end

    it "takes whole packs, opens one for the rest, and puts that in the row by its opened date" do
      cursor = shelf(tins(1, "2027-01-01", 3), tins(2, "2026-11-26", 0.5.to_r)).cursor
      first = cursor.draw("canned-chickpeas", 700r, today).picks
      expect(first.map { |pick| [pick.stack.id, pick.amount, pick.opens] }).to eq([[2, 200, true], [1, 500, true]])
      again = cursor.draw("canned-chickpeas", 400r, today + 1).picks
      expect(again.map { |pick| [pick.stack.place, pick.stack.usable_until, pick.amount, pick.opens] }).to eq(
        [["fridge", today + 3, 300, false], ["shelf", day("2027-01-01"), 100, true]]
      )
      expect(cursor.left("canned-chickpeas", today + 1)).to eq(300)
    end

    it "lets an opened rest go past, where nobody comes back in time" do
      cursor = shelf(tins(1, "2027-01-01", 2)).cursor
      cursor.draw("canned-chickpeas", 100r, today)
      expect([3, 4].map { |days| cursor.left("canned-chickpeas", today + days) }).to eq([700, 400])
      expect(cursor.turning("canned-chickpeas", today, 7)).to eq(300)
      expect(cursor.turning("canned-chickpeas", today, 2)).to eq(0)
    end

    it "opens no tin whose packs cannot be told apart, nor what is open" do
      loose = shelf(stack(1, "2027-01-01", pack: 1r)).cursor
      loose.draw("canned-chickpeas", 50.5r, today)
      expect(loose.left("canned-chickpeas", day("2027-01-01"))).to eq(349.5r)
      open = shelf(tins(1, "2027-01-01", 1, open: true)).cursor
      open.draw("canned-chickpeas", 100r, today)
      expect(open.left("canned-chickpeas", day("2027-01-01"))).to eq(300)
    end

    it "loses and invents nothing: what was drawn, what is left and what went past are what there was" do
      generators = PropCheck::Generators
      row =
        generators.array(
          generators.tuple(generators.choose(0..20), generators.choose(1..4), generators.boolean),
          min: 1,
          max: 6
        )
      draws = generators.array(generators.tuple(generators.choose(0..6), generators.choose(1..900)), max: 10)
      PropCheck.forall(row: row, draws: draws) do |row:, draws:|
        stacks =
          row.each_with_index.map { |(days, packs, open), id| tins(id, (today + days).iso8601, packs, open: open) }
        cursor = shelf(*stacks).cursor
        drawn =
          draws.sort_by(&:first).sum(0r) do |days, grams|
            draw = cursor.draw("canned-chickpeas", grams.to_r, today + days)
            expect(draw.picks.sum(0r, &:amount) + draw.missing).to eq(grams)
            expect(draw.picks.map { |pick| pick.stack.usable_until }).to all(be >= today + days)
            draw.picks.sum(0r, &:amount)
          end
        there = stacks.sum(&:amount)
        expect(drawn + cursor.left("canned-chickpeas", today - 100)).to eq(there)
      end
    end

    it "wears what it is worth: the picks of a whole stack are its value" do
      cursor = shelf(tins(1, "2027-01-01", 3)).cursor
      values = [100r, 300r, 800r].map { |grams| cursor.draw("canned-chickpeas", grams, today).value_minor }
      expect(values).to eq([25, 75, 200])
    end
  end

  # The judge is told what hands really do: opened or cut that day, and carried to where the pack then belongs.
  describe "what opening makes of a stack" do
    judged = %w[
      canned-chickpeas uht-milk honey passata cabbage beef-mince olive-oil dry-pasta whole-milk jam eggs plain-yoghurt
    ]

    def judge(story, on, how, there, catalog, school)
      events = [event(:moved, on.iso8601, place: there.standing(on)), event(how, on.iso8601)]
      events.shift if there.kind == story.place.kind
      date(
        story.class.new(**story.to_h, events: [*story.events, *events]),
        catalog: catalog,
        school: school,
        today: on.iso8601
      )
    end

    judged.product(%w[cupboard fridge]).each do |key, kind|
      it "is never later than the judge says: #{key} in the #{kind}" do
        here = place(kind)
        story = story(key, kind, acquired_on: "2026-11-20", printed_on: "2027-03-31", printed_kind: :best_before)
        sealed = date(story)
        how = NutShelf::Core::Breaking.kind(food(key), dimension: food(key).dimension, pack: nil) or next
        %i[look_then_decide by_the_date].each do |school|
          opened = openings(school: school).of(food(key), how, here)
          there = openings.place(food(key), how, here)
          rest =
            stack(
              1,
              nil,
              usable_until: sealed.usable_until,
              strict_until: sealed.usable_until,
              safety_until: sealed.safety_until,
              opened: opened
            ).rest_of(100r, today)
          truth = judge(story, today, how, there, catalog, school)
          expect(rest.usable_until || Date.new(9999)).to be <= (truth.usable_until || Date.new(9999)),
            "#{rest.usable_until} after #{truth.usable_until}: #{truth.steps.join(" ")}"
          expect(rest.place).to eq(there.name)
        end
      end
    end

    it "is the judge's own day where a figure stands for the place" do
      milk = openings.of(food("uht-milk"), :opened, place("cupboard"))
      row = catalog.keeping(food("uht-milk"), "opened", "fridge").row
      expect(milk).to have_attributes(place: "fridge", days: row.low, strict_days: row.low, kind: :safety)
      expect(openings.of(food("honey"), :opened, place("cupboard"))).to have_attributes(place: "cupboard", days: nil)
    end

    it "is that day alone where germs have two hours and no fridge is there" do
      expect(openings(fridge: nil).of(food("uht-milk"), :opened, place("cupboard"))).to have_attributes(
        days: 0,
        kind: :safety
      )
    end

    it "begins nothing anew of what is frozen, portioned or cut already" do
      chickpeas = food("canned-chickpeas")
      expect(openings.of(chickpeas, :opened, place("freezer"), frozen: true)).to be_nil
      expect(openings.of(chickpeas, :opened, place("fridge"), situation: "portioned")).to be_nil
      expect(openings.of(food("cabbage"), :cut, place("fridge"), situation: "cut")).to be_nil
    end
  end
end
