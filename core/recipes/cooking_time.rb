# frozen_string_literal: true

module NutShelf
  module Core
    module Recipes
      # Times as recipes say them: ISO 8601 durations ("PT1H30M", "P0DT90M"), "1 hr 30 min", "1:15", "45".
      module CookingTime
        ISO = /\A\s*P(?!\s*\z)(?:(?<days>\d+(?:[.,]\d+)?)D)?
               (?:T(?:(?<hours>\d+(?:[.,]\d+)?)H)?(?:(?<minutes>\d+(?:[.,]\d+)?)M)?
               (?:(?<seconds>\d+(?:[.,]\d+)?)S)?)?\s*\z/xi
        UNITS = {
          /\A(?:d|days?)\z/i => 1440, /\A(?:h|hrs?|hours?|std|stunden?|heures?|horas?)\z/i => 60,
          /\A(?:m|mins?|minutes?|minuten|minutos?)\z/i => 1, /\A(?:s|secs?|seconds?)\z/i => Rational(1, 60)
        }.freeze
        WORDS = %r{(?<number>\d+\s+\d+/\d+|\d+/\d+|\d+(?:[.,]\d+)?|an?|half an?)\s*(?<unit>[a-z]+)\b}i
        # Nobody needs more letters to say how long it takes.
        LETTERS = 80
        # Nothing is cooked for longer than a week.
        LONGEST = 7 * 1440

        module_function

        # @param text [String, Numeric, nil]
        # @return [Integer, nil] whole minutes; nil where it says no time, or one nobody cooks for
        def minutes(text)
          text = text.to_s.strip
          found = read(text) if text.length <= LETTERS
          found&.positive? && found <= LONGEST ? found.ceil : nil
        end

        # @return [Rational, nil]
        def read(text)
          return (iso(text) if text.match?(ISO)) if text.match?(/\A-?P/i)
          return text.to_r if text.match?(/\A\d+\z/)
          return clock(text) if text.match?(/\A\d{1,2}:\d{2}\z/)

          worded(text)
        end

        # @return [Rational]
        def iso(text)
          parts = text.match(ISO).named_captures.transform_values { |part| part.to_s.tr(",", ".").to_r }
          (parts["days"] * 1440) + (parts["hours"] * 60) + parts["minutes"] + (parts["seconds"] / 60)
        end

        # @return [Rational] of "1:15"
        def clock(text) = text.split(":").then { |hours, rest| (hours.to_r * 60) + rest.to_r }

        # @return [Rational, nil] of "1 hr 30 min"; of "20 to 25 minutes" the longer one
        def worded(text)
          text = text.gsub(/\d+\s*(?:-|–|to)\s*(?=\d)/, "")
          found =
            text.to_enum(:scan, WORDS).filter_map do
              match = Regexp.last_match
              size = UNITS.find { |pattern, _| pattern.match?(match[:unit]) }&.last
              number(match[:number]) * size if size
            end
          found.sum(0r) if found.any?
        end

        # @return [Rational]
        def number(text)
          return 1 / 2r if text.match?(/\Ahalf/i)

          text.match?(/\Aan?\z/i) ? 1r : text.split.sum(0r) { |part| part.tr(",", ".").to_r }
        end
      end
    end
  end
end
