# frozen_string_literal: true

require_relative "../label_line/stem"
require_relative "../recipes/cooking_time"
require_relative "../value"

module NutShelf
  module Core
    # The steps of a dish with what each needs: which lines its words name, and the minutes it says, for a timer.
    module StepLines
      # `lines`: places in the dish's lines; `minutes`: of "simmer 20 to 25 minutes" 20, so that somebody looks in time;
      # nil where it says none. Frozen.
      Step = Value.of(:text, :lines, :minutes)

      MINUTES = /(\d+(?:[.,]\d+)?)\s*(?:(?:to|-|–)\s*\d+(?:[.,]\d+)?\s*)?(minutes?|mins?|hours?|hrs?|h)\b/i
      # A word that is part of too many names to point at one.
      COMMON = %w[canned tinned dried frozen fresh ground white red green cooked ready-made plain and or with].freeze

      module_function

      # @param steps [Array<String>]
      # @param lines [Array<DishLine>] as they were drawn
      # @param foods [Hash{String=>Food}]
      # @return [Array<Step>]
      def of(steps, lines, foods)
        words = lines.map { |line| words_of(line, foods) }
        steps.map do |text|
          said = text.scan(/\p{L}[\p{L}-]*/).map { |word| LabelLine::Stem.of(word) }
          named = words.each_index.select { |at| words[at].intersect?(said) }
          Step.new(text: text, lines: named.freeze, minutes: minutes(text))
        end
      end

      # @return [Integer, nil]
      def minutes(text)
        found = text.match(MINUTES) or return
        CookingTime.minutes("#{found[1]} #{found[2]}")
      end

      # What a step may call it: the food that is asked for, and the one that stands in.
      def words_of(line, foods)
        [foods[line.line.food_key], foods[line.food_key]].compact.uniq.flat_map do |food|
          names = [*food.dish_words, food.line_name || food.name[/\A[^,(]+/]]
          names.flat_map(&:split).map { |word| LabelLine::Stem.of(word) }
        end.uniq - COMMON
      end

      CookingTime = Recipes::CookingTime
      private_constant :CookingTime
    end
  end
end
