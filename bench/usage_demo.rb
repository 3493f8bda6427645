# frozen_string_literal: true

require_relative "../boot/wiring"
require_relative "../core/usage/weeks"
require_relative "../demo/house"
require_relative "../demo/household"

# Weeks of use as the demo's household lived them, straight from its ledger.
module UsageDemo
  module_function

  # @return [Array<Hash>] as UsageSeries gives them
  def all
    url = NutShelf::Demo::House.new.ready(NutShelf::Boot::Wiring.prepare(NutShelf::Demo::House::NAME))
    services = NutShelf::Boot::Wiring.services(url)
    owner = services.database.outside { |db| db[:accounts].where(email: NutShelf::Demo::Household::KEEPER).get(:id) }
    id = services.database.outside { |db| db[:memberships].where(account_id: owner).get(:household_id) }
    services.database.within(id) { |db| series(NutShelf::Store::House.new(db, id)) }
  ensure
    services&.database&.disconnect
  end

  def series(house)
    today = NutShelf::Demo::Household::TODAY
    first = house.usage.first_days
    house.usage.daily(today).group_by { |row| [row.food_id, row.dimension] }.map do |(food, dimension), rows|
      uses = rows.map do |row|
        NutShelf::Core::Weeks::Use.new(on: row.occurred_on, since: row.since, amount: row.used)
      end
      { name: "#{dimension} #{food}", weeks: NutShelf::Core::Weeks.of(uses, today: today, first_on: first.fetch(food)) }
    end
  end
end
