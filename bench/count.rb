# frozen_string_literal: true

require_relative "harness"
require_relative "house"
require_relative "../desk/commands/enter_rest"
require_relative "../desk/commands/enter_line"
require_relative "../desk/acts/finish_count"
require_relative "../desk/commands/start_count"
require_relative "../desk/acts/undo"

# A count of 300 lines finished in one act, durable, against the bare SQL that writes the same rows. Goal: within 3 x.
# 30 stacks differ, 6 were not expected; each round is undone outside the clock, so that every round finds the same.
house = BenchHouse.new
place = house.inside { |inner| inner.places.all.first.id }
foods = house.inside { |inner| inner.foods.all.select { |row| row.dimension == "mass" }.first(60) }
number = 0
key = -> { "bench-count-#{number += 1}" }
act = ->(klass, input) { house.act(klass, input, key.call) }
lots =
  Array.new(294) do |index|
    act.call(
      NutShelf::Desk::PutAway,
      {
        food_id: foods[index % 60].id,
        place_id: place,
        count: "4",
        amount: "400",
        unit: "g",
        price_minor: 400,
        printed_on: "2028-05-31",
        printed_kind: "best_before"
      }
    )[
      "lot_id"
    ]
  end

enter =
  lambda do
    count = act.call(NutShelf::Desk::StartCount, { place_id: place })["count_id"]
    lots
      .first(30)
      .each { |lot| act.call(NutShelf::Desk::EnterLine, { count_id: count, lot_id: lot, found: "amount", packs: "3" }) }
    6.times do |index|
      act.call(
        NutShelf::Desk::EnterLine,
        {
          count_id: count,
          draft: {
            food_id: foods[index].id,
            place_id: place,
            count: "2",
            amount: "400",
            unit: "g"
          }
        }
      )
    end
    act.call(NutShelf::Desk::EnterRest, { count_id: count, found: "as_expected" })
    count
  end
id = house.who.household_id
account = house.who.account_id
today = BenchHouse::TODAY
bare =
  lambda do |db, count|
    db[:stored_requests].insert(household_id: id, account_id: account, key: key.call, request_hash: "x" * 64)
    db[:households].where(id: id).update(revision: Sequel[:revision] + 1)
    db[:counts].where(household_id: id, id: count).for_update.first
    db[:count_lines].where(household_id: id, count_id: count, removed: false).all
    db[:lots].where(household_id: id, id: lots).order(:id).for_update.all
    entry = db[:acts].insert(household_id: id, account_id: account, kind: "count", occurred_on: today, summary: "bare")
    db[:lot_events].multi_insert(
      lots.map do |lot|
        {
          household_id: id,
          act_id: entry,
          lot_id: lot,
          kind: "seen",
          before: Sequel.pg_jsonb({ seen_on: nil }),
          after: Sequel.pg_jsonb({ seen_on: today.iso8601, since: today.iso8601 })
        }
      end
    )
    db[:lots].where(household_id: id, id: lots).update(seen_on: today)
    6.times do |index|
      lot =
        db[:lots].insert(
          household_id: id,
          food_id: foods[index].id,
          place_id: place,
          start_place_id: place,
          dimension: "mass",
          pack_amount: 400,
          situation: "bought_sealed",
          seen_on: today
        )
      db[:lot_events].insert(
        household_id: id,
        act_id: entry,
        lot_id: lot,
        kind: "came",
        before: Sequel.pg_jsonb({}),
        after: Sequel.pg_jsonb({})
      )
      db[:movements].insert(
        household_id: id, act_id: entry, lot_id: lot, quantity: 800, value_minor: 300, reason: "found", why: "counted"
      )
    end
    db[:movements].multi_insert(
      lots.first(30).map do |lot|
        {
          household_id: id, act_id: entry, lot_id: lot, quantity: -400, value_minor: -100, reason: "eaten",
          why: "counted"
        }
      end
    )
    db[:counts].where(household_id: id, id: count).update(status: "finished")
    db[:places].where(household_id: id, id: place).update(counted_on: today)
    2.times do |index|
      db[:record_events].insert(
        household_id: id,
        act_id: entry,
        record: "count",
        record_id: count + index,
        before: Sequel.pg_jsonb({}),
        after: Sequel.pg_jsonb({})
      )
    end
    db[:stored_requests].where(household_id: id, account_id: account, key: "bench-count-#{number}").update(answer: "{}")
  end

rounds = 25
Sequel.connect(NutShelf::Boot::Wiring.scratch_url(BenchHouse::NAME)) { |db| db.run("ANALYZE") }
timed =
  Array.new(rounds + 3) do
    base_count = enter.call
    base = Harness.time { house.services.database.within(id) { |db| bare.call(db, base_count) } }
    # What the bare round took away comes back, so that both find the same stock.
    house.services.database.within(id) do |db|
      entry =
        db[:acts].insert(household_id: id, account_id: account, kind: "found", occurred_on: today, summary: "back")
      db[:movements].multi_insert(
        lots.first(30).map do |lot|
          { household_id: id, act_id: entry, lot_id: lot, quantity: 400, value_minor: 100, reason: "found" }
        end
      )
      db[:movements].multi_insert(
        db[:lots].where(household_id: id).exclude(id: lots).where { on_hand > 0 }.map do |lot|
          {
            household_id: id,
            act_id: entry,
            lot_id: lot.id,
            quantity: -lot.on_hand,
            value_minor: -lot.value_minor,
            reason: "lost"
          }
        end
      )
    end
    count = enter.call
    done = nil
    ours = Harness.time { done = act.call(NutShelf::Desk::FinishCount, { count_id: count }) }
    act.call(NutShelf::Desk::Undo, { act_id: done["act_id"] })
    house.services.database.within(id) { |db| NutShelf::Store::House.new(db, id).counts.set_status(count, "thrown") }
    [base, ours]
  end
base, ours = timed.drop(3).transpose.map(&:sort)
Harness.report(
  "count",
  lines: 300,
  rounds: rounds,
  baseline_median_ms: Harness.at(base, 0.5),
  baseline_p95_ms: Harness.at(base, 0.95),
  median_ms: Harness.at(ours, 0.5),
  p95_ms: Harness.at(ours, 0.95),
  ratio_median: (Harness.at(ours, 0.5) / Harness.at(base, 0.5)).round(2),
  ratio_p95: (Harness.at(ours, 0.95) / Harness.at(base, 0.95)).round(2)
)
