# frozen_string_literal: true

require_relative "../base"
require_relative "../views/plan_view"

module NutShelf
  module Api
    # Dishes for a day, what rescues most first.
    class Dishes < Base
      # So many foods are asked for at once.
      MOST = 20

      get("/") do
        day = day_param(:on)
        view(:stock, :plan, :people, :rules) do |work|
          plan = PlanView.new(work)
          on = day || work.today
          found = plan.plan.ranked(on)
          found = found.select { |entry| entry.dish.recipe.meal == params[:meal] } if params[:meal]
          found = using(found, plan.plan) if params[:with]
          {
            on: on.iso8601,
            servings: Core::Decimal.print(plan.plan.servings),
            dishes: found.reject { |entry| entry.dish.shut? }.map { |entry| plan.dish(entry) },
            shut: found.select { |entry| entry.dish.shut? }.map { |entry| plan.dish(entry) }
          }
        end
      end

      helpers do
        # "What can I make with this?": dishes that need one of these foods, or let it stand in; what most of them need
        # first, then what is missing least, then as they are ranked.
        def using(found, plan)
          ids = params[:with].to_s.split(",").first(MOST).map(&:to_i)
          keys = plan.shelf.food_ids.invert.values_at(*ids).compact
          rated = found.map { |entry| [uses(entry.dish, keys), entry] }.select { |count, _| count.positive? }
          rated.sort_by.with_index { |(count, entry), at| [-count, -entry.dish.covered, at] }.map(&:last)
        end

        def uses(dish, keys)
          lines = dish.recipe.lines.reject(&:optional)
          keys.count { |key| lines.any? { |line| line.food_key == key || line.substitutes.key?(key) } }
        end
      end
    end
  end
end
