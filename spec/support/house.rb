# frozen_string_literal: true

require_relative "../../boot/wiring"
require_relative "../../desk/household_maker"
require_relative "house_copies"
Dir[File.expand_path("../../desk/{acts,commands}/*.rb", __dir__)].each do |file|
  require_relative "../../desk/#{File.basename(File.dirname(file))}/#{File.basename(file, ".rb")}"
end

# A database of its own for the specs, and fresh households in it.
module HouseSupport
  # Two runs beside each other keep to databases of their own.
  NAME = "nut_shelf_test#{ENV.fetch("NUT_SHELF_SPECS", "")}".freeze
  TODAY = Date.new(2026, 11, 24)

  # A clock the spec sets.
  class SpecClock
    attr_accessor :day

    def initialize = @day = TODAY

    def today(_zone = nil) = day

    def at(moment, zone = nil) = NutShelf::Boot::Clock.at(moment, zone)

    def zone_known?(name) = NutShelf::Boot::Clock.zone_known?(name)
  end

  class << self
    def owner_url = @owner_url ||= NutShelf::Boot::Wiring.scratch_url(NAME)

    def app_url
      @app_url ||=
        begin
          NutShelf::Store::Owner.drop(owner_url)
          NutShelf::Boot::Wiring.migrated(owner_url)
        end
    end

    # Further databases made in this run.
    def made = @made ||= []

    def services
      @services ||= NutShelf::Desk::Services.new(**NutShelf::Boot::Wiring.services(app_url).to_h, clock: clock)
    end

    def clock = @clock ||= SpecClock.new

    def account(services, number)
      services.database.outside do |db|
        db[:accounts].insert(email: "keeper#{number}-#{rand(10**9)}@example.test", name: "Keeper #{number}")
      end
    end

    # @return [Integer] a household with its foods and dishes, and nobody in it yet: a copy where that can be had
    def furnished(services, number, account)
      copies = services.equal?(@services) ? houses : nil
      copies ? copies.make("House #{number}", account) : make(services, number, account)
    end

    # As the first start and the command make one.
    def make(services, number, account)
      NutShelf::Desk::HouseholdMaker.new(services).make(account, { name: "House #{number}", time_zone: "UTC" })
    end

    # @return [HouseCopies, nil] none where the server does not let us
    def houses
      return @houses if defined?(@houses)

      @houses =
        (HouseCopies.new(owner_url, make(@services, 0, account(@services, 0))) if HouseCopies.can?(owner_url))
    end

    def next_number = @number = (@number || 0) + 1
  end

  def services = HouseSupport.services

  def clock = HouseSupport.clock

  # A fresh household with a keeper.
  def household!(role: "keeper", people: 2)
    number = HouseSupport.next_number
    account = HouseSupport.account(services, number)
    id = HouseSupport.furnished(services, number, account)
    who = NutShelf::Desk::Caller.new(account_id: account, household_id: id, role: "keeper")
    inside(who) { |house| people.times { |one| house.household.add_person(name: "Person #{one + 1}") } }
    joined(who, role)
  end

  # @return [Caller] the same person with another role
  def joined(who, role)
    inside(who) { |house| house.access.set_role(who.account_id, role) } unless role == who.role
    NutShelf::Desk::Caller.new(**who.to_h, role: role)
  end

  def key! = "spec-key-#{HouseSupport.next_number}-#{rand(10**12)}"

  def act(klass, who, input, key: key!, **more)
    NutShelf::Desk.const_get(klass).new(services, who).call(input, key: key, **more)
  end

  def inside(who)
    services.database.within(who.household_id) { |db| yield NutShelf::Store::House.new(db, who.household_id) }
  end

  def lot(who, id) = inside(who) { |house| house.lots.one(id) }

  def at_work(who)
    services.database.within(who.household_id) { |db| yield NutShelf::Desk::UnitOfWork.new(services, who, db) }
  end

  # @return [Array<Core::Stack>] everything that is there, first date first
  def on_shelf(who) = at_work(who) { |work| work.shelf.stacks.values }

  # @return [Array<Core::Stack>] what stands in a place, as a hand meets it
  def standing_in(who, place_id) = at_work(who) { |work| work.stacks_in([place_id]) }

  # @return [Array<Store::Rows::Lot>] what was split off a stack
  def split_off(who, id)
    inside(who) do |house|
      house.lots.every(house.db[:lot_sources].where(source_lot_id: id, kind: "split").select_map(:lot_id))
    end
  end

  def food_id(who, key) = inside(who) { |house| house.foods.by_key([key]).fetch(key).id }

  def place_id(who, kind) = inside(who) { |house| house.places.all.find { |row| row.kind == kind }.id }

  # put_away(who, "canned-chickpeas", "cupboard", count: "3", amount: "400", unit: "g")
  def put_away(who, key, kind, **more)
    input = { food_id: food_id(who, key), place_id: place_id(who, kind), count: "1", amount: "400", unit: "g", **more }
    act(:PutAway, who, input.compact)
  end
end

RSpec.configure do |config|
  config.include HouseSupport
  config.before { HouseSupport.clock.day = HouseSupport::TODAY }
end
