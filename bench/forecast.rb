# frozen_string_literal: true

require_relative "harness"
require_relative "../boot/reference"
require_relative "../core/forecast/forecast"
require_relative "../core/rotation/once_opened"

# A year ahead for a household: every food used day by day, packs opened on the way, against one pass over the same
# events in plain Ruby: rows of [last good day, grams, pack, days once open], sorted once, taken from in order.
# bin/bench forecast
module ForecastBench
  Core = NutShelf::Core
  TODAY = Date.new(2026, 11, 24)
  DAYS = 365
  FOODS = 400

  module_function

  # @return [Array<Core::Stack>] packs of 400 g, spread over foods and dates; every third food spoils once open
  def stacks(count, chance = Random.new(1))
    Array.new(count) do |id|
      key = chance.rand(FOODS)
      last = TODAY + chance.rand(1..700)
      grams = 400r * chance.rand(1..6)
      Core::Stack.new(
        id: id, food_id: key, food_key: "food-#{key}", place_id: 1, place: "Cupboard", label: "", dimension: :mass,
        on_hand: grams, pack_amount: 400r, amount: grams, pack: 400r, grams_per_unit: 1r, minor_per_gram: 1/4r,
        usable_until: last, strict_until: last, quality_until: last, opened: opened(key)
      )
    end
  end

  def opened(key) = (key % 3).zero? ? Core::OnceOpened.new(how: :opened, days: 10, strict_days: 10) : nil

  # Half of a food's stock in a year, so that some of it goes past and some runs out.
  def habits(stacks)
    daily = stacks.group_by(&:food_key).transform_values do |list|
      (list.sum(&:amount) * (list.first.food_id.even? ? 1 : 2) / (DAYS * 2)).round(6)
    end
    Core::Habits.new(daily, TODAY)
  end

  def by_forecast(shelf, habits)
    forecast = Core::Forecast.new(shelf, to: TODAY + DAYS, habits: habits)
    [forecast.goes_past.sum(&:amount), forecast.runs_out.each_value.sum(&:total)]
  end

  # Rows: last good day, grams, pack (nil once open), days once open, id.
  def rows(shelf)
    shelf.keys.to_h do |key|
      [key, shelf.of(key).map { |one| [one.usable_until.jd, one.amount, one.pack, one.opened&.days, one.id] }]
    end
  end

  # @return [Array(Rational, Rational)] grams past and grams short
  def by_loop(rows, daily)
    past = short = 0r
    rows.each do |key, list|
      lost, lacking = one_food(list.map(&:dup), daily.fetch(key), TODAY.jd, TODAY.jd + DAYS)
      past += lost
      short += lacking
    end
    [past, short]
  end

  def one_food(list, daily, day, last)
    past = short = 0r
    while day <= last
      while (row = list.first) && (row[0] < day || row[1].zero?)
        past += row[1]
        list.shift
      end
      return [past, short + (daily * (last - day + 1))] unless row

      if row[2].nil? && row[1] >= daily
        days = [(row[1] / daily).floor, row[0] - day + 1, last - day + 1].min
        row[1] -= daily * days
        day += days
      else
        short += one_day(list, daily, day)
        day += 1
      end
    end
    [past + list.sum { |row| row[0] < last ? row[1] : 0 }, short]
  end

  def one_day(list, wanted, day)
    while wanted.positive? && (index = list.index { |row| row[1].positive? && row[0] >= day })
      row = list[index]
      if row[2] && (whole = (wanted / row[2]).floor).positive?
        taken = [whole * row[2], row[1]].min
      elsif row[2]
        open = [[row[0], row[3] ? day + row[3] : row[0]].min, row[2], nil, nil, row[4]]
        row[1] -= row[2]
        list.insert(list.index { |one| one[0] >= open[0] } || list.size, open)
        row = open
        taken = [wanted, row[1]].min
      else
        taken = [wanted, row[1]].min
      end
      row[1] -= taken
      wanted -= taken
    end
    wanted
  end

  def measure(count)
    shelf = Core::Shelf.new(stacks(count), foods: {}, today: TODAY)
    habits = habits(shelf.stacks.values)
    daily = habits.keys.to_h { |key| [key, habits.daily(key)] }
    plain = rows(shelf)
    ours = by_forecast(shelf, habits)
    loops = by_loop(plain, daily)
    raise "they do not say the same: #{ours.map(&:to_f)} #{loops.map(&:to_f)}" unless ours == loops

    ratio = Harness.compare(20, baseline: -> { by_loop(plain, daily) }, subject: -> { by_forecast(shelf, habits) })
    { stacks: count, foods: FOODS, days: DAYS, loop_ms: ratio[:baseline_median_ms], forecast_ms: ratio[:median_ms],
      ratio: ratio[:ratio_median] }
  end
end

Harness.table("forecast", [2_000, 20_000].map { |count| ForecastBench.measure(count) })
