# frozen_string_literal: true

require_relative "../../exchange/papers/paper"
require_relative "../views/plan_view"
require_relative "../../desk/week"

module NutShelf
  module Api
    module Papers
      # A week of meals for the kitchen door: what is eaten when, what is still to buy for it, what to use up.
      class WeekPaper
        EVENINGS = {
          "packed" => "packed to go", "shifts" => "eaten in shifts", "out" => "eating out", "no_oven" => "no oven",
          "no_power" => "no power"
        }.freeze

        # @param work [Desk::UnitOfWork]
        # @param from [Date]
        # @param to [Date]
        def initialize(work, from:, to:)
          @work = work
          @week = Desk::Week.new(work, from: from, to: to)
          @view = PlanView.new(work, @week.plan)
        end

        # @return [Exchange::Papers::Paper]
        def call
          Exchange::Papers::Paper.new(
            title: "#{@work.household.name}: meals, #{day(@week.from)} to #{day(@week.to)}",
            back: "/meals?from=#{@week.from.iso8601}", parts: [meals, use_up].compact
          )
        end

        private

        def day(date) = date.strftime("%a %-d %b")

        def meals
          Exchange::Papers::Table.new(
            columns: ["Day", "Meals", "Still to buy"], shares: [2, 6, 5],
            rows: @week.days.map { |on, slots| [day(on), slots.map { |one| line(one) }.join("\n"), buy(slots)] }
          )
        end

        def line(filled)
          names = filled.meals.map { |standing| @view.meal_name(standing.row) }.join(", ")
          words = said(filled.slot)
          "#{filled.slot.meal}#{" (#{words.join(", ")})" if words.any?}: #{names.empty? ? "–" : names}"
        end

        def said(slot)
          timed = slot.timed && slot.minutes ? "#{slot.minutes} min" : nil
          [EVENINGS[slot.evening], timed, slot.note].compact.reject(&:empty?)
        end

        def buy(slots)
          slots.flat_map(&:meals).filter_map(&:dish).flat_map(&:missing).map do |line|
            "#{@view.food_amount(line.food_key, line.missing)} #{@view.food_name(line.food_key)}"
          end.join("; ")
        end

        def use_up
          rows = @week.turning.map do |one|
            stack = one.stack
            left = @week.plan.days_left(stack)
            [stack.name(@view.foods.fetch(stack.food_key)), @work.part_words(stack, stack.free), stack.place,
             left < 1 ? "today" : Core::Words.days(left)]
          end
          return if rows.empty?

          Exchange::Papers::Table.new(
            heading: "To use up", columns: ["What", "How much", "Where", ""], shares: [5, 2, 3, 2], rows: rows
          )
        end
      end
    end
  end
end
