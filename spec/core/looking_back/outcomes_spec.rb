# frozen_string_literal: true

require_relative "../../../core/looking_back/balance"
require_relative "../../../core/looking_back/compost"
require_relative "../../../core/looking_back/eaten_of_cooking"
require_relative "../../../core/looking_back/run_out"
require_relative "../../../core/looking_back/tally"
require_relative "../../../core/quantity/quantity"

RSpec.describe "Outcomes" do
  def outcome(kind = "eaten", value = 100, **more)
    NutShelf::Core::Outcome.new(
      on: Date.new(2026, 11, 3), kind: kind, food_id: 1, group: "dairy", value_minor: value, movement_id: 1, **more
    )
  end

  describe "NutShelf::Core::Outcome" do
    it "was rescued when it was eaten in its last seven days, or under a look's cover" do
      days = [-1, 0, 6, 7, nil].to_h { |left| [left, outcome(days_left: left).rescued?] }
      expect(days).to eq(-1 => false, 0 => true, 6 => true, 7 => false, nil => false)
      expect(outcome(days_left: 170, looked: true)).to be_rescued
      expect(outcome("binned", days_left: 2)).not_to be_rescued
    end
  end

  describe "NutShelf::Core::Tally" do
    it "wastes what is binned or composted, of all that leaves" do
      list = [outcome("eaten", 600, grams: 1000r), outcome("binned", 150, grams: 250r, estimated: true),
              outcome("composted", 50), outcome("given_away", 200, grams: 400r)]
      tally = NutShelf::Core::Tally.of(list)
      expect(tally.waste_rate).to eq(1/5r)
      expect([tally.leaving, tally.wasted, tally.wasted_grams]).to eq([1000, 200, 250r])
      expect([tally.estimated, tally.unweighed, tally.count]).to eq([150, 1, 4])
    end

    it "knows no rate of nothing" do
      expect(NutShelf::Core::Tally.of([])).to have_attributes(waste_rate: nil, leaving: 0)
    end
  end

  describe "NutShelf::Core::EatenOfCooking" do
    subject(:eaten) { NutShelf::Core::EatenOfCooking }

    it "leaves what the kept portions carry for later" do
      expect(eaten.values([300, 100], 100)).to eq([225, 75])
      expect(eaten.share([300, 100], 100)).to eq(3/4r)
    end

    it "adds up to the cent, whatever was kept" do
      random = Random.new(11)
      200.times do
        drawn = Array.new(random.rand(1..6)) { random.rand(0..999) }
        kept = random.rand(0..drawn.sum)
        expect(eaten.values(drawn, kept).sum).to eq(drawn.sum - kept)
      end
    end

    it "eats at once what cost nothing" do
      expect(eaten.share([0, 0], 0)).to eq(1)
      expect(eaten.values([0, 0], 0)).to eq([0, 0])
    end
  end

  describe "NutShelf::Core::Balance" do
    it "is even when not a cent is missing" do
      sums = { opening: 1000, came: { "bought" => 500, "corrected" => -20 }, left: { "eaten" => 300 } }
      expect(NutShelf::Core::Balance.new(**sums, closing: 1180)).to be_even
      expect(NutShelf::Core::Balance.new(**sums, closing: 1181)).not_to be_even
    end
  end

  describe "NutShelf::Core::RunOut" do
    def day(number) = Date.new(2026, 11, number)

    it "is out from the day the last of it goes until more comes" do
      found = NutShelf::Core::RunOut.of(7, [[day(1), 500r], [day(3), -500r], [day(7), 200r], [day(9), -200r]])
      expect(found.map { |one| [one.on, one.until_on] }).to eq([[day(3), day(7)], [day(9), nil]])
      expect(found.map { |one| one.days(day(12)) }).to eq([4, 3])
    end

    it "is not out while some is there, nor before it ever came" do
      expect(NutShelf::Core::RunOut.of(7, [[day(1), 500r], [day(3), -499r]])).to be_empty
    end
  end

  describe "NutShelf::Core::Compost" do
    def food(group, aisle: "Fresh produce", allergens: [])
      Struct.new(:food_group, :aisle, :allergens).new(group, aisle, allergens)
    end

    it "takes raw plants, and nothing that draws rats" do
      fits = ->(*args, **more) { NutShelf::Core::Compost.fits?(food(*args, **more)) }
      expect([fits.("vegetables"), fits.("fruit"),
              fits.("grains", aisle: "Bread", allergens: ["gluten"])]).to all(be true)
      expect([fits.("protein"), fits.("dairy"), fits.("fat"), fits.("vegetables", aisle: "Home leftovers"),
              fits.("grains", allergens: ["eggs"])]).to all(be false)
    end
  end
end
