# frozen_string_literal: true

require_relative "../support/house"
require_relative "../support/plain_books"
require_relative "../../desk/belonging"
require_relative "../../desk/looking_back/advice"
require_relative "../../desk/looking_back/give_away"
require_relative "../../desk/looking_back/eat_downs"
require_relative "../../desk/looking_back/keeping"
require_relative "../../desk/looking_back/ran_out"
require_relative "../../desk/looking_back/weeks"

RSpec.describe NutShelf::Desk::LookingBack do
  let(:ines) { household!(people: 3) }
  let(:today) { HouseSupport::TODAY }
  let(:chilli) { inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first } }

  def books(from: today - 27, to: clock.day)
    at_work(ines) { |work| yield described_class::Books.new(work, from: from, to: to).tap(&:outcomes), work }
  end

  def tins(**more) = put_away(ines, "canned-chickpeas", "cupboard", count: "3", price_minor: 270, **more)["lot_id"]

  def throw_out(lot, amount = nil, **more)
    act(:Throw, ines, { lot_id: lot, amount: amount, outcome: "binned", why: "turned", **more }.compact)
  end

  describe "the books" do
    it "tell what left by what it was worth and weighed, and how the sums add up" do
      lot = tins
      act(:Take, ines, { lot_id: lot, amount: "400" })
      throw_out(lot, "200")
      books do |found|
        expect(found.tally.value).to include("eaten" => 90, "binned" => 45, "lost" => 0)
        expect(found.tally.grams).to include("eaten" => 400, "binned" => 200)
        expect(found.balance).to have_attributes(opening: 0, closing: 135, came: include("bought" => 270))
        expect(found.balance).to be_even
      end
    end

    it "count what a cook drew as eaten but for the portions that wait, which weigh what went in" do
      lot = tins
      meal = act(:PlanMeal, ines, { recipe_id: chilli, on: today.iso8601, servings: "4" })["meal_id"]
      fridge = place_id(ines, "fridge")
      kept = act(:Cook, ines, { meal_id: meal, used: [{ lot_id: lot, amount: "800" }],
                                leftovers: { portions: "1", place_id: fridge } })["leftover_lot_id"]
      books do |found|
        expect(found.tally).to have_attributes(value: include("eaten" => 135), grams: include("eaten" => 600))
        expect(found.balance).to be_even
      end
      throw_out(kept)
      books do |found|
        expect(found.tally).to have_attributes(value: include("eaten" => 135, "binned" => 45),
          grams: include("eaten" => 600, "binned" => 200))
      end
    end

    it "know nothing of what was taken back" do
      done = throw_out(tins)
      act(:Undo, ines, { act_id: done["act_id"] })
      books { |found| expect(found.tally.leaving).to eq(0) }
    end

    it "blame the place it stood in, the shop it came from and whoever noted it" do
      shop = act(:KeepShop, ines, { name: "Quay Stores" })["shop_id"]
      lot = tins(shop_id: shop)
      act(:Take, ines, { lot_id: lot, amount: "400" })
      clock.day = today + 1
      act(:Move, ines, { lot_id: lot, place_id: place_id(ines, "fridge") })
      clock.day = today + 2
      act(:Take, ines, { lot_id: lot, amount: "400" })
      books do |found|
        cupboard, fridge = %w[cupboard fridge].map { |kind| place_id(ines, kind) }
        expect(found.by("place").transform_values(&:leaving)).to eq(cupboard => 90, fridge => 90)
        expect(found.by("shop").keys).to eq([shop])
        expect(found.by("person").keys).to eq([ines.account_id])
        expect(found.behind("place", fridge.to_s).map(&:on)).to eq([today + 2])
      end
    end

    it "say the same as the rows of the ledger, added up another way" do
      lot = tins
      act(:Take, ines, { lot_id: lot, amount: "250" })
      throw_out(lot, "100", outcome: "given_away")
      clock.day = today + 3
      throw_out(lot, "300")
      [today, today + 3].each do |day|
        books(to: day) do |found, work|
          expect(found.tally.value).to eq(PlainBooks.left(work.house.db, today - 27, day))
          expect(found.worth(day)).to eq(PlainBooks.worth(work.house.db, day))
        end
      end
    end
  end

  describe "the weeks" do
    it "are spent by kind of food and divided by who ate" do
      tins
      books(from: today, to: today) do |found, work|
        week = described_class::Weeks.new(work, found).all.first
        expect(week).to have_attributes(spent: { "protein" => 270 }, eater_days: 3, per_eater_day: 90, worth: 270,
          cover: nil)
      end
    end
  end

  it "names what ran out though it is eaten here, until more comes" do
    lots = Array.new(3) { put_away(ines, "rolled-oats", "cupboard", amount: "500")["lot_id"] }
    lots.each_with_index do |lot, number|
      clock.day = today + number
      act(:Take, ines, { lot_id: lot })
    end
    clock.day = today + 9
    at_work(ines) do |work|
      found = described_class::RanOut.new(work, from: today, to: today + 9).all
      expect(found.map do |one|
        [one.food_id, one.on, one.until_on]
      end).to eq([[food_id(ines, "rolled-oats"), today + 2, nil]])
    end
  end

  describe "advice" do
    def advised(&block)
      books { |found, work| block.call(described_class::Advice.new(work, found)) }
    end

    def wasted_yoghurt
      lot = put_away(ines, "plain-yoghurt", "fridge", count: "2", amount: "500", price_minor: 320,
        printed_on: (today + 9).iso8601, printed_kind: "use_by")["lot_id"]
      act(:Take, ines, { lot_id: lot, amount: "300" })
      throw_out(lot, "500")
    end

    def answer(kind, take)
      act(:AnswerAdvice, ines, { food_id: food_id(ines, "plain-yoghurt"), kind: kind, take: take })
    end

    it "is taken with a touch, taken back, and looked at later" do
      wasted_yoghurt
      kind = advised { |advice| advice.suggestions.first.kind }
      done = answer(kind, true)
      expect(advised(&:suggestions)).to be_empty
      expect(advised { |advice| advice.followed.map { |one| one.follow_up.verdict } }).to eq(["early"])
      act(:Undo, ines, { act_id: done["act_id"] })
      expect(advised { |advice| advice.suggestions.map(&:kind) }).to eq([kind])
      expect(inside(ines) { |house| house.shopping.want(food_id(ines, "plain-yoghurt")) }).to be_nil
    end

    it "can be put right later where everything wanted of a food is said" do
      wasted_yoghurt
      answer(advised { |advice| advice.suggestions.first.kind }, true)
      id = food_id(ines, "plain-yoghurt")
      act(:SetWant, ines, { food_id: id, largest: "0", freeze: true })
      want = inside(ines) { |house| house.shopping.want(id) }
      expect([want.largest, want.freeze]).to eq([nil, true])
      freezer = place_id(ines, "freezer")
      at_work(ines) do |work|
        belonging = NutShelf::Desk::Belonging.new(work)
        expect(belonging.place(belonging.row(id)).id).to eq(freezer)
      end
      expect { act(:SetWant, ines, { food_id: id, freeze: true }) }.to raise_error(NutShelf::Desk::Conflict)
    end

    it "rests when it is declined, and does not stand on sums that changed" do
      wasted_yoghurt
      kind = advised { |advice| advice.suggestions.first.kind }
      expect { answer("stop", true) }.to raise_error(NutShelf::Desk::Conflict, /does not stand/)
      answer(kind, false)
      expect(advised(&:suggestions)).to be_empty
      clock.day = today + 60
      expect(advised(&:followed)).to be_empty
    end

    it "is a keeper's to take" do
      wasted_yoghurt
      expect { act(:AnswerAdvice, joined(ines, "helper"), { food_id: 1, kind: "stop", take: true }) }
        .to raise_error(NutShelf::Desk::Forbidden)
    end
  end

  describe "giving away" do
    def offers = at_work(ines) { |work| described_class::GiveAway.new(work).all }

    def long(**more) = tins(printed_on: (today + 200).iso8601, printed_kind: "best_before", **more)

    it "offers what nobody used for two months, sealed and in date" do
      lot = long
      expect(offers).to be_empty
      clock.day = today + 61
      expect(offers.map { |one| [one.stack.id, one.amount, one.why] }).to eq([[lot, 1200, "unused"]])
    end

    it "offers nothing that was grown or made here and nobody sealed" do
      put_away(ines, "garlic", "cupboard", count: "9", amount: "1", unit: "piece", printed_on: (today + 200).iso8601,
        printed_kind: "best_before")
      clock.day = today + 61
      expect(offers).to be_empty
    end

    it "hands over what is sealed and in date, in one go that can be taken back" do
      lot = long
      done = act(:HandOver, ines, { stacks: [{ lot_id: lot, amount: "800" }], to: "the food bank" })
      expect(done["summary"]).to eq("Gave away one stack to the food bank")
      expect(lot(ines, lot).on_hand).to eq(400)
      books { |found| expect(found.tally.value["given_away"]).to eq(180) }
      act(:Undo, ines, { act_id: done["act_id"] })
      expect(lot(ines, lot).on_hand).to eq(1200)
    end

    it "hands over nothing open, undated, or nearly over" do
      soon = tins(printed_on: (today + 5).iso8601, printed_kind: "best_before")
      open = long
      act(:Open, ines, { lot_id: open })
      opened = split_off(ines, open).first.id
      [soon, opened].each do |id|
        expect { act(:HandOver, ines, { stacks: [{ lot_id: id }] }) }
          .to raise_error(NutShelf::Desk::Conflict, /nothing to give away/)
      end
    end
  end

  describe "ways out" do
    let(:chicken) { put_away(ines, "chicken-thighs", "fridge")["lot_id"] }

    it "keep meat off the heap" do
      expect { throw_out(chicken, outcome: "composted") }.to raise_error(NutShelf::Desk::Conflict, /draws rats/)
    end

    it "are the household's: no heap and no animals where it has none" do
      version = inside(ines) { |house| house.household.row.version }
      act(:SetHousehold, ines, { version: version, settings: { composts: false, animals: false } })
      carrots = put_away(ines, "carrots", "fridge", unit: "piece", amount: "1", count: "4")["lot_id"]
      %w[composted animals].each do |way|
        expect { throw_out(carrots, outcome: way) }.to raise_error(NutShelf::Desk::Conflict, /has no/)
      end
      throw_out(carrots)
    end
  end

  it "learns how long things keep here from three that turned, by the way they were kept" do
    3.times do |number|
      lot = put_away(ines, "carrots", "fridge", unit: "piece", amount: "1", count: "4")["lot_id"]
      clock.day = today + ((number + 1) * 10)
      act(:Look, ines, { lot_id: lot, result: "good" })
      clock.day += 2
      throw_out(lot)
      clock.day = today
    end
    at_work(ines) do |work|
      learnt = described_class::Keeping.new(work).all
      expect(learnt.map { |one| [one.place, one.method, one.kept&.median_days] }).to eq([["fridge", nil, 22]])
    end
  end

  it "tells what days without shopping came to" do
    lot = tins
    act(:BeginSpan, ines, { name: "Ten days in", days: 10, fresh: [] })
    meal = act(:PlanMeal, ines, { recipe_id: chilli, on: today.iso8601, servings: "2" })["meal_id"]
    act(:Cook, ines, { meal_id: meal, used: [{ lot_id: lot, amount: "400" }] })
    honey = food_id(ines, "honey")
    put_away(ines, "honey", "cupboard", price_minor: 500)
    clock.day = today + 12
    at_work(ines) do |work|
      result = described_class::EatDowns.new(work).all.first
      expect(result).to have_attributes(meals: 1, spent: 770, usual: nil, untouched: [honey])
    end
  end
end
