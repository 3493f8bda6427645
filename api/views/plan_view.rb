# frozen_string_literal: true

require_relative "../../core/quantity/hand_words"
require_relative "../../desk/plan"

module NutShelf
  module Api
    # Dishes, meals, ties and the missing list as JSON: the words for what Desk::Plan answers.
    class PlanView
      # @param work [Desk::UnitOfWork]
      # @param plan [Desk::Plan]
      def initialize(work, plan = Desk::Plan.new(work))
        @work = work
        @plan = plan
      end

      attr_reader :plan

      def foods = @plan.shelf.foods

      def dish(ranked)
        dish = ranked.dish
        recipe = dish.recipe
        {
          recipe_id: ranked.id,
          name: dish.name(foods),
          meal: recipe.meal,
          minutes: recipe.total_minutes,
          active_minutes: recipe.active_minutes,
          covered_percent: dish.covered_percent,
          rescued_minor: dish.rescued_minor,
          buy_minor: @plan.to_buy(dish),
          share_minor: ranked.buy_minor,
          score_minor: ranked.score,
          tags: recipe.tags,
          uses: dish.rescued_picks.map { |key, pick, value| use(key, pick, value) },
          missing: dish.missing.map { |line| missing_line(line) },
          stand_ins: dish.substituted.map { |line| stand_in(line) },
          allergens: dish.allergens(foods),
          not_for: dish.clashes.map { |clash| not_for(clash) }, doubts: dish.doubts
        }
      end

      def stand_in(line) = { food: food_name(line.food_key), for: food_name(line.line.food_key) }

      def not_for(clash) = { person: clash.person, because: clash.words(food_name(clash.food_key)) }

      def meal(row)
        dish = @plan.dishes[row.id]
        {
          id: row.id,
          on: row.on_date&.iso8601,
          meal: row.meal,
          recipe_id: row.recipe_id,
          name: meal_name(row),
          servings: Core::Decimal.print(row.servings),
          status: row.status,
          minutes: row.total_minutes,
          covered_percent: dish&.covered_percent,
          buy_minor: dish && @plan.to_buy(dish)
        }
      end

      # @param row [Store::Rows::ListedMeal]
      # @return [String] what fills it, as a cook says it
      def meal_name(row)
        case row.kind
        when "cook" then @plan.dishes[row.id]&.name(foods) || row.recipe_name
        when "leftovers" then "#{cooked(row.from_meal_id)}, #{@plan.frozen?(row) ? "from the freezer" : "again"}"
        when "kept" then @plan.shelf.stacks[row.lot_id]&.then do |stack|
          stack.name(foods.fetch(stack.food_key))
        end || "Portions"
        when "out" then "Eating out"
        else "Whatever is left"
        end
      end

      # Which stacks the coming meals will take from.
      def ties = @plan.ties.map { |tie| tie(tie.meal, tie.pick) }

      def tie(meal, pick)
        {
          stack_id: pick.stack.id,
          meal_id: meal.id,
          on: meal.on.iso8601,
          name: @plan.name_of(meal),
          amount: pick_words(pick)
        }
      end

      # @param pick [Core::Pick]
      # @return [String] what a hand takes for it
      def pick_words(pick) = @work.loose_words(pick.stack, @plan.proposal(pick))

      # How much of a food in the way it is counted: pieces where people count pieces.
      def food_amount(key, grams)
        food = foods.fetch(key)
        @work.amount(Core::Proposal.need(Core::HandWords.counted(grams, food), food))
      end

      # @param pack [Core::Quantity, nil]
      # @return [String, nil] its size as it stands on the pack
      def pack_words(pack) = pack && @work.size(pack)

      def food_name(key) = foods.fetch(key).name

      def food_id(key) = @plan.shelf.food_ids[key]

      private

      def cooked(id)
        (@cooked ||= {})[id] ||= @plan.dishes[id]&.name(foods) || @work.house.meals.listed_one(id).recipe_name
      end

      def use(key, pick, value)
        { stack_id: pick.stack.id, food: food_name(key), days_left: @plan.days_left(pick.stack), value_minor: value }
      end

      def missing_line(line)
        cost, estimated = @plan.whole_cost(line.food_key, line.missing)
        {
          food_id: food_id(line.food_key),
          food: food_name(line.food_key),
          cost_minor: cost,
          estimated: estimated,
          amount: food_amount(line.food_key, line.missing)
        }
      end
    end
  end
end
