# frozen_string_literal: true

require_relative "figures"
require_relative "kitchen_measures"
require_relative "../value"

module NutShelf
  module Core
    module Recipes
      # How much an ingredient line says, and the words that are left: "2 x 400 g tins", "1 (14 oz) can", "200g/7oz",
      # "Flour: 200 g". `size` is of one pack; `noun` what is counted; `unit` of Unit::TABLE. Frozen.
      SaidAmount =
        Value.of(:rest, number: nil, upto: nil, unit: nil, noun: nil, size: nil) do
          # @return [Boolean] whether it says a figure
          def any? = !number.nil?
        end

      # Reads SaidAmount off a line.
      class AmountReader
        ABOUT = /\A(?:about|approx(?:imately)?\.?|around|roughly|circa|ca\.?|up to|at least|~|scant|heaped)\s*/i
        TIMES = /\A\s*(?:x|×|\*)\s*/i
        # "(400 g each)", "(14-ounce)", "- 400 g": what one pack holds.
        IN_BRACKETS = /\A\s*\(\s*([^()]*?)\s*(?:each|per \p{L}+|net|drained|total)?\s*\)\s*/i
        SECOND = %r{\A\s*(?:/|\(|\bor\b)\s*(?=[\d.])}
        WORD = /\A[\s-]*(\p{L}+\.?)/
        MEASURE_OF = /\b(g|kg|ml|l|oz|lb|ounces?|pounds?|grams?|tsp|tbsp|cups?)\b/i

        # @param settings [Hash] whose cups
        def initialize(settings)
          @settings = settings
        end

        # @param text [String] see Figures.plain
        # @return [SaidAmount]
        def read(text)
          at_head(text.sub(ABOUT, "")) || at_tail(text) || SaidAmount.new(rest: text)
        end

        private

        def at_head(text)
          low, high, rest = Figures.at_head(text) || bare_noun(text)
          return unless low

          multiplied(low, rest) || bracketed(low, high, rest) || plain(low, high, rest)
        end

        # "handful of parsley", "pinch salt", "juice": one of it.
        def bare_noun(text)
          noun = text.sub(KitchenMeasures::ADJECTIVES, "")[WORD, 1] or return
          [1r, 1r, " #{text}"] if KitchenMeasures::ROUGH.key?(KitchenMeasures.noun(noun))
        end

        # "2 x 400 g tins", "2 400g tins"
        def multiplied(count, rest)
          inner = rest.match?(TIMES) ? rest.sub(TIMES, "") : rest[/\A\s+(\d.*)\z/m, 1]
          return unless inner

          size, behind = measure(inner)
          return whole(count, Figures.at_head(inner)) unless size

          noun, behind = noun_at(behind)
          SaidAmount.new(rest: behind, number: count, upto: count, noun: noun || "packet", size: size)
        end

        # "1 x onion" is one of it.
        def whole(_count, _found) = nil

        # "1 (14 oz) can tomatoes"
        def bracketed(low, high, rest)
          found = rest.match(IN_BRACKETS) or return
          size, = measure(found[1].sub(ABOUT, ""))
          noun, behind = noun_at(found.post_match) if size
          SaidAmount.new(rest: behind, number: low, upto: high, noun: noun, size: size) if noun
        end

        def plain(low, high, rest)
          rest = rest.sub(TIMES, " ")
          bare = rest.sub(/\A\s+/, "").sub(KitchenMeasures::ADJECTIVES, "")
          unit, behind = unit_at(bare)
          return measured(low, high, unit, behind) if unit

          noun, behind = noun_at(bare)
          return packed(low, high, noun, behind) if noun

          SaidAmount.new(rest: rest, number: low, upto: high, noun: "piece")
        end

        # "200 g/7 oz butter", "200 g (7 oz) butter", "1 lb 4 oz beef", "400 g tin of tomatoes"
        def measured(low, high, unit, behind)
          more, after = measure(behind)
          return SaidAmount.new(rest: after, number: low + in_units(more, unit), unit: unit) if smaller?(more, unit,
            behind)

          behind, other = without_second(behind)
          noun, after = noun_at(behind) unless other
          if KitchenMeasures::PACKS.include?(noun)
            return SaidAmount.new(rest: after, number: 1r, upto: 1r, noun: noun, size: Quantity.of(low, unit))
          end

          SaidAmount.new(rest: behind, number: low, upto: high, unit: unit)
        end

        def smaller?(more, unit, behind)
          more && behind.match?(/\A\s*\d/) && { "lb" => :mass, "kg" => :mass,
                                                "l" => :volume }[unit] == more.dimension &&
            more.amount < Unit.factor(unit)
        end

        def in_units(quantity, unit) = quantity.amount / Unit.factor(unit)

        # "2 tins (400 g each) tomatoes", "2 tins 400 g tomatoes"
        def packed(low, high, noun, behind)
          bracket = behind.match(IN_BRACKETS)
          size, after = measure(bracket ? bracket[1] : behind.sub(/\A\s*(?:of|,|-)?\s*/, ""))
          size = nil unless KitchenMeasures::PACKS.include?(noun) || noun == "piece"
          behind = bracket ? bracket.post_match : after if size
          SaidAmount.new(rest: behind, number: low, upto: high, noun: noun, size: size)
        end

        # "/7 oz" and "(7 oz)" say the same again.
        def without_second(text)
          bracket = text.match(IN_BRACKETS)
          return bracket.post_match, true if bracket && measure(bracket[1].sub(ABOUT, "")).first

          slash = text.match(SECOND)
          size, after = measure(slash.post_match) if slash
          size ? [after.sub(/\A\s*\)/, ""), true] : [text, false]
        end

        # @return [Array(Quantity, String), nil] a figure and its unit at the head of a text, and what is behind
        def measure(text)
          low, _, rest = Figures.at_head(text.strip)
          return unless low

          unit, behind = unit_at(rest.sub(/\A[\s-]+/, ""))
          unit ? [Quantity.of(low, unit), behind] : nil
        end

        def unit_at(text)
          if (fluid = text.match(/\Afl(?:uid)?\.?\s*(?:oz|ounces?)\.?\b/i))
            return LabelLine::Units.unit("floz", @settings), fluid.post_match
          end

          word = text[/\A(\p{L}+\.?)(?![\p{L}'’])/, 1] or return
          unit = KitchenMeasures.unit(word, @settings) or return
          [unit, text[word.length..]]
        end

        def noun_at(text)
          bare = text.sub(/\A[\s-]+/, "").sub(KitchenMeasures::ADJECTIVES, "")
          word = bare[WORD, 1] or return [nil, text]
          noun = KitchenMeasures.noun(word)
          noun ? [noun, bare.sub(WORD, "")] : [nil, text]
        end

        # "Flour 200 g", "Salt - 1 tsp"
        def at_tail(text)
          found = text.match(%r{\A(?<rest>\D+?)[\s:–-]+(?<amount>[\d.][\d\s.,/]*\s*\p{L}*\.?)\s*\z}) or return
          size, behind = measure(found[:amount])
          return counted_tail(found) unless size && behind.strip.empty?

          low, = Figures.at_head(found[:amount])
          unit, = unit_at(Figures.at_head(found[:amount]).last.sub(/\A[\s-]+/, ""))
          SaidAmount.new(rest: found[:rest], number: low, upto: low, unit: unit)
        end

        # "Eggs 3", "Eggs: 3 pieces"
        def counted_tail(found)
          low, high, behind = Figures.at_head(found[:amount])
          noun = behind.strip.empty? ? "piece" : KitchenMeasures.noun(behind.strip)
          noun && SaidAmount.new(rest: found[:rest], number: low, upto: high, noun: noun)
        end
      end
    end
  end
end
