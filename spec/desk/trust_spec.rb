# frozen_string_literal: true

require_relative "../support/house"

# Who may take back what, and what an undo may make of the house.
RSpec.describe "Taking back" do
  let(:ines) { household! }
  let(:wren) { person("Wren", "helper") }

  def person(name, role)
    id = services.database.outside do |db|
      db[:accounts].insert(email: "#{name}#{rand(10**9)}@example.test", name: name)
    end
    services.database.outside do |db|
      db[:memberships].insert(account_id: id, household_id: ines.household_id, role: role)
    end
    NutShelf::Desk::Caller.new(account_id: id, household_id: ines.household_id, role: role)
  end

  def tin(who = ines, **more)
    put_away(who, "canned-chickpeas", "cupboard", printed_on: "2028-05-31", printed_kind: "best_before", **more)
  end

  def undo(who, done) = act(:Undo, who, { act_id: done["act_id"] })

  describe "by a helper" do
    it "works for what helpers did, not for what a keeper did" do
      expect(undo(wren, tin(wren))).to include("undone_act_id")
      done = [
        tin,
        act(:AddPlace, ines, { name: "Attic", kind: "cupboard" }),
        act(:AddPerson, ines, { name: "Piet", portion_factor: "1" })
      ]
      done.each { |one| expect { undo(wren, one) }.to raise_error(NutShelf::Desk::Forbidden, /A keeper did that/) }
      expect(undo(ines, done.first)).to include("undone_act_id")
    end

    it "never lifts a stop, be it a recall, pests or a failed look" do
      id = tin["lot_id"]
      bad = act(:Look, wren, { lot_id: id, result: "bad" })
      expect { undo(wren, bad) }.to raise_error(NutShelf::Desk::Forbidden, /not to eat/)
      expect(undo(ines, bad)).to include("undone_act_id")
      apart = act(:Quarantine, wren, { lot_ids: [id], reason: "recall" })
      expect { undo(wren, apart) }.to raise_error(NutShelf::Desk::Forbidden, /not to eat/)
      expect(lot(ines, id).stopped).to be(true)
    end

    it "changes no printed safety date; a keeper leaves a trace" do
      id = put_away(ines, "plain-yoghurt", "fridge", printed_on: "2026-11-26", printed_kind: "use_by")["lot_id"]
      change = { lot_id: id, printed_on: "2026-12-26", printed_kind: "best_before" }
      expect { act(:Amend, wren, change) }.to raise_error(NutShelf::Desk::Forbidden, /safety date/)
      expect(act(:Amend, ines, change)["summary"]).to include("it said use by 26 Nov 2026, now best before 26 Dec 2026")
      other = tin["lot_id"]
      expect(act(:Amend, wren, { lot_id: other, printed_on: "2028-06-30" })["summary"]).to include(
        "now best before 30 Jun 2028"
      )
    end

    it "does not bring back by amending what is not to eat" do
      id = put_away(wren, "class-cooked-soup-stew", "fridge", made_on: "2026-11-20", count: "1")["lot_id"]
      expect(lot(ines, id).safety_until).to be < HouseSupport::TODAY
      expect { act(:Amend, wren, { lot_id: id, made_on: "2026-11-24" }) }.to raise_error(
        NutShelf::Desk::Forbidden,
        /not to eat/
      )
      expect { act(:Amend, ines, { lot_id: id, made_on: "2026-11-24" }) }.not_to raise_error
    end
  end

  it "asks for the role once more behind the lock" do
    stale = NutShelf::Desk::Caller.new(**wren.to_h, role: "keeper")
    expect { act(:AddPlace, stale, { name: "Attic", kind: "cupboard" }) }.to raise_error(
      NutShelf::Desk::Forbidden,
      /Only a keeper/
    )
    inside(ines) { |house| house.access.leave(wren.account_id) }
    expect { tin(wren) }.to raise_error(NutShelf::Desk::Forbidden, /do not belong/)
  end

  describe "and what comes of it" do
    def place(name, **more) = act(:AddPlace, ines, { name: name, kind: "cupboard", **more })["place_id"]

    it "puts no stack into a place that was taken away" do
      box = place("Box")
      id = tin["lot_id"]
      act(:Move, ines, { lot_id: id, place_id: box })
      away = act(:Move, ines, { lot_id: id, place_id: place_id(ines, "cupboard") })
      act(:RemovePlace, ines, { place_id: box })
      expect { undo(ines, away) }.to raise_error(NutShelf::Desk::Conflict, /stands in Box, which was taken away/)
      expect { act(:Move, ines, { lot_id: id, place_id: box }) }.to raise_error(
        NutShelf::Desk::Invalid,
        /not in use any more/
      )
    end

    it "makes no circle of places" do
      outer = place("Outer")
      inner = place("Inner", parent_id: outer)
      out = act(:ChangePlace, ines, { place_id: inner, parent_id: nil })
      act(:ChangePlace, ines, { place_id: outer, parent_id: inner })
      expect { undo(ines, out) }.to raise_error(NutShelf::Desk::Conflict, /stands inside itself/)
    end

    it "leaves no more jars in use than there are" do
      jars = act(:AddContainer, ines, { name: "Litre jar", kind: "jar", capacity_ml: 1000, owned: 1 })["container_id"]
      fewer = act(:ChangeContainer, ines, { container_id: jars, owned: 2 })
      2.times do
        act(:Decant, ines, { lot_id: put_away(ines, "rolled-oats", "cupboard")["lot_id"], container_id: jars })
      end
      expect { undo(ines, fewer) }.to raise_error(NutShelf::Desk::Conflict, /2 of Litre jar are in use/)
    end

    it "knows what each column holds: done care with a hold goes back" do
      id = put_away(ines, "celery", "fridge", method: "water")["lot_id"]
      care =
        act(
          :AddCare,
          ines,
          { title: "Change the water", lot_id: id, first_on: "2026-11-24", every_days: 2, holds_days: 2 }
        )[
          "care_id"
        ]
      before = lot(ines, id).slice(:care_until, :care_words, :usable_until)
      clock.day = Date.new(2026, 11, 25)
      done = act(:DoneCare, ines, { care_id: care })
      expect(lot(ines, id).care_until).to eq(Date.new(2026, 11, 27))
      undo(ines, done)
      expect(lot(ines, id).slice(:care_until, :care_words, :usable_until)).to eq(before)
    end

    it "names the act that has to be undone first" do
      made = tin(count: "3")
      act(:Move, ines, { lot_id: made["lot_id"], place_id: place("Shed") })
      last = act(:Look, ines, { lot_id: made["lot_id"], result: "good" })
      expect { undo(ines, made) }.to raise_error(NutShelf::Desk::Conflict) { |error|
        expect([error.message[/Later: Looked/], error.details[:act_id]]).to eq(["Later: Looked", last["act_id"]])
      }
    end

    it "takes back the price as well" do
      tin(price_minor: 100, occurred_on: "2026-11-20")
      dear = tin(price_minor: 900)
      latest = lambda do
        inside(ines) do |house|
          house.packs.latest_prices([food_id(ines, "canned-chickpeas")]).values.first.first.price_minor
        end
      end
      expect(latest.call).to eq(900)
      undo(ines, dear)
      expect(latest.call).to eq(100)
    end
  end

  it "finds a recalled lot in what was cooked of it, until that cook is undone" do
    tins = tin(count: "3", lot_text: "L77")["lot_id"]
    recipe = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first }
    meal = act(:PlanMeal, ines, { recipe_id: recipe, on: HouseSupport::TODAY.iso8601 })["meal_id"]
    kept = { portions: "2", place_id: place_id(ines, "fridge") }
    cooked = act(:Cook, ines, { meal_id: meal, used: [{ lot_id: tins, amount: "400" }], leftovers: kept })
    found = -> { inside(ines) { |house| house.lots.recalled(lot_text: "l77").map(&:id) } }
    expect(found.call).to contain_exactly(tins, cooked["leftover_lot_id"])
    act(:Undo, ines, { act_id: cooked["act_id"] })
    expect(found.call).to eq([tins])
  end

  it "finds a recalled lot in the jar it was poured into, and in the jar after that" do
    jars = act(:AddContainer, ines, { name: "Jar", kind: "jar", capacity_ml: 2000, owned: 2 })["container_id"]
    first, second =
      Array.new(2) do
        act(
          :Decant,
          ines,
          { lot_id: put_away(ines, "flour-white", "cupboard", amount: "500")["lot_id"], container_id: jars }
        )[
          "lot_id"
        ]
      end
    sack = put_away(ines, "flour-white", "cupboard", amount: "1000", lot_text: "L3321B")["lot_id"]
    act(:TopUp, ines, { lot_id: first, from_lot_id: sack, amount: "500" })
    act(:TopUp, ines, { lot_id: second, from_lot_id: first, amount: "200" })
    found = inside(ines) { |house| house.lots.recalled(lot_text: "l3321").all.map(&:id) }
    expect(found).to include(first, second)
  end

  it "refuses to pour what is not to eat into a jar, or anything into such a jar" do
    jars = act(:AddContainer, ines, { name: "Jar", kind: "jar", capacity_ml: 2000, owned: 2 })["container_id"]
    jar =
      act(
        :Decant,
        ines,
        { lot_id: put_away(ines, "flour-white", "cupboard", amount: "500")["lot_id"], container_id: jars }
      )[
        "lot_id"
      ]
    sack = put_away(ines, "flour-white", "cupboard", amount: "1000")["lot_id"]
    act(:Quarantine, ines, { lot_ids: [sack], reason: "pest" })
    expect { act(:TopUp, ines, { lot_id: jar, from_lot_id: sack, amount: "100" }) }.to raise_error(
      NutShelf::Desk::Conflict,
      /set apart as not to eat/
    )
    act(:Clear, ines, { lot_id: sack })
    act(:Look, ines, { lot_id: jar, result: "bad" })
    expect { act(:TopUp, ines, { lot_id: jar, from_lot_id: sack, amount: "100" }) }.to raise_error(
      NutShelf::Desk::Conflict,
      /not to eat any more/
    )
  end

  describe "own keeping times" do
    def keep(key, place, state, high)
      act(
        :SetKeeping,
        ines,
        { food_id: food_id(ines, key), place: place, state: state, low: 1, high: high, reason: "Ours" }
      )
    end

    it "never answer for longer what the guide answers for safety in another state" do
      expect { keep("beef-mince", "fridge", "unopened", 30) }.to raise_error(
        NutShelf::Desk::Invalid,
        /matter of safety/
      )
      expect { keep("potatoes", "cupboard", "whole", 60) }.not_to raise_error
      breach =
        services.catalog.foods.values.first(60).flat_map do |food|
          %w[unopened opened whole cut cooked].product(%w[fridge cupboard]).filter_map do |state, place|
            row =
              NutShelf::Core::KeepingRow.new(
                scope: food.key,
                place: place,
                state: state,
                low: 1,
                high: 400,
                kind: :quality,
                own_reason: "Ours"
              )
            next if NutShelf::Core::OwnTime.breach(services.catalog, food, row)

            own = services.catalog.with_own({ [food.key, place, state] => row })
            %w[bought_sealed opened cut cooked left_over].find do |situation|
              services.catalog.keeping(food, situation, place).row&.kind == :safety &&
                own.keeping(food, situation, place).row == row
            end
          end
        end
      expect(breach).to be_empty
    end
  end

  it "reads the worst of the signs: what bulges is not good" do
    id = tin["lot_id"]
    bulging = services.catalog.signs.fetch("tin").first.sign
    expect { act(:Look, ines, { lot_id: id, result: "good", signs: [bulging] }) }.to raise_error(
      NutShelf::Desk::Invalid,
      /means it is bad, not good/
    )
    expect(act(:Look, ines, { lot_id: id, result: "bad", signs: [bulging] })["lot_id"]).to eq(id)
  end

  it "lets the signs say what a look comes to, where nobody says it" do
    bulging = services.catalog.signs.fetch("tin").find { |one| one.means == :bad }.sign
    results = [[], [bulging]].map do |signs|
      id = tin["lot_id"]
      act(:Look, ines, { lot_id: id, signs: signs })
      lot(ines, id).history.last["result"]
    end
    expect(results).to eq(%w[good bad])
  end

  it "cuts a piece of which a part is taken, and leaves supplies as they are" do
    onions = put_away(ines, "onions", "cupboard", count: "3", amount: "1", unit: "piece")["lot_id"]
    act(:Take, ines, { lot_id: onions, amount: "1.5" })
    half = split_off(ines, onions).first
    expect(half).to have_attributes(basis: "cut", usable_until: HouseSupport::TODAY + 7,
      place_id: place_id(ines, "fridge"))
    bleach = put_away(ines, "household-bleach", "cupboard", count: "1", amount: "1000", unit: "ml")["lot_id"]
    act(:Take, ines, { lot_id: bleach, amount: "100" })
    rest = split_off(ines, bleach).first
    expect(rest).to have_attributes(place_id: place_id(ines, "cupboard"), flags: [])
  end

  it "gives leftovers without a day today, and what came thawed the day it came" do
    stew =
      put_away(ines, "class-cooked-soup-stew", "fridge", count: "3", amount: nil, unit: nil, noun: "portion")["lot_id"]
    expect(lot(ines, stew)).to have_attributes(made_on: HouseSupport::TODAY, safety_until: HouseSupport::TODAY + 2)
    mince = put_away(ines, "beef-mince", "fridge", state: "thawed", made_on: "2026-11-23")["lot_id"]
    expect(lot(ines, mince)).to have_attributes(situation: "thawed", safety_until: HouseSupport::TODAY)
  end
end
