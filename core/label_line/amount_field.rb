# frozen_string_literal: true

require_relative "packs_in_packs"
require_relative "numbers"
require_relative "numbers_apart"
require_relative "price_field"
require_relative "stem"
require_relative "units"
require_relative "../quantity/quantity"

module NutShelf
  module Core
    module LabelLine
      # Reads how many and how much: "3 tins 400 g", "2x6x330ml", "400 g x 3", "half jar", "a dozen eggs".
      class AmountField
        include PacksInPacks

        include NumbersApart

        # What may follow a size as the rest of it: "1 lb 4 oz".
        SMALLER = {
          "lb" => "oz", "kg" => "g", "l" => "ml", "uk_gallon" => "uk_pint", "us_gallon" => "us_quart",
          "us_pint" => "us_floz", "uk_pint" => "uk_floz"
        }.freeze

        # What is bought by the measure itself.
        POURED = %w[pint quart gallon litre liter kilo].freeze
        # "2 days left" counts no packs.
        SPANS = %w[day days week weeks month months year years hour hours minute minutes].freeze

        # @param line [Line]
        # @param settings [Hash] the household's measures
        # @param lexicon [Lexicon, nil] knows which nouns are part of a food's name ("tea bags")
        def initialize(line, settings:, lexicon: nil)
          @line = line
          @lexicon = lexicon
          @settings = settings
        end

        # Claims what of the line is a size or a count; notes both in it.
        def read
          can_numbers
          named_numbers
          size
          multiplied_after
          in_brackets
          packs_of
          counted_nouns
          count_beside_size
          lone_number
          count_of_offer
          jars_of_a_measure
          finish
        end

        private

        # The first number with a unit of mass or volume is the size of one pack; "n x" before it counts.
        def size
          @line.tokens.each_index do |index|
            number, unit, length = measured_at(index)
            next unless number

            @size = Quantity.of(number, unit)
            @line.found[:size_unit] = [number, unit]
            @size_at = index
            @line.claim(:amount, (index...(index + length)).to_a)
            and_smaller(index + length, unit)
            multipliers_before(index)
            return
          end
        end

        # "1 lb 4 oz" is one size.
        def and_smaller(at, unit)
          at += 1 if %w[and & ,].include?(@line.text(at))
          number, smaller, length = measured_at(at)
          return unless number && smaller == SMALLER[unit]

          @size = Quantity.of(@size.amount + Quantity.of(number, smaller).amount, @size.unit)
          @line.claim(:amount, (at...(at + length)).to_a)
        end

        def measured_at(index)
          number, length = Numbers.at(@line, index) || article(index) || one_of(index)
          return unless number&.positive?

          unit, extra = unit_at(index + length)
          unit && unit != "piece" ? [number, unit, length + extra] : nil
        end

        # "a kilo of rice"
        def article(index)
          if %w[a an].include?(@line.text(index)) && Units.unit(@line.text(index + 1), @settings) &&
              @line.text(index + 1).length > 2
            [1r, 1]
          end
        end

        # "pint of milk", "gallon whole milk": one of it, where no number says otherwise.
        def one_of(index)
          text = @line.text(index)
          if text.nil? || text.length < 3 ||
              (index.positive? && (@line.tokens[index - 1].num? || Numbers.at(@line, index - 1)))
            return
          end

          if Units.unit(text, @settings) &&
              (@line.text(index + 1) == "of" || (POURED.include?(text) && (index.positive? || @line[1]&.word?)))
            [1r, 0]
          end
        end

        # "5# bag": pounds, where people weigh in them.
        def pounds?(at)
          @line.text(at) == "#" && @settings[:pint] == "us_pint" && at.positive? && @line.tokens[at - 1].num? &&
            @line.tokens[at - 1].to == @line.tokens[at].from
        end

        def unit_at(at)
          return "lb", 1 if pounds?(at)

          at += 1 if (skip = @line.text(at) == "-" ? 1 : 0) == 1
          if %w[fl fluid].include?(@line.text(at))
            dot = @line.text(at + 1) == "." ? 1 : 0
            if %w[oz ounce ounces].include?(@line.text(at + 1 + dot))
              return Units.unit("floz", @settings), 2 + skip + dot
            end
          end
          [Units.unit(@line.text(at), @settings), 1 + skip]
        end

        # Walks back over "2 x 6 x".
        def multipliers_before(index)
          at = index - 1
          while @line.text(at) == "x" && (number = plain(at - 1))
            multiply(number, [at, at - 1])
            at -= 2
          end
        end

        def plain(at)
          text = @line.text(at)
          text.to_r if @line[at]&.num? && text.match?(/\A\d{1,5}\z/)
        end

        def multiply(number, used)
          @count = (@count || 1) * number
          @line.claim(:count, used)
        end

        # "400 g x 3", "chickpeas x3", "3 x chickpeas"
        def multiplied_after
          @line.tokens.each_index do |index|
            next unless @line.text(index) == "x"

            after = plain(index + 1)
            before = plain(index - 1)
            if after && !noun_or_unit?(index + 2)
              multiply(after, [index, index + 1])
            elsif before
              multiply(before, [index - 1, index])
            end
          end
        end

        def counted_nouns
          @line.tokens.each_index do |index|
            noun = Units.noun(@line.text(index))
            noun ||= "piece" if Units::NAMES[@line.text(index)] == "piece"
            if noun.nil? || part_of_name?(index) || (noun == "bar" && !number_before(index)) ||
                @line.text(index + 1) == "opener"
              next
            end

            noun_found(noun, index)
          end
        end

        # "tea bags" is a name; tins are counted whatever stands before them.
        def part_of_name?(index)
          return false if Stem.of(@line.text(index)) == "canned" || Units.noun(@line.text(index)) == "can"

          before = @line[index - 1]
          before&.word? && @lexicon&.pair?(Stem.of(before.text), Stem.of(@line.text(index)))
        end

        def noun_found(noun, index)
          number, used = number_before(index) || article_before(index)
          return if number.nil? && !hint_only?(noun)

          @line.hints << (noun == "can" ? :tin : noun.to_sym)
          @noun = noun if number || @noun.nil?
          @line.claim(:count, [index, *used])
          @count = (@count || 1) * number if number
        end

        def article_before(index) = %w[a an].include?(@line.text(index - 1)) ? [1r, [index - 1]] : nil

        # Without a number a noun still says what it comes in ("rice 1 kg bag"), except where it is more
        # likely part of a name.
        def hint_only?(noun)
          %w[
            tin can jar bottle carton pack packet bag box tub tube pouch punnet tray tetra loaf piece sack crate net
            bunch jug sprig bucket
          ].include?(noun)
        end

        # "2 400g tins" and "2 bags 1 kg": a bare number before the size, or at the start of the line.
        def count_beside_size
          return unless @count.nil? && @size_at

          number, used = number_before(@size_at)
          return unless number && number.denominator == 1 && number <= 500

          @count = number
          @bare = true
          @line.claim(:count, used)
        end

        # "12 eggs", "three leeks", "half cabbage": the first plain number that is left.
        def lone_number
          return if @count || from_to || a_few

          @line.tokens.each_index do |index|
            number, length = Numbers.at(@line, index)
            next unless number&.positive? && number < 10_000 && countable?(index, length)

            @count = number
            @bare = true
            @half = number < 1
            @line.claim(:count, (index...(index + length)).to_a)
            return
          end
        end

        def countable?(index, length)
          text = @line.text(index)
          return false if text.match?(PriceField::BARE)
          return false if SPANS.include?(@line.text(index + length))

          nxt = @line[index + length]
          return false if nxt && Units.unit(nxt.text, @settings)
          return true if nxt&.num? && nxt.text.match?(PriceField::BARE)

          nxt&.word? || (nxt.nil? && index.positive?)
        end

        def finish
          @line.found[:count] = @count || 1r
          @line.found[:count_said] = !@count.nil?
          @line.found[:count_bare] = @bare == true && [nil, "pack"].include?(@noun)
          @line.found[:size] = @size
          @line.found[:noun] = @noun
          @line.found[:state] ||= "opened" if @count && @count < 1 && (@noun || @half) && (@noun || "x") != "piece"
        end
      end
    end
  end
end
