# frozen_string_literal: true

require_relative "../boot/wiring"
require_relative "../desk/household_maker"
require_relative "weeks_lived"

# Lives eight weeks in five households, each by other dice, and says whether the books balanced every day and the list
# kept its promises. SEEDS, DAYS, ACTS and FOODS choose otherwise.
include NutShelf # rubocop:disable Style/MixinUsage -- a script

# A clock that is set.
class WeeksClock
  attr_accessor :day

  def today(_zone = nil) = day

  def zone_known?(name) = Boot::Clock.zone_known?(name)
end

$stdout.sync = true
seeds = ENV.fetch("SEEDS", "1 2 3 4 5").split.map { |text| Integer(text, 10) }
days = Integer(ENV.fetch("DAYS", "56"), 10)
each_day = Integer(ENV.fetch("ACTS", "400"), 10) / days
foods = Integer(ENV.fetch("FOODS", "60"), 10)

owner = Boot::Wiring.scratch_url("nut_shelf_weeks")
Store::Owner.drop(owner)
plain = Boot::Wiring.services(Boot::Wiring.migrated(owner))
services = Desk::Services.new(**plain.to_h, clock: WeeksClock.new)
failed = seeds.reject do |seed|
  services.clock.day = Date.new(2026, 9, 28)
  accounts = Array.new(2) do |number|
    services.database.outside { |db| db[:accounts].insert(email: "weeks#{seed}-#{number}@example.test", name: "P") }
  end
  id = Desk::HouseholdMaker.new(services).make(accounts.first, { name: "Seed #{seed}", time_zone: "UTC", people: 3 })
  services.database.within(id) do |db|
    db[:memberships].insert(account_id: accounts.last, household_id: id, role: "keeper")
  end
  people = accounts.map { |account| Desk::Caller.new(account_id: account, household_id: id, role: "keeper") }
  weeks = WeeksLived.new(services, people, seed: seed, foods: foods)
  begin
    weeks.live(days: days, each_day: each_day)
    puts "seed #{seed}: #{weeks.acts} acts, #{weeks.refused} refused, the books balanced on #{days} days"
    true
  rescue WeeksLived::Fault => e
    puts "seed #{seed}: #{e.message}"
    false
  end
end
exit 1 if failed.any?
