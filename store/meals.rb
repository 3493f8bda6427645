# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Which dish stands on which day.
    class Meals < Table
      ORDER = { "breakfast" => 0, "lunch" => 1, "dinner" => 2, "snack" => 3 }.freeze

      # SELECT meals.*, recipes.name FROM meals LEFT JOIN recipes ... WHERE on_date BETWEEN ... AND status <> 'dropped'
      def between(from, to)
        listed
          .where(on_date: from..to)
          .exclude(status: "dropped")
          .all
          .sort_by { |meal| [meal.on_date, ORDER.fetch(meal.meal), meal.id] }
      end

      # What waits without a day.
      # @return [Array<Rows::ListedMeal>]
      # SELECT meals.*, recipes.name FROM meals LEFT JOIN recipes ... WHERE on_date IS NULL AND status = 'planned'
      def pool = listed.where(on_date: nil, status: "planned").order(Sequel[:meals][:id]).all

      # @param before [Date]
      # @return [Array<Rows::ListedMeal>] what was planned for days that have passed, and is not settled
      # SELECT meals.*, recipes.name FROM meals LEFT JOIN recipes ... WHERE on_date < DATE AND status = planned
      def undone(before)
        listed
          .where(status: "planned")
          .where { Sequel[:meals][:on_date] < before }
          .order(Sequel[:meals][:on_date], Sequel[:meals][:id])
          .all
      end

      # @param id [Integer, Array<Integer>] of a cook, or of several
      # @return [Array<Rows::Meal>] meals of its leftovers that are not eaten yet
      # SELECT * FROM meals WHERE household_id = 7 AND from_meal_id = 3 AND status = 'planned'
      def fed_by(id) = rows(:meals).where(from_meal_id: id, status: "planned").order(:on_date, :id).all

      # @return [Array<Rows::Meal>] portions of stacks that are to be eaten, on a day or without one
      # SELECT * FROM meals WHERE household_id = 7 AND kind = 'kept' AND status = 'planned'
      def waiting = rows(:meals).where(kind: "kept", status: "planned").order(:on_date, :id).all

      # @return [Array<Rows::Slot>] what was said of single meals in these days
      # SELECT * FROM meal_slots WHERE household_id = 7 AND on_date BETWEEN ... AND archived_at IS NULL
      def slots(from, to) = rows(:meal_slots).where(on_date: from..to, archived_at: nil).order(:on_date, :id).all

      # @return [Array<Rows::Pattern>] what is so every week
      # SELECT * FROM meal_patterns WHERE household_id = 7 AND archived_at IS NULL
      def patterns = rows(:meal_patterns).where(archived_at: nil).order(:weekday, :id).all

      # @return [Array<Rows::Span>] the latest first
      # SELECT * FROM plan_spans WHERE household_id = 7 AND archived_at IS NULL
      def spans = rows(:plan_spans).where(archived_at: nil).reverse(:from_on, :id).all

      # @param on [Date]
      # @return [Rows::Span, nil] days without shopping that run that day
      # SELECT * FROM plan_spans WHERE household_id = 7 AND archived_at IS NULL AND kind = 'eat_down' AND ...
      def running_span(on)
        rows(:plan_spans)
          .where(archived_at: nil, kind: "eat_down")
          .where { (from_on <= on) & (to_on >= on) }
          .first
      end

      # @param from [Date]
      # @return [Integer] meals that were cooked or eaten since
      # SELECT count(*) FROM meals WHERE household_id = 7 AND status = 'cooked' AND on_date >= '2026-11-27'
      def settled_since(from) = rows(:meals).where(status: "cooked").where { on_date >= from }.count

      # SELECT count(*) FROM meals WHERE household_id = 7 AND status = 'cooked' AND on_date BETWEEN ...
      # @return [Integer] meals that were cooked or eaten in these days
      def cooked_between(from, to) = rows(:meals).where(status: "cooked", on_date: from..to).count

      # @return [Rows::ListedMeal] with its dish's name and minutes
      # @raise [Missing]
      def listed_one(id) = found(listed.where(Sequel[:meals][:id] => id).first, "meal")

      private

      def listed
        rows_as(rows(:meals), Rows::ListedMeal)
          .left_join(:recipes, { household_id: Sequel[:meals][:household_id], id: Sequel[:meals][:recipe_id] })
          .select_all(:meals)
          .select_append(
            Sequel[:recipes][:name].as(:recipe_name),
            Sequel[:recipes][:total_minutes],
            Sequel[:recipes][:active_minutes]
          )
      end
    end
  end
end
