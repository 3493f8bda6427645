# frozen_string_literal: true

require_relative "../base"
require_relative "../views/plan_view"

module NutShelf
  module Api
    # What the coming days' meals ask for and the shelf does not have, by aisle.
    class Missing < Base
      get("/") do
        days = number_param(:days, 7, 1..Desk::Plan::HORIZON)
        view(:stock, :plan, :people, :rules) do |work|
          plan = PlanView.new(work)
          items = plan.plan.missing(work.today + days - 1).first.map { |item| item(item, plan) }
          listed = items.map { |entry| entry[:food_id] }
          items +=
            work
              .shelf
              .running_out
              .map { |key, level| by_level(key, level, plan) }
              .reject { |entry| listed.include?(entry[:food_id]) }
          {
            days: days,
            cost_minor: items.sum { |entry| entry[:cost_minor] },
            estimated: items.any? { |entry| entry[:estimated] },
            aisles: by_aisle(items)
          }
        end
      end

      helpers do
        def by_aisle(items)
          items
            .group_by { |entry| entry.delete(:aisle) }
            .sort
            .map { |aisle, list| { aisle: aisle, items: list.sort_by { |entry| entry[:food] } } }
        end

        def item(item, plan)
          food = plan.foods.fetch(item.food_key)
          cost, estimated = plan.plan.whole_cost(item.food_key, item.grams)
          {
            aisle: food.aisle,
            food_id: plan.food_id(item.food_key),
            food: food.name,
            amount: plan.food_amount(item.food_key, item.grams),
            level: nil,
            at_home: item.at_home.positive? ? plan.food_amount(item.food_key, item.at_home) : nil,
            pack: plan.pack_words(item.pack),
            count: item.pack_count || 1,
            cost_minor: cost,
            estimated: estimated,
            reasons: reasons(item, plan),
            put_away: put_away(item, food, plan)
          }
        end

        # One usual pack of what is kept by level and runs low.
        def by_level(key, level, plan)
          food = plan.foods.fetch(key)
          pack, = Core::MissingList.packs(food, 1r)
          cost, estimated = plan.plan.whole_cost(key, 1r)
          {
            aisle: food.aisle,
            food_id: plan.food_id(key),
            food: food.name,
            amount: "some",
            at_home: nil,
            level: level,
            pack: plan.pack_words(pack),
            count: 1,
            cost_minor: cost,
            estimated: estimated,
            reasons: [],
            put_away: ["1 x", plan.pack_words(pack), plain_name(food)].compact.join(" ")
          }
        end

        def plain_name(food) = food.name.split(",").reverse.map(&:strip).join(" ")

        def reasons(item, plan)
          meals = plan.plan.coming.to_h { |meal| [meal.id, meal] }
          item.reasons.map do |reason|
            meal = meals.fetch(reason[:meal])
            {
              meal_id: meal.id,
              on: meal.on.iso8601,
              name: plan.plan.name_of(meal),
              amount: plan.food_amount(item.food_key, reason[:grams])
            }
          end
        end

        # The label line that puts this purchase away.
        def put_away(item, food, plan)
          name = plain_name(food)
          return "#{plan.food_amount(item.food_key, item.grams)} #{name}" unless item.pack
          return "#{(item.pack * item.pack_count).amount.to_i} #{name}" if item.pack.dimension == :count

          "#{item.pack_count} x #{plan.pack_words(item.pack)} #{name}"
        end
      end
    end
  end
end
