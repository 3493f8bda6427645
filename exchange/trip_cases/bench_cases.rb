# frozen_string_literal: true

require_relative "../../core/bags/part_date"
require_relative "../../core/portioning/portion_dates"
require_relative "../../core/portioning/bench"
require_relative "reading"

module NutShelf
  module Exchange
    module TripCases
      # Portions of several takes.
      class PortionCase < Reading
        PART = %r{\A\d{1,6}/\d{1,6}\z}

        # @return [Hash]
        def answer
          done = bench.call(count: @case["count"] && @case.whole("count"), size: @case.amount("size_g"))
          told(done).merge(dates(done), additions(done))
        rescue ArgumentError => e
          @case.bad("input", nil, e.message)
        end

        private

        def bench
          Core::Portioning::Bench.new(
            intakes, trim_g: @case.amount("trim_g"), spoiled_g: number("spoiled_g", usual: 0r),
            by_products_g: @case.list("by_products").map { |one| number("g", one) },
            bowl_g: @case.amount("bowl_g"), additions: @case.list("addons").map { |one| addition(one) }
          )
        end

        def intakes
          @case.list("inputs").map do |one|
            Core::Portioning::Intake.new(
              food: food(one["food"], one), grams: number("g", one), value_minor: one.money("value")
            )
          end
        end

        def addition(one)
          Core::Portioning::Addition.new(
            food: food(one["food"], one), each_g: each(one), on_hand_g: number("on_hand_g", one),
            value_minor: one.money("value")
          )
        end

        # "140/3" is a third of a tin.
        def each(one)
          PART.match?(one["each_g"].to_s) ? Rational(one["each_g"].to_s) : one.number("each_g")
        rescue ZeroDivisionError
          one.bad("each_g", one["each_g"], "Write a number like 25, or a part like 140/3.")
        end

        def told(done)
          {
            pool_g: text(done.pool_g, 6), portions: done.count, share_g: text(done.share_g, 6),
            each_g: text(done.each_g, 6), costs: done.costs.tally.map { |cost, count| { count: count, cost: cost } },
            rest_g: text(done.rest_g, 6), rest_value: done.rest_value, trim_g: text(done.trim_g, 6),
            spoiled_value: done.spoiled_value, in_and_gained_g: text(done.in_g, 6), out_g: text(done.out_g, 6)
          }
        end

        def additions(done)
          return {} if done.additions.empty?

          { addons: done.additions.map do |one|
            { food: one.food.key, each_g: text(one.each, 6), taken_g: text(one.taken(done.count), 6),
              value: one.value(done.count) }
          end }
        end

        def dates(done)
          on = @case.day("on") or return {}
          fresh = count("fresh", usual: @case["freeze"] ? 0 : done.count)
          cooked = @case["cooked_as"] && food(@case["cooked_as"], @case, "cooked_as")
          raw = [*(@case.list("inputs") unless cooked), *@case.list("addons")].map { |one| part(one) }
          dates = Core::Portioning::PortionDates.new(catalog, policy, cooked: cooked)
          {
            fresh: fresh, fresh_until: dates.fresh(raw, on)&.on&.iso8601,
            **(@case["freeze"] ? { frozen_until: dates.frozen(raw, on)&.on&.iso8601 } : {})
          }
        end

        def part(one)
          Core::Bags::BagStack.new(
            id: "", food: food(one["food"], one), grams: 0r, value_minor: 0, printed_on: one.day("printed_on"),
            printed_kind: printed_kind(one), opened_on: one.day("opened_on"), place: "fridge"
          )
        end
      end
    end
  end
end
