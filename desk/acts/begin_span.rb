# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Begins days without shopping, so that they are looked after while they run. One at a time.
    class BeginSpan < Act
      private

      # @param input [Hash] :days, :name, :fresh ids of foods that are bought all the same
      def perform(input)
        running = house.meals.running_span(work.today)
        raise Refusal.of(:span_runs_already, name: running.name) if running

        unknown = (input[:fresh] || []) - house.foods.ids_by_key.values
        raise Refusal.of(:recipe_food_unknown, at: "/fresh") if unknown.any?

        begun = entry("begin_span", "Began #{input[:name]}: #{input[:days]} days without shopping")
        span = {
          name: input[:name], kind: "eat_down", from_on: work.today, to_on: work.today + input[:days] - 1, trips: [],
          rules: { "fresh" => input[:fresh] || [] }
        }
        done(begun, span_id: begun.make("span", span))
      end
    end
  end
end
