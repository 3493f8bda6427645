# frozen_string_literal: true

require_relative "../desk/meal_filling"
require_relative "household"

module NutShelf
  module Demo
    # The week that lies ahead at Sallow House: two meals somebody chose, the rest as the planner fills it.
    class ComingWeek
      # Moves of the planner: the same week whenever the demo is made.
      MOVES = 1500

      # @param act [#call] does an act: its name, who, what is told
      # @param best [#call] the best dishes of a day for a meal
      # @param at_work [#call] yields a unit of work
      # @param within [#call] yields the household's store
      def initialize(act:, best:, at_work:, within:)
        @act = act
        @best = best
        @at_work = at_work
        @within = within
      end

      # The coming week: what its evenings are like, two meals somebody chose, and the rest as the planner fills it.
      def plan
        week
        chosen
        proposed = @at_work.call do |work|
          Desk::MealFilling.new(work, from: Household::TODAY, to: Household::TODAY + 6).then do |filling|
            found = filling.call(moves: MOVES)
            found.map { |one| filling.told(one, among: found).except(:name) }
          end
        end
        @act.(:FillMeals, "ines", { meals: proposed })
      end

      private

      def week
        version = @within.call { |house| house.household.row.version }
        @act.(:SetHousehold, "ines",
          { version: version, settings: { planned_meals: %w[lunch dinner], shopping_days: [2, 6] } })
        Household::PATTERNS.each { |pattern| @act.(:SetPattern, "ines", pattern) }
        Household::EVENINGS.each do |ahead, evening|
          @act.(:SetSlot, "tomas", { on: (Household::TODAY + ahead).iso8601, meal: "dinner", **with_guest(evening) })
        end
      end

      def with_guest(evening)
        return evening unless evening[:eaters] == :guest

        people = @within.call { |house| house.household.people.select(&:eats).map(&:id) }
        { **evening, eaters: { people: people, guests: [{ name: "Aunt Fenna", portion: "1" }] } }
      end

      def chosen
        { 0 => ["dinner", true], 3 => ["dinner", false] }.each_with_object([]) do |(ahead, (meal, kept)), used|
          day = Household::TODAY + ahead
          entry = @best.call(day, meal).find { |found| !used.include?(found.id) } or next
          used << entry.id
          @act.(:PlanMeal, "ines", { recipe_id: entry.id, on: day.iso8601, meal: meal, pinned: kept })
        end
      end
    end
  end
end
