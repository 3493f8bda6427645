# frozen_string_literal: true

require_relative "support"
require_relative "../../core/planning/ranker"
require_relative "../../core/planning/proposal"
require_relative "../../core/buying/missing_list"
require_relative "../../core/buying/price_book"

RSpec.describe "Dishes from the shelf" do
  include CoreSupport

  core = NutShelf::Core
  let(:today) { day("2026-11-24") }

  # A shelf drawn down for one question: stacks by food, each as `held` gives it, and what is kept by level.
  def cursor(stacks, levels: [], **more)
    kept = levels.each_with_index.map { |key, index| stack(900 + index, nil, food_key: key, level: "plenty") }
    held = stacks.flat_map { |key, list| list.map { |one| one.with(food_key: key) } }
    NutShelf::Core::Shelf.new([*held, *kept], foods: catalog.foods, today: today).cursor(**more)
  end

  def held(id, grams, until_on, value: 100, **facts) = stack(id, until_on, grams: grams, value: value, **facts)

  def recipe(name, lines, servings: 2, **more)
    NutShelf::Core::Recipe.new(
      key: name.downcase,
      name: name,
      meal: "dinner",
      servings: servings,
      active_minutes: 10,
      total_minutes: 20,
      gear: [],
      leftover_days: 2,
      freezes: true,
      steps: [],
      tags: [],
      lines: lines.map { |key, grams, facts| line(key, grams, **(facts || {})) },
      **more
    )
  end

  def line(key, grams, optional: false, substitutes: {})
    NutShelf::Core::RecipeLine.new(
      food_key: key,
      quantity: NutShelf::Core::Quantity.of(grams, "g"),
      optional: optional,
      substitutes: substitutes,
      note: ""
    )
  end

  it "says which lines nobody knows, to a table that may not have something" do
    secret = core::RecipeText.new(text: "a secret sauce", position: 1)
    heading = core::RecipeText.new(text: "For the pot:", position: 0)
    doubts = lambda do |texts, excludes|
      diet = core::Diet.new([core::Diet::Eater.new(name: "Wren", excludes: excludes)])
      core::Dish.plan(recipe("Rice", [["white-rice", 100]], texts: texts), servings: 2r, cursor: cursor({}), on: today,
        diet: diet).doubts
    end
    expect(doubts.([heading, secret], ["peanut"])).to match([/holds: a secret sauce\. Look/])
    expect(doubts.([heading, secret], [])).to be_empty
    expect(doubts.([heading], ["peanut"])).to be_empty
  end

  it "makes do where hardly anything is missing, and sends nobody to the shop for it" do
    line = lambda do |there, **substitutes|
      stacks = { "white-bread" => [held(1, there, "2026-12-01")], "wholemeal-bread" => [held(2, 800, "2026-12-09")] }
      core::Dish.plan(
        recipe("Toast", [["white-bread", 480, { substitutes: substitutes.transform_keys { "wholemeal-bread" } }]]),
        servings: 2r, on: today, cursor: cursor(stacks)
      ).lines.first
    end
    close = line.(471)
    expect([close.grams, close.missing, close.picks.sum(0r, &:amount)]).to eq([471, 0, 471])
    short = line.(470)
    expect([short.grams, short.missing]).to eq([480, 10])
    expect([line.(471, other: 1r), line.(470, other: 1r)].map(&:food_key)).to eq(%w[white-bread wholemeal-bread])
  end

  it "gives up a choice that was made at home and is eaten up, but not to who may not have the dish's own food" do
    dish = lambda do |diet, there|
      stacks = { "peanut-butter" => [held(1, 500, "2027-01-01")], "cooked-vegetables" => there }
      core::Dish.plan(
        recipe("Bake", [["peanut-butter", 100, { substitutes: { "cooked-vegetables" => 1r } }]]), servings: 2r,
        on: today, cursor: cursor(stacks), diet: diet, choices: { "peanut-butter" => "cooked-vegetables" }
      ).lines.first
    end
    anybody = core::Diet.new
    wren = core::Diet.new([core::Diet::Eater.new(name: "Wren", excludes: %w[peanut])])
    expect(dish.(anybody, [held(2, 200, "2026-12-01")]).food_key).to eq("cooked-vegetables")
    expect(dish.(anybody, [])).to have_attributes(food_key: "peanut-butter", missing: 0)
    expect(dish.(wren, [])).to have_attributes(food_key: "cooked-vegetables", missing: 100)
  end

  it "scales by portions and covers by weight" do
    dish =
      core::Dish.plan(
        recipe("Stew", [["canned-chickpeas", 400], ["passata", 200]]),
        servings: 4r,
        cursor: cursor({ "canned-chickpeas" => [held(1, 800, "2027-01-01")] }),
        on: today
      )
    expect(dish.covered).to eq(Rational(800, 1200))
    expect(dish.missing.map { |entry| [entry.food_key, entry.missing] }).to eq([["passata", 400r]])
  end

  it "asks the shelf for gross weight where the recipe means edible" do
    dish =
      core::Dish.plan(
        recipe("Mash", [["potatoes", 850]]),
        servings: 2r,
        cursor: cursor({ "potatoes" => [held(1, 1000, nil)] }),
        on: today
      )
    expect(dish.lines.first).to have_attributes(grams: 1000r, missing: 0r)
  end

  it "uses a substitute with its factor when the food itself is short" do
    dish =
      core::Dish.plan(
        recipe("Curry", [["canned-chickpeas", 400, { substitutes: { "dried-chickpeas" => "0.4".to_r } }]]),
        servings: 2r,
        cursor: cursor({ "dried-chickpeas" => [held(1, 500, "2028-01-01")] }),
        on: today
      )
    expect(dish.lines.first).to have_attributes(food_key: "dried-chickpeas", substitute: true, grams: 160r, missing: 0r)
  end

  it "prefers a substitute that turns to a food that keeps, but not to one that turns as well" do
    stew = recipe("Stew", [["canned-chickpeas", 400, { substitutes: { "canned-white-beans" => 1r } }]])
    stock = lambda do |until_on|
      { "canned-chickpeas" => [held(1, 400, until_on)], "canned-white-beans" => [held(2, 400, "2026-11-26")] }
    end
    keys =
      %w[2028-01-01 2026-11-25].map do |until_on|
        core::Dish.plan(stew, servings: 2r, cursor: cursor(stock.call(until_on)), on: today).lines.first.food_key
      end
    expect(keys).to eq(%w[canned-white-beans canned-chickpeas])
    half = {
      "canned-chickpeas" => [held(1, 400, "2028-01-01")],
      "canned-white-beans" => [held(2, 200, "2026-11-26"), held(3, 400, "2028-01-01")]
    }
    expect(core::Dish.plan(stew, servings: 2r, cursor: cursor(half), on: today).lines.first.food_key).to eq(
      "canned-chickpeas"
    )
  end

  it "takes optional lines only where they are there, and levels and tap water for free" do
    shelf = cursor({ "passata" => [held(1, 200, nil)] }, levels: %w[salt])
    dish =
      core::Dish.plan(
        recipe("Soup", [["passata", 200], ["fresh-parsley", 10, { optional: true }], ["salt", 5], ["tap-water", 500]]),
        servings: 2r,
        cursor: shelf,
        on: today
      )
    expect(dish.lines.map(&:food_key)).to eq(%w[passata salt tap-water])
    expect(dish.covered).to eq(1)
  end

  it "counts as rescued what turns within the front window, at its share of the stack's value" do
    dish =
      core::Dish.plan(
        recipe("Stew", [["passata", 100]]),
        servings: 2r,
        cursor: cursor({ "passata" => [held(1, 400, "2026-11-26", value: 200), held(2, 400, "2028-01-01")] }),
        on: today
      )
    expect(dish.rescued_minor).to eq(50)
    expect(dish.rescued_picks.map { |key, pick, _| [key, pick.stack.id] }).to eq([["passata", 1]])
  end

  it "leaves what is set apart alone" do
    dish =
      core::Dish.plan(
        recipe("Stew", [["passata", 100]]),
        servings: 2r,
        cursor: cursor({ "passata" => [held(1, 400, "2026-11-26", reserved: 400r, amount: 0r)] }),
        on: today
      )
    expect(dish.covered).to eq(0)
  end

  it "ranks by money rescued less money to spend, and says so in the score" do
    stock = {
      "passata" => [held(1, 400, "2026-11-25", value: 300)],
      "dry-pasta" => [held(2, 500, "2028-01-01", value: 100)]
    }
    recipes = {
      1 => recipe("Pasta", [["dry-pasta", 200]]),
      2 => recipe("Passata soup", [["passata", 400]]),
      3 => recipe("Steak", [["beef-steak", 400]])
    }
    paid = { "beef-steak" => [core::PriceBook::Paid.new(price_minor: 2000, amount: 1000r, dimension: "mass")] }
    prices = core::PriceBook.new(prices: paid, foods: catalog.foods)
    ranked = core::Ranker.rank(recipes, cursor: cursor(stock), servings: 2r, on: today, prices: prices)
    expect(ranked.map(&:id)).to eq([2, 1, 3])
    expect(ranked.last.score).to eq(0 - 800 - core::Ranker::BOTHER_MINOR)
  end

  it "never promises a tin twice: later meals see what earlier ones took" do
    one =
      core::MissingList::Planned.new(
        id: 1,
        on: today + 1,
        recipe: recipe("Stew", [["canned-chickpeas", 400]]),
        servings: 2r
      )
    two =
      core::MissingList::Planned.new(
        id: 2,
        on: today,
        recipe: recipe("Salad", [["canned-chickpeas", 300]]),
        servings: 2r
      )
    items, dishes =
      core::MissingList.build([one, two], cursor: cursor({ "canned-chickpeas" => [held(1, 400, "2028-01-01")] }))
    expect(items.map { |item| [item.food_key, item.grams, item.reasons] }).to eq(
      [["canned-chickpeas", 300r, [{ meal: 1, grams: 300r }]]]
    )
    expect(dishes[2].covered).to eq(1)
  end

  it "proposes the usual pack that leaves least over" do
    packs = ->(key, grams) { core::MissingList.packs(catalog.food(key), grams) }
    expect(packs.call("canned-chickpeas", 450r)).to eq([core::Quantity.of("240", "g"), 2])
    expect(packs.call("canned-chickpeas", 400r)).to eq([core::Quantity.of("400", "g"), 1])
    expect(packs.call("eggs", 350r)).to eq([core::Quantity.of("10", "piece"), 1])
  end

  describe "eaters" do
    let(:wren) { core::Diet.new([core::Diet::Eater.new(name: "Wren", excludes: %w[peanut])]) }
    let(:shelf) do
      {
        "peanut-butter" => [held(1, 500, "2027-01-01")],
        "tahini" => [held(2, 500, "2027-01-01")],
        "dry-pasta" => [held(3, 500, "2028-01-01")]
      }
    end

    def noodles(peanut, diet)
      NutShelf::Core::Dish.plan(
        recipe("Noodles", [["dry-pasta", 200], peanut]),
        servings: 2r,
        cursor: cursor(shelf),
        on: today,
        diet: diet
      )
    end

    it "shut a dish out that holds what one of them may not have, and say who and why" do
      dish = noodles(["peanut-butter", 60], wren)
      expect(dish).to be_shut
      expect(dish.clashes.map(&:to_h)).to eq([{ person: "Wren", allergen: "peanut", food_key: "peanut-butter" }])
      expect(noodles(["peanut-butter", 60], core::Diet.new)).not_to be_shut
    end

    it "get a substitute instead, or the dish without an optional line" do
      swapped = noodles(["peanut-butter", 60, { substitutes: { "tahini" => 1r } }], wren)
      expect(swapped.lines.last).to have_attributes(food_key: "tahini", substitute: true, missing: 0r)
      expect(swapped).not_to be_shut
      expect(noodles(["peanut-butter", 60, { optional: true }], wren).lines.map(&:food_key)).to eq(%w[dry-pasta])
      expect(noodles(["tahini", 900, { substitutes: { "peanut-butter" => 1r } }], wren).lines.last.food_key).to eq(
        "tahini"
      )
    end
  end

  it "lets a substitute that is kept by level stand in, and leaves tap water out of the share" do
    broth =
      recipe(
        "Broth",
        [["fresh-parsley", 10, { substitutes: { "oregano-dried" => Rational(1, 4) } }], ["tap-water", 1000]]
      )
    dish = core::Dish.plan(broth, servings: 2r, cursor: cursor({}, levels: %w[oregano-dried]), on: today)
    expect(dish.lines.first).to have_attributes(free: true, substitute: true, missing: 0r)
    cocoa = recipe("Cocoa", [["cocoa-powder", 20], ["tap-water", 480]])
    expect(core::Dish.plan(cocoa, servings: 2r, cursor: cursor({}), on: today).covered).to eq(0)
  end

  it "weighs what would be lost by the days it has left; a tin within tolerance rescues nothing" do
    urgency =
      lambda do |until_on, **facts|
        core::Dish.plan(
          recipe("Stew", [["passata", 400]]),
          servings: 2r,
          cursor: cursor({ "passata" => [held(1, 400, until_on, value: 80, **facts)] }),
          on: today
        ).urgency_minor
      end
    expect(%w[2026-11-24 2026-11-28 2026-12-01 2026-12-02].map { |until_on| urgency.call(until_on) }).to eq(
      [80, 40, 10, 0]
    )
    expect(urgency.call("2026-10-31", look_until: day("2027-10-31"))).to eq(0)
  end

  it "plans nothing past its safety date on the meal's own day" do
    shelf = { "plain-yoghurt" => [held(1, 500, "2026-11-26", safety_until: day("2026-11-26"))] }
    shares =
      [0, 2, 3].map do |days|
        core::Dish.plan(
          recipe("Dip", [["plain-yoghurt", 300]]),
          servings: 2r,
          cursor: cursor(shelf),
          on: today + days
        ).covered
      end
    expect(shares).to eq([1, 1, 0])
  end

  it "knows what goes into the pot straight from the freezer" do
    pie = recipe("Pie", [["frozen-fish-fillets", 300]], steps: ["Lay on the frozen fish"])
    expect(
      %w[frozen-peas frozen-berries fish-fingers white-bread].map { |key| pie.from_frozen?(catalog.food(key)) }
    ).to eq([true] * 4)
    expect(pie.from_frozen?(catalog.food("frozen-fish-fillets"))).to be(true)
    expect(recipe("Stew", []).from_frozen?(catalog.food("frozen-fish-fillets"))).to be(false)
    expect(pie.from_frozen?(catalog.food("beef-mince"))).to be(false)
  end

  it "takes the latest price paid, else an estimate that is marked" do
    book =
      core::PriceBook.new(
        prices: {
          "passata" => [core::PriceBook::Paid.new(price_minor: 230, amount: 1000r, dimension: "mass")]
        },
        foods: catalog.foods
      )
    expect(book.cost("passata", 500r)).to eq([115, false])
    expect(book.cost("honey", 500r)).to eq([450, true])
  end

  it "weighs a jar nobody weighed as the smallest usual pack" do
    expect(core::Weight.of_unit(catalog.food("jam"), :count, "jar")).to eq(370)
    expect(core::Weight.of_unit(catalog.food("eggs"), :count, nil)).to eq(50)
    expect(core::Weight.of_unit(catalog.food("uht-milk"), :volume, nil)).to eq("1.03".to_r)
  end

  it "proposes what a hand takes: whole grams, half pieces, whole eggs, never more than there is" do
    propose = lambda do |units, on_hand, dimension, key|
      core::Proposal.amount(units, on_hand: on_hand, dimension: dimension, food: catalog.food(key))
    end
    expect(propose.call("183.75".to_r, 500r, :mass, "frozen-peas")).to eq(184)
    expect(propose.call("3.675".to_r, 10r, :count, "eggs")).to eq(4)
    expect(propose.call("0.45".to_r, 3r, :count, "onions")).to eq("0.5".to_r)
    expect(propose.call("2.9".to_r, "2.9".to_r, :count, "onions")).to eq("2.9".to_r)
  end
end
