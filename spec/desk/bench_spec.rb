# frozen_string_literal: true

require_relative "../support/house"

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
