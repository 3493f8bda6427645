# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/lids"

# Portions from several stacks at once.
RSpec.describe "The bench" do
  let(:ines) { household! }
  let(:freezer) { place_id(ines, "freezer") }

  before { clock.day = Date.new(2027, 2, 26) }

  def chicken(count, price, printed = "2027-02-28", **more)
    put_away(ines, "chicken-thighs", "fridge", count: count, amount: "900", price_minor: price, printed_on: printed,
      printed_kind: "use_by", **more)["lot_id"]
  end

  def portions(takes, **more)
    act(:PortionBench, ines, { takes: takes.map { |id| id.is_a?(Hash) ? id : { lot_id: id } }, **more })
  end

  def stacks(done) = done["lot_ids"].map { |id| lot(ines, id) }

  def movements(done) = inside(ines) { |house| house.ledger.movements(done["act_id"]) }

  it "makes four packs for one sum into thirteen bags, two of them fresh" do
    packs = chicken("4", 2999)
    done = portions([packs], trim_g: "150", count: 13, fresh: 2, frozen_place_id: freezer, label: "Thighs for curry")
    made = stacks(done)
    frozen = Date.new(2027, 11, 23)
    expect(made.map { |one| [one.on_hand / one.pack_amount, one.value_minor, one.place_id, one.usable_until] }).to eq(
      [[2, 460, place_id(ines, "fridge"), Date.new(2027, 2, 27)], [2, 460, freezer, frozen], [9, 2079, freezer, frozen]]
    )
    expect(made.map(&:pack_amount).uniq).to eq([Rational("265.384615")])
    expect(made.map(&:label).uniq).to eq(["Thighs for curry"])
    expect(lot(ines, packs).on_hand).to eq(0)
  end

  it "loses no gram and no cent, over several purchases of several dates" do
    early = chicken("1", 700, "2027-02-27")
    late = chicken("2", 1501)
    takes = [{ lot_id: late, amount: "1300" }, early]
    done = portions(takes, trim_g: "80", spoiled_g: "60", why: "turned", size_g: "400")
    moves = movements(done)
    lost = moves.select { |one| one.reason == "binned" }.to_h { |one| [one.why, [one.quantity, one.value_minor]] }
    expect(lost["trim"]).to eq([-80, 0])
    expect(lost["turned"].first).to eq(-60)
    expect(moves.sum(&:quantity)).to eq(-140)
    expect(moves.sum(&:value_minor)).to eq(lost["turned"].last)
    expect(stacks(done).map(&:usable_until)).to all(be <= Date.new(2027, 2, 27))
    opened = inside(ines) { |house| house.lots.of_food(food_id(ines, "chicken-thighs"), []) }
      .find { |one| one.open && one.on_hand == 500 }
    expect(opened).not_to be_nil
  end

  it "remembers all that went in, so that a recall finds it" do
    one = chicken("1", 700, lot_text: "L1")
    other = chicken("1", 700, lot_text: "L2")
    made = stacks(portions([one, other], count: 6)).first
    came = [one, other].map do |id|
      inside(ines) { |house| house.sources.traced(house.db[:lots].where(id: id).select(:id)).select_map(:id) }
    end
    expect(came).to all(include(made.id))
  end

  it "refuses two foods, pieces, more than is there, what is not to eat and what does not freeze" do
    refused = NutShelf::Desk::Error
    tin = put_away(ines, "canned-chickpeas", "cupboard")["lot_id"]
    expect { portions([chicken("1", 1), tin], count: 2) }.to raise_error(refused, /one food at a time/)
    eggs = put_away(ines, "eggs", "fridge", count: "6", amount: nil, unit: nil, noun: "egg")["lot_id"]
    expect { portions([eggs], count: 2) }.to raise_error(refused, /by weight/)
    expect { portions([{ lot_id: tin, amount: "900" }], count: 2) }.to raise_error(refused)
    ice = chicken("1", 1)
    act(:Move, ines, { lot_id: ice, place_id: freezer })
    expect { portions([ice, chicken("1", 1)], count: 2) }.to raise_error(refused, /Some of it is frozen/)
    expect { portions([ice], count: 2) }.not_to raise_error
    past = chicken("1", 1, "2027-02-25")
    expect { portions([past], count: 2) }.to raise_error(refused, /past its safety date/)
    leaves = put_away(ines, "lettuce", "fridge", amount: "400")["lot_id"]
    expect { portions([leaves], count: 2, frozen_place_id: freezer) }.to raise_error(refused, /does not freeze/)
    expect { portions([tin], size_g: "5000") }.to raise_error(refused, /not even one/i)
  end

  it "shows all of it before anything moves" do
    packs = chicken("4", 2999)
    seen = NutShelf::Desk::PortionBench.new(services, ines).foresee(
      { takes: [{ lot_id: packs }], trim_g: "150", count: 13, fresh: 2, frozen_place_id: freezer }
    )
    expect(seen[:portions]).to include(count: 13, trim: "150 g", costs: [{ count: 4, cost_minor: 230 },
                                                                         { count: 9, cost_minor: 231 }])
    expect(seen[:stacks].map { |one| one[:usable_until] }).to contain_exactly("2027-02-27", "2027-11-23", "2027-11-23")
    expect(lot(ines, packs).on_hand).to eq(3600)
  end

  describe "something added to each portion" do
    let(:pack) { chicken("1", 900) }
    let(:tuna) do
      put_away(ines, "canned-tuna-water", "cupboard", count: "1", amount: "400", price_minor: 520,
        printed_on: "2029-06-30", printed_kind: "best_before", lot_text: "M1")["lot_id"]
    end
    let(:more) { { trim_g: "0", count: 4, fresh: 1, frozen_place_id: freezer } }

    def mixed(**input) = portions([pack], **more, additions: [{ lot_id: tuna, each_g: "25" }], **input)

    it "goes along with its weight, its cost to the cent, its allergens and its lot" do
      done = mixed
      made = stacks(done)
      expect(made.map(&:on_hand)).to eq([250, 250, 500])
      expect(made.map(&:pack_amount)).to all(eq(250))
      # 900 and a quarter of 520.
      expect(made.sum(&:value_minor)).to eq(1030)
      expect(lot(ines, pack).on_hand).to eq(0)
      left = inside(ines) { |house| house.lots.of_food(food_id(ines, "canned-tuna-water"), []) }
      expect(left.map { |one| [one.on_hand, one.open, one.value_minor] }).to eq([[300, true, 390]])
      food = inside(ines) { |house| house.foods.by_id([made.first.food_id]).fetch(made.first.food_id) }
      expect([food.name, food.allergens]).to eq(["Chicken thighs with tuna in water", ["fish"]])
      traced = inside(ines) do |house|
        house.sources.traced(house.db[:lots].where(id: tuna).select(:id)).select_map(:id)
      end
      expect(traced).to include(*done["lot_ids"])
      expect(movements(done).sum(&:value_minor)).to eq(0)
      expect(movements(done).sum(&:quantity)).to eq(0)
      act(:Undo, ines, { act_id: done["act_id"] })
      expect([pack, tuna].map { |id| lot(ines, id).on_hand }).to eq([900, 400])
    end

    it "keeps no longer than either of the two" do
      plain = stacks(portions([chicken("1", 900)], **more)).to_h { |one| [one.place_id, one.usable_until] }
      mixed_until = stacks(mixed).to_h { |one| [one.place_id, one.usable_until] }
      expect(mixed_until.fetch(freezer)).to be < plain.fetch(freezer)
      expect(mixed_until.keys).to match_array(plain.keys)
      expect(mixed_until.map { |place, on| on <= plain.fetch(place) }).to all(be(true))
      cream = put_away(ines, "whipping-cream", "fridge", count: "1", amount: "200", unit: "ml",
        printed_on: "2027-02-26", printed_kind: "use_by")["lot_id"]
      short = portions([chicken("1", 900)], trim_g: "0", count: 2, additions: [{ lot_id: cream, per_pack: 4 }])
      expect(stacks(short).map(&:usable_until)).to eq([Date.new(2027, 2, 26)] * stacks(short).size)
      powder = put_away(ines, "whole-milk-powder", "cupboard", count: "1", amount: "400")["lot_id"]
      expect { portions([chicken("1", 900)], **more, additions: [{ lot_id: powder, each_g: "25" }]) }
        .to raise_error(NutShelf::Desk::Error, /does not freeze/)
    end

    it "counts as the one of them that asks for most care: nobody takes it for dry, or for ready to eat" do
      rice = put_away(ines, "white-rice", "cupboard", count: "1", amount: "1000")["lot_id"]
      like = lambda do |lot_id, added|
        lot = stacks(portions([lot_id], count: 2, additions: [{ lot_id: added, each_g: "10" }])).first
        at_work(ines) { |work| work.food(lot.food_id) }
      end
      expect(like.call(rice, tuna)).to have_attributes(high_risk: true)
      yoghurt = put_away(ines, "plain-yoghurt", "fridge", count: "1", amount: "500")["lot_id"]
      expect(like.call(yoghurt, pack)).to have_attributes(high_risk: true, ready_to_eat: false)
    end

    it "keeps to the times a household gave the plain food" do
      own = { place: "cupboard", state: "unopened", low: 9, high: 9, reason: "damp kitchen" }
      act(:SetKeeping, ines, { food_id: food_id(ines, "white-rice"), **own })
      rice = put_away(ines, "white-rice", "cupboard", count: "1", amount: "1000")["lot_id"]
      sugar = put_away(ines, "sugar-white", "cupboard", count: "1", amount: "1000")["lot_id"]
      done = portions([rice], count: 2, additions: [{ lot_id: sugar, each_g: "1" }])
      expect(stacks(done).map(&:usable_until)).to all(eq(Date.new(2027, 3, 7)))
    end

    it "stays out of what is kept for something else, out of an animal's bowl, and is said once" do
      refused = NutShelf::Desk::Error
      onions = put_away(ines, "onions", "cupboard", count: "1", amount: "500")["lot_id"]
      expect { mixed(additions: [{ lot_id: onions, each_g: "1" }], pet: true) }.to raise_error(refused, /animal ill/)
      expect { mixed(additions: [{ lot_id: pack, each_g: "1" }]) }.to raise_error(refused)
      expect { mixed(additions: [{ lot_id: tuna, each_g: "25" }] * 2) }.to raise_error(refused)
      expect { mixed(additions: [{ lot_id: tuna, each_g: "101" }]) }.to raise_error(refused, /400/)
    end

    it "shows what a portion gives with it" do
      seen = NutShelf::Desk::PortionBench.new(services, ines).foresee(
        { takes: [{ lot_id: pack }], **more, additions: [{ lot_id: tuna, each_g: "25" }] }
      )
      with = seen[:portions][:kcal]
      plain = NutShelf::Desk::PortionBench.new(services, ines).foresee({ takes: [{ lot_id: pack }], **more })
      hundred = services.catalog.food("canned-tuna-water").nutrition.kcal
      expect(with - plain[:portions][:kcal]).to be_within(1).of(hundred / 4)
    end
  end

  describe "jars" do
    def jars(owned, capacity, shape = "straight", **more)
      act(:AddContainer, ines, { name: "jar of #{capacity} ml", kind: "jar", capacity_ml: capacity, shape: shape,
                                 owned: owned, **more })["container_id"]
    end

    let(:broth) { food_id(ines, "class-home-broth") }
    let(:pot) do
      put_away(ines, "class-home-broth", "fridge", count: "1", amount: "3200", unit: "ml", situation: "left_over",
        made_on: "2027-02-26", price_minor: 640)["lot_id"]
    end

    def poured(jar, **more) = portions([pot], container_id: jar, frozen_place_id: freezer, **more)

    it "are filled as far as their shape lets them freeze, and hold what they hold" do
      half = jars(10, 500)
      done = poured(half)
      made = stacks(done)
      expect(made.sum { |one| one.on_hand / one.pack_amount }).to eq(8)
      expect(made.map { |one| [one.pack_amount, one.container_id] }.uniq).to eq([[400, half]])
      expect(inside(ines) { |house| house.containers.in_use(half) }).to eq(8)
      large = jars(10, 1000, "shouldered")
      act(:Undo, ines, { act_id: done["act_id"] })
      expect(inside(ines) { |house| house.containers.in_use(half) }).to eq(0)
      expect(stacks(poured(large)).map(&:pack_amount).uniq).to eq([640])
    end

    it "are refused where they would burst, or too few are empty" do
      half = jars(5, 500)
      expect { poured(half, count: 5) }.to raise_error(NutShelf::Desk::Error, /takes 450 ml, not more/)
      expect { poured(half) }.to raise_error(NutShelf::Desk::Error, /Only 5 of/)
      tiny = portions([{ lot_id: pot, amount: "120" }], container_id: half)
      expect(stacks(tiny).map(&:pack_amount)).to eq([120])
      act(:Undo, ines, { act_id: tiny["act_id"] })
      few = portions([{ lot_id: pot, amount: "1350" }], container_id: half, frozen_place_id: freezer)
      expect(few["portions"]).to eq(3)
      rest = inside(ines) { |house| house.lots.of_food(broth, []) }.find { |one| one.container_id.nil? }
      expect { portions([rest.id], container_id: half, count: 5, frozen_place_id: freezer) }
        .to raise_error(NutShelf::Desk::Error, /Only 2 of/)
    end

    it "keep room to swell where the food stays in the freezer, though nobody names one" do
      half = jars(10, 500)
      act(:Move, ines, { lot_id: pot, place_id: freezer })
      full = { container_id: half, size_g: "480" }
      expect { portions([pot], **full) }.to raise_error(NutShelf::Desk::Error, /takes 450 ml/)
      expect(stacks(portions([pot], container_id: half)).map(&:pack_amount).uniq).to eq([400])
    end

    it "go along when closed jars are moved, and have loose lids until the day after" do
      half = jars(10, 500)
      made = stacks(poured(half)).first
      act(:Move, ines, { lot_id: made.id, place_id: place_id(ines, "fridge"), amount: "800" })
      expect(inside(ines) { |house| house.containers.in_use(half) }).to eq(8)
      clock.day += 1
      lids = at_work(ines) { |work| NutShelf::Desk::Lids.new(work, work.shelf).tasks }
      expect(lids.map(&:lot_id)).to include(made.id)
      act(:Open, ines, { lot_id: made.id })
      expect(inside(ines) { |house| house.containers.in_use(half) }).to eq(8)
    end
  end

  describe "bones and trimmings" do
    let(:tub) do
      act(:AddContainer, ines, { name: "Broth tub", kind: "tub", capacity_ml: 2000, full_at: "500",
                                 place_id: freezer })["container_id"]
    end

    def saved(key, grams, printed, **more)
      packs = put_away(ines, key, "fridge", count: "1", amount: "900", price_minor: 700, printed_on: printed,
        printed_kind: "use_by")["lot_id"]
      portions([packs], trim_g: "50", count: 2, by_products: [{ g: grams, container_id: tub, **more }])
    end

    def inside_tub = inside(ines) { |house| house.lots.in_container(tub) }

    it "go into the tub for stock without value, and a full tub asks for stock to be made" do
      done = saved("chicken-thighs", "300", "2027-02-28")
      expect(done["full"]).to be(false)
      expect(movements(done).sum(&:value_minor)).to eq(0)
      expect(stacks(done).sum(&:value_minor)).to eq(700)
      expect(inside_tub.map { |one| [one.on_hand, one.value_minor, one.place_id] }).to eq([[300, 0, freezer]])
      again = saved("stewing-beef", "250", "2027-02-28")
      expect([again["full"], inside_tub.map(&:on_hand)]).to eq([true, [550]])
      expect(inside(ines) do |house|
        house.care.due(clock.day).map(&:title)
      end).to include("Broth tub is full: make stock")
      act(:Undo, ines, { act_id: again["act_id"] })
      expect(inside_tub.map(&:on_hand)).to eq([300])
    end

    it "keep no longer than the food they are of, in the fridge and in the freezer" do
      done = saved("chicken-thighs", "300", "2027-02-27", container_id: nil, place_id: place_id(ines, "fridge"))
      scraps = inside(ines) { |house| house.sources.traced(house.db[:lots].select(:id)).select_map(:id) }
        .map { |id| lot(ines, id) }.find { |one| one.on_hand == 300 }
      expect(scraps.usable_until).to be <= stacks(done).map(&:usable_until).min
      expect(scraps.safety_until).to be <= Date.new(2027, 2, 27)
    end

    it "are nothing to whoever may not have what they hold, and no food for a dish" do
      saved("white-fish", "100", "2027-02-27")
      fish = inside_tub.first
      food = inside(ines) { |house| house.foods.by_id([fish.food_id]).fetch(fish.food_id) }
      expect([food.allergens, food.reference_key]).to eq([["fish"], nil])
      expect { saved("chicken-thighs", "100", "2027-02-28") }.to raise_error(NutShelf::Desk::Error, /Broth tub/)
    end

    it "are dated as cooked food, where the food was cooked" do
      rice = put_away(ines, "cooked-rice", "fridge", amount: "500", state: "leftover", made_on: "2027-02-25")["lot_id"]
      done = portions([rice], trim_g: "0", count: 2, by_products: [{ g: "100", place_id: place_id(ines, "fridge") }])
      scraps = inside(ines) { |house| house.lots.all }.find { |one| one.on_hand == 100 }
      expect(scraps.usable_until).to be <= Date.new(2027, 2, 27)
      expect(stacks(done).map(&:usable_until)).to all(be <= Date.new(2027, 2, 27))
    end

    it "weigh something" do
      ["0", "-50"].each do |grams|
        expect { saved("chicken-thighs", grams, "2027-02-28") }.to raise_error(NutShelf::Desk::Error, /above zero/)
      end
    end

    it "are counted before anything is shared out" do
      expect { saved("chicken-thighs", "860", "2027-02-28") }.to raise_error(NutShelf::Desk::Error, /nothing is left/)
    end
  end
end
