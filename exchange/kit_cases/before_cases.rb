# frozen_string_literal: true

require_relative "../../core/kits/before_event"
require_relative "../../core/kits/fresh_food"
require_relative "../../core/kits/stretching"
require_relative "shelf_cases"

module NutShelf
  module Exchange
    module KitCases
      # The hours before an event.
      class TasksCase < Reading
        # @return [Hash]
        def answer
          plan = Core::Kits::BeforeEvent.new(
            catalog.kits.event_tasks, has: @case.names("has"), fill_l: @case.amount("fill_l") || 0r,
            flush_l: @case.amount("flush_l") || 0r, helpers: @case["helpers"] ? @case.at_least_one("helpers") : 1
          ).call(now: moment("now"), hour: moment("hour"))
          {
            begin_at: plan.begin_at&.iso8601, left_out: plan.left_out.map(&:key).sort,
            too_late: plan.too_late.map(&:key),
            tasks: plan.turns.map { |turn| { key: turn.task.key, start: turn.start.iso8601, by: turn.by.iso8601 } }
          }
        end
      end

      # Fresh food for an event.
      class FreshCase < Reading
        # @return [Hash]
        def answer
          foods = @case.names("foods").map do |key|
            catalog.foods.fetch(key) do
              @case.bad("foods", key, "Use the key of a food.")
            end
          end
          plan = Core::Kits::FreshFoods.new(catalog, place: @case.one_of("place", PLACES, usual: "cupboard")).call(
            foods, bought: @case.the_day("bought"), event: @case.the_day("event"), days: @case.whole("days"),
            per_day: @case.number("servings_per_day"), have: @case.table("have_servings")
          )
          { foods: plan.foods.map { |one| told(one) }, tins_from_day: plan.tins_from_day }
        end

        private

        def told(one)
          { food: one.food.key, life: one.life, days: [one.from, one.to],
            (one.unit == "piece" ? :pieces : :grams) => one.amount }
        end
      end

      # A small leftover and tins.
      class StretchCase < Reading
        # @return [Hash]
        def answer
          found = Core::Kits::Stretched.of(
            food(@case, "leftover"), @case.positive("grams"), factors: people("eaters").sum(0r, &:factor),
            tin: food(@case, "tin"), pack: pack(@case)
          )
          { missing_percent: ROUND.up(found.lacking * 100), tins: found.tins }
        end
      end
    end
  end
end
