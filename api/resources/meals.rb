# frozen_string_literal: true

require_relative "../base"
require_relative "../views/picking_list"
require_relative "../views/plan_view"
require_relative "../../desk/acts/cook"
require_relative "../../desk/acts/drop_meal"
require_relative "../../desk/acts/change_meal"
require_relative "../../desk/acts/eat_meal"
require_relative "../../desk/acts/plan_meal"
require_relative "../../desk/acts/slide_meal"

module NutShelf
  module Api
    # What stands on the coming days; the cook's page.
    class Meals < Base
      get("/") do
        from = day_param(:from)
        to = day_param(:to)
        view(:stock, :plan, :people, :rules) do |work|
          plan = PlanView.new(work)
          rows = work.house.meals.between(from || work.today, to || (work.today + Desk::Plan::HORIZON))
          { meals: rows.map { |row| plan.meal(row) }, ties: plan.ties }
        end
      end

      post("/") { act(Desk::PlanMeal, body_as("PlanMeal")) }

      get("/:id") { view(:stock, :plan, :people, :rules) { |work| PickingList.new(work).call(id_param) } }

      post("/:id/cook") { act_on_stacks(Desk::Cook, { meal_id: id_param, **body_as("Cook") }) }

      post("/:id/eat") { act_on_stacks(Desk::EatMeal, { meal_id: id_param, **body_as("EatMeal") }) }

      post("/:id/change") { act(Desk::ChangeMeal, { meal_id: id_param, **body_as("ChangeMeal") }) }

      post("/:id/slide") { act(Desk::SlideMeal, { meal_id: id_param, **body_as("SlideMeal") }) }

      post("/:id/drop") do
        body_as("Nothing")
        act(Desk::DropMeal, { meal_id: id_param })
      end
    end
  end
end
