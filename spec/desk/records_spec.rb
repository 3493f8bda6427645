# frozen_string_literal: true

require_relative "../support/house"
require_relative "../support/pictures"

RSpec.describe "Places, rules and people" do
  let(:ines) { household! }

  def until_on(id) = lot(ines, id).usable_until

  def undo(done) = act(:Undo, ines, { act_id: done["act_id"] })

  def place(id) = inside(ines) { |house| house.places.find(id) }

  it "changes a place, refuses a stale save with what it says now, and undoes it" do
    id = place_id(ines, "cupboard")
    version = place(id).version
    done =
      act(
        :ChangePlace,
        ines,
        {
          place_id: id, version: version, reach: "hand", inner_mm: [800, 350, 400], fill_percent: 60,
          count_every_days: 30
        }
      )
    expect(place(id)).to have_attributes(reach: "hand", fill_percent: 60, fill_said_on: Date.new(2026, 11, 24))
    expect(place(id).inner_mm.to_a).to eq([800, 350, 400])
    expect { act(:ChangePlace, ines, { place_id: id, version: version, reach: "away" }) }.to raise_error(
      NutShelf::Desk::Conflict
    ) { |error| expect([error.code, error.details[:current][:reach]]).to eq(%w[stale hand]) }
    undo(done)
    expect(place(id)).to have_attributes(reach: "steps", fill_percent: nil, inner_mm: nil)
  end

  it "takes a place's temperatures in Fahrenheit, and refuses what no place of a house is" do
    done = act(:ChangePlace, ines, { place_id: place_id(ines, "fridge"), low_c: 35, high_c: 41, degrees: "f" })
    expect(place(done["place_id"])).to have_attributes(low_c: 1, high_c: 5)
    expect { act(:AddPlace, ines, { name: "Kiln", kind: "cupboard", low_c: 100 }) }.to raise_error(
      NutShelf::Desk::Invalid,
      /cold or warm/
    )
    expect(
      place(act(:AddPlace, ines, { name: "Shed", kind: "cupboard", low_c: 14, high_c: 104, degrees: "f" })["place_id"])
    ).to have_attributes(low_c: -10, high_c: 40)
  end

  it "dates anew what stands in a place that turns out to freeze" do
    id = put_away(ines, "canned-chickpeas", "cupboard", printed_on: "2028-05-31", printed_kind: "best_before")["lot_id"]
    done = act(:ChangePlace, ines, { place_id: place_id(ines, "cupboard"), low_c: -6 })
    expect(lot(ines, id).flags.map { |flag| flag["code"] }).to eq(["will_freeze"])
    undo(done)
    expect(lot(ines, id).flags).to be_empty
  end

  it "lets no place stand inside itself, nor away with it while it holds something" do
    outer = place_id(ines, "cupboard")
    inner = act(:AddPlace, ines, { name: "Box", kind: "cupboard", parent_id: outer })["place_id"]
    expect { act(:ChangePlace, ines, { place_id: outer, parent_id: inner }) }.to raise_error(
      NutShelf::Desk::Invalid,
      /inside itself/
    )
    put_away(ines, "honey", "cupboard", place_id: inner)
    expect { act(:RemovePlace, ines, { place_id: inner }) }.to raise_error(
      NutShelf::Desk::Conflict,
      /stands there still/
    )
    empty = act(:AddPlace, ines, { name: "Shed", kind: "cool_dark" })["place_id"]
    undo(act(:RemovePlace, ines, { place_id: empty }))
    expect(place(empty).archived_at).to be_nil
  end

  it "dates every stack anew when the school changes, and back again" do
    jam = put_away(ines, "rolled-oats", "cupboard", amount: "500", occurred_on: "2026-11-01")["lot_id"]
    lenient = until_on(jam)
    done = act(:SetHousehold, ines, { school: "by_the_date" })
    expect(done["redated"]).to eq(1)
    expect(until_on(jam)).to be < lenient
    expect(lot(ines, jam).steps.join).to include("by the date")
    undo(done)
    expect(until_on(jam)).to eq(lenient)
    expect { act(:SetHousehold, ines, { settings: { front_days: 40 } }) }.to raise_error(
      NutShelf::Desk::Invalid,
      /must end before/
    )
  end

  it "keeps an own time with its reason, and never past a safety rule" do
    id = put_away(ines, "fresh-parsley", "fridge", amount: "50")["lot_id"]
    guide = until_on(id)
    food = food_id(ines, "fresh-parsley")
    done =
      act(
        :SetKeeping,
        ines,
        { food_id: food, place: "fridge", state: "whole", low: 10, high: 18, reason: "Our fridge is cold" }
      )
    expect(until_on(id)).to eq(Date.new(2026, 12, 12))
    expect(lot(ines, id).steps.join).to include("Our fridge is cold")
    undo(done)
    expect(until_on(id)).to eq(guide)
    again =
      act(
        :SetKeeping,
        ines,
        { food_id: food, place: "fridge", state: "whole", low: 3, high: 4, reason: "It wilts here" }
      )
    expect(until_on(id)).to eq(Date.new(2026, 11, 28))
    rule = inside(ines) { |house| house.rules.all.first.id }
    act(:DropKeeping, ines, { rule_id: rule })
    expect(until_on(id)).to eq(guide)
    expect { undo(again) }.to raise_error(NutShelf::Desk::Conflict, /Later: No own keeping time/)
    mince = food_id(ines, "beef-mince")
    expect do
      act(:SetKeeping, ines, { food_id: mince, place: "fridge", state: "opened", low: 1, high: 5, reason: "x" })
    end.to raise_error(NutShelf::Desk::Invalid, /matter of safety/)
    expect do
      act(:SetKeeping, ines, { food_id: mince, place: "cupboard", state: "cooked", low: 1, high: 2, reason: "x" })
    end.to raise_error(NutShelf::Desk::Invalid, /no own time/)
  end

  it "counts who eats here, and undoes it" do
    before = inside(ines) { |house| house.household.portions }
    done = act(:AddPerson, ines, { name: "Guest", portion_factor: "1.5", excludes: %w[milk tree-nut], strict: true })
    expect(inside(ines) { |house| [house.household.portions, house.household.people.last.excludes] }).to eq(
      [before + Rational(3, 2), %w[milk tree-nut]]
    )
    act(:ChangePerson, ines, { person_id: done["person_id"], excludes: [] })
    expect(inside(ines) { |house| house.household.people.last.excludes }).to be_empty
    act(:ChangePerson, ines, { person_id: done["person_id"], gone: true })
    expect(inside(ines) { |house| house.household.portions }).to eq(before)
  end

  it "learns a barcode once, and a figure for good" do
    food = food_id(ines, "canned-chickpeas")
    meant = -> { inside(ines) { |house| house.packs.by_barcode("04006381333931")&.slice(:food_id, :amount) } }
    first = act(:LearnBarcode, ines, { code: "4006381333931", food_id: food, amount: "400", unit: "g" })
    again = act(:LearnBarcode, ines, { code: "4006381333931", food_id: food, amount: "800", unit: "g" })
    expect(meant.call).to eq(food_id: food, amount: 800)
    expect { undo(first) }.to raise_error(NutShelf::Desk::Conflict, /Later: Learnt/)
    undo(again)
    expect(meant.call).to eq(food_id: food, amount: 400)
    undo(first)
    expect(meant.call).to be_nil
    expect do
      act(:LearnBarcode, ines, { code: "4006381333932", food_id: food, amount: "400", unit: "g" })
    end.to raise_error(NutShelf::Desk::Invalid, /check digit/)
    done = act(:SetFood, ines, { food_id: food, g_per_ml: "0.82", working_amount: "800" })
    expect(inside(ines) { |house| house.foods.find(food) }).to have_attributes(
      g_per_ml: 0.82r,
      working_amount: 800
    )
    undo(done)
    expect(inside(ines) { |house| house.foods.find(food) }.working_amount).to be_nil
  end

  it "takes pictures by their bytes, not by what they claim to be" do
    id = place_id(ines, "cupboard")
    png = Base64.strict_encode64(Pictures.png)
    done = act(:AddPhoto, ines, { place_id: id, content: png })
    expect(inside(ines) { |house| house.places.photo(id).media_type }).to eq("image/png")
    undo(done)
    expect(inside(ines) { |house| house.places.photo(id) }).to be_nil
    ["<svg onload=x>", "GIF89a", ""].each do |bytes|
      expect { act(:AddPhoto, ines, { place_id: id, content: Base64.strict_encode64(bytes) }) }.to raise_error(
        NutShelf::Desk::Invalid
      )
    end
    expect { act(:AddPhoto, ines, { place_id: id, content: "%%%" }) }.to raise_error(
      NutShelf::Desk::Invalid,
      /arrive whole/
    )
  end

  it "keeps one keeper at least" do
    expect { act(:ChangeMember, ines, { account_id: ines.account_id, role: "helper" }) }.to raise_error(
      NutShelf::Desk::Conflict,
      /only keeper/
    )
  end
end
