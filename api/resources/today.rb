# frozen_string_literal: true

require_relative "../base"
require_relative "../views/plan_view"
require_relative "../views/stack_view"
require_relative "../../desk/doubts"
require_relative "../../desk/places_due"
require_relative "../../desk/thawing"
require_relative "care"

module NutShelf
  module Api
    # What to do now: the front of the shelf with where each goes, the coming meals, what needs a person.
    class Today < Base
      FRONT = 24
      DISHES = 3

      get("/") do
        view do |room|
          @room = room
          @plan = PlanView.new(room)
          @view = StackView.new(room)
          rows = room.house.lots.shelf.all
          meals = room.house.meals.between(room.today, room.today + 6)
          needs = needs(rows)
          { today: room.today.iso8601, front: front(rows), needs: needs.first(40), needs_count: needs.size, meals: meals.map { |row| @plan.meal(row) }, questions: questions, care: care,
            counts_due: counts_due, thaw: thaw }
        end
      end

      helpers do
        def questions
          meals = @plan.planned.to_h { |meal| [meal.id, meal.recipe.name] }
          Desk::Doubts.new(@room).questions(@plan.all_missing.last, @plan.pantry_of).map do |one|
            row = @room.house.lots.shelf_row(one.lot[:id])
            { stack: @view.call(row), place: place(row), needed: @room.part_words(one.lot, needed(one)), meals: one.meals.map { |id| meals.fetch(id) }, steps: one.doubt.steps }
          end
        end

        # What a hand would take for it.
        def needed(one)
          Core::Proposal.amount(one.needed, on_hand: one.lot[:on_hand].to_r, dimension: one.lot[:dimension].to_sym, food: @room.food(one.lot[:food_id]))
        end

        def care = @room.house.care.due(@room.today).map { |row| Care.row(row, @room) }

        def counts_due = Desk::PlacesDue.new(@room).by_rhythm.first(3).map { |row, due| { place_id: row[:id], place: row[:name].to_s, reason: due.reason } }

        def thaw = Desk::Thawing.new(@room, @plan.pantry_of).tasks(@plan.planned, @plan.all_missing.last).select { |task| task[:on] <= @room.today }.map { |task| { **task, on: task[:on].iso8601 } }

        def front(rows)
          ties = @plan.ties.group_by { |tie| tie[:stack_id] }
          turning = rows.select { |row| @view.state(row) == :front && !set_apart?(row) }.first(FRONT)
          uses = dishes_by_stack
          turning.map { |row| { stack: @view.call(row), place: place(row), ties: ties.fetch(row[:id], []), dishes: uses.fetch(row[:id], []).first(DISHES) } }
        end

        def set_apart?(row) = @room.place(row[:place_id])[:tier] == "set_apart"

        # The best dishes for each stack that turns.
        def dishes_by_stack
          found = Hash.new { |hash, id| hash[id] = [] }
          @plan.ranked(@room.today).reject { |entry| entry.dish.shut? }.each do |entry|
            brief = { recipe_id: entry.id, name: entry.dish.recipe.name, meal: entry.dish.recipe.meal, covered_percent: @plan.percent(entry.dish.covered) }
            entry.dish.rescued_picks.map { |_, pick, _| pick.stock.id }.uniq.each { |id| found[id] << brief }
          end
          found
        end

        def needs(rows)
          rows.flat_map { |row| needs_of(row, @view.state(row)) }.sort_by.with_index { |need, index| [%w[stop look warning undated].index(need[:kind]), index] }
        end

        def needs_of(row, state)
          list = []
          list << need("stop", row, "Not to eat: throw it out.") if state == :stop
          list << need("look", row, look_words(row)) if state == :look
          list << need("undated", row, "Nothing gives it a date. Put one on it when you next see it.") if state == :undated && !row[:age_unknown] && row[:level].nil? && row[:food_food_group] != "supplies"
          list << need("undated", row, "Nobody knows how old it is, and germs like it: no meal is planned with it. Put a date on it, or throw it out.") if state == :undated && row[:age_unknown]
          list << need("warning", row, row[:flags].first["text"]) if row[:flags].any? && !%i[stop].include?(state)
          list
        end

        def look_words(row)
          return "It was open already and nobody knows since when. Look, then say whether it is good." if row[:look_first] && row[:usable_until].nil?

          "#{Core::Words.passed(row[:basis]).then { |words| words.sub(/\Aits/, 'Its').sub(/\Athe/, 'The').sub(/\Awhat/, 'What') }} has passed. Look, then say whether it is good."
        end

        def need(kind, row, text) = { kind: kind, stack: @view.call(row), place: place(row), text: text }

        def place(row) = @room.place(row[:place_id])[:name].to_s
      end
    end
  end
end
