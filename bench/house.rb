# frozen_string_literal: true

require "rack/mock"
require_relative "../boot/app"
require_relative "../desk/household_maker"
require_relative "../desk/acts/import_stock"
require_relative "../desk/acts/put_away"
require_relative "../desk/acts/take"

# A household of many stacks in a database of its own, and the app signed in to it.
class BenchHouse
  NAME = "nut_shelf_bench"
  KEEPER = "bench@example.test"
  TODAY = Date.new(2026, 11, 24)

  # The clock stands still, so that every run sees the same states.
  module StillClock
    def self.today(_zone = nil) = TODAY
  end

  attr_reader :services, :who, :url

  def initialize
    owner = NutShelf::Boot::Wiring.scratch_url(NAME)
    NutShelf::Store::Owner.drop(owner)
    @url = url = NutShelf::Boot::Wiring.migrated(owner)
    @services = NutShelf::Desk::Services.new(**NutShelf::Boot::Wiring.services(url).to_h, clock: StillClock)
    account = services.database.outside { |db| db[:accounts].insert(email: KEEPER, name: "Bench") }
    id = NutShelf::Desk::HouseholdMaker.new(services).make(account, { name: "Bench", time_zone: "UTC", people: 4 })
    @who = NutShelf::Desk::Caller.new(account_id: account, household_id: id, role: "keeper")
    @owner = owner
  end

  # @param count [Integer] stacks, spread over foods, places and dates
  def fill(count, seed: 1)
    chance = Random.new(seed)
    foods, places = inside { |house| [house.foods.all, house.places.all] }
    count.times do |number|
      food = foods[chance.rand(foods.size)]
      act(
        NutShelf::Desk::PutAway,
        {
          food_id: food.id,
          place_id: places[chance.rand(places.size)].id,
          count: (1 + chance.rand(6)).to_s,
          amount: "400",
          unit: "g",
          price_minor: 50 + chance.rand(500),
          printed_on: (TODAY + chance.rand(-20..900)).iso8601,
          printed_kind: "best_before"
        },
        "fill-#{number}-#{seed}-key"
      )
    end
    Sequel.connect(@owner) { |db| db.run("ANALYZE") }
  end

  # The same as one list brought in, for thousands.
  # @param count [Integer] stacks
  def fill_quickly(count, seed: 1)
    chance = Random.new(seed)
    foods, places = inside { |house| [house.foods.all, house.places.all] }
    rows = Array.new(count) { listed(foods[chance.rand(foods.size)], places[chance.rand(places.size)], chance) }
    rows.each_slice(5000).with_index { |slice, index| act(BroughtIn, { rows: slice }, "brought-#{index}-#{seed}-key") }
    Sequel.connect(@owner) { |db| db.run("ANALYZE") }
  end

  # As after any act on a stack: one stack is another, and what was kept of the shelf holds no more.
  def stock_changed
    services.database.within(who.household_id) do |db|
      mine = db[:lots].where(household_id: who.household_id).where { on_hand > 0 }
      @touched = mine.where(Sequel[:id] > @touched.to_i).min(:id) || mine.min(:id)
      mine.where(id: @touched).update(label: "touched #{@touched}")
    end
  end

  # @yield something that changes stacks
  # @return [Array(Float, Hash)] milliseconds it took, and the dates of every stack that changed, by id
  def changed(&)
    before = dates
    spent = Harness.time(&)
    [spent, dates.reject { |id, row| before[id] == row }]
  end

  # Writes the same rows with nothing around them, one statement a row.
  # @param rows [Hash{Integer=>Hash}] dates by stack
  def rewrite(rows)
    services.database.within(who.household_id) do |db|
      rows.each { |id, row| db[:lots].where(household_id: who.household_id, id: id).update(row) }
    end
  end

  DATES = %i[quality_until safety_until ready_on usable_until strict_until stopped look_first basis].freeze

  def dates
    services.database.within(who.household_id) do |db|
      db[:lots]
        .where(household_id: who.household_id)
        .select(:id, *DATES)
        .to_hash(:id)
        .transform_values { |row| row.except(:id) }
    end
  end

  def inside
    services.database.within(who.household_id) { |db| yield NutShelf::Store::House.new(db, who.household_id) }
  end

  def act(klass, input, key) = klass.new(services, who).call(input, key: key)

  # @return [Proc] POST: called with a path and a JSON body, answers a Rack::MockResponse
  def post
    @post ||=
      signed_in.then do |client, cookie, csrf|
        lambda do |path, body|
          client.post(
            path,
            **HOST,
            "HTTP_COOKIE" => cookie,
            "HTTP_X_CSRF_TOKEN" => csrf,
            :input => body,
            "CONTENT_TYPE" => "application/json"
          )
        end
      end
  end

  # The app behind its middlewares, signed in as the bench.
  def app
    @app ||=
      NutShelf::Api::App.build(
        services: services,
        secret: "s" * 96,
        demo_account: KEEPER,
        throttle: false,
        build: "bench"
      )
  end

  # @return [Proc] GET: called with a path and further request headers, answers a Rack::MockResponse
  def browser
    client, cookie = signed_in
    ->(path, headers = {}) { client.get(path, **HOST, "HTTP_COOKIE" => cookie, **headers) }
  end

  # A list of stacks that needs no reading.
  class BroughtIn < NutShelf::Desk::ImportStock
    private

    def prepare(input)
      @fingerprint = 1
      @stacks = input[:rows].map { |row| NutShelf::Desk::NewStack.new(work, row) }
    end
  end
  private_constant :BroughtIn

  private

  # The app answers to its own addresses alone.
  HOST = { "HTTP_HOST" => "127.0.0.1" }.freeze
  private_constant :HOST

  # @return [Array(Rack::MockRequest, String, String)] client, cookie and CSRF token
  def signed_in
    client = Rack::MockRequest.new(app)
    first = client.get("/api/session", HOST)
    cookie = cookie_of(first)
    signed =
      client.post(
        "/api/demo-sign-in",
        **HOST,
        "HTTP_COOKIE" => cookie,
        "CONTENT_TYPE" => "application/json",
        :input => "{}",
        "HTTP_X_CSRF_TOKEN" => JSON.parse(first.body)["csrf"]
      )
    raise "the bench was not let in: #{signed.status} #{signed.body[0, 200]}" unless signed.status == 200

    cookie = cookie_of(signed)
    [client, cookie, JSON.parse(client.get("/api/session", **HOST, "HTTP_COOKIE" => cookie).body)["csrf"]]
  end

  def listed(food, place, chance)
    {
      food_id: food.id,
      place_id: place.id,
      count: (1 + chance.rand(6)).to_s,
      amount: "400",
      unit: "g",
      price_minor: 50 + chance.rand(500),
      printed_on: (TODAY + chance.rand(-20..900)).iso8601,
      printed_kind: "best_before"
    }
  end

  def cookie_of(answer) = [answer["set-cookie"]].flatten.join("\n").lines.grep(/nut_shelf/).first.split(";").first
end
