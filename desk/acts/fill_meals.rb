# frozen_string_literal: true

require_relative "../act"
require_relative "../fit"
require_relative "../meal_rules"
require_relative "../refusal"
require_relative "../slots"

module NutShelf
  module Desk
    # Puts many meals onto their days at once, as a filling proposed them: one act, one undo. What stands there and is
    # named to be replaced goes; the rest stays.
    class FillMeals < Act
      private

      # @param input [Hash] :meals as [{on: (nil: it waits without a day), meal:, recipe_id: or leftovers_of: (place in
      #   the list) or from_meal_id: or lot_id:, choices:, servings: or nil}], in the order of time; :replace ids of
      #   planned meals that go
      def perform(input)
        @slots = Slots.new(work)
        @rules = MealRules.new(work)
        raise Refusal.of(:nothing_to_fill, at: "/meals") if input[:meals].empty?

        filled = entry("fill_meals", words(input[:meals]))
        gone = replaced(filled, input[:replace] || [])
        refuse_filled(input[:meals])
        @made = []
        input[:meals].each_with_index { |said, at| @made << make(filled, said, at) }
        done(filled, meal_ids: @made.map(&:first), dropped: gone)
      end

      def words(meals)
        days = meals.filter_map { |said| said[:on] && Date.iso8601(said[:on]) }
        many = Core::Words.count(meals.size, "meal", "meals")
        return "Chose #{many} to have in hand" if days.empty?

        "Filled #{many}, #{days.minmax.uniq.map { |day| day.strftime("%-d %b") }.join(" to ")}"
      end

      # A filling is looked for and taken later: what somebody planned in between is not covered up.
      def refuse_filled(list)
        days = list.filter_map { |said| said[:on] && Date.iso8601(said[:on]) }
        return if days.empty?

        there = house.meals.between(days.min, days.max).to_set { |row| [row.on_date, row.meal] }
        list.each_with_index do |said, at|
          on = said[:on] && Date.iso8601(said[:on])
          next unless there.include?([on, said[:meal]])

          raise Refusal.of(:filled_meanwhile, at: "/meals/#{at}", meal: said[:meal], day: on)
        end
      end

      def replaced(filled, ids)
        ids.map do |id|
          meal = house.records.lock("meal", id)
          raise Refusal.of(:meal_settled, status: meal.status) unless meal.status == "planned"
          raise Refusal.of(:meal_pinned, at: "/replace") if meal.pinned

          filled.alter("meal", meal, { status: "dropped" })
          id
        end
      end

      # @return [Array(Integer, Date, Core::Recipe)] its id, day and dish
      def make(filled, said, at)
        on = said[:on] && Date.iso8601(said[:on])
        raise Refusal.of(:day_passed, at: "/meals/#{at}/on", day: on) if on && on < work.today

        slot = on ? @slots.of(on, said[:meal]) : @slots.in_hand(work.today, said[:meal])
        servings = said[:servings]&.to_r || [slot.servings, 1/10r].max
        facts = { on_date: on, meal: said[:meal], servings: servings, status: "planned" }
        return again(filled, said, facts, slot, at) if said[:leftovers_of] || said[:from_meal_id]

        return portions(filled, said, facts, slot, at) if said[:lot_id]

        recipe = house.recipes.find(said[:recipe_id])
        @rules.eaters(recipe, slot, said[:choices] || {}, at: "/meals/#{at}/recipe_id")
        id = filled.make(
          "meal", { **facts, recipe_id: said[:recipe_id], choices: @rules.choices(recipe, said[:choices] || {}) }
        )
        [id, on, recipe]
      end

      # So many as there are, where they do not go round.
      def portions(filled, said, facts, slot, at)
        lot = house.lots.lock_one(said[:lot_id])
        Fit.check(work, lot, Redate.new(work).part(lot), pointer: "/meals/#{at}/lot_id")
        @rules.portions(lot, slot, facts[:on_date], at: "/meals/#{at}/lot_id")
        enough = [facts[:servings], lot.on_hand / (lot.pack_amount || 1r)].min
        id = filled.make("meal", { **facts, servings: [enough, 1/10r].max, kind: "kept", lot_id: lot.id })
        [id, facts[:on_date], nil]
      end

      # @param place [Integer] in the list, whatever number somebody sends
      def made_before(place) = place.between?(0, @made.size - 1) ? @made[place].first : nil

      def again(filled, said, facts, slot, at)
        from = said[:from_meal_id] || made_before(said[:leftovers_of])
        raise Refusal.of(:leftovers_of_nothing, at: "/meals/#{at}") unless from
        raise Refusal.of(:leftovers_need_a_day, at: "/meals/#{at}/on") unless facts[:on_date]

        @rules.again(@rules.cook_of(from), facts[:on_date], slot, at: "/meals/#{at}")
        [filled.make("meal", { **facts, kind: "leftovers", from_meal_id: from }), facts[:on_date], nil]
      end
    end
  end
end
