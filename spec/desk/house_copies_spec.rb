# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../store/backup"

# Nearly every spec stands in a household that was copied: it must be what the maker makes.
RSpec.describe HouseCopies do
  let(:copied) { household!(people: 0) }
  let(:made) do
    account = HouseSupport.account(services, number = HouseSupport.next_number)
    id = HouseSupport.make(services, number, account)
    NutShelf::Desk::Caller.new(account_id: account, household_id: id, role: "keeper")
  end

  # All that is told of it, by what its ids point to: the how-manieth of their table.
  def told(who)
    text = inside(who) { |house| NutShelf::Store::Backup.write(house.db, who.household_id) }
    JSON.parse(text)["tables"].transform_values do |rows|
      rows.map { |row| row.to_h { |name, value| [name, name.end_with?("id") ? nil : value] } }
    end
  end

  def state(who)
    inside(who) { |house| house.db[:households].first.except(:id, :name, :uid, :raised_in) }
  end

  it "are what the maker makes, to the last row, and stand as sound" do
    expect(told(copied)).to eq(told(made))
    expect(state(copied)).to eq(state(made))
    expect(inside(copied) { |house| house.db[:households].get(:uid) }).not_to eq(
      inside(household!) { |house| house.db[:households].get(:uid) }
    )
    expect(inside(copied) { |house| [house.soundness.faults, house.lots.out_of_balance] }).to eq([[], []])
  end

  it "point into themselves alone" do
    mine, theirs = [copied, made].map { |who| inside(who) { |house| house.recipes.values.values } }
    expect(mine).to eq(theirs)
    expect(inside(copied) { |house| house.foods.ids_by_key.size }).to eq(inside(made) { |house| house.foods.all.size })
    put_away(copied, "canned-chickpeas", "cupboard")
    expect(on_shelf(made)).to be_empty
  end
end
