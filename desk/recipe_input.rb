# frozen_string_literal: true

require_relative "../core/reference/recipe"
require_relative "refusal"

module NutShelf
  module Desk
    # What somebody typed of a dish, made a recipe: checked, every line with its food or kept as words.
    class RecipeInput
      GEAR = %w[none kettle microwave one-burner hob oven slow-cooker freezer].freeze
      TEXTS = %i[name meal notes source].freeze

      # @param work [UnitOfWork]
      # @param at [String] JSON pointer to where the dish stands in what was sent
      def initialize(work, at: "")
        @work = work
        @at = at
      end

      # @param input [Hash] of KeepRecipe
      # @param key [String]
      # @return [Core::Recipe]
      # @raise [Refusal]
      def recipe(input, key:)
        check(input)
        known, texts = input[:lines].each_with_index.map { |line, at| line(line, at) }.partition(&:first)
        makes, lines = known.map(&:first).partition(&:made)
        Core::Recipe.new(
          key: key, own: true, **texts_of(input), servings: input[:servings],
          active_minutes: input[:active_minutes], total_minutes: input[:total_minutes],
          gear: gear(input), leftover_days: input[:leftover_days], freezes: input[:freezes] == true,
          steps: words(input[:steps]), tags: words(input[:tags] || []).map(&:downcase).uniq.freeze,
          lines: lines.freeze, makes: makes.freeze, texts: texts.map(&:last).freeze
        )
      end

      private

      def texts_of(input) = TEXTS.to_h { |name| [name, input[name].to_s.strip] }

      def check(input)
        raise Refusal.of(:recipe_without_name, at: "#{@at}/name") if input[:name].strip.empty?
        raise Refusal.of(:recipe_without_lines, at: "#{@at}/lines") if input[:lines].all? do |one|
          one[:text].strip.empty?
        end
        return unless input[:active_minutes] > input[:total_minutes]

        raise Refusal.of(:recipe_minutes, at: "#{@at}/active_minutes")
      end

      def gear(input)
        unknown = input[:gear] - GEAR
        raise Refusal.of(:recipe_gear, at: "#{@at}/gear", gear: unknown.first) if unknown.any?

        (input[:gear].empty? ? ["none"] : input[:gear].uniq).freeze
      end

      def words(list) = list.map(&:strip).reject(&:empty?).freeze

      # @return [Array(Core::RecipeLine or nil, Core::RecipeText)]
      def line(said, at)
        text = Core::RecipeText.new(text: said[:text].strip, position: at)
        return [nil, text] unless said[:food_id] && said[:amount]

        food = food(said[:food_id], "#{@at}/lines/#{at}/food_id")
        amount = said[:amount].to_r
        raise Refusal.of(:recipe_amount, at: "#{@at}/lines/#{at}/amount", line: text.text) unless amount.positive?

        line =
          Core::RecipeLine.new(
            food_key: food, quantity: Core::Quantity.of(amount, said[:unit] || "g"), optional: said[:optional] == true,
            made: said[:made] == true, substitutes: substitutes(said[:substitutes] || [], food, at),
            note: said[:note].to_s.strip, text: text.text, position: at
          )
        [line, text]
      end

      def substitutes(list, food, at)
        list.to_h do |one|
          factor = one[:factor].to_r
          raise Refusal.of(:recipe_factor, at: "#{@at}/lines/#{at}/substitutes") unless factor.positive? && factor <= 20

          [food(one[:food_id], "#{@at}/lines/#{at}/substitutes"), factor]
        end.except(food).freeze
      end

      def food(id, at) = keys.fetch(id) { raise Refusal.of(:recipe_food_unknown, at: at) }

      def keys = @keys ||= @work.house.foods.ids_by_key.invert
    end
  end
end
