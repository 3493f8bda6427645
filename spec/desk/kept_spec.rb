# frozen_string_literal: true

require_relative "../support/house"

RSpec.describe NutShelf::Desk::Kept do
  it "makes a thing once for a mark, anew for another, and keeps the latest alone" do
    kept = described_class.new
    made = []
    make = ->(mark) { kept.keep([7, :shelf], mark) { mark.tap { made << mark } } }
    [[1], [1], [2], [2], [1]].each { |mark| expect(make.(mark)).to eq(mark) }
    expect(made).to eq([[1], [2], [1]])
  end

  it "keeps apart what belongs to others" do
    kept = described_class.new
    expect([7, 8].map { |id| kept.keep([id, :shelf], [1]) { id } }).to eq([7, 8])
    expect(kept.keep([7, :foods], [1]) { :foods }).to eq(:foods)
    expect(kept.keep([7, :shelf], [1]) { raise }).to eq(7)
  end

  it "lets the one go that nobody asked for longest" do
    kept = described_class.new(most: 2)
    [1, 2].each { |id| kept.keep([id], [0]) { id } }
    kept.keep([1], [0]) { raise }
    kept.keep([3], [0]) { 3 }
    expect([1, 3].map { |id| kept.keep([id], [0]) { raise } }).to eq([1, 3])
    expect(kept.keep([2], [0]) { :again }).to eq(:again)
  end

  it "uses what is kept for whoever is in the middle of a change, and keeps nothing of theirs" do
    kept = described_class.new
    expect(kept.known([7], [1]) { :mine }).to eq(:mine)
    kept.keep([7], [1]) { :theirs }
    expect(kept.known([7], [1]) { raise }).to eq(:theirs)
    expect(kept.known([7], [2]) { :mine }).to eq(:mine)
    expect(kept.keep([7], [1]) { raise }).to eq(:theirs)
  end

  describe "the shelf" do
    include HouseSupport

    let(:ines) { household! }

    def look(still: true)
      services.database.public_send(still ? :still : :within, ines.household_id) do |db|
        yield NutShelf::Desk::UnitOfWork.new(services, ines, db, still: still)
      end
    end

    def there = look { |work| work.shelf.stacks.keys }

    it "is the very same until stock or a rule changes, and then the new one" do
      first = put_away(ines, "honey", "cupboard")["lot_id"]
      shelf = look(&:shelf)
      expect(look(&:shelf)).to be(shelf)
      act(:AddCare, ines, { title: "Water", first_on: "2026-12-01" })
      expect(look(&:shelf)).to be(shelf)
      second = put_away(ines, "honey", "cupboard")["lot_id"]
      expect(there).to contain_exactly(first, second)
      act(:SetHousehold, ines, { school: "by_the_date" })
      expect(look(&:shelf)).not_to be(shelf)
    end

    it "shows an act what it has written itself, and nobody else before it is done" do
      first = put_away(ines, "honey", "cupboard")["lot_id"]
      expect(there).to eq([first])
      look(still: false) do |work|
        work.house.lots.update(first, label: "Thyme")
        expect(work.fresh.shelf.stack(first).label).to eq("Thyme")
        expect(Thread.new { look { |other| other.shelf.stack(first).label } }.value).to eq("")
      end
      expect(look { |work| work.shelf.stack(first).label }).to eq("Thyme")
    end
  end
end
