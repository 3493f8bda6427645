# frozen_string_literal: true

require_relative "stem"
require_relative "typo"
require_relative "../value"

module NutShelf
  module Core
    module LabelLine
      # One name of a food: its stems, the hint that tells it from its namesakes ("canned", "frozen"),
      # whether it is what people mean by the bare word, and whether it is the household's own. Frozen.
      Phrase = Value.of(:stems, :food, :hint, :usual, :own)

      # A place as the reader knows it: name and kind ("fridge" and so on). Frozen.
      KnownPlace = Value.of(:name, :kind)

      # The words a household uses: foods by all their names, its own nicknames, its places. Frozen.
      class Lexicon
        attr_reader :foods, :places

        # @param foods [Hash{String=>Food}] by key
        # @param names [Array<Array(String, Array<String>)>] food key and its names; "name!" is the usual
        #   meaning of that word, "name~hint" one of several namesakes
        # @param places [Array<KnownPlace>]
        # @param nicknames [Hash{String=>String}] the household's own words, to a food key
        # @param foreign [Hash{String=>Array<String>}] words of the household's other languages, to food keys
        # @param unread [Array<String>] food words of languages that the household does not read
        def initialize(foods:, names:, places:, nicknames: {}, foreign: {}, unread: [])
          @foods = foods.freeze
          @places = places.freeze
          @unread = unread.to_h { |word| [word.downcase[/\A[^~]+/], true] }.freeze
          phrases = shipped(names) + own(nicknames) + given(foods, names) + foreign(foreign)
          @by_stem =
            phrases
              .flat_map { |phrase| phrase.stems.map { |stem| [stem, phrase] } }
              .group_by(&:first)
              .transform_values { |pairs| pairs.map(&:last) }
              .freeze
          @by_food = phrases.group_by(&:food).transform_values { |list| list.flat_map(&:stems).uniq.freeze }.freeze
          @by_initial = @by_stem.keys.group_by { |stem| stem[0] }.freeze
          freeze
        end

        # @return [Array<Phrase>] names that hold this stem
        def phrases(stem) = @by_stem.fetch(stem, [])

        # @return [Boolean] whether any name has that word
        def word?(stem) = @by_stem.key?(stem)

        # @param food [String] its key
        # @return [Array<String>] every stem of its names
        def words_of(food) = @by_food.fetch(food, [])

        # @return [Boolean] whether another language, which is not read here, has that word for a food
        def another_tongue?(word) = @unread.key?(word.downcase)

        # @param stem [String] a word nobody knows
        # @return [Array<String>] known stems it may be a typo of, the nearest
        def nearest(stem)
          limit = Typo.allowed(stem)
          return [] if limit.zero?

          near =
            @by_initial.fetch(stem[0], []).filter_map do |known|
              distance = Typo.distance(known, stem, [limit, Typo.allowed(known)].min)
              distance && [distance, known]
            end
          best = near.map(&:first).min
          near.select { |distance, _| distance == best }.map(&:last)
        end

        # Two words that together name a food ("camp stove") are no place.
        def pair?(one, other) = phrases(one).any? { |phrase| phrase.stems.include?(other) && phrase.stems.size > 1 }

        private

        def shipped(names)
          names.flat_map { |key, list| foods.key?(key) ? list.map { |name| phrase(name, key) } : [] }
        end

        def phrase(name, key)
          words, hint = name.split("~")
          Phrase.new(
            stems: stems(words.delete_suffix("!")),
            food: key,
            hint: hint,
            usual: words.end_with?("!"),
            own: false
          )
        end

        def own(nicknames)
          nicknames.map { |name, key| Phrase.new(stems: stems(name), food: key, hint: nil, usual: true, own: true) }
        end

        def foreign(words)
          words.flat_map { |word, keys| keys.select { |key| foods.key?(key) }.map { |key| another(word, key) } }
        end

        # A word of another language is the usual one for its food, but where a hint tells it from its namesakes.
        def another(word, key)
          words, hint = word.split("~")
          Phrase.new(stems: stems(words), food: key, hint: hint, usual: hint.nil?, own: false)
        end

        # Foods the household added are known by their own name.
        def given(foods, names)
          known = names.map(&:first)
          foods
            .reject { |key, _| known.include?(key) || key.start_with?("class-") }
            .map { |key, food| Phrase.new(stems: stems(food.name), food: key, hint: nil, usual: true, own: false) }
        end

        def stems(words) = words.scan(/\p{L}[\p{L}'’]*/).map { |word| Stem.of(word) }.uniq.freeze
      end
    end
  end
end
