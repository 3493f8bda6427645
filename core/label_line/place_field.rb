# frozen_string_literal: true

require_relative "stem"
require_relative "units"

module NutShelf
  module Core
    module LabelLine
      # Finds where a thing goes: "@cellar", a place's whole name, or a word only that place has.
      class PlaceField
        # What places are called in the languages the line can be written in, for places whose kind nobody said.
        CALLED = {
          "fridge" => %w[kühlschrank frigo réfrigérateur réfrigerateur nevera refrigerador frigorífico],
          "freezer" => %w[gefrierschrank gefriertruhe tiefkühler tiefkühltruhe congélateur congelateur congelador],
          "cool_dark" => %w[keller cave cellier sótano bodega basement]
        }.freeze
        KIND_WORDS = {
          "fridge" => %w[fridge refrigerator], "freezer" => %w[freezer], "cool_dark" => %w[cellar],
          "cupboard" => %w[cupboard pantry larder]
        }.freeze
        LEADS = %w[in into to on at the @].freeze

        # @param name [String] of a place
        # @return [String] the kind its words tell, "cupboard" where they tell none
        def self.kind_of(name)
          words = name.downcase.scan(/\p{L}+/)
          KIND_WORDS.find { |kind, known| [*known, *CALLED[kind]].intersect?(words) }&.first || "cupboard"
        end

        def initialize(line, lexicon)
          @line = line
          @lexicon = lexicon
        end

        # Claims the words that name a place, and asks where they do not settle it.
        def read
          marked || whole_name || single_word
        end

        private

        def marked
          at = @line.free_indexes.find { |index| @line.text(index) == "@" && @line[index + 1]&.word? } or return
          candidates = by_name_or_kind(@line.text(at + 1))
          length = candidates.map { |place| run_length(place, at + 1) }.max || 1
          candidates = candidates.select { |place| run_length(place, at + 1) == length }
          settle(candidates, [at, *((at + 1)...(at + 1 + length))])
          true
        end

        # How many tokens from `at` spell the place's name.
        def run_length(place, at)
          index = at
          index += 1 while @line.free?(index) &&
              (words(place).include?(Stem.of(@line.text(index))) || (@line.text(index) == "-" && index > at))
          [index - at, 1].max
        end

        def whole_name
          hits = @line.free_indexes.product(@lexicon.places).select { |index, place| spelled?(place, index) }
          # "Camper fridge" is not "Camper": the longest name wins.
          index, place = hits.max_by { |at, known| [words(known).size, -at] }
          return unless place

          settle([place], (index...(index + words(place).size)).to_a)
        end

        def spelled?(place, index)
          list = words(place)
          !list.empty? &&
            list.each_with_index.all? do |word, offset|
              @line[index + offset] && Stem.of(@line.text(index + offset)) == word
            end
        end

        def single_word
          @line.free_indexes.reverse_each do |index|
            next unless @line[index]&.word? && !Units.noun(@line.text(index)) && !food_pair?(index)

            candidates = by_word(@line.text(index))
            return settle(candidates, [index]) unless candidates.empty?
          end
          nil
        end

        def food_pair?(index)
          [index - 1, index + 1].any? do |other|
            @line[other]&.word? && @lexicon.pair?(Stem.of(@line.text(index)), Stem.of(@line.text(other)))
          end
        end

        def by_word(text)
          @lexicon.word?(Stem.of(text)) && named(text).empty? ? [] : by_name_or_kind(text)
        end

        def named(text) = @lexicon.places.select { |place| words(place).include?(Stem.of(text)) }

        def by_name_or_kind(text)
          named = named(text)
          return named unless named.empty?

          kinds = @lexicon.places.select { |place| kind_word?(place, text) }
          kinds.empty? ? near(text) : kinds
        end

        def kind_word?(place, text) = KIND_WORDS.fetch(place.kind, []).include?(text)

        def near(text)
          return [] if text.length < 5 || @lexicon.word?(Stem.of(text))

          @lexicon.places.select do |place|
            words(place).any? { |word| word.length >= 5 && Typo.distance(word, Stem.of(text), 1) }
          end
        end

        # Digits belong to a name; one of signs alone (an emoji) cannot be spelled in a line.
        def words(place) = place.name.scan(/\p{L}+|\d+/).map { |word| Stem.of(word) }

        def settle(candidates, used)
          return if used.empty?

          used = [*leads_before(used.min), *used]
          @line.claim(:place, used)
          case candidates.size
          when 1
            @line.found[:place] = candidates.first.name
          when 0
            @line.ask(
              :place,
              "There is no place #{@line.original(used.last)}. Where does it go?",
              @lexicon.places.map { |place| answer(place) }
            )
          else
            @line.ask(:place, "Which place is meant?", candidates.map { |place| answer(place) })
          end
          true
        end

        def answer(place) = { text: place.name, value: place.name }

        def leads_before(index)
          at = index - 1
          at -= 1 while LEADS.include?(@line.text(at))
          ((at + 1)...index).to_a
        end
      end
    end
  end
end
