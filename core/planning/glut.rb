# frozen_string_literal: true

require_relative "../errors"
require_relative "../quantity/conversion"
require_relative "../value"

module NutShelf
  module Core
    # Far more of one food than anybody would eat as it is ("6 kg plums"): spread over dishes of the coming days, one a
    # day and each dish once, those first that use most of it, until its last good day; the rest is for the freezer.
    class Glut
      # `choices`: the line it stands in for, where the dish asks for another food; `grams`: what it takes. Frozen.
      Meal = Value.of(:slot, :recipe_id, :choices, :grams)

      # What is left is for the freezer, where it freezes. Frozen.
      Spread = Value.of(:meals, :rest)

      # Less of it in a dish uses nothing up: share of what there is, or grams.
      LEAST = Rational(1, 20)
      LEAST_GRAMS = 40

      # @param food [Food]
      # @param grams [Rational] as they stand on the shelf
      # @param recipes [Hash{Integer=>Recipe}] by id
      # @param foods [Hash{String=>Food}]
      def initialize(food:, grams:, recipes:, foods:)
        @food = food
        @grams = grams
        @foods = foods
        @using = recipes.filter_map { |id, recipe| using(id, recipe) }
      end

      # @param slots [Array<MealSlot>] that are open, up to its last good day
      # @return [Spread]
      def over(slots)
        rest = @grams
        taken = []
        meals =
          slots.group_by(&:on).sort.filter_map do |_, of_day|
            meal = best(of_day, taken, rest) or next
            taken << meal.recipe_id
            rest -= meal.grams
            meal
          end
        Spread.new(meals: meals.freeze, rest: rest)
      end

      private

      # A dish that needs it, or in which it may stand in; with the grams one portion takes.
      Using = Value.of(:id, :recipe, :line, :choices, :portion)
      private_constant :Using

      def using(id, recipe)
        line = recipe.lines.find { |one| !one.optional && one.food_key == @food.key }
        line ||= recipe.lines.find { |one| !one.optional && one.substitutes.key?(@food.key) }
        portion = line && portion(line, recipe)
        return unless portion

        own = line.food_key == @food.key
        Using.new(
          id: id, recipe: recipe, line: line, portion: portion,
          choices: own ? {}.freeze : { line.food_key => @food.key }.freeze
        )
      end

      def portion(line, recipe)
        food = @foods[line.food_key] or return
        grams = Conversion.to(Conversion.gross(line.quantity, food), :mass, food).amount
        grams * line.substitutes.fetch(@food.key, 1r) / recipe.servings
      rescue MissingFigure
        nil
      end

      def best(slots, taken, rest)
        fitting =
          slots.flat_map do |slot|
            @using.filter_map { |one| [slot, one, one.portion * slot.servings] if fits?(one, slot, taken) }
          end
        slot, one, grams =
          fitting.select { |_, _, used| used.between?(least, rest * 3/2r) }.max_by { |_, use, used| [used, -use.id] }
        slot && Meal.new(slot: slot, recipe_id: one.id, choices: one.choices, grams: [grams, rest].min)
      end

      def least = [@grams * LEAST, LEAST_GRAMS].min

      def fits?(one, slot, taken)
        return false if taken.include?(one.id) || one.recipe.meal != slot.meal
        return false if slot.excludes.any? && one.recipe.doubtful?

        slot.wanted? && slot.against(one.recipe).empty? && one.recipe.lines.all? { |line| served?(line, one, slot) }
      end

      # Nobody at the table may not have it, whatever stands in for what.
      def served?(line, one, slot)
        return true if line.optional

        keys = line == one.line ? [@food.key] : [line.food_key, *line.substitutes.keys]
        keys.any? { |key| @foods.key?(key) && slot.diet.allows?(@foods[key]) }
      end
    end
  end
end
