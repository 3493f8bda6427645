# frozen_string_literal: true

require_relative "../act"
require_relative "../meal_rules"
require_relative "../refusal"
require_relative "../slots"

module NutShelf
  module Desk
    # What was planned for days that have passed and was not cooked: each dish goes to the next such meal that is open
    # and has the time and the table for it, else aside, without a day; portions too, while they are good. What was to
    # be left over of it, and what was eaten out or somehow, is over.
    class CarryOver < Act
      AHEAD = 14

      private

      # @param input [Hash] :meal_ids, or nil for all of them
      def perform(input)
        late = house.meals.undone(work.today).select do |row|
          input[:meal_ids].nil? || input[:meal_ids].include?(row.id)
        end
        raise Refusal.of(:nothing_to_carry) if late.empty?

        @slots = Slots.new(work)
        @rules = MealRules.new(work)
        @taken = house.meals.between(work.today, work.today + AHEAD).to_set { |row| [row.on_date, row.meal] }
        carried = entry("carry_over", "Carried over #{late.size == 1 ? "a meal" : "#{late.size} meals"}")
        late.each { |row| carry(carried, house.records.lock("meal", row.id)) }
        done(carried, meal_ids: late.map(&:id))
      end

      def carry(carried, meal)
        day = next_day(meal)
        changes =
          if day then { on_date: day }
          else meal.kind == "cook" ? { on_date: nil } : { status: "dropped" }
          end
        carried.alter("meal", meal, changes)
        @taken << [day, meal.meal] if day
        drop_what_it_fed(carried, meal) if meal.kind == "cook"
      end

      def next_day(meal)
        return unless %w[cook kept].include?(meal.kind)

        (work.today..(work.today + AHEAD)).find { |day| !@taken.include?([day, meal.meal]) && fits?(meal, day) }
      end

      def fits?(meal, day)
        slot = @slots.of(day, meal.meal)
        return false unless slot.wanted?
        return portions_fit?(meal, slot, day) if meal.kind == "kept"

        recipe = house.recipes.find(meal.recipe_id)
        return false if slot.against(recipe).any?

        @rules.eaters(recipe, slot, meal.choices, at: "/meal_ids")
        true
      rescue Conflict
        false
      end

      def portions_fit?(meal, slot, day)
        @rules.portions(house.lots.lock_one(meal.lot_id), slot, day, at: "/meal_ids")
        true
      end

      # Leftovers of a dish that is cooked another day are planned anew.
      def drop_what_it_fed(carried, meal)
        house.meals.fed_by(meal.id).each do |fed|
          carried.alter("meal", house.records.lock("meal", fed.id), { status: "dropped" })
        end
      end
    end
  end
end
