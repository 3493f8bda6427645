# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../drill/weeks_lived"

# Eight weeks of two people by a throw of dice, the books held against a ledger of their own every day.
RSpec.describe "Eight weeks" do
  def two_people(keeper)
    account = services.database.outside do |db|
      db[:accounts].insert(email: "second-#{key!}@example.test", name: "The second")
    end
    inside(keeper) do |house|
      house.db[:memberships].insert(account_id: account, household_id: keeper.household_id, role: "keeper")
    end
    [keeper, NutShelf::Desk::Caller.new(**keeper.to_h, account_id: account)]
  end

  def weeks(seed) = WeeksLived.new(services, two_people(household!), seed: seed, foods: 20)

  it "balance to the cent and the gram, and the list keeps its promises" do
    lived = weeks(7)
    lived.live(days: 56, each_day: 2)
    expect(lived.acts).to be > 200
    expect(lived.refused).to be < lived.acts / 4
  end

  it "tell where a gram is missing" do
    lived = weeks(8)
    lived.live(days: 2, each_day: 6)
    short = lived.instance_variable_get(:@ledger)
    id = short.entries.find { |_, entry| entry.moves.any? }.first
    short.entries[id].moves.first[2] += 1
    expect { lived.live(days: 1, each_day: 0) }.to raise_error(WeeksLived::Fault, /the stock/)
  end
end
