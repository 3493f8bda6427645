# frozen_string_literal: true

require "json"
require_relative "../core/planner/problem"

module NutShelf
  module Exchange
    # Reads a problem of the meal planner from JSON and writes a plan in the same form; bench/planner/README.md says
    # what stands where.
    module PlannerFile
      PARAMS = (Core::Planner::Params::FIELDS - Core::Planner::Params::GIVEN.keys).freeze

      module_function

      # @param text [String] JSON
      # @return [Core::Planner::Problem]
      def problem(text)
        read = JSON.parse(text)
        lots = read["lots"].group_by { |lot| lot["food"] }
        Core::Planner::Problem.new(
          params: Core::Planner::Params.new(**PARAMS.to_h { |name| [name, number(read["params"].fetch(name.to_s))] }),
          foods: read["foods"].map { |food| food(food, lots.fetch(food["id"], [])) }.freeze,
          dishes: read["recipes"].map { |row| dish(row) }.freeze,
          slots: read["slots"].map { |row| slot(row) }.freeze,
          history: read["history"].map { |row| Core::Planner::Cooked.new(day: row["day"], dish: row["recipe"]) }.freeze
        )
      end

      # @param plan [Array<Core::Planner::Meal>]
      # @return [Array<Hash>] ready for JSON
      def plan(plan)
        plan.map do |meal|
          case meal.kind
          when "cook"
            { slot: meal.slot, kind: "cook", recipe: meal.dish, choices: meal.choices.transform_keys(&:to_s) }
          when "leftovers" then { slot: meal.slot, kind: "leftovers", from: meal.from }
          else { slot: meal.slot, kind: "skip" }
          end
        end
      end

      # @param rows [Array<Hash>] as plan gives them
      # @return [Array<Core::Planner::Meal>]
      def meals(rows)
        rows.map do |row|
          Core::Planner::Meal.new(
            slot: row["slot"], kind: row["kind"], dish: row["recipe"], from: row["from"],
            choices: (row["choices"] || {}).to_h { |line, option| [Integer(line, 10), option] }.freeze
          )
        end
      end

      # @return [Rational, Integer] as it is written, not as the machine rounds it
      def number(value) = value.is_a?(Float) ? value.to_s.to_r : value

      def food(row, lots)
        there = lots.sort_by { |lot| [lot["last_good"], lot["id"]] }.map do |lot|
          Core::Planner::Lot.new(quantity: number(lot["qty"]).to_r, last_good: lot["last_good"],
            unit_cost: number(lot["unit_cost"]).to_r)
        end
        Core::Planner::Food.new(price: number(row["price"]).to_r, lots: there.freeze)
      end

      def dish(row)
        Core::Planner::Dish.new(
          minutes: row["minutes"], keeps_days: row["keeps_days"], liking: number(row["liking"]), gear: row["gear"],
          meals: row["meals"], protein: tag(row["protein"]), starch: tag(row["starch"]),
          lines: row["lines"].map { |line| line(line) }.freeze
        )
      end

      def tag(name) = name == "none" ? nil : name

      def line(row)
        others = row["subs"].map do |one|
          Core::Planner::Substitute.new(food: one["food"], ratio: number(one["ratio"]), cost: number(one["cost"]))
        end
        Core::Planner::Line.new(
          food: row["food"], quantity: number(row["qty"]).to_r, substitutes: others.freeze,
          omit_cost: row["optional"] ? number(row.fetch("omit_cost")) : nil
        )
      end

      def slot(row)
        Core::Planner::Slot.new(
          day: row["day"], meal: row["meal"], eaters: row["eaters"], max_minutes: row["max_minutes"], gear: row["gear"],
          pin: row["pin"], leftovers_from: row["leftovers_from"], skip: row["skip"],
          allow_leftovers: row["allow_leftovers"]
        )
      end
    end
  end
end
