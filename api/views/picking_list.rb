# frozen_string_literal: true

require_relative "../../core/planning/step_lines"
require_relative "../../desk/refusal"
require_relative "plan_view"
require_relative "stack_view"

module NutShelf
  module Api
    # The cook's page: steps, and what to take from where, front of the shelf first.
    class PickingList
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @view = PlanView.new(work)
        @plan = @view.plan
      end

      # @param id [Integer] meal
      # @return [Hash]
      def call(id)
        row = @work.house.meals.listed_one(id)
        raise Desk::Refusal.of(:no_dish_there) unless row.recipe_id

        dish = @plan.dish(id)
        recipe = dish.recipe
        {
          meal: @view.meal(row),
          gear: recipe.gear,
          steps: steps(dish),
          texts: recipe.texts.map(&:text),
          choices: row.choices,
          servings: Core::Decimal.print(row.servings),
          leftover_days: recipe.leftover_days, later: later(row),
          makes: makes(dish),
          allergens: dish.allergens(@view.foods),
          not_for: dish.clashes.map { |clash| @view.not_for(clash) }, doubts: dish.doubts,
          lines: dish.lines.map { |line| line(line, dish) }
        }
      end

      private

      def later(row)
        @work.house.meals.fed_by(row.id).map do |fed|
          { on: fed.on_date.iso8601, meal: fed.meal, servings: Core::Decimal.print(fed.servings),
            frozen: @plan.frozen?(fed) }
        end
      end

      # What comes out besides, for all portions that are cooked.
      def makes(dish)
        share = dish.servings / dish.recipe.servings
        dish.recipe.makes.map do |line|
          {
            food_id: @view.food_id(line.food_key), food: @view.food_name(line.food_key),
            amount: Core::Decimal.print((line.quantity.amount * share).round), unit: line.quantity.unit
          }
        end
      end

      def steps(dish)
        Core::StepLines.of(dish.recipe.steps, dish.lines, @view.foods).map(&:to_h)
      end

      def line(line, dish)
        {
          key: line.line.food_key,
          food: @view.food_name(line.food_key),
          others: others(line, dish),
          wanted: wanted(line),
          optional: line.line.optional,
          note: line.line.note.to_s,
          free: line.free,
          unknown: line.unknown,
          substitute: line.substitute ? @view.food_name(line.line.food_key) : nil,
          missing: line.missing.positive? ? @view.food_amount(line.food_key, line.missing) : nil,
          made: made_before(line), picks: @plan.picks(line).map { |pick| pick(pick) }
        }
      end

      # What is not there yet, because a dish before it makes it.
      def made_before(line)
        grams = line.picks.reject { |pick| @plan.shelf.stacks.key?(pick.stack.id) }.sum(0r, &:amount)
        grams.positive? ? @view.food_amount(line.food_key, grams) : nil
      end

      # What could stand in for it, and whether there is enough of it; the food itself where something does.
      def others(line, dish)
        own = line.line
        grams = line.substitute ? line.grams / own.substitutes.fetch(line.food_key, 1r) : line.grams
        keys = { own.food_key => 1r, **own.substitutes }.except(line.food_key).slice(*@view.foods.keys)
        keys.map do |key, factor|
          there = @plan.left.left(key, dish.on)
          { key: key, food: @view.food_name(key), enough: @plan.left.free?(key) || there >= grams * factor }
        end
      end

      def wanted(line)
        line.unknown ? @work.amount(line.line.quantity) : @view.food_amount(line.food_key, line.grams)
      end

      def pick(pick)
        stack = pick.stack
        amount = @plan.proposal(pick)
        {
          lot_id: stack.id,
          name: stack.name(@view.foods.fetch(stack.food_key)),
          place: stack.place,
          walk: walk.fetch(stack.place, walk.size),
          amount: Core::Decimal.print(amount),
          unit: stack.noun || Core::Unit.base(stack.dimension),
          amount_text: @view.pick_words(pick),
          packs: packs(stack, amount),
          on_hand: Core::Decimal.print(stack.on_hand),
          opens: pick.opens,
          look: pick.look,
          guessed: stack.guessed?,
          days_left: @plan.days_left(stack)
        }
      end

      # Places in the order in which people walk them.
      def walk
        @walk ||= @work.places.values.sort_by do |place|
          [place.position, place.id]
        end.map(&:name).uniq.each_with_index.to_h
      end

      def packs(stack, amount)
        stack.open || stack.noun ? nil : Core::HandWords.packs(amount, stack.pack_amount, @work.mark(stack))
      end
    end
  end
end
