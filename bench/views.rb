# frozen_string_literal: true

require_relative "harness"
require_relative "house"
require_relative "replay"
require_relative "../desk/acts/change_place"
require_relative "../desk/acts/plan_meal"
require_relative "../desk/acts/set_household"
require_relative "../desk/acts/undo"

# Every view a hand waits for, beside the raw SQL it needs when nothing is kept plus encoding of the same answer.
# "changed" is the first look after a stack changed, "lean" the same beside the fewer statements it then makes; "again"
# finds what was kept. Then the two rules that date a household anew, beside a bare
# UPDATE of the rows they change. bin/bench views [stacks] [runs]
stacks = Integer(ARGV.fetch(0, "2000"))
runs = Integer(ARGV.fetch(1, "40"))
house = BenchHouse.new
house.fill_quickly(stacks)
recipes = house.inside { |inner| inner.recipes.values.keys }
7.times do |day|
  meal = { recipe_id: recipes[day * 5], on: (BenchHouse::TODAY + day).iso8601 }
  house.act(NutShelf::Desk::PlanMeal, meal, "bench-meal-#{day}-key")
rescue NutShelf::Desk::Conflict
  next
end
place = house.inside { |inner| inner.places.all.first.id }
browser = house.browser
line = JSON.generate({ text: "2 x 400 g chickpeas bb 5/28" })
views = {
  "today" => -> { browser.call("/api/today") },
  "bring-forward" => -> { browser.call("/api/bring-forward") },
  "place" => -> { browser.call("/api/places/#{place}") },
  "shelf" => -> { browser.call("/api/stacks?limit=2000") },
  "meals" => -> { browser.call("/api/meals") },
  "plan" => -> { browser.call("/api/plan") },
  "list" => -> { browser.call("/api/list") },
  "dishes" => -> { browser.call("/api/dishes") },
  "label-line" => -> { house.post.call("/api/label-line", line) }
}
views = views.slice(*ARGV[2..]) if ARGV.size > 2

table =
  views.map do |name, ask|
    house.services.forget
    replay = Replay.of(house.services.database.sequel) { ask.call }
    house.stock_changed
    lean = Replay.of(house.services.database.sequel) { ask.call }
    answer = ask.call
    raise "#{name}: #{answer.status} #{answer.body[0, 200]}" unless answer.status == 200

    ready = JSON.parse(answer.body)
    read = lambda do |asked|
      house.services.database.within(house.who.household_id) { |db| asked.reads.each { |sql| db.fetch(sql).all } }
      JSON.generate(ready)
    end
    raw = -> { read.call(replay) }
    cold = Harness.compare(runs, baseline: raw, subject: ask, prepare: house.method(:stock_changed))
    bare = Harness.compare(runs, baseline: -> { read.call(lean) }, subject: ask, prepare: house.method(:stock_changed))
    warm = Harness.compare(runs, baseline: raw, subject: ask)
    {
      name: name,
      statements: replay.count,
      bytes: answer.body.bytesize,
      raw_p95: cold[:baseline_p95_ms],
      changed_p95: cold[:p95_ms],
      changed_ratio: cold[:ratio_p95],
      lean_ratio: bare[:ratio_p95],
      again_p95: warm[:p95_ms],
      again_ratio: warm[:ratio_p95]
    }
  end
Harness.table("views-#{stacks}", table)

version = -> { house.inside { |inner| inner.household.row.version } }
number = 0
next_key = -> { "bench-rule-#{number += 1}-key" }
rules = {
  "school" =>
    lambda do
      house.act(NutShelf::Desk::SetHousehold, { version: version.call, school: "by_the_date" }, next_key.call)["act_id"]
    end,
  "place-note" =>
    lambda do
      seen = house.inside { |inner| inner.places.find(place).version }
      note = { place_id: place, version: seen, note: "note #{next_key.call}" }
      house.act(NutShelf::Desk::ChangePlace, note, next_key.call)["act_id"]
    end
}
rows =
  rules.map do |name, change|
    undo = ->(act) { house.act(NutShelf::Desk::Undo, { act_id: act }, next_key.call) }
    2.times { undo.call(change.call) }
    there, changed = house.changed { @act = change.call }
    bare_there = Harness.time { house.rewrite(changed) }
    back, changed_back = house.changed { undo.call(@act) }
    bare_back = Harness.time { house.rewrite(changed_back) }
    {
      name: name,
      rows: changed.size,
      act_ms: there.round(1),
      bare_ms: bare_there.round(1),
      ratio: (there / bare_there).round(2),
      rows_back: changed_back.size,
      undo_ms: back.round(1),
      bare_back_ms: bare_back.round(1),
      ratio_back: (back / bare_back).round(2)
    }
  end
Harness.table("rules-#{stacks}", rows)
