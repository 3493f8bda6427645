# frozen_string_literal: true

require_relative "../base"
require_relative "../views/plan_view"

module NutShelf
  module Api
    # Dishes for a day, what rescues most first.
    class Dishes < Base
      get("/") do
        day = day_param(:on)
        view(:stock, :plan, :people, :rules) do |work|
          plan = PlanView.new(work)
          on = day || work.today
          found = plan.plan.ranked(on)
          found = found.select { |entry| entry.dish.recipe.meal == params[:meal] } if params[:meal]
          {
            on: on.iso8601,
            servings: Core::Decimal.print(plan.plan.servings),
            dishes: found.reject { |entry| entry.dish.shut? }.map { |entry| plan.dish(entry) },
            shut: found.select { |entry| entry.dish.shut? }.map { |entry| plan.dish(entry) }
          }
        end
      end
    end
  end
end
