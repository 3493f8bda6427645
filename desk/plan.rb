# frozen_string_literal: true

require_relative "../core/buying/missing_list"
require_relative "../core/planning/diet"
require_relative "../core/planning/ranker"
require_relative "pantry_of"

module NutShelf
  module Desk
    # The coming meals, each drawing in the order of its day on what the earlier ones left: what every view and the cook
    # read, so that nothing is promised twice.
    class Plan
      HORIZON = 14

      # @param room [Room]
      def initialize(room)
        @room = room
        @pantry_of = PantryOf.new(room)
      end

      attr_reader :pantry_of

      def pantry = @pantry_of.pantry

      def recipes = @recipes ||= @room.house.recipes.values

      def servings = @servings ||= @room.house.household.portions

      # Everybody who eats here sits at every meal.
      # @return [Core::Diet]
      def diet = @diet ||= Core::Diet.new(@room.eaters.map { |row| Core::Diet::Eater.new(name: row[:name], excludes: row[:excludes].to_a) })

      # @param on [Date]
      # @return [Array<Core::Ranker::Ranked>] dishes of what the planned meals leave, best first
      def ranked(on, price:)
        Core::Ranker.rank(recipes, pantry: left, servings: servings, on: on, price: price, diet: diet)
      end

      # Meals still to be cooked; those of the last days that nobody cooked or dropped count for today.
      # @return [Array<Core::MissingList::Planned>]
      def planned
        @planned ||= @room.house.meals.between(@room.today - HORIZON, @room.today + HORIZON).select { |row| row[:status] == "planned" }.map { |row| value(row) }
      end

      # @return [Array<Core::MissingList::Planned>] of today and later
      def coming = planned.reject { |meal| overdue?(meal) }

      # @param to [Date]
      # @return [Array(Array<Core::MissingList::Item>, Hash)] what to buy for the meals up to a day, and their dishes
      def missing(to = @room.today + HORIZON)
        meals = coming.select { |meal| meal.on <= to }
        meals.empty? ? [[], {}] : Core::MissingList.build(meals, pantry: pantry, diet: diet)
      end

      def all_missing = @all_missing ||= missing

      # @param id [Integer] meal
      # @return [Core::Dish] as the plan has it on the meal's own day
      # @raise [Store::Missing]
      def dish(id) = all_missing.last[id] || later(@room.house.meals.listed_one(id))

      # What the coming meals leave of everything.
      # @return [Core::Pantry]
      def left = @left ||= Core::MissingList.draw(coming, pantry: pantry, diet: diet).last

      private

      def value(row)
        Core::MissingList::Planned.new(id: row[:id], on: row[:on_date], recipe: recipes.fetch(row[:recipe_id]), servings: row[:servings].to_r)
      end

      def overdue?(meal) = meal.on < @room.today

      # A meal outside the span draws on what the span leaves.
      def later(row)
        day = [row[:on_date], @room.today].max
        Core::Dish.plan(recipes.fetch(row[:recipe_id]), servings: row[:servings].to_r, pantry: left.copy, on: day, diet: diet)
      end
    end
  end
end
