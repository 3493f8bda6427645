# frozen_string_literal: true

require_relative "../act"
require_relative "../dish_food"
require_relative "../fit"
require_relative "../kits/floor"
require_relative "../makings"
require_relative "../new_stack"
require_relative "../plan"
require_relative "../slots"
require_relative "../taking"
require_relative "../refusal"

module NutShelf
  module Desk
    # Cooks a meal: draws first expired first out (or what the cook says was really used), and what is left
    # over becomes a stack that carries its share of the cost.
    class Cook < Act
      private

      # @param input [Hash] :meal_id, :used as [{lot_id:, amount:}] or nil for the proposal, :leftovers and :frozen
      #   {portions:, place_id:} or nil: what stays for the next days, and what goes into the freezer; :made as
      #   [{food_id:, amount:, unit:, place_id:}] what came out besides; :despite why, see Take
      def perform(input)
        @meal = house.records.lock("meal", input[:meal_id])
        raise Refusal.of(:meal_settled, status: @meal.status) unless @meal.status == "planned"
        raise Refusal.of(:no_dish_there) unless @meal.recipe_id

        @recipe = house.recipes.find(@meal.recipe_id)
        used = used(input)
        work.in_the_dark.guard(used.map { |one| one[:lot_id] })
        @name = name(used)
        cooked = entry("cook", "Cooked #{@name}#{despite(used, input)}")
        value = draw(cooked, used)
        kept = keep_all(cooked, input.values_at(:leftovers, :frozen).compact, value)
        cooked.alter("meal", @meal, { status: "cooked" })
        hand_on(cooked, kept)
        (input[:made] || []).each { |one| make(cooked, one) }
        done(cooked, meal_id: @meal.id, value_minor: value, leftover_lot_id: kept.first&.id)
      end

      # Meals that were to have its leftovers have the portions that are really there and good by then, or nothing:
      # what is chilled first, where it keeps so long.
      def hand_on(cooked, kept)
        stacks = work.stacks(kept.map(&:id)).sort_by { |stack| [stack.in_freezer ? 1 : 0, stack.id] }
        house.meals.fed_by(@meal.id).each do |fed|
          slot = Slots.new(work).of(fed.on_date, fed.meal)
          there = stacks.find { |stack| for_them?(stack, slot, fed.on_date) }
          changes = there ? { kind: "kept", from_meal_id: nil, lot_id: there.id } : { status: "dropped" }
          cooked.alter("meal", house.records.lock("meal", fed.id), changes)
        end
      end

      # Good by then, and nothing went in that somebody there may not have.
      def for_them?(stack, slot, on)
        stack.eligible?(on, strict: slot.strict?) && slot.diet.clashes(work.food(stack.food_id)).empty?
      end

      def despite(used, input)
        taken = used.group_by { |one| one[:lot_id] }.transform_values do |list|
          list.sum(0r) do |one|
            one[:amount].to_r
          end
        end
        Kits::Floor.new(work).guard(taken, input[:despite])
      end

      # Nobody finds salmon in the fridge that was cooked with mackerel.
      def name(used)
        keys = used.filter_map { |one| work.shelf.stacks[one[:lot_id]]&.food_key }
        Core::DishName.cooked(@recipe, keys, work.shelf.foods)
      end

      def used(input) = input[:used] || proposal

      # What the plan has for this meal on its own day, so that no other meal loses what it was promised.
      def proposal
        plan = Plan.new(work)
        plan.dish(@meal.id).lines.flat_map do |line|
          plan.picks(line).map { |pick| { lot_id: pick.stack.id, amount: Core::Decimal.print(plan.proposal(pick)) } }
        end
      end

      # @return [Integer] minor units cooked
      def draw(cooked, used)
        # One stack on two lines is one hand that opens one pack.
        wanted =
          used
            .group_by { |one| one[:lot_id] }
            .map { |id, list| [id, list.sum { |one| one[:amount].to_r }] }
            .reject { |_, amount| amount.zero? }
        lots = house.lots.lock(wanted.map(&:first).sort)
        @parts = lots.values.map { |lot| fit(cooked, lot) }
        @estimated = lots.values.any?(&:value_estimated)
        @used = wanted.to_h { |id, amount| [lots[id], amount] }
        @foods = lots.values.map { |lot| work.food(lot.food_id) }
        taking = Taking.new(work, cooked)
        wanted.sum { |id, amount| draw_one(taking, lots[id], amount) }
      end

      # @return [Core::Part] the stack as it goes into the dish
      def fit(cooked, lot)
        cooked.redate.part(lot).tap { |part| Fit.check(work, lot, part, pointer: "/used") }
      end

      def draw_one(taking, lot, amount)
        raise Refusal.of(:stack_unknown, at: "/used") unless lot
        raise Refusal.of(:used_below_zero, at: "/used") if amount.negative?

        taking.take(lot, amount, "cooked")
      end

      # Each part that is kept carries its share of the cost.
      # @return [Array<Store::Rows::Lot>]
      def keep_all(cooked, parts, value)
        parts = parts.select { |part| part[:portions].to_r.positive? }
        return [] if parts.empty?

        portions = parts.map { |part| part[:portions].to_r }
        whole = [@meal.servings + house.meals.fed_by(@meal.id).sum(0r, &:servings), portions.sum].max
        shares = Core::LargestRemainder.split(value, [*portions, whole - portions.sum])
        food_id = DishFood.new(work, cooked).ensure(@recipe, @foods)
        parts.zip(shares).map { |part, share| keep(cooked, part, share, food_id) }
      end

      def keep(cooked, leftovers, share, food_id)
        NewStack.new(
          work,
          {
            food_id: food_id,
            place_id: leftovers[:place_id],
            count: leftovers[:portions],
            noun: "portion",
            state: "leftover",
            label: @name,
            made_on: work.on,
            price_minor: share,
            estimated: @estimated,
            leftover_days: @recipe.leftover_days,
            from: brought_along
          }
        ).write(cooked).tap { |kept| came_of_all(cooked, kept) }
      end

      # What comes out besides carries no cost: the dish had it. What was cooked before and went in dates it too.
      def make(cooked, made)
        return unless made[:amount].to_r.positive?
        raise Refusal.of(:not_made_by_it, at: "/made", dish: @recipe.name) unless made_foods.include?(made[:food_id])

        facts = {
          food_id: food_of(cooked, made[:food_id]), **made.slice(:place_id, :amount, :unit), count: "1",
          state: "leftover", made_on: work.on, price_minor: 0, estimated: @estimated, from: brought_along
        }
        NewStack.new(work, facts).write(cooked).tap { |lot| came_of_all(cooked, lot) }
      end

      # Cold chicken that was roasted with butter holds milk.
      def food_of(cooked, id)
        food = work.food(id)
        return DishFood.new(work, cooked).part_of(@recipe, food) if @recipe.doubtful?

        more = Makings.new(work).unexpected(food.key, [*@foods.map(&:key), *@recipe.lines.map(&:food_key)])
        more.empty? ? id : DishFood.new(work, cooked).like(food, more)
      end

      def made_foods = @recipe.makes.map { |line| work.shelf.food_ids[line.food_key] }

      def came_of_all(cooked, lot)
        @used.each { |source, amount| cooked.came_of(lot, source, amount, "cooked") }
      end

      def brought_along = { "parts" => cooked_before }.reject { |_, list| list.empty? }

      # What was cooked before is only heated again: its date stays with the leftovers.
      def cooked_before = @parts.select(&:cooked).map { |part| JSON.parse(JSON.generate(part.to_h.compact)) }
    end
  end
end
