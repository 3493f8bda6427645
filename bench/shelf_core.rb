# frozen_string_literal: true

require "objspace"
require_relative "harness"
require_relative "../boot/reference"
require_relative "../core/rotation/shelf"

# Drawing on a Shelf against a plain loop over arrays of numbers that takes the same amounts from the same stacks: a
# thousand draws of one food after another, 250 g each, a tin in three opened. Then what one stack costs in memory.
# bin/bench shelf_core
module ShelfCore
  Core = NutShelf::Core
  TODAY = Date.new(2026, 11, 24)
  DRAWS = 1000
  GRAMS = 250r

  module_function

  def foods = @foods ||= NutShelf::Boot::Reference.catalog.foods

  # @return [Array<Core::Stack>] tins of 400 g, spread over foods and dates
  def stacks(count, chance = Random.new(1))
    keys = foods.keys.sort.first(370)
    Array.new(count) do |id|
      last = TODAY + chance.rand(1..900)
      grams = 400r * chance.rand(1..6)
      Core::Stack.new(
        id: id, food_id: 1, food_key: keys[chance.rand(keys.size)], place_id: 1, place: "Cupboard", label: "",
        dimension: :mass, on_hand: grams, pack_amount: 400r, amount: grams, pack: 400r, grams_per_unit: 1r,
        minor_per_gram: 1/4r, usable_until: last, strict_until: last, quality_until: last, value_minor: (grams / 4).to_i
      )
    end
  end

  def shelf(stacks) = Core::Shelf.new(stacks, foods: foods, today: TODAY)

  # @return [Array<Rational>] what is missing of each draw
  def by_cursor(shelf, keys)
    cursor = shelf.cursor
    Array.new(DRAWS) { |turn| cursor.draw(keys[turn % keys.size], GRAMS, TODAY).missing }
  end

  # The same by hand: rows of [last good day, grams], sorted once, taken from in order.
  def by_loop(rows, keys)
    today = TODAY.jd
    left = rows.transform_values { |list| list.map(&:dup) }
    Array.new(DRAWS) do |turn|
      wanted = GRAMS
      left.fetch(keys[turn % keys.size]).each do |row|
        break unless wanted.positive?
        next if row[0] < today

        taken = [row[1], wanted].min
        row[1] -= taken
        wanted -= taken
      end
      wanted
    end
  end

  def measure(count)
    list = stacks(count)
    made = shelf(list)
    keys = made.keys.sort
    rows = keys.to_h { |key| [key, made.of(key).map { |stack| [stack.usable_until.jd, stack.amount] }] }
    raise "they do not take the same" unless by_cursor(made, keys) == by_loop(rows, keys)

    ratio = Harness.compare(60, baseline: -> { by_loop(rows, keys) }, subject: -> { by_cursor(made, keys) })
    build = Harness.compare(20, baseline: -> { stacks(count) }, subject: -> { shelf(list) })
    { stacks: count, draws: DRAWS, loop_ms: ratio[:baseline_median_ms], cursor_ms: ratio[:median_ms],
      ratio: ratio[:ratio_median], shelf_ms: build[:median_ms], bytes_a_stack: bytes(made) / count,
      sent_kb: Marshal.dump(made).bytesize / 1024 }
  end

  # What the shelf itself adds, and the stacks with their own dates and amounts.
  def bytes(made)
    seen = {}.compare_by_identity
    weigh = lambda do |object|
      return 0 if object.nil? || seen[object] || object.is_a?(Module) || object.is_a?(Core::Food)

      seen[object] = true
      ObjectSpace.memsize_of(object) + ObjectSpace.reachable_objects_from(object).to_a.sum { |one| weigh.(one) }
    end
    weigh.(made.stacks)
  end
end

Harness.table("shelf_core", [2_000, 20_000].map { |count| ShelfCore.measure(count) })
