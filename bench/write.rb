# frozen_string_literal: true

require_relative "harness"
require_relative "house"

# Put away and take, durable, against the bare transaction in SQL that writes the same rows. Goal: p95 within 3 x.
house = BenchHouse.new
house.fill(300)
food = house.inside { |inner| inner.foods.by_key(["canned-chickpeas"]).values.first[:id] }
place = house.inside { |inner| inner.places.all.first.id }
number = 0
key = -> { "bench-key-#{number += 1}" }
put = lambda do
  house.act(
    NutShelf::Desk::PutAway,
    {
      food_id: food, place_id: place, count: "3", amount: "400", unit: "g", printed_on: "2028-05-31",
      printed_kind: "best_before", price_minor: 267
    },
    key.call
  )
end
deep =
  house.act(
    NutShelf::Desk::PutAway,
    { food_id: food, place_id: place, count: "100000", amount: "400", unit: "g" },
    key.call
  )[
    "lot_id"
  ]
take = -> { house.act(NutShelf::Desk::Take, { lot_id: deep, amount: "400" }, key.call) }

account = house.who.account_id
id = house.who.household_id
open_act =
  lambda do |db, kind|
    db[:stored_requests].insert(household_id: id, account_id: account, key: key.call, request_hash: "x" * 64)
    db[:households].where(id: id).update(revision: Sequel[:revision] + 1)
    db[:acts].insert(household_id: id, account_id: account, kind: kind, occurred_on: BenchHouse::TODAY, summary: "bare")
  end
close_act = lambda do |db|
  db[:stored_requests].where(household_id: id, account_id: account, key: "bench-key-#{number}").update(answer: "{}")
end
bare_put =
  lambda do
    house.services.database.within(id) do |db|
      act = open_act.call(db, "put_away")
      lot =
        db[:lots].insert(
          household_id: id,
          food_id: food,
          place_id: place,
          start_place_id: place,
          dimension: "mass",
          pack_amount: 400,
          situation: "bought_sealed",
          acquired_on: BenchHouse::TODAY,
          printed_on: Date.new(2028, 5, 31),
          printed_kind: "best_before",
          usable_until: Date.new(2028, 5, 31),
          quality_until: Date.new(2028, 5, 31)
        )
      db[:lot_events].insert(
        household_id: id,
        act_id: act,
        lot_id: lot,
        kind: "came",
        before: Sequel.pg_jsonb({}),
        after: Sequel.pg_jsonb({})
      )
      db[:movements].insert(
        household_id: id, act_id: act, lot_id: lot, quantity: 1200, value_minor: 267, reason: "bought"
      )
      db[:price_observations].insert(
        household_id: id,
        food_id: food,
        act_id: act,
        price_minor: 267,
        amount: 1200,
        dimension: "mass",
        observed_on: BenchHouse::TODAY
      )
      close_act.call(db)
    end
  end
bare_take =
  lambda do
    house.services.database.within(id) do |db|
      act = open_act.call(db, "take")
      db[:lots].where(household_id: id, id: deep).for_update.first
      db[:movements].insert(
        household_id: id, act_id: act, lot_id: deep, quantity: -400, value_minor: 0, reason: "eaten"
      )
      close_act.call(db)
    end
  end

settings =
  house.services.database.outside do |db|
    %w[fsync synchronous_commit].to_h { |name| [name, db.get(Sequel.function(:current_setting, name))] }
  end
Harness.report("write-put_away", **settings, rows: 6, **Harness.compare(150, baseline: bare_put, subject: put))
Harness.report("write-take", **settings, rows: 3, **Harness.compare(150, baseline: bare_take, subject: take))
