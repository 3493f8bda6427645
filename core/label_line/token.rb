# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module LabelLine
      # A piece of the line: a number, a word or a sign, with where it stands. Frozen.
      Token =
        Value.of(:text, :kind, :from, :to) do
          # @return [Boolean]
          def num? = kind == :num

          # @return [Boolean]
          def word? = kind == :word

          # @return [Boolean] whether it is one of these words
          def is?(*words) = words.include?(text)
        end

      # Cuts a line into tokens: "5kg" is a number and a word, "31.5.28" and ".5" are one number each.
      module Tokens
        FRACTIONS = { "½" => "1/2", "¼" => "1/4", "¾" => "3/4", "⅓" => "1/3", "⅔" => "2/3" }.freeze
        PATTERN =
          %r{
          (?<num>\d+(?:[.,/\-:]\d+)*|(?<![\p{L}\d.,])\.\d+) |
          (?<frac>[½¼¾⅓⅔]) |
          (?<word>\p{L}[\p{L}'’&]*) |
          (?<sym>[^\s])
        }x

        module_function

        # @param line [String]
        # @return [Array<Token>] lower case, in order
        def cut(line)
          tokens = []
          line.scan(PATTERN) do
            match = Regexp.last_match
            kind = %i[num frac word sym].find { |name| match[name] }
            tokens << token(match, kind)
          end
          tokens
        end

        # @return [Token] of a match of the scanner
        def token(match, kind)
          text = kind == :frac ? FRACTIONS.fetch(match[0]) : match[0].downcase.tr("’", "'")
          text = "x" if %w[× ✕].include?(text)
          Token.new(text: text, kind: kind == :frac ? :num : kind, from: match.begin(0), to: match.end(0))
        end
      end
    end
  end
end
