# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # Numbers as people write or dictate them: 3, 1.5, 1,5, 1/2, 1 1/2, ½, three, a dozen, half.
      module Numbers
        WORDS = %w[
          zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen
          seventeen eighteen nineteen twenty
        ]
          .each_with_index
          .to_h
          .merge(
            "thirty" => 30, "forty" => 40, "fifty" => 50, "couple" => 2, "pair" => 2, "dozen" => 12, "doz" => 12,
            "dz" => 12
          )
          .freeze
        DOZENS = %w[dozen dozens doz dz].freeze
        HALVES = { "half" => 1 / 2r, "quarter" => 1 / 4r, "qtr" => 1 / 4r }.freeze
        PLAIN = /\A\d+\z/
        DECIMAL = /\A\d*[.,]\d+\z/
        FRACTION = %r{\A(\d{1,2})/([2-8])\z}

        module_function

        # @param text [String] a number token
        # @return [Rational, nil] nil when it is a date or anything else that is no plain number
        def value(text)
          case text
          when PLAIN
            text.to_r
          when /\A\d{1,3}(,\d{3})+\z/
            thousands(text)
          when DECIMAL
            "0#{text.tr(",", ".")}".to_r
          when FRACTION
            proper(text)
          end
        end

        # @return [Rational] of digits in groups: "1,200"
        def thousands(text) = text.delete(",").to_r

        # @return [Rational, nil] of a fraction: "1/2"; nil where it is one or more
        def proper(text)
          top, bottom = text.split("/").map(&:to_i)
          Rational(top, bottom) if top < bottom
        end

        # Reads a number starting at a free token.
        # @param line [Line]
        # @param index [Integer]
        # @return [Array(Rational, Integer), nil] the number and how many tokens it took
        def at(line, index)
          token = line[index] or return
          return digits(line, index, token) if token.num?

          word(line, index, token.text) if token.word?
        end

        # @return [Array(Rational, Integer), nil] a number in digits and the tokens it takes
        def digits(line, index, token)
          number = value(token.text) or return
          nxt = line[index + 1]
          fraction = nxt&.num? && nxt.text.match?(FRACTION) && token.text.match?(PLAIN) && value(nxt.text)
          return number + fraction, 2 if fraction
          return number * 12, 2 if nxt&.is?(*DOZENS)

          [number, 1]
        end

        # @return [Array(Rational, Integer), nil] a number in words and the tokens it takes
        def word(line, index, text)
          return half(line, index, text) if HALVES.key?(text)
          return after_article(line, index) if %w[a an].include?(text)
          return unless WORDS.key?(text)

          number = WORDS[text].to_r
          return number * 12, 2 if !DOZENS.include?(text) && DOZENS.include?(line.text(index + 1))
          return number + WORDS[line.text(index + 1)], 2 if number >= 20 && (1..9).cover?(WORDS[line.text(index + 1)])
          if line.text(index + 1) == "and" && line.text(index + 2) == "a" && line.text(index + 3) == "half"
            return number + (1 / 2r), 4
          end

          [number, line.text(index + 1) == "of" && %w[couple pair].include?(text) ? 2 : 1]
        end

        # @return [Array(Rational, Integer), nil] "half a", "half a dozen": the number and the tokens it takes
        def half(line, index, text)
          return if %w[and &].include?(line.text(index + 1)) && line.text(index + 2) == "half"
          return if line.text(index - 2) == "half" && %w[and &].include?(line.text(index - 1))

          return HALVES[text] * 12, 3 if line.text(index + 1) == "a" && DOZENS.include?(line.text(index + 2))
          return HALVES[text] * 12, 2 if DOZENS.include?(line.text(index + 1))

          [HALVES[text], %w[a an of].include?(line.text(index + 1)) ? 2 : 1]
        end

        # @return [Array(Rational, Integer), nil] "a dozen", "a half": the number and the tokens it takes
        def after_article(line, index)
          inner = line[index + 1]
          return unless inner&.word? && (WORDS.key?(inner.text) || HALVES.key?(inner.text))

          number, length = word(line, index + 1, inner.text)
          number && [number, length + 1]
        end
      end
    end
  end
end
