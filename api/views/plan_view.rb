# frozen_string_literal: true

require_relative "../../desk/plan"

module NutShelf
  module Api
    # Dishes, meals, ties and the missing list as JSON: one pantry serves them all.
    class PlanView
      HORIZON = Desk::Plan::HORIZON

      # @param room [Desk::Room]
      def initialize(room)
        @room = room
        @plan = Desk::Plan.new(room)
      end

      def pantry_of = @plan.pantry_of

      def pantry = pantry_of.pantry

      def prices = @prices ||= pantry_of.prices

      def recipes = @plan.recipes

      def servings = @plan.servings

      # The coming meals in the order of their days.
      def planned = @plan.coming

      def missing(to) = @plan.missing(to)

      def all_missing = @plan.all_missing

      # @param id [Integer] meal
      def planned_dish(id) = @plan.dish(id)

      # @return [Array<Core::Ranker::Ranked>]
      def ranked(on) = @plan.ranked(on, price: ->(key, grams) { prices.cost(key, grams).first })

      def dish(ranked)
        dish = ranked.dish
        recipe = dish.recipe
        { recipe_id: ranked.id, name: recipe.name, meal: recipe.meal, minutes: recipe.total_minutes, active_minutes: recipe.active_minutes, covered_percent: percent(dish.covered),
          rescued_minor: dish.rescued_minor, buy_minor: to_buy(dish), share_minor: ranked.buy_minor, score_minor: ranked.score, tags: recipe.tags,
          uses: dish.rescued_picks.map { |key, pick, value| use(key, pick, value) }, missing: dish.missing.map { |line| missing_line(line) },
          stand_ins: dish.substituted.map { |line| stand_in(line) }, allergens: allergens(dish), not_for: dish.clashes.map { |clash| not_for(clash) } }
      end

      def stand_in(line) = { food: food_name(line.food_key), for: food_name(line.line.food_key) }

      # What the dish holds as it would be cooked here.
      def allergens(dish) = dish.lines.flat_map { |line| pantry.foods[line.food_key]&.allergens.to_a }.uniq.sort

      def not_for(clash) = { person: clash.person, because: clash.words(food_name(clash.food_key)) }

      def meal(row)
        dish = all_missing.last[row[:id]]
        { id: row[:id], on: row[:on_date].iso8601, meal: row[:meal], recipe_id: row[:recipe_id], name: row[:recipe_name], servings: Core::Decimal.print(row[:servings].to_r), status: row[:status],
          minutes: row[:total_minutes], covered_percent: dish && percent(dish.covered), buy_minor: dish && to_buy(dish) }
      end

      # Which stacks the coming meals will take from.
      def ties
        by_id = planned.to_h { |meal| [meal.id, meal] }
        all_missing.last.flat_map do |id, dish|
          dish.lines.flat_map { |line| line.picks.map { |pick| tie(by_id.fetch(id), line.food_key, pick) } }
        end
      end

      def tie(meal, key, pick)
        { stack_id: pick.stock.id, meal_id: meal.id, on: meal.on.iso8601, name: meal.recipe.name, amount: lot_amount_text(key, pick) }
      end

      def lot_amount(key, pick) = pantry_of.proposal(key, pick)

      def lot_amount_text(key, pick)
        lot = pantry_of.lot(pick.stock.id)
        amount = Core::Quantity.new(lot_amount(key, pick), lot[:dimension].to_sym)
        lot[:noun] ? Core::Wording.counted(amount.amount, lot[:noun]) : @room.amount(amount)
      end

      def lot(id) = pantry_of.lot(id)

      def running_out = pantry_of.running_out

      # What a person sees as "to buy" is whole packs; the ranking itself counts the share that is needed.
      # @return [Array(Integer, Boolean)] minor units, and whether that is an estimate
      def whole_cost(key, grams) = prices.cost(key, Core::MissingList.whole_grams(pantry.foods.fetch(key), grams))

      def to_buy(dish) = dish.missing.sum { |line| whole_cost(line.food_key, line.missing).first }

      # How much of a food in the way it is counted: pieces where people count pieces.
      def food_amount(key, grams)
        food = pantry.foods.fetch(key)
        quantity = Core::Quantity.new(grams, :mass)
        quantity = Core::Conversion.to(quantity, food.dimension, food) unless food.dimension == :mass
        @room.amount(Core::Proposal.need(quantity, food))
      rescue Core::MissingFigure
        @room.amount(Core::Proposal.need(Core::Quantity.new(grams, :mass), food))
      end

      # @param pack [Core::Quantity, nil]
      # @return [String, nil] its size as it stands on the pack
      def pack_words(pack) = pack && @room.size(pack)

      def food_name(key) = pantry.foods.fetch(key).name

      def food_id(key) = pantry_of.food_id(key)

      def percent(share) = (share * 100).floor

      private

      def use(key, pick, value)
        { stack_id: pick.stock.id, food: food_name(key), days_left: pick.stock.usable_until && (pick.stock.usable_until - @room.today).to_i, value_minor: value }
      end

      def missing_line(line)
        cost, estimated = whole_cost(line.food_key, line.missing)
        { food_id: food_id(line.food_key), food: food_name(line.food_key), amount: food_amount(line.food_key, line.missing), cost_minor: cost, estimated: estimated }
      end
    end
  end
end
