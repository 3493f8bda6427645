# frozen_string_literal: true

require_relative "date_reading"
require_relative "numbers"
require_relative "units"

module NutShelf
  module Core
    module LabelLine
      # The part of DateForms that reads dates which begin with a number: 31.5.28, 5/2028, 3 dec, 2028.
      module NumericDates
        ORDINAL = %w[st nd rd th].freeze

        private

        def number_date(index)
          token = @line[index]
          return unless token&.num?

          separated(token.text) || day_month(index, token.text) || year_alone(index) || spaced(index) ||
            span_ahead(index)
        end

        def separated(text)
          case text
          when %r{\A(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})\z}
            found([DateReading.day($1.to_i, $2.to_i, $3.to_i)], 1)
          when %r{\A(\d{1,2})([-/.])(\d{1,2})[-/.](\d{2}|\d{4})\z}
            found(in_either_order($1.to_i, $3.to_i, full_year($4), dotted: $2 == "."), 1)
          when %r{\A(\d{4})[-/.](\d{1,2})\z}
            found([DateReading.month($1.to_i, $2.to_i)], 1)
          when %r{\A(\d{1,2})[-/.](\d{4})\z}
            found([DateReading.month($2.to_i, $1.to_i)], 1)
          when %r{\A(\d{1,2})([-/.])(\d{1,2})\z}
            two($1, $2, $3)
          when /\A(\d\d)(\d\d)(\d\d)\z/
            @after_kind && found(six_digits($1.to_i, $2.to_i, $3.to_i), 1)
          when /\A(20\d\d)(\d\d)(\d\d)\z/
            found([DateReading.day($1.to_i, $2.to_i, $3.to_i)], 1)
          when /\A(\d\d)(\d\d)(20\d\d)\z/
            found([three($1.to_i, $2.to_i, $3.to_i)], 1)
          when /\A(\d\d)(\d\d)\z/
            @after_kind && !text.start_with?("20") && found(two_readings($1, $2), 1)
          end
        end

        # Dots are the sign of day before month: where the household writes it the other way round, both are meant.
        def in_either_order(first, second, year, dotted:)
          usual = three(first, second, year)
          dotted && @day_order == :mdy && !@order_known ? [usual, DateReading.day(year, second, first)] : [usual]
        end

        # "310727" is the 31st of July 2027, or the 27th of July 2031.
        def six_digits(first, second, third)
          [three(first, second, 2000 + third), DateReading.day(2000 + first, second, third)].compact.select do |reading|
            plausible?(reading.on.year)
          end
        end

        def full_year(text) = text.length == 2 ? 2000 + text.to_i : text.to_i

        def three(first, second, year)
          first, second = second, first if @day_order == :mdy
          DateReading.day(year, second, first) || DateReading.day(year, first, second)
        end

        # "5/28": month and year, or day and month in the household's order. With a dot it may be a price.
        def two(first, separator, second)
          return if separator == "." && like_a_price?(first, second)
          if separator == "/" && !@after_kind && Numbers.value("#{first}/#{second}") &&
              two_readings(first, second).none? { |reading| reading.precision == :month }
            return
          end

          readings = two_readings(first, second)
          return if readings.empty? && !@after_kind

          readings = readings.select { |reading| reading.precision == :day } if separator == "." && !@after_kind
          return if readings.empty? && !@after_kind

          found(readings, 1, doubtful: %w[. -].include?(separator))
        end

        # Nobody writes 1.09 for the first of September, but everybody does for a price; where the month comes first,
        # nobody puts dots into a date. Behind a word such as "bb" it is a date all the same.
        def like_a_price?(first, second)
          !@after_kind && (@day_order == :mdy || (first.length == 1 && second.start_with?("0")))
        end

        def two_readings(first, second)
          day, month = [first, second].map(&:to_i)
          day, month = month, day if @day_order == :mdy
          day, month = month, day if @by_day && month > 12
          year = 2000 + second.to_i
          as_month = second.length == 2 && plausible?(year) ? DateReading.month(year, first.to_i) : nil
          [*(month.between?(1, 12) ? days_near(month, day) : []), as_month].compact
        end

        # "3 dec", "3rd of december 2027", "31 may 28"
        def day_month(index, text)
          day = text.match?(/\A\d{1,2}\z/) ? text.to_i : return
          at = index + 1
          at += 1 if ORDINAL.include?(@line.text(at)) || @line.text(at) == "."
          at += 1 if @line.text(at) == "of"
          month = month_of(@line.text(at)) or return
          day_month_year(day, month, index, skip_dot(at + 1))
        end

        def day_month_year(day, month, index, at)
          at += 1 if @line.text(at) == ","
          quote = @line.text(at) == "'" ? 1 : 0
          year =
            year_at(at) ||
            if (@after_kind || quote == 1 || @line[at]&.text&.match?(/\A[2-4]\d\z/)) && !amount_next?(at + quote)
              short_year_at(at + quote)
            end
          return found([DateReading.day(year, month, day)], at - index + 1 + quote) if year

          readings = days_near(month, day)
          found(readings, at - index)
        end

        # "3 dec 27 tins": the number belongs to what follows, but not in "jan 28 £1.40" and "jan 28 x 3".
        def amount_next?(at)
          nxt = @line.text(at + 1)
          return false unless nxt

          Units::NAMES.key?(nxt) || Units.noun(nxt) || (%w[€ $ £].include?(nxt) && !touches_next?(at + 1)) ||
            (nxt == "x" && !times_behind?(at + 2))
        end

        def touches_next?(at) = @line[at + 1]&.num? && @line.tokens[at + 1].from == @line.tokens[at].to

        # "x 3" with nothing measured behind it says how many there are of what stands before.
        def times_behind?(at)
          @line[at]&.num? && !Units::NAMES.key?(@line.text(at + 1)) && !Units.noun(@line.text(at + 1))
        end

        def skip_dot(at) = @line.text(at) == "." ? at + 1 : at

        def year_at(at)
          text = @line.text(at)
          text.to_i if text&.match?(/\A20\d\d\z/) && !amount_next?(at)
        end

        def short_year_at(at)
          text = @line.text(at)
          return unless text&.match?(/\A\d\d\z/)

          year = 2000 + text.to_i
          year if plausible?(year)
        end

        def year_alone(index)
          year = @after_kind && year_at(index)
          year && found([DateReading.year(year)], 1)
        end

        # "31 05 2028" and "05 2028", only where a date is due.
        def spaced(index)
          return unless @after_kind

          first, second, third = (0..2).map { |offset| @line[index + offset]&.num? ? @line.text(index + offset) : nil }
          return unless first&.match?(/\A\d{1,2}\z/) && second
          if second.match?(/\A\d{1,2}\z/) && third&.match?(/\A(20)?\d\d\z/)
            return found([three(first.to_i, second.to_i, full_year(third))], 3)
          end

          return found([DateReading.month(second.to_i, first.to_i)], 2) if second.match?(/\A20\d\d\z/)

          found(two_readings(first, second), 2) if second.match?(/\A\d\d\z/) && third.nil? && !amount_next?(index + 1)
        end

        # "3 weeks ago", and "3 weeks" after a word such as "bb".
        def span_ahead(index)
          number, length = Numbers.at(@line, index)
          return unless number

          unit = @line.text(index + length)
          ago = @line.text(index + length + 1) == "ago"
          return unless ago || (@after_kind && !@back)

          date = span_from(number, unit, ago ? -1 : 1)
          date && found([exact(date)], length + (ago ? 2 : 1))
        end

        def small_number(at)
          text = @line.text(at)
          text.to_i if text&.match?(/\A\d{1,2}\z/) && !amount_next?(at)
        end
      end
    end
  end
end
