# frozen_string_literal: true

require "argon2"
require "base64"
require "json"
require "rack/test"
require "securerandom"
require_relative "../boot/app"
require_relative "../desk/household_maker"
require_relative "../spec/support/fuzz"

# Sends thousands of odd requests made from the contract and counts answers that are ours to mend (5xx), each with the
# request that made it. REQUESTS and SEED choose how many and which.
count = Integer(ENV.fetch("REQUESTS", "5000"), 10)
seed = Integer(ENV.fetch("SEED", Random.new_seed.to_s[0, 6]), 10)
include NutShelf # rubocop:disable Style/MixinUsage -- a script

owner = Boot::Wiring.scratch_url("nut_shelf_fuzz")
Store::Owner.drop(owner)
services = Boot::Wiring.services(Boot::Wiring.migrated(owner))
app = Api::App.build(services: services, secret: "s" * 96, throttle: false, hosts: ["example.org"])
browser = Rack::Test::Session.new(app)
token = -> { JSON.parse(browser.get("/api/session").body)["csrf"] }
send = lambda do |path, body, headers = {}|
  browser.post(
    path,
    body,
    {
      "CONTENT_TYPE" => "application/json",
      "HTTP_X_CSRF_TOKEN" => @token,
      "HTTP_IDEMPOTENCY_KEY" => SecureRandom.hex(12)
    }.merge(headers)
  )
end
@token = token.call
send.call(
  "/api/first-start",
  JSON.generate(
    household: "Fuzz", name: "Ada", email: "ada@example.test", password: "a long password", time_zone: "UTC",
    currency: "EUR", day_order: "dmy", people: 2
  )
)
@token = token.call
foods = JSON.parse(browser.get("/api/foods?q=honey").body)["foods"]
places = JSON.parse(browser.get("/api/places").body)["places"].map { |row| row["id"] }
stacks =
  Array.new(6) do |index|
    JSON.parse(
      send.call(
        "/api/stacks",
        JSON.generate(food_id: foods.first["id"], place_id: places[index % 3], count: "3", amount: "400", unit: "g")
      ).body
    )[
      "lot_id"
    ]
  end
ids = {
  "stacks" => stacks,
  "places" => places,
  "keeping" => [foods.first["id"]],
  "counts" => [1, 2],
  "meals" => [1, 2],
  "acts" => (1..20).to_a,
  "care" => [1, 2],
  "people" => [1, 2],
  "containers" => [1, 2]
}
fuzz = Fuzz.new(Random.new(seed), ids)
codes = Hash.new(0)
broken = []
# A request with cookies of its own must not lose us our session.
stranger = Rack::MockRequest.new(app)
count.times do
  request = fuzz.request
  answer =
    if request.headers.key?("HTTP_COOKIE")
      stranger.request(
        request.verb.upcase,
        "http://example.org#{request.path}",
        { "HTTP_HOST" => "example.org" }.merge(request.headers)
      )
    elsif request.verb == "get"
      browser.get(request.path, {}, request.headers)
    else
      send.call(request.path, request.body, request.headers)
    end
  codes[answer.status] += 1
  broken << [answer.status, request.to_s] if answer.status >= 500
end
household = services.database.outside { |db| Store::Households.ids(db).first }
faults =
  services.database.within(household) do |db|
    Store::House.new(db, household).then { |house| [house.lots.out_of_balance.size, house.soundness.faults] }
  end
broken.uniq.first(10).each { |status, text| warn "#{status} #{text}" }
puts "fuzz: seed #{seed}, #{count} requests, #{broken.size} answered with 5xx, " \
     "stacks out of balance #{faults.first}, unsound #{faults.last.size}"
puts codes.sort.map { |status, times| "#{status}: #{times}" }.join(", ")
exit(broken.empty? && faults.first.zero? && faults.last.empty? ? 0 : 1)
