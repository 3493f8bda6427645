# frozen_string_literal: true

require_relative "liking"
require_relative "../planner/problem"
require_relative "../quantity/conversion"
require_relative "../rotation/shelf"
require_relative "../value"
require_relative "again"
require_relative "dish_kind"
require_relative "kept_portions"
require_relative "meal_slot"
require_relative "meal_wishes"
require_relative "pack_plan"
require_relative "plan_foods"
require_relative "plan_rules"

module NutShelf
  module Core
    # What stands in a slot, or is to: `slot` its place among the slots, `kind` "cook" or "leftovers", `recipe_id`,
    # `choices`: food of a line to the food that stands in, nil where it is left out; `from`: the slot whose leftovers
    # it is; `lot_id`: the stack whose portions it is. Frozen.
    Placed = Value.of(:slot, :kind, :recipe_id, :from, :lot_id, choices: {}.freeze)

    # A household's meals as a problem of the planner, and the planner's answer as meals again. Grams, and coins of a
    # hundred minor units. What nobody at a table may have is taken out of a dish where another food stands in, else the
    # dish is not among those for that table: a set of excluded allergens has dishes of its own.
    class MealProblem
      # A choice within a line costs so many coins a serving: the food that is named is a little better.
      OTHER_FOOD = 5/100r
      LEFT_OUT = 5/100r
      # Where nobody says how long something is good.
      UNKNOWN = ->(*) {}

      # @param shelf [Shelf]
      # @param recipes [Hash{Integer=>Recipe}] that may be cooked
      # @param slots [Array<MealSlot>] in the order of time
      # @param placed [Array<Placed>] what is not to change
      # @param rules [PlanRules]
      # @param prices [PriceBook]
      # @param history [Array<Array(Date, Integer)>] what was cooked before the first day, by recipe
      # @param standing [Hash{Integer=>Integer}] slot to the dish that may change and better does not
      # @param looks [Boolean] whether what must be looked at first may be planned
      # @param likes [Hash{Integer=>Hash{String=>String}}] dish to what people said of it, see Liking
      # @param region [String, nil] see MealWishes
      # @param seasons [Hash{String=>Array<Integer>}] see MealWishes
      # @param freezer [Boolean] whether what is left of a dish can be frozen
      # @param rests [#call] see PackPlan
      # @param portions [Array<KeptPortions::Waiting>] that wait, whoever had them before
      # @param made_days [#call] dish and line of what it makes to the days that is good, nil where it is not for later
      def initialize(shelf:, recipes:, slots:, prices:, rules: PlanRules.new, placed: [], history: [], standing: {},
                     looks: true, likes: {}, region: nil, seasons: {}, freezer: false, rests: UNKNOWN,
                     made_days: UNKNOWN, portions: [])
        @likes = likes
        @region = region
        @seasons = seasons
        @shelf = shelf
        @recipes = recipes
        @slots = slots
        @prices = prices
        @rules = rules
        @placed = placed.to_h { |one| [one.slot, one] }
        @history = history
        @standing = standing
        @strict = slots.any?(&:strict?)
        @looks = looks && !@strict
        @freezer = freezer
        @made_days = made_days
        @from = slots.first&.on || shelf.today
        @foods = plan_foods(rests)
        @kept = KeptPortions.new(portions, shelf.foods, @foods)
        @tables = slots.map(&:excludes).uniq
        lay_dishes
      end

      # @return [Planner::Problem]
      def problem
        Planner::Problem.new(
          params: @rules.params(days), foods: foods, dishes: @dishes.map(&:dish).freeze,
          slots: @slots.each_with_index.map { |slot, at| planner_slot(slot, at) }.freeze,
          history: @history.flat_map { |day, id| cooked(day, id) }.freeze,
          tallies: wishes.tallies(@dishes.map { |laid| needed(laid.dish) }, days, @slots.count(&:wanted?), kinds: kinds)
        )
      end

      # @param plan [Array<Planner::Meal>]
      # @return [Array<Placed>] what is new in it
      def placed(plan)
        plan.reject { |meal| meal.kind == "skip" || @placed.key?(meal.slot) }.map do |meal|
          next Placed.new(slot: meal.slot, kind: "leftovers", from: meal.from) if meal.kind == "leftovers"

          laid = @dishes.fetch(meal.dish)
          next Placed.new(slot: meal.slot, kind: "kept", lot_id: laid.lot_id) if laid.lot_id

          Placed.new(slot: meal.slot, kind: "cook", recipe_id: laid.recipe_id, choices: choices(laid, meal.choices))
        end
      end

      private

      # A dish as one table has it: `lines` the recipe's lines that are reckoned with, in the dish's order, each with
      # its foods by option; or portions of a stack.
      Laid = Value.of(:recipe_id, :lot_id, :excludes, :dish, :lines, :holds)
      private_constant :Laid

      def lay_dishes
        @keys = {}
        @dishes = @tables.flat_map do |excludes|
          [*@recipes.filter_map { |id, recipe| lay(id, recipe, excludes) },
           *@kept.for_table(excludes).map { |one| lay_kept(one, excludes) }]
        end
      end

      def lay_kept(one, excludes)
        Laid.new(
          lot_id: one.stack.id, excludes: excludes, lines: [].freeze, holds: @kept.allergens(one),
          dish: @kept.dish(number(one))
        )
      end

      # Where somebody may not have something, nothing is cooked of which nobody knows what it holds.
      def lay(id, recipe, excludes)
        return if excludes.any? && recipe.doubtful?

        lines = recipe.lines.map { |line| line(line, recipe.servings, excludes) }
        return if lines.include?(:shut)

        lines = lines.compact
        foods = lines.flat_map { |one| one[:foods] }.compact
        Laid.new(
          recipe_id: id, excludes: excludes, lines: lines.map { |one| one.slice(:named, :foods) }.freeze,
          holds: foods.flat_map { |key| food(key).allergens }.uniq,
          dish: Planner::Dish.new(
            minutes: recipe.active_minutes, meals: MEALS, liking: Liking::SAME, likings: likings(id),
            keeps_days: Again.days(recipe, freezer: @freezer), chilled_days: recipe.leftover_days,
            protein: main(lines, PROTEIN), starch: main(lines, STARCH), lines: lines.map { |one| one[:line] }.freeze,
            makes: recipe.makes.filter_map { |line| making(recipe, line) }.freeze
          ).then { |dish| dish.with(extra: wishes.extra(needed(dish))) }
        )
      end

      # @return [Planner::Making, nil]
      def making(recipe, line)
        days = @made_days.call(recipe, line) or return
        grams = grams(line) or return
        Planner::Making.new(food: number(line.food_key), quantity: grams / recipe.servings, days: days)
      end

      # @return [Array<Rational>, nil] by table, nil where nobody said anything
      def likings(id)
        said = @likes.fetch(id, {})
        company.map { |people| Liking.of(said, people) }.freeze unless said.empty?
      end

      # Who sits together, each company once.
      def company = @company ||= @slots.map { |slot| sitting(slot) }.uniq

      def sitting(slot) = slot.eaters.map(&:id)

      def kinds = @dishes.map { |laid| laid.recipe_id && DishKind.of(@recipes.fetch(laid.recipe_id).name) }

      def wishes
        @wishes ||= MealWishes.new(
          rules: @rules, foods: @shelf.foods, month: @from.month, region: @region, seasons: @seasons,
          there: ->(key) { @shelf.of(key, strict: @strict).any? }
        )
      end

      # @return [Array<Array(String, Rational)>] foods of the lines that are not left to choice, grams a portion
      def needed(dish)
        lines = dish.lines.reject(&:omit_cost).map { |line| [names[line.food], line.quantity] }
        lines.select { |key, _| key.is_a?(String) }
      end

      def names = @names&.size == @keys.size ? @names : (@names = @keys.invert)

      def days = (@slots.last.on - @from).to_i + 1

      PROTEIN = %w[protein].freeze
      STARCH = %w[grains].freeze
      MEALS = %w[breakfast lunch dinner snack].freeze
      private_constant :PROTEIN, :STARCH, :MEALS

      # The food of a kind there is most of.
      def main(lines, groups)
        lines
          .select { |one| groups.include?(food(one[:foods].first)&.food_group) }
          .max_by { |one| one[:line].quantity }
          &.then { |one| one[:foods].first }
      end

      # @return [Hash, Symbol, nil] the line and its foods by option; nil where it costs nothing to anybody, :shut where
      #   nothing in it may be eaten
      def line(line, servings, excludes)
        allowed = ->(key) { food(key) && !food(key).allergens.intersect?(excludes) }
        options = [[line.food_key, 1r], *line.substitutes.to_a].select { |key, _| allowed.(key) }
        return line.optional ? nil : :shut if options.empty?
        return if @shelf.free?(options.first.first)

        grams = grams(line) or return
        first, ratio = options.shift
        {
          named: line.food_key, foods: [first, *options.map(&:first)],
          line: Planner::Line.new(
            food: number(first), quantity: grams * ratio / servings, omit_cost: line.optional ? LEFT_OUT : nil,
            substitutes: options.map do |key, by|
              Planner::Substitute.new(food: number(key), ratio: by / ratio, cost: OTHER_FOOD)
            end.freeze
          )
        }
      end

      def grams(line)
        food = food(line.food_key) or return
        Conversion.to(Conversion.gross(line.quantity, food), :mass, food).amount
      rescue MissingFigure
        nil
      end

      def food(key) = @shelf.foods[key]

      def number(key) = @keys[key] ||= @keys.size

      # By its key, or the portions themselves.
      def foods = @keys.keys.map { |key| key.is_a?(String) ? @foods.of(key) : @kept.food(key) }.freeze

      def plan_foods(rests)
        PlanFoods.new(
          @shelf, @prices, PackPlan.new(@shelf, days, strict: @strict, rests: rests), @from,
          strict: @strict, looks: @looks, waste: @rules.of("waste"), freezer: @freezer
        )
      end

      def planner_slot(slot, at)
        stays = @placed[at]
        Planner::Slot.new(
          day: (slot.on - @from).to_i, meal: slot.meal, eaters: slot.servings, max_minutes: PlanFoods::FAR,
          skip: skip?(stays, slot), pin: pin(stays, slot),
          leftovers_from: stays&.from, only: only(slot, stays), may: may(slot), now: standing(at, slot),
          table: company.index(sitting(slot)), allow_leftovers: !slot.hand
        )
      end

      # What stands there and is nothing to cook, or may not be eaten there, is nobody's to fill.
      def skip?(stays, slot)
        return !slot.wanted? if stays.nil?

        stays.kind == "other" || (stays.kind == "cook" && pin(stays, slot).nil?)
      end

      def pin(stays, slot) = stays&.recipe_id && place(stays.recipe_id, slot)

      def standing(at, slot) = @standing[at] && place(@standing[at], slot)

      def place(recipe_id, slot)
        @dishes.index { |laid| laid.recipe_id == recipe_id && laid.excludes == slot.excludes }
      end

      def only(slot, stays)
        return [pin(stays, slot)].compact if stays&.recipe_id

        @dishes.each_index.select { |at| @dishes[at].excludes == slot.excludes && fits?(@dishes[at], slot) }
      end

      def fits?(laid, slot)
        return @kept.fits?(laid.lot_id, slot, @shelf.today) if laid.lot_id

        recipe = @recipes.fetch(laid.recipe_id)
        recipe.meal == slot.meal && slot.against(recipe).empty?
      end

      def may(slot)
        @dishes.each_index.select do |at|
          laid = @dishes[at]
          recipe = @recipes[laid.recipe_id] or next
          !laid.holds.intersect?(slot.excludes) && !(slot.excludes.any? && recipe.doubtful?) && slot.again?(recipe)
        end
      end

      def cooked(day, recipe_id)
        @tables.filter_map do |excludes|
          at = @dishes.index { |laid| laid.recipe_id == recipe_id && laid.excludes == excludes }
          at && Planner::Cooked.new(day: (day - @from).to_i, dish: at)
        end
      end

      # By the food the recipe names.
      def choices(laid, chosen)
        laid.lines.each_with_index.filter_map do |line, at|
          option = chosen.fetch(at, 0)
          taken = option == -1 ? nil : line[:foods].fetch(option)
          [line[:named], taken] unless taken == line[:named]
        end.to_h.freeze
      end
    end
  end
end
