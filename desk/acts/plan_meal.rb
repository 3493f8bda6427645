# frozen_string_literal: true

require_relative "../act"
require_relative "../fit"
require_relative "../meal_rules"
require_relative "../refusal"
require_relative "../slots"

module NutShelf
  module Desk
    # Puts something onto a day's meal, or into the pool: a dish, leftovers of another meal, portions that wait, eating
    # out, whatever is left.
    class PlanMeal < Act
      NAMES = { "out" => "Eating out", "whatever" => "Whatever is left" }.freeze

      private

      # @param input [Hash] :on (nil: into the pool), :meal, :servings (decimal text) or nil for those at the table; and
      #   :recipe_id with :choices, or :from_meal_id, or :lot_id, or :kind "out" or "whatever"; :pinned, :note
      def perform(input)
        @on = input[:on] && Date.iso8601(input[:on])
        raise Refusal.of(:day_passed, at: "/on", day: @on) if @on && @on < work.today

        @rules = MealRules.new(work)
        name, meal, facts = fills(input)
        check_servings(input[:servings])
        planned = entry("plan_meal",
          @on ? "Put #{name} on #{@on.strftime("%a %-d %b")}" : "Put #{name} aside for later")
        done(planned, meal_id: planned.make("meal", { **common(input, meal), **facts }))
      end

      def common(input, meal)
        {
          on_date: @on, meal: input[:meal] || meal, servings: input[:servings]&.to_r || servings(input[:meal] || meal),
          status: "planned", pinned: input[:pinned] == true, note: input[:note] || ""
        }
      end

      # @return [Array(String, String, Hash)] its name, the meal it is for as a rule, and what is stored of it
      def fills(input)
        return dish(input) if input[:recipe_id]
        return leftovers(input) if input[:from_meal_id]
        return portions(input) if input[:lot_id]

        kind = NAMES.key?(input[:kind]) ? input[:kind] : raise(Refusal.of(:no_dish_there, at: "/recipe_id"))
        [NAMES.fetch(kind), "dinner", { kind: kind }]
      end

      def dish(input)
        recipe = house.recipes.find(input[:recipe_id])
        choices = @rules.choices(recipe, input[:choices] || {})
        @rules.eaters(recipe, slot(input[:meal] || recipe.meal), choices, at: "/recipe_id")
        [recipe.name, recipe.meal, { recipe_id: input[:recipe_id], choices: choices }]
      end

      def leftovers(input)
        cook = @rules.cook_of(input[:from_meal_id])
        raise Refusal.of(:leftovers_need_a_day, at: "/on") unless @on

        recipe = @rules.again(cook, @on, slot(input[:meal] || cook.meal), at: "/from_meal_id")
        ["#{recipe.name}, again", cook.meal, { kind: "leftovers", from_meal_id: cook.id }]
      end

      # Portions from the freezer or the fridge, good until that day.
      def portions(input)
        lot = house.lots.lock_one(input[:lot_id])
        Fit.check(work, lot, Redate.new(work).part(lot), pointer: "/lot_id")
        @rules.portions(lot, slot(input[:meal] || "dinner"), @on, at: "/lot_id")
        [lot.name(work.food(lot.food_id)), "dinner", { kind: "kept", lot_id: lot.id }]
      end

      def slot(meal) = Slots.new(work).of(@on || work.today, meal)

      def servings(meal) = [slot(meal).servings, 1/10r].max

      def check_servings(text)
        return if text.nil? || text.to_r.between?(1/10r, 500)

        raise Refusal.of(:portions_out_of_range, at: "/servings")
      end
    end
  end
end
