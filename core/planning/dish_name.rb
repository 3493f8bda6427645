# frozen_string_literal: true

require_relative "../label_line/stem"

module NutShelf
  module Core
    # What a dish is called as it is cooked here: nobody reads salmon and eats mackerel. A word of the name that stands
    # for a food gives way to the word of what stands in for it, unless both are called so ("tomato" for passata).
    module DishName
      # Nobody eats one oat.
      ALWAYS_MANY = %w[oats].freeze

      module_function

      # @param name [String] of the recipe
      # @param swaps [Array<Array(Food, Food)>] food of a line, and the one that stands in for it
      # @return [String] "Rice with mackerel, egg and peas"
      def of(name, swaps)
        swaps.reduce(name) { |text, (food, other)| swapped(text, words_of(food), words_of(other)) }
      end

      # @param recipe [Recipe]
      # @param used [Array<String>] keys of the foods that really went in
      # @param foods [Hash{String=>Food}]
      # @return [String] its name as it was cooked
      def cooked(recipe, used, foods)
        swaps =
          recipe.lines.filter_map do |line|
            other = line.substitutes.keys.find { |key| used.include?(key) } unless used.include?(line.food_key)
            [foods.fetch(line.food_key), foods.fetch(other)] if other
          end
        of(recipe.name, swaps)
      end

      # @param food [Food]
      # @return [Array<String>] what dishes call it, the plain word first
      def words_of(food) = food.dish_words.empty? ? [food.name[/\A[^,(]+/].strip.downcase] : food.dish_words

      # @return [String] with the word for one food in the place of another's
      def swapped(text, words, others)
        said = words.sort_by { |word| -word.length }.filter_map { |word| spot(text, word) }.first or return text
        return text if others.any? { |other| stems(other) == stems(said) }

        text.sub(said, fitting(others.first, said))
      end

      # @return [String, nil] the words of the name that say this food, as they stand there
      def spot(text, word)
        wanted = stems(word)
        words = text.scan(/[\p{L}'’-]+/)
        at = (0..(words.size - wanted.size)).find { |index| words[index, wanted.size].map { stem(_1) } == wanted }
        at && text[/#{words[at, wanted.size].map { Regexp.escape(_1) }.join("\\s+")}/]
      end

      # In the place of one thing stands one thing, and a capital where there was one.
      def fitting(word, said)
        word = LabelLine::Stem.singular(word) if plural?(word) && !plural?(said) && !ALWAYS_MANY.include?(word)
        said.match?(/\A\p{Lu}/) ? word.sub(/\A./, &:upcase) : word
      end

      # @return [Boolean]
      def plural?(text) = (last = text.split.last.downcase) != LabelLine::Stem.singular(last)

      # @return [Array<String>]
      def stems(text) = text.split.map { |word| stem(word) }

      # @return [String]
      def stem(word) = LabelLine::Stem.of(word)
    end
  end
end
