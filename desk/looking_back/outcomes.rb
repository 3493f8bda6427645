# frozen_string_literal: true

require_relative "../../core/looking_back/eaten_of_cooking"
require_relative "../../core/looking_back/outcome"
require_relative "../../core/planning/weight"

module NutShelf
  module Desk
    module LookingBack
      # The ledger's movements as outcomes: what a cook drew counts as eaten but for what the kept portions carry, and a
      # portion weighs what went into it.
      class Outcomes
        # @param work [UnitOfWork]
        # @param from [Date]
        # @param to [Date]
        def initialize(work, from:, to:)
          @work = work
          @from = from
          @to = to
        end

        # @return [Array<Core::Outcome>] in the order of the ledger
        def all
          @all ||=
            begin
              @work.know_foods(moved.map(&:food_id))
              [*cooked, *left].sort_by(&:movement_id)
            end
        end

        # @return [Array<Store::Rows::Moved>] everything that came or left
        def moved = @moved ||= @work.house.outcomes.between(@from, @to)

        # @param row [Store::Rows::Moved]
        # @return [Core::Quantity, nil] the size it came in
        def pack(row) = row.pack_amount && Core::Quantity.new(row.pack_amount, row.dimension.to_sym)

        # @return [Integer, nil] the shop it was bought in
        def shop_id(row) = shops[[row.food_id, row.acquired_on]]

        # @return [Rational, nil] grams that moved, nil where nothing says so
        def grams(row)
          unit = portions.fetch([row.food_id, row.made_on]) { unit(row) }
          unit && (row.quantity.abs * unit)
        end

        private

        def left
          moved.select { |row| Core::Outcome::KINDS.include?(row.reason) }
            .map { |row| outcome(row, row.reason, grams(row), -row.value_minor) }
        end

        def cooked
          acts(moved).flat_map do |drawn, kept|
            values = Core::EatenOfCooking.values(drawn.map { |row| -row.value_minor }, kept)
            share = Core::EatenOfCooking.share(drawn.map { |row| -row.value_minor }, kept)
            drawn.zip(values).map do |row, value|
              weight = grams(row)
              outcome(row, "eaten", weight && (weight * share), value)
            end
          end
        end

        # @return [Array<Array(Array<Store::Rows::Moved>, Integer)>] of each cook what it drew, and what is worth what
        #   was kept
        def acts(rows)
          rows.group_by(&:act_id).values.filter_map do |list|
            drawn = list.select { |row| row.reason == "cooked" }
            [drawn, list.select { |row| row.reason == "made" }.sum(&:value_minor)] if drawn.any?
          end
        end

        def outcome(row, kind, weight, value)
          Core::Outcome.new(
            on: row.occurred_on, kind: kind, why: row.why, food_id: row.food_id,
            group: @work.food(row.food_id).food_group, place_id: place_id(row), kit_id: kit_id(row),
            shop_id: shop_id(row), account_id: row.account_id, pack: pack(row), grams: weight,
            value_minor: value, days_left: row.days_left, looked: row.looked == true, estimated: row.value_estimated,
            movement_id: row.id, act_id: row.act_id, lot_id: row.lot_id, open: row.open
          )
        end

        # Where its stack stood on that day, by its story.
        def place_id(row)
          moves = row.history.select { |one| one["kind"] == "moved" }
          return row.place_id if moves.empty?

          before = moves.select { |one| (at(one) <=> [row.occurred_on.iso8601, row.sequence]).negative? }
          before.max_by { |one| at(one) }&.fetch("place_id", nil) || row.start_place_id
        end

        # The kit it belonged to before it left, in a box or set apart: what a refresh brings into the kitchen came out
        # of it.
        def kit_id(row)
          return set_apart[row.lot_id] if boxes.empty?

          moves = row.history.select { |one| earlier_move?(one, row) }.map { |one| one["place_id"] }
          [row.start_place_id, *moves].filter_map { |id| boxes[id] }.last || set_apart[row.lot_id]
        end

        def earlier_move?(event, row)
          event["kind"] == "moved" && (at(event) <=> [row.occurred_on.iso8601, row.sequence]).negative?
        end

        def boxes = @boxes ||= @work.all_places.transform_values(&:kit_id).compact

        def set_apart = @set_apart ||= @work.house.reservations.for_kits

        def at(event) = [event["on"].to_s, event["seq"].to_i]

        def shops = @shops ||= @work.house.outcomes.shops

        def unit(row) = Core::Weight.of_unit(@work.food(row.food_id), row.dimension.to_sym, row.noun)

        # @return [Hash{Array(Integer, Date)=>Rational}] a kept dish and the day it was made to the grams of a portion
        def portions
          @portions ||=
            begin
              rows = @work.house.outcomes.cooked(@to)
              @work.know_foods(rows.map(&:food_id))
              rows.group_by(&:act_id).values.reduce({}) { |found, list| found.merge(weighed(list)) }.freeze
            end
        end

        def weighed(list)
          drawn, made = list.partition { |row| row.reason == "cooked" }
          worth = drawn.sum { |row| -row.value_minor }
          went_in = drawn.sum(0r) { |row| (unit(row) || 0r) * row.quantity.abs }
          kept = made.select { |row| row.noun && row.quantity.positive? }.group_by { |row| [row.food_id, row.made_on] }
          kept.transform_values do |rows|
            next 0r if worth.zero?

            went_in * rows.sum(&:value_minor) / worth / rows.sum(&:quantity)
          end
        end
      end
    end
  end
end
