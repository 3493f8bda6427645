# frozen_string_literal: true

require_relative "date_reading"
require_relative "nearest_year"
require_relative "numeric_dates"
require_relative "../value"

module NutShelf
  module Core
    module LabelLine
      # Recognises a date at a place in the line. Answers every reading it can have; choosing is DateField's job.
      class DateForms
        include NearestYear
        include NumericDates

        MONTHS = %w[january february march april may june july august september october november december].freeze
        SHORT =
          %w[jan feb mar apr may jun jul aug sep oct nov dec]
            .each_with_index
            .to_h { |name, index| [name, index + 1] }
            .merge("sept" => 9)
            .freeze
        DAYS = %w[sunday monday tuesday wednesday thursday friday saturday].freeze
        SHORT_DAYS = {
          "sun" => 0, "mon" => 1, "tue" => 2, "tues" => 2, "wed" => 3, "thu" => 4, "thur" => 4, "thurs" => 4,
          "fri" => 5, "sat" => 6
        }.freeze
        SPANS = { "day" => 1, "days" => 1, "week" => 7, "weeks" => 7, "wk" => 7, "wks" => 7 }.freeze
        PAST_SPANS = {
          "week" => ->(today) { (today - today.cwday - 6).then { |monday| [monday, monday + 6] } },
          "month" => lambda do |today|
            (today << 1).then { |day| [Date.new(day.year, day.month, 1), Date.new(day.year, day.month, -1)] }
          end,
          "year" => ->(today) { [Date.new(today.year - 1, 1, 1), Date.new(today.year - 1, 12, 31)] }
        }.freeze
        YEARS_BACK = 3
        YEARS_ON = 15

        # Found = readings (may be empty when the date does not exist), tokens used, plain: true when it
        # could be something else (a price), as in 12.11.
        Found = Value.of(:readings, :length, :doubtful)

        # @param by_day [Boolean] a use-by is due, which is printed to the day
        # @param order_known [Boolean] the column it stands in tells which way round it is written
        def initialize(line, today:, day_order:, back:, by_day: false, order_known: false)
          @line = line
          @today = today
          @day_order = day_order
          @back = back
          @by_day = by_day
          @order_known = order_known
        end

        # @param index [Integer] where the date would begin
        # @param after_kind [Boolean] a word such as "bb" stands before it, so looser forms count
        # @return [Found, nil]
        def at(index, after_kind:)
          @after_kind = after_kind
          word_date(index) || number_date(index)
        end

        private

        def found(readings, length, doubtful: false)
          Found.new(readings: readings.flatten.compact.uniq, length: length, doubtful: doubtful)
        end

        # --- words

        def word_date(index)
          text = @line.text(index)
          case text
          when nil
            nil
          when "today", "tonight"
            found([exact(@today)], 1)
          when "tomorrow", "tmrw", "tmr"
            found([exact(@today + 1)], 1)
          when "yesterday", "yest", "yday"
            found([exact(@today - 1)], 1)
          when "day"
            day_after(index)
          when "in"
            in_span(index)
          when "end"
            end_of(index)
          when "next", "last", "this", "on"
            part_of_day(index, text) || qualified_weekday(index, text)
          else
            weekday(index, nil, index) || month_first(index)
          end
        end

        # "this morning" is today, "last night" the day before.
        def part_of_day(index, word)
          part = @line.text(index + 1)
          return found([exact(@today)], 2) if word == "this" && %w[morning afternoon evening].include?(part)

          found([exact(@today - 1)], 2) if word == "last" && %w[night evening].include?(part)
        end

        def exact(date) = DateReading.new(on: date, precision: :day, year_said: true)

        def day_after(index)
          words = (1..2).map { |offset| @line.text(index + offset) }
          return found([exact(@today + 2)], 3) if words == %w[after tomorrow]

          found([exact(@today - 2)], 3) if words == %w[before yesterday]
        end

        def in_span(index)
          number, length = Numbers.at(@line, index + 1)
          if number.nil? && %w[a an].include?(@line.text(index + 1))
            number = 1
            length = 1
          end
          date = number && span_from(number, @line.text(index + 1 + length), 1)
          date && found([exact(date)], length + 2)
        end

        def span_from(number, unit, sign)
          return unless number.denominator == 1 && number < 10_000

          number = number.to_i * sign
          case unit
          when *SPANS.keys
            @today + (SPANS[unit] * number)
          when "month", "months"
            @today >> number
          when "year", "years"
            @today >> (12 * number)
          end
        end

        def end_of(index)
          at = @line.text(index + 1) == "of" ? index + 2 : index + 1
          year = year_at(at)
          return found([DateReading.year(year)], at - index + 1) if year
          if %w[next this].include?(@line.text(at)) && @line.text(at + 1) == "year"
            return found([DateReading.year(@today.year + (@line.text(at) == "next" ? 1 : 0))], at - index + 2)
          end

          month = month_of(@line.text(at)) or return
          year = year_at(at + 1) || short_year_at(at + 1)
          return found([DateReading.month(year, month)], at - index + 2) if year

          found(months_near(month), at - index + 1)
        end

        # "last week", "last month": the first and the last day it can have been.
        def past_span(index)
          span = PAST_SPANS[@line.text(index + 1)] or return
          found(span.call(@today).map { |day| exact(day) }, 2)
        end

        def qualified_weekday(index, word)
          return past_span(index) if word == "last" && PAST_SPANS.key?(@line.text(index + 1))
          if @after_kind && %w[next this].include?(word) && @line.text(index + 1) == "year"
            return named_year(index, word)
          end

          weekday(index + 1, word, index)
        end

        def named_year(_index, word) = found([DateReading.year(@today.year + (word == "next" ? 1 : 0))], 2)

        def weekday(at, word, from)
          text = @line.text(at)
          number = SHORT_DAYS[text] || DAYS.index(text) or return
          length = at - from + 1
          return weekday_with_date(at, from) if weekday_with_date(at, from)

          found(weekday_readings(number, word).map { |date| exact(date) }, length)
        end

        # "fri 4 dec": the date decides, the weekday is only said along with it.
        def weekday_with_date(at, from)
          inner = @line[at + 1]&.num? ? number_date(at + 1) : nil
          return unless inner&.readings&.any? { |reading| reading.precision == :day }

          found(inner.readings, inner.length + at + 1 - from)
        end

        def weekday_readings(number, word)
          ahead = (number - @today.wday) % 7
          behind = (@today.wday - number) % 7
          if word == "last" || (@back && word != "next" && behind.positive?)
            return [@today - (behind.zero? ? 7 : behind)]
          end
          return @today, @today + (@back ? -7 : 7) if ahead.zero? && word != "next"

          word == "next" ? next_weekday(ahead) : [@today + ahead]
        end

        # "next friday" said on a Tuesday may be this week's or the one after.
        def next_weekday(ahead) = ahead.zero? ? [@today + 7] : [@today + ahead, @today + ahead + 7]

        def month_of(text)
          return unless text && text.length >= 3

          SHORT[text] || MONTHS.index(text)&.+(1) || misspelt_month(text)
        end

        def misspelt_month(text)
          return unless text.length >= 6

          index = MONTHS.index { |name| name.length >= 6 && name[0] == text[0] && Typo.distance(name, text, 2) }
          index && (index + 1)
        end

        def month_first(index)
          month = month_of(@line.text(index)) or return
          return unless @line.text(index) != "may" || @after_kind || @line[index + 1]&.num?

          at = skip_dot(index + 1)
          month_and_number(month, index, at) || (@after_kind ? found(months_near(month), at - index) : nil)
        end

        def month_and_number(month, index, at)
          year = year_at(at)
          return found([DateReading.month(year, month)], at - index + 1) if year
          return apostrophe_year(month, index, at) if @line.text(at) == "'"

          number = small_number(at) or return
          length = at - index + 1
          length += 1 if ORDINAL.include?(@line.text(at + 1))
          full = full_year_after(index + length, month, number)
          return found([full[0]], length + full[1]) if full

          found(day_or_year(month, number, @line.text(at)), length)
        end

        def apostrophe_year(month, index, at)
          year = short_year_at(at + 1)
          year && found([DateReading.month(year, month)], at - index + 2)
        end

        def full_year_after(at, month, day)
          comma = @line.text(at) == "," ? 1 : 0
          year = year_at(at + comma)
          year && [DateReading.day(year, month, day), 1 + comma]
        end

        # "mar 27": the 27th, or March 2027, unless one of them cannot be.
        def day_or_year(month, number, text)
          year = 2000 + number
          as_year = text.length == 2 && plausible?(year) ? DateReading.month(year, month) : nil
          [*days_near(month, number), as_year].compact
        end

        def plausible?(year) = year.between?(@today.year - YEARS_BACK, @today.year + YEARS_ON)
      end
    end
  end
end
