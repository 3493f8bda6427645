# frozen_string_literal: true

require_relative "../act"
require_relative "../meal_rules"
require_relative "../occasions"
require_relative "../refusal"
require_relative "../seats"

module NutShelf
  module Desk
    # Puts an occasion onto its day: who comes, and every dish of its menu as a meal of that day, in one act.
    class HoldOccasion < Act
      private

      # @param input [Hash] :occasion_id, :on
      def perform(input)
        on = Date.iso8601(input[:on])
        raise Refusal.of(:day_passed, at: "/on", day: on) if on < work.today

        @occasion = house.occasions.find(input[:occasion_id])
        @occasions = Occasions.new(work)
        menu = @occasions.menu(@occasion, on)
        refuse_twice(on)
        raise Refusal.of(:no_menu, name: @occasion.name) if menu.dishes.empty?

        held = entry("hold_occasion", "Put #{@occasion.name} on #{on.strftime("%a %-d %b")}")
        give_way(held, on)
        # There is as much time for it as it takes.
        Seats.new(work).put(held, @occasion, on, minutes: menu.schedule.begins.clamp(0, 1440))
        meals = menu.dishes.map { |dish| meal(held, menu, dish, on) }
        done(held, occasion_id: @occasion.id, meal_ids: meals, occasion_time_id: time(held, menu, on))
      end

      # On the plan once, whoever of two people puts it there.
      def refuse_twice(on)
        raise Refusal.of(:held_already, name: @occasion.name, day: on) if @occasions.planned?(@occasion, on)
      end

      # What was planned there for a usual evening goes; what is kept, or feeds a later meal, stays beside it.
      def give_way(held, on)
        @occasions.standing(@occasion, on).each do |meal|
          next if meal.pinned || meal.status != "planned" || house.meals.fed_by(meal.id).any?

          held.alter("meal", house.records.lock("meal", meal.id), { status: "dropped" })
        end
      end

      def meal(held, menu, dish, on)
        MealRules.new(work).eaters(dish.recipe, menu.slot, {}, at: "/on")
        held.make(
          "meal",
          { on_date: on, meal: @occasion.meal, servings: dish.amount.servings, status: "planned", pinned: true,
            recipe_id: dish.recipe_id, choices: {}, note: @occasion.name }
        )
      end

      def time(held, menu, on)
        dishes = menu.dishes.map do |dish|
          { "dish" => dish.recipe.key, "name" => dish.recipe.name,
            "cooked" => Core::Decimal.print(dish.amount.servings), "left" => nil }
        end
        there = house.occasions.times(@occasion.id).find { |one| one.on_date == on }
        facts = { heads: menu.slot.eaters.size, dishes: dishes }
        return held.make("occasion_time", { occasion_id: @occasion.id, on_date: on, notes: "", **facts }) unless there

        held.alter("occasion_time", house.records.lock("occasion_time", there.id), facts)
        there.id
      end
    end
  end
end
