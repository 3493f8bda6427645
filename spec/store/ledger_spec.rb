# frozen_string_literal: true

require_relative "../support/house"

RSpec.describe "The ledger" do
  let(:who) { household! }
  let(:done) { put_away(who, "canned-chickpeas", "cupboard", count: "3", price_minor: 267) }
  let(:id) { done["lot_id"] }

  def within(&block) = services.database.within(who.household_id, &block)

  %i[movements acts lot_events].each do |table|
    it "refuses to change or delete rows of #{table}" do
      id
      expect { within { |db| db[table].update(household_id: who.household_id) } }.to raise_error(
        Sequel::DatabaseError,
        /permission denied/
      )
      expect { within { |db| db[table].delete } }.to raise_error(Sequel::DatabaseError, /permission denied/)
    end
  end

  it "refuses it to the owner too" do
    id
    Sequel.connect(HouseSupport.owner_url) do |owner|
      expect { owner[:movements].where(lot_id: id).update(quantity: 1) }.to raise_error(
        Sequel::DatabaseError,
        /append-only/
      )
      expect { owner[:movements].where(lot_id: id).delete }.to raise_error(Sequel::DatabaseError, /append-only/)
    end
  end

  it "lets nobody write what is on hand, or insert a stack that has some" do
    id
    expect { within { |db| db[:lots].where(id: id).update(on_hand: 5) } }.to raise_error(
      Sequel::DatabaseError,
      /permission denied/
    )
    expect { within { |db| db[:lots].where(id: id).update(value_minor: 5) } }.to raise_error(
      Sequel::DatabaseError,
      /permission denied/
    )
    place = place_id(who, "cupboard")
    food = food_id(who, "honey")
    expect do
      inside(who) do |house|
        house.lots.add(
          food_id: food, place_id: place, start_place_id: place, dimension: "mass", situation: "bought_sealed",
          on_hand: 9
        )
      end
    end.to raise_error(Sequel::DatabaseError, /permission denied/)
  end

  it "keeps what is on hand equal to the movements" do
    act(:Take, who, { lot_id: id, amount: "250" })
    inside(who) { |house| expect(house.lots.out_of_balance).to be_empty }
    expect(lot(who, id).on_hand).to eq(800)
  end

  it "cannot go below zero" do
    expect do
      inside(who) do |house|
        house.ledger.move(
          act_id: done["act_id"],
          lot_id: id,
          quantity: -1201,
          value_minor: 0,
          reason: "eaten",
          state: "resting",
          days_left: 400,
          looked: false
        )
      end
    end.to raise_error(NutShelf::Store::NotEnough)
  end

  it "lets twenty people take the last ten tins exactly ten times" do
    tins = put_away(who, "canned-chickpeas", "cupboard", count: "10")["lot_id"]
    answers =
      Array
        .new(20) do
          Thread.new do
            act(:Take, who, { lot_id: tins, amount: "400" })
            :taken
          rescue NutShelf::Desk::Conflict, NutShelf::Store::NotEnough
            :refused
          end
        end
        .map(&:value)
    expect(answers.tally).to eq(taken: 10, refused: 10)
    expect(lot(who, tins)).to have_attributes(on_hand: 0, value_minor: 0)
  end

  it "counts the same key once, even twenty times at once" do
    key = key!
    answers = Array.new(20) { Thread.new { act(:Take, who, { lot_id: id, amount: "400" }, key: key) } }.map(&:value)
    expect(answers.uniq.size).to eq(1)
    expect(lot(who, id).on_hand).to eq(800)
  end

  it "refuses a key that was used for something else" do
    key = key!
    act(:Take, who, { lot_id: id, amount: "400" }, key: key)
    expect { act(:Take, who, { lot_id: id, amount: "800" }, key: key) }.to raise_error(
      NutShelf::Desk::Invalid
    ) { |error| expect(error.code).to eq("key_reused") }
  end

  it "does not store a refusal: the same key may succeed later" do
    key = key!
    expect { act(:Take, who, { lot_id: id, amount: "9999" }, key: key) }.to raise_error(NutShelf::Desk::Conflict)
    put_away(who, "canned-chickpeas", "cupboard")
    expect { act(:Take, who, { lot_id: id, amount: "400" }, key: key) }.not_to raise_error
  end

  it "migrates down to nothing and up again" do
    url = HouseSupport.owner_url.sub(%r{/[^/]*\z}, "/nut_shelf_migrate")
    NutShelf::Store::Owner.drop(url)
    NutShelf::Boot::Wiring.migrated(url)
    Sequel.connect(url) do |db|
      NutShelf::Store::Owner.migrate(db, 0)
      expect(db.tables - [:schema_info]).to be_empty
      NutShelf::Store::Owner.migrate(db)
      expect(db.tables).to include(:lots, :movements)
    end
    NutShelf::Store::Owner.drop(url)
  end
end
