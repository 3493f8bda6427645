# frozen_string_literal: true

require_relative "../act"
require_relative "../meal_rules"
require_relative "../refusal"
require_relative "../slots"

module NutShelf
  module Desk
    # Slides a meal to another day or meal, or into the pool. What stands there changes places with it, or moves on day
    # by day until there is room, or stays beside it.
    class SlideMeal < Act
      private

      # @param input [Hash] :meal_id, :on (nil: into the pool), :meal, :neighbours "swap" (as usual), "move" or "stay"
      def perform(input)
        @meal = house.records.lock("meal", input[:meal_id])
        raise Refusal.of(:meal_settled, status: @meal.status) unless @meal.status == "planned"

        on = input[:on] && Date.iso8601(input[:on])
        raise Refusal.of(:day_passed, at: "/on", day: on) if on && on < work.today

        target = [on, input[:meal] || @meal.meal]
        raise Refusal.of(:stands_there_already) if target == [@meal.on_date, @meal.meal]

        slid = entry("slide_meal", words(target))
        moves = [[@meal, target], *neighbours(target, input[:neighbours] || "swap")]
        moves.each { |meal, (day, name)| slid.alter("meal", meal, { on_date: day, meal: name }) }
        check(moves)
        done(slid, meal_ids: moves.map { |meal, _| meal.id })
      end

      def words((on, meal))
        name = house.meals.listed_one(@meal.id).recipe_name || "A meal"
        on ? "Slid #{name} to #{on.strftime("%a %-d %b")}, #{meal}" : "Put #{name} aside for later"
      end

      def neighbours((on, meal), how)
        return [] if how == "stay" || on.nil? || (how == "swap" && gone_by?)

        there = standing(on, meal)
        return [] if there.empty?
        return there.map { |one| [one, [@meal.on_date, @meal.meal]] } if how == "swap"

        pushed(there, on, meal)
      end

      # Nothing is put onto a day that has passed.
      def gone_by? = @meal.on_date.nil? || @meal.on_date < work.today

      # Each day's meal goes to the next day, until a day has none.
      def pushed(there, on, meal)
        moved = []
        until there.empty?
          on += 1
          following = standing(on, meal)
          moved.concat(there.map { |one| [one, [on, meal]] })
          there = following
        end
        moved
      end

      def standing(on, meal)
        house.meals.between(on, on).select do |one|
          one.meal == meal && one.status == "planned" && one.id != @meal.id
        end.map { |one| house.records.lock("meal", one.id) }
      end

      # Leftovers stay after their cook and within their days, and at every table it may be eaten.
      def check(moves)
        rules = MealRules.new(work)
        moved = moves.map { |meal, _| house.records.lock("meal", meal.id) }
        ids = moved.map(&:id)
        moved.each { |meal| check_one(rules, meal) }
        moved.flat_map { |meal| house.meals.fed_by(meal.id) }.reject { |fed| ids.include?(fed.id) }
          .each { |fed| check_one(rules, fed) }
      end

      def check_one(rules, meal)
        return unless meal.on_date

        slot = Slots.new(work).of(meal.on_date, meal.meal)
        case meal.kind
        when "cook" then rules.eaters(house.recipes.find(meal.recipe_id), slot, meal.choices, at: "/on")
        when "leftovers" then rules.again(rules.cook_of(meal.from_meal_id), meal.on_date, slot, at: "/on")
        when "kept" then rules.portions(house.lots.lock_one(meal.lot_id), slot, meal.on_date, at: "/on")
        end
      end
    end
  end
end
