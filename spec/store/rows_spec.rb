# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../store/rows"

RSpec.describe NutShelf::Store::Rows do
  include HouseSupport

  let(:ines) { household! }

  described_class::TABLES.each do |table, made|
    it "tells of every column of #{table}, and of none it has not" do
      expect(made::FIELDS).to match_array(services.database.sequel[table].columns - [:household_id])
    end
  end

  it "gives numbers exactly, lists and JSON frozen, and takes them back as they were" do
    id = put_away(ines, "vinegar-white", "cupboard", amount: "0.1", unit: "ml", count: "3")["lot_id"]
    story = [{ "kind" => "looked", "on" => "2026-11-24", "signs" => ["soft"] }]
    inside(ines) { |house| house.lots.update(id, history: story, pack_amount: Rational(1, 8)) }
    row = lot(ines, id)
    expect([row.on_hand, row.pack_amount, row.history]).to eq([Rational(3, 10), Rational(1, 8), story])
    expect([row, row.history, row.history.first, row.history.first["signs"]]).to all(be_frozen)
    expect(inside(ines) { |house| house.foods.find(row.food_id) }.nicknames).to be_frozen
  end

  it "refuses a column nobody told of" do
    expect { described_class.maker(described_class::Meal).call({ id: 1, colour: "red" }) }.to raise_error(ArgumentError)
  end
end
