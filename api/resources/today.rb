# frozen_string_literal: true

require_relative "../base"
require_relative "../views/plan_view"
require_relative "../views/stack_view"
require_relative "../../desk/kits/due_book"
require_relative "../../desk/occasions"
require_relative "../../desk/todays_work"
require_relative "care"

module NutShelf
  module Api
    # What to do now: the front of the shelf with where each goes, the coming meals, what needs a person.
    class Today < Base
      NEEDS = 40
      DAYS = 7
      OCCASIONS = 9

      get("/") do
        view(:stock, :plan, :people, :rules) do |work|
          @work = work
          @of = Desk::TodaysWork.new(work)
          @plan = PlanView.new(work, @of.plan)
          @view = StackView.new(work)
          {
            today: work.today.iso8601,
            front: @of.front.map { |one| turning(one) },
            needs: @of.needs.first(NEEDS).map { |need| need(need) },
            needs_count: @of.needs.size,
            meals: meals,
            questions: @of.questions.map { |one| question(one) },
            care: care,
            counts_due: @of.counts.map { |place, due| { place_id: place.id, place: place.name, reason: due.reason } },
            prepare: @of.prepare.map { |task| dated(task) }, thaw: @of.thaw.map { |task| dated(task) },
            lids: @of.lids.map(&:to_h), comes_up: comes_up,
            goes_past: @of.goes_past.map { |one| going(one) }, runs_out: shorts, ready: ready
          }
        end
      end

      helpers do
        def dated(task) = { **task.to_h, on: task.on.iso8601, for_on: task.for_on.iso8601 }

        # In time to shop for them; once they are on the plan, when they are near.
        def comes_up
          of = Desk::Occasions.new(@work, @of.plan)
          of.between(@work.today, @work.today + OCCASIONS).map do |day, row|
            {
              id: row.id, name: row.name, meal: row.meal, on: day.iso8601, heads: of.slot(row, day).eaters.size,
              on_plan: of.planned?(row, day)
            }
          end
        end

        def ready
          Desk::Kits::DueBook.new(@work).call.map { |one| { **one.to_h, kind: one.kind.to_s, on: one.on.iso8601 } }
        end

        def going(one)
          food = @plan.foods.fetch(one.stack.food_key)
          {
            stack_id: one.stack.id, name: one.stack.name(food), place: one.stack.place, on: (one.on - 1).iso8601,
            amount: @plan.food_amount(one.stack.food_key, one.amount), value_minor: one.value_minor
          }
        end

        def shorts
          @of.runs_out.map do |key, short|
            { food_id: @plan.food_id(key), food: @plan.food_name(key), on: short.on.iso8601 }
          end
        end

        def turning(one)
          {
            stack: @view.call(one.stack),
            place: one.stack.place,
            ties: one.ties.map { |tie| @plan.tie(tie.meal, tie.pick) },
            dishes: one.dishes.map { |ranked| brief(ranked) }
          }
        end

        def brief(ranked)
          recipe = ranked.dish.recipe
          {
            recipe_id: ranked.id, name: ranked.dish.name(@plan.foods), meal: recipe.meal,
            covered_percent: ranked.dish.covered_percent
          }
        end

        def need(need) = { kind: need.kind, stack: @view.call(need.stack), place: need.stack.place, text: need.text }

        def meals = @work.house.meals.between(@work.today, @work.today + DAYS - 1).map { |row| @plan.meal(row) }

        def question(one)
          meals = @of.plan.coming.to_h { |meal| [meal.id, @of.plan.name_of(meal)] }
          {
            stack: @view.call(one.stack),
            place: one.stack.place,
            needed: @work.part_words(one.stack, @of.needed(one)),
            meals: one.meals.map { |id| meals.fetch(id) },
            steps: one.doubt.steps
          }
        end

        def care = @work.house.care.due(@work.today).map { |row| Care.row(row, @work) }
      end
    end
  end
end
