# frozen_string_literal: true

require_relative "../../desk/occasions"
require_relative "plan_view"

module NutShelf
  module Api
    # Occasions as JSON.
    class OccasionView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @view = PlanView.new(work)
        @occasions = Desk::Occasions.new(work, @view.plan)
      end

      # @return [Array<Hash>] the next one first
      def list
        @occasions.all.map do |one|
          slot = @occasions.slot(one.row, one.next_on || @work.today)
          {
            id: one.row.id, name: one.row.name, meal: one.row.meal, next_on: one.next_on&.iso8601,
            in_days: one.next_on && (one.next_on - @work.today).to_i, heads: slot.eaters.size,
            dishes: one.row.dishes.size, ideas: one.row.ideas.size,
            on_plan: one.planned
          }
        end
      end

      # @param id [Integer]
      # @param on [Date, nil] nil: the next time
      # @return [Hash]
      def one(id, on)
        row = @work.house.occasions.find(id)
        day = on || @occasions.next_on(row)
        menu = @occasions.menu(row, day || @work.today)
        times = @work.house.occasions.times(id)
        {
          **row.slice(:id, :version, :name, :recurrence, :meal, :serve_at, :eaters, :ideas, :notes, :cooks, :ovens),
          dishes: row.dishes.map { |said| said.transform_keys(&:to_sym) }, on: day&.iso8601,
          heads: menu.slot.eaters.size, names: menu.slot.eaters.map(&:name),
          servings: Core::Decimal.print(menu.slot.servings), gone: menu.gone,
          on_plan: !day.nil? && day >= @work.today && @occasions.planned?(row, day),
          menu: menu.dishes.map { |dish| dish(dish) }, to_buy_minor: menu.to_buy,
          schedule: schedule(menu.schedule), times: times.map { |time| time(time) }
        }
      end

      private

      def dish(one)
        {
          dish: one.recipe.key, recipe_id: one.recipe_id, name: one.dish.name(@view.foods),
          servings: Core::Decimal.print(one.amount.servings), why: one.amount.why, ahead: one.ahead,
          keeps: one.recipe.leftover_days.positive?, covered_percent: one.dish.covered_percent, faults: one.faults,
          missing: one.dish.missing.map do |line|
            "#{@view.food_amount(line.food_key, line.missing)} #{@view.food_name(line.food_key)}"
          end
        }
      end

      def schedule(made)
        {
          begins: made.begins,
          tasks: made.tasks.map do |task|
            { dish: task.key, name: task.name, kind: task.kind, begins: task.begins, ends: task.ends, cook: task.cook }
          end,
          ahead: made.ahead.map { |dish| { dish: dish.key, name: dish.name, work: dish.work, alone: dish.alone } },
          waiting: made.ready.filter_map { |key, minutes| { dish: key, minutes: minutes } if minutes.positive? }
        }
      end

      def time(time)
        {
          id: time.id, on: time.on_date.iso8601, heads: time.heads, notes: time.notes,
          dishes: time.dishes.map { |one| one.transform_keys(&:to_sym) }
        }
      end
    end
  end
end
