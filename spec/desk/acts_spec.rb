# frozen_string_literal: true

require_relative "../support/house"

RSpec.describe "Acts" do
  let(:who) { household! }

  def on_hand(id) = lot(who, id).on_hand

  def shelf = on_shelf(who)

  it "puts away with pack, price, place and date" do
    id =
      put_away(
        who, "canned-chickpeas", "cupboard", count: "3", printed_on: "2028-05-31", printed_kind: "best_before",
        price_minor: 267
      )[
        "lot_id"
      ]
    expect(lot(who, id)).to have_attributes(
      on_hand: 1200,
      value_minor: 267,
      value_estimated: false,
      usable_until: Date.new(2028, 5, 31),
      acquired_on: HouseSupport::TODAY
    )
  end

  it "estimates the value where no price is given, and says so" do
    id = put_away(who, "white-rice", "cupboard", amount: "1000")["lot_id"]
    expect(lot(who, id)).to have_attributes(value_estimated: true, value_minor: 250)
  end

  it "keeps what has no known size by its noun" do
    id =
      put_away(
        who, "jam", "cupboard", count: "0.5", amount: nil, unit: nil, noun: "jar", state: "opened",
        opened_on: "2026-11-12"
      )[
        "lot_id"
      ]
    expect(lot(who, id)).to have_attributes(on_hand: BigDecimal("0.5"), noun: "jar", open: true)
  end

  it "splits off an opened stack when part of a sealed pack is taken, and carries it where it belongs" do
    id = put_away(who, "canned-chickpeas", "cupboard", count: "3", price_minor: 480)["lot_id"]
    act(:Take, who, { lot_id: id, amount: "250" })
    rest = shelf.find(&:open)
    expect(on_hand(id)).to eq(800)
    expect(rest).to have_attributes(on_hand: 150, place_id: place_id(who, "fridge"))
    expect(rest.usable_until).to be < HouseSupport::TODAY + 7
    expect(rest.value_minor + lot(who, id).value_minor).to eq(480 - 100)
  end

  it "opens one pack as a stack of its own and keeps the other's date" do
    id =
      put_away(
        who, "uht-milk", "cupboard", count: "2", amount: "1000", unit: "ml", printed_on: "2027-03-31",
        printed_kind: "best_before"
      )[
        "lot_id"
      ]
    child = act(:Open, who, { lot_id: id })["lot_id"]
    expect(lot(who, child)).to have_attributes(open: true, on_hand: 1000)
    expect(split_off(who, id).map(&:id)).to eq([child])
    expect(lot(who, id)).to have_attributes(open: false, on_hand: 1000, usable_until: Date.new(2027, 3, 31))
    expect { act(:Open, who, { lot_id: child }) }.to raise_error(NutShelf::Desk::Conflict)
  end

  it "freezes by moving into a freezer, and thaws by moving out" do
    id = put_away(who, "beef-mince", "fridge", printed_on: "2026-11-26", printed_kind: "use_by")["lot_id"]
    act(:Move, who, { lot_id: id, place_id: place_id(who, "freezer") })
    expect(lot(who, id)).to have_attributes(quality_until: Date.new(2027, 3, 24), safety_until: nil, frozen: true)
    clock.day = Date.new(2026, 12, 10)
    act(:Move, who, { lot_id: id, place_id: place_id(who, "fridge") })
    expect(lot(who, id)).to have_attributes(safety_until: Date.new(2026, 12, 11), frozen: false)
  end

  it "moves some packs and leaves the rest" do
    id = put_away(who, "canned-chickpeas", "cupboard", count: "3")["lot_id"]
    moved = act(:Move, who, { lot_id: id, place_id: place_id(who, "fridge"), amount: "400" })["lot_id"]
    expect([on_hand(id), on_hand(moved)]).to eq([800, 400])
  end

  it "covers a passed date by a look" do
    id = put_away(who, "canned-chickpeas", "cupboard", printed_on: "2026-10-31", printed_kind: "best_before")["lot_id"]
    act(:Look, who, { lot_id: id, result: "good" })
    expect(lot(who, id).usable_until).to eq(HouseSupport::TODAY + 180)
    act(:Look, who, { lot_id: id, result: "bad" })
    expect(lot(who, id).stopped).to be(true)
  end

  it "throws with outcome and reason, at its value" do
    id = put_away(who, "honey", "cupboard", amount: "450", price_minor: 520)["lot_id"]
    done = act(:Throw, who, { lot_id: id, outcome: "animals", why: "forgotten" })
    expect(done["value_minor"]).to eq(520)
    expect(inside(who) do |house|
      house.ledger.history(id).last
    end).to have_attributes(reason: "animals", why: "forgotten")
  end

  it "refuses counts that are no counts, days to come and dates without a kind, saying where" do
    expect { put_away(who, "honey", "cupboard", count: "0") }.to raise_error(NutShelf::Desk::Invalid) { |error|
      expect(error.details[:pointer]).to eq("/count")
    }
    expect { put_away(who, "honey", "cupboard", opened_on: "2026-12-24") }.to raise_error(
      NutShelf::Desk::Invalid
    ) { |error| expect(error.details[:pointer]).to eq("/opened_on") }
    expect { put_away(who, "honey", "cupboard", printed_on: "2027-12-24") }.to raise_error(
      NutShelf::Desk::Invalid
    ) { |error| expect(error.details[:pointer]).to eq("/printed_kind") }
  end

  describe "undo" do
    it "takes back a part taken from a sealed pack, whole" do
      id = put_away(who, "canned-chickpeas", "cupboard", count: "3", price_minor: 267)["lot_id"]
      done = act(:Take, who, { lot_id: id, amount: "250" })
      act(:Undo, who, { act_id: done["act_id"] })
      expect(lot(who, id)).to have_attributes(on_hand: 1200, value_minor: 267)
      expect(shelf.size).to eq(1)
    end

    it "gives back an earlier take although more was taken since" do
      id = put_away(who, "canned-chickpeas", "cupboard", count: "3")["lot_id"]
      first = act(:Take, who, { lot_id: id, amount: "400" })
      act(:Take, who, { lot_id: id, amount: "400" })
      act(:Undo, who, { act_id: first["act_id"] })
      expect(on_hand(id)).to eq(800)
    end

    it "names the later act that stands in the way, and works once that is undone" do
      put = put_away(who, "canned-chickpeas", "cupboard", count: "3")
      take = act(:Take, who, { lot_id: put["lot_id"], amount: "400" })
      expect { act(:Undo, who, { act_id: put["act_id"] }) }.to raise_error(NutShelf::Desk::Conflict) { |error|
        expect(error.details[:act_id]).to eq(take["act_id"])
      }
      act(:Undo, who, { act_id: take["act_id"] })
      act(:Undo, who, { act_id: put["act_id"] })
      expect(on_hand(put["lot_id"])).to eq(0)
    end

    it "puts place, date and look back" do
      id = put_away(who, "beef-mince", "fridge", printed_on: "2026-11-26", printed_kind: "use_by")["lot_id"]
      before = lot(who, id).slice(:place_id, :safety_until, :quality_until, :usable_until, :frozen, :history)
      moved = act(:Move, who, { lot_id: id, place_id: place_id(who, "freezer") })
      act(:Undo, who, { act_id: moved["act_id"] })
      expect(lot(who, id).slice(*before.keys)).to eq(before)
    end

    it "puts a new place or food away again, unless something is kept there" do
      made = act(:AddPlace, who, { name: "Attic", kind: "cupboard" })
      stack =
        act(
          :PutAway,
          who,
          { food_id: food_id(who, "honey"), place_id: made["place_id"], count: "1", amount: "450", unit: "g" }
        )
      expect { act(:Undo, who, { act_id: made["act_id"] }) }.to raise_error(NutShelf::Desk::Conflict)
      act(:Undo, who, { act_id: stack["act_id"] })
      act(:Undo, who, { act_id: made["act_id"] })
      expect(inside(who) { |house| house.places.all.map(&:name) }).not_to include("Attic")
      expect { act(:AddPlace, who, { name: "Attic", kind: "fridge" }) }.not_to raise_error
      food = act(:AddFood, who, { name: "Grog", like_food_id: food_id(who, "red-wine") })
      act(:Undo, who, { act_id: food["act_id"] })
      expect(inside(who) { |house| house.foods.search("grog").map(&:name) }).not_to include("Grog")
      expect { act(:AddFood, who, { name: "Grog", like_food_id: food_id(who, "red-wine") }) }.not_to raise_error
    end

    it "happens once" do
      put = put_away(who, "honey", "cupboard")
      act(:Undo, who, { act_id: put["act_id"] })
      expect { act(:Undo, who, { act_id: put["act_id"] }) }.to raise_error(NutShelf::Desk::Conflict, /undone already/)
    end
  end

  describe "cooking" do
    let(:recipe) do
      inside(who) do |house|
        house.recipes.values.find { |_, value| value.key == "chickpea-tomato-stew" } ||
          house.recipes.values.find { |_, value| value.lines.any? { |line| line.food_key == "canned-chickpeas" } }
      end
    end
    let(:meal) { act(:PlanMeal, who, { recipe_id: recipe.first, on: "2026-11-25" })["meal_id"] }

    it "draws first expired first out, keeps leftovers at their share of the cost, and can be undone" do
      late =
        put_away(
          who, "canned-chickpeas", "cupboard", count: "2", printed_on: "2028-05-31", printed_kind: "best_before",
          price_minor: 200
        )[
          "lot_id"
        ]
      early =
        put_away(
          who, "canned-chickpeas", "cupboard", count: "2", printed_on: "2027-01-31", printed_kind: "best_before",
          price_minor: 200
        )[
          "lot_id"
        ]
      cooked = act(:Cook, who, { meal_id: meal, leftovers: { portions: "1", place_id: place_id(who, "fridge") } })
      expect(on_hand(early)).to be < 800
      expect(on_hand(late)).to eq(800)
      expect(lot(who, cooked["leftover_lot_id"])).to have_attributes(
        situation: "left_over",
        made_on: HouseSupport::TODAY,
        noun: "portion",
        value_minor: cooked["value_minor"] / 2
      )
      act(:Undo, who, { act_id: cooked["act_id"] })
      expect([on_hand(early), on_hand(cooked["leftover_lot_id"])]).to eq([800, 0])
      expect(inside(who) { |house| house.meals.listed_one(meal).status }).to eq("planned")
    end

    it "takes what the cook says was used" do
      id = put_away(who, "canned-chickpeas", "cupboard", count: "2")["lot_id"]
      act(:Cook, who, { meal_id: meal, used: [{ lot_id: id, amount: "800" }] })
      expect(on_hand(id)).to eq(0)
      expect { act(:Cook, who, { meal_id: meal }) }.to raise_error(NutShelf::Desk::Conflict)
    end

    it "says what stands in the way of undoing a cook whose leftovers were eaten" do
      put_away(who, "canned-chickpeas", "cupboard", count: "2")
      cooked = act(:Cook, who, { meal_id: meal, leftovers: { portions: "1", place_id: place_id(who, "fridge") } })
      act(:Take, who, { lot_id: cooked["leftover_lot_id"] })
      expect { act(:Undo, who, { act_id: cooked["act_id"] }) }.to raise_error(NutShelf::Desk::Conflict) { |error|
        expect(error.remedy).to include("correct the stacks by hand")
      }
    end
  end

  it "lets helpers take but not import or make places" do
    helper = joined(who, "helper")
    expect { act(:AddPlace, helper, { name: "Attic", kind: "cupboard" }) }.to raise_error(NutShelf::Desk::Forbidden)
    expect { act(:ImportStock, helper, { content: "" }) }.to raise_error(NutShelf::Desk::Forbidden)
    expect { put_away(helper, "honey", "cupboard") }.not_to raise_error
  end
end
