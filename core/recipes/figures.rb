# frozen_string_literal: true

module NutShelf
  module Core
    module Recipes
      # Figures at the head of an ingredient line, as people write them: "1 1/2", "½", "2-3", "one and a half", "a".
      module Figures
        SIGNS = {
          "½" => "1/2", "⅓" => "1/3", "⅔" => "2/3", "¼" => "1/4", "¾" => "3/4", "⅕" => "1/5", "⅖" => "2/5",
          "⅗" => "3/5", "⅘" => "4/5", "⅙" => "1/6", "⅚" => "5/6", "⅛" => "1/8", "⅜" => "3/8", "⅝" => "5/8",
          "⅞" => "7/8"
        }.freeze
        WORDS = {
          "a" => 1r, "an" => 1r, "one" => 1r, "two" => 2r, "three" => 3r, "four" => 4r, "five" => 5r, "six" => 6r,
          "seven" => 7r, "eight" => 8r, "nine" => 9r, "ten" => 10r, "twelve" => 12r, "half" => 1 / 2r,
          "quarter" => 1 / 4r, "couple" => 2r, "few" => 3r, "dozen" => 12r
        }.freeze
        PLAIN = %r{\d+\s+(?:and\s+|&\s*)?\d+/\d+|\d+/\d+|\d{1,3}(?:,\d{3})+(?!\d)|\d+[.,]\d+|\.\d+|\d+}
        ONE = /(?:#{PLAIN}|(?:a|an)\s+(?:half|quarter|couple(?:\s+of)?|few|dozen)\b|half\s+(?:a|an)(?:\s+dozen)?\b
                 |(?:#{WORDS.keys.join("|")})(?:\s+and\s+a\s+(?:half|quarter))?\b(?!['’-]))/xi
        RANGE = /\A(?<low>#{ONE})(?:\s*(?:-|–|—|\bto\b|\bor\b)\s*(?<high>#{ONE}))?/i

        module_function

        # @param text [String]
        # @return [String] with fraction signs spelled out and odd spaces gone
        def plain(text)
          text
            .tr("\u00a0\u2009\u202f\u2044", "   /")
            .gsub(/(\d)?\s?([#{SIGNS.keys.join}])/) do
            [Regexp.last_match(1),
             SIGNS[Regexp.last_match(2)]].compact.join(" ")
          end
            .gsub(/\s+/, " ")
            .strip
        end

        # @param text [String] plain
        # @return [Array(Rational, Rational, String), nil] the lower and the upper figure and what stands behind
        def at_head(text)
          found = text.match(RANGE) or return
          low = value(found[:low]) or return
          [low, found[:high] ? value(found[:high]) : low, found.post_match]
        end

        # @return [Rational, nil]
        def value(text)
          text = text.downcase.strip
          return worded(text) unless text.match?(/\A[\d.]/)
          return text.delete(",").to_r if text.match?(/\A\d{1,3}(,\d{3})+\z/)

          text.sub(/\band\b|&/, " ").split.sum(0r) { |part| rational(part) }
        end

        # @return [Rational]
        def rational(part)
          top, bottom = part.split("/")
          return 0r if bottom&.to_i&.zero?

          bottom ? top.to_r / bottom.to_r : part.tr(",", ".").to_r
        end

        # "half a dozen" is six, "one and a half" is one and a half.
        # @return [Rational]
        def worded(text)
          return 6r if text.match?(/\Ahalf an? dozen/)

          words = text.split - %w[and of]
          words.shift if words.size > 1 && %w[a an].include?(words.first)
          words.pop if words.size > 1 && words.first == "half" && %w[a an].include?(words.last)
          words.reject { |word| word == "a" && words.size > 1 }.sum(0r) { |word| WORDS.fetch(word) }
        end
      end
    end
  end
end
