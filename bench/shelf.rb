# frozen_string_literal: true

require_relative "harness"
require_relative "house"

# GET /api/stacks for 2,000 stacks against the raw SQL of the same rows plus JSON of the same bytes. Goal: p95 within
# 2.5 x.
house = BenchHouse.new
house.fill(2000)
browser = house.browser
ask = -> { browser.call("/api/stacks?limit=2000") }

answer = ask.call
raise "no answer: #{answer.status} #{answer.body[0, 200]}" unless answer.status == 200

ready = JSON.parse(answer.body)
sql = house.inside { |inner| inner.lots.narrow.limit(2001).sql }
raw =
  lambda do
    rows = house.services.database.within(house.who.household_id) { |db| db.fetch(sql).all }
    [rows.size, JSON.generate(ready)]
  end

result = Harness.compare(60, baseline: raw, subject: ask)
Harness.report(
  "shelf, GET /api/stacks",
  rows: ready["stacks"].size,
  bytes: answer.body.bytesize,
  baseline_rows: raw.call.first,
  baseline_bytes: raw.call.last.bytesize,
  **result
)

etag = answer["etag"]
unchanged = -> { browser.call("/api/stacks?limit=2000", "HTTP_IF_NONE_MATCH" => etag) }
Harness.report(
  "shelf-unchanged, 304",
  status: unchanged.call.status,
  **Harness.compare(60, baseline: raw, subject: unchanged)
)
