# frozen_string_literal: true

require_relative "tongue"

module NutShelf
  module Core
    module LabelLine
      # What is known of other languages: words of the line and words for foods, by language. Frozen.
      class Tongues
        # The language the line itself is written in.
        ENGLISH = "en"

        # @param words [Hash{String=>Hash{String=>String}}] by language, runs of words to what they mean
        # @param foods [Hash{String=>Hash{String=>Array<String>}}] by language, words to food keys
        def initialize(words: {}, foods: {})
          @words = words.freeze
          @foods = foods.freeze
          freeze
        end

        # @return [Array<String>] languages that can be read
        def known = [ENGLISH, *@words.keys].uniq

        # @param languages [Array<String>] the household's
        # @param kept [Array<String>] names of its places, whose words stay what they are
        # @return [Tongue]
        def tongue(languages, kept: [])
          words = languages.reduce({}) { |all, language| @words.fetch(language, {}).merge(all) }
          names = @foods.slice(*languages).values.flat_map { |list| list.keys.map { |name| name[/\A[^~]+/] } }
          Tongue.new(words, names: names, kept: kept.flat_map { |name| name.downcase.split(/[^\p{L}\d']+/) })
        end

        # @param languages [Array<String>] the household's
        # @return [Hash] :foreign words to food keys, :unread words of the languages it does not read; for a Lexicon
        def foods(languages)
          read, other =
            @foods.partition { |language, _| languages.include?(language) }.map { |pairs| pairs.map(&:last) }
          {
            foreign: read.reduce({}) { |all, words| all.merge(words) { |_, one, two| one | two } },
            unread: other.flat_map(&:keys)
          }
        end
      end
    end
  end
end
