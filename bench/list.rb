# frozen_string_literal: true

require_relative "harness"
require_relative "house"
require_relative "replay"
require_relative "../desk/acts/plan_meal"
require_relative "../desk/acts/set_household"
require_relative "../desk/acts/set_want"
require_relative "../desk/plan"

# The shopping list for a month of meals beside its own raw SQL plus the forecast of the same days plus encoding of the
# same answer, after a stack changed and again. bin/bench list [stacks] [days] [runs]
stacks = Integer(ARGV.fetch(0, "2000"))
days = Integer(ARGV.fetch(1, "28"))
runs = Integer(ARGV.fetch(2, "20"))
WANTED = 60
house = BenchHouse.new
house.fill_quickly(stacks)
recipes = house.inside { |inner| inner.recipes.values.keys }
days.times do |day|
  %w[lunch dinner].each_with_index do |meal, at|
    planned = { recipe_id: recipes[((day * 7) + at) % recipes.size], on: (BenchHouse::TODAY + day).iso8601, meal: meal }
    house.act(NutShelf::Desk::PlanMeal, planned, "bench-meal-#{day}-#{meal}-key")
  end
end
foods = house.inside { |inner| inner.foods.all.map(&:id) }
foods.each_slice(foods.size / WANTED).map(&:first).each do |id|
  house.act(NutShelf::Desk::SetWant, { food_id: id, par: "4000" }, "bench-want-#{id}-key")
end
browser = house.browser
ask = -> { browser.call("/api/list?days=#{days}") }
house.services.forget
replay = Replay.of(house.services.database.sequel) { ask.call }
answer = ask.call
raise "#{answer.status} #{answer.body[0, 200]}" unless answer.status == 200

ready = JSON.parse(answer.body)
raw = lambda do
  house.services.database.within(house.who.household_id) { |db| replay.reads.each { |sql| db.fetch(sql).all } }
  JSON.generate(ready)
end
forecast = lambda do
  house.services.database.still(house.who.household_id) do |db|
    work = NutShelf::Desk::UnitOfWork.new(house.services, house.who, db, still: true)
    NutShelf::Desk::Plan.new(work, to: work.today + days - 1).forecast
  end
end
baseline = lambda do
  raw.call
  forecast.call
end
rows = { "changed" => house.method(:stock_changed), "again" => -> {} }.map do |name, prepare|
  found = Harness.compare(runs, baseline: baseline, subject: ask, prepare: prepare)
  {
    name: name, foods: foods.size, lines: ready["aisles"].sum { |aisle| aisle["items"].size }, statements: replay.count,
    bytes: answer.body.bytesize, raw_and_forecast_p95: found[:baseline_p95_ms], list_p95: found[:p95_ms],
    ratio_p95: found[:ratio_p95]
  }
end
Harness.table("list-#{stacks}", rows)
