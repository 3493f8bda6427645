# frozen_string_literal: true

require_relative "date_forms"
require_relative "typo"
require_relative "../dating/words"

module NutShelf
  module Core
    module LabelLine
      # Reads the dates of a line: those behind a word ("bb", "opened") first, then one that stands alone.
      # Chooses only where there is one reading; otherwise asks with all of them.
      class DateField
        KINDS =
          {
            %w[best before end] => "best_before",
            %w[best before] => "best_before",
            %w[best by] => "best_before",
            %w[best until] => "best_before",
            %w[b / b] => "best_before",
            %w[bb] => "best_before",
            %w[bbe] => "best_before",
            %w[bbd] => "best_before",
            %w[bbf] => "best_before",
            %w[oldest] => "best_before",
            %w[best] => "best_before",
            %w[use by] => "use_by",
            %w[use - by] => "use_by",
            %w[best - before] => "best_before",
            %w[best - before - end] => "best_before",
            %w[used by] => "use_by",
            %w[freeze by] => "use_by",
            %w[freeze or use by] => "use_by",
            %w[use or freeze by] => "use_by",
            %w[eat by] => "use_by",
            %w[u / b] => "use_by",
            %w[ub] => "use_by",
            %w[ubd] => "use_by",
            %w[use before] => "use_by",
            %w[expires] => "unknown",
            %w[expiry] => "unknown",
            %w[exp] => "unknown",
            %w[expiration] => "unknown",
            %w[good until] => "unknown",
            %w[sell by] => "sell_by",
            %w[sb] => "sell_by",
            %w[s / b] => "sell_by",
            %w[sell - by] => "sell_by",
            %w[display until] => "sell_by",
            %w[packed on] => "packed",
            %w[packed] => "packed",
            %w[pkd] => "packed",
            %w[frozen on] => "frozen",
            %w[frozen] => "frozen",
            %w[frz] => "frozen",
            %w[freeze] => "frozen",
            %w[froze] => "frozen",
            %w[freezing] => "frozen",
            %w[opened on] => "opened",
            %w[opened] => "opened",
            %w[open since] => "opened",
            %w[open] => "opened",
            %w[made on] => "made",
            %w[made] => "made",
            %w[home made] => "made",
            %w[homemade] => "made",
            %w[cooked on] => "made",
            %w[cooked] => "made",
            %w[baked] => "made",
            %w[bottled] => "made",
            %w[thawed] => "thawed",
            %w[defrosted] => "thawed",
            %w[date] => "unknown",
            %w[since] => "opened",
            %w[from] => "made",
            %w[bought on] => "bought",
            %w[bought] => "bought",
            %w[got] => "bought"
          }.sort_by { |words, _| -words.size }.to_h.freeze
        BACK = %w[packed frozen opened made thawed bought].freeze
        # Printed to the day, and near.
        NEAR_KINDS = %w[use_by sell_by].freeze
        # A use-by within so many days needs no question whether a month was meant.
        NEAR_DAYS = 120
        # How far ahead a date of each kind is printed at most, in years; emergency rations are good for 25.
        YEARS_ON = { "use_by" => 2, "sell_by" => 2 }.freeze
        MOST_YEARS = 26
        YEARS_BACK = 26
        # Nearly another word ("freezer", "naked"): these count only as they are.
        EXACT = %w[baked freeze froze freezing].freeze
        FIELDS = { "frozen" => :frozen_on, "opened" => :opened_on, "thawed" => :thawed_on }.freeze
        FILLERS = %w[: on date = by . - of the].freeze
        PRINTED = [{ text: "best before", value: "best_before" }, { text: "use by", value: "use_by" }].freeze

        # @param line [Line]
        # @param today [Date]
        # @param day_order [Symbol] :dmy or :mdy
        def initialize(line, today:, day_order:)
          @line = line
          @today = today
          @day_order = day_order
        end

        # "no date", "no bbe": said, so that nobody looks for one.
        NONE = %w[no without].freeze

        # Claims "no date", "undated": words that say there is none.
        def none_said
          @line.tokens.each_index do |index|
            words, = NONE.include?(@line.text(index)) && kind_at(index + 1)
            @line.claim(:filler, (index..(index + words.size)).to_a) if words
          end
        end

        # Dates that follow a word saying what they are.
        def read_named
          none_said
          index = 0
          while index < @line.tokens.size
            words, kind = kind_at(index)
            index += words && named(index, words, kind) ? words.size : 1
          end
        end

        # A date without such a word, once everything else that could be a date is taken.
        def read_bare
          return if @line.found.key?(:date) || @line.questions.any? { |question| question.field == "date" }

          @line.tokens.each_index do |index|
            next if part_of_words?(index)

            # "6 jars september" of what was bottled at home
            found = forms(made_at_home?).at(index, after_kind: made_at_home? && @line.tokens[index].word?) or next
            return bare(found, index) unless found.doubtful
          end
        end

        # A word such as "bb" that no date followed must not pass in silence.
        def ask_for_missing
          @line.free_indexes.each do |index|
            words, kind = kind_at(index)
            next unless words && %w[best_before use_by].include?(kind) && words != %w[best] && asked_nothing?

            @line.claim(:unread, (index...(index + words.size)).to_a)
            @line.ask(:date, "No date was understood after #{@line.original(index)}. What is it?", [])
          end
        end

        # "sun oil", "sun dried": no Sunday.
        def part_of_words?(index) = DateForms::SHORT_DAYS.key?(@line.text(index)) && @line[index + 1]&.word?

        # Whether a number such as 12.11 could be a date as well as a price, and which.
        # @return [DateForms::Found, nil]
        def doubtful_at(index)
          return if @line.found.key?(:date) || @line.questions.any? { |question| question.field == "date" }

          found = forms(false).at(index, after_kind: false)
          found if found&.doubtful
        end

        # @return [Array(Array<String>, String), nil] the words there that name a kind of date, and the kind
        def kind_at(index)
          KINDS.find { |words, _| words.each_with_index.all? { |word, offset| word_matches?(index + offset, word) } }
        end

        private

        def made_at_home? = %w[leftover home_made home_canned home_dried].include?(@line.found[:state])

        def asked_nothing? = @line.questions.none? { |question| question.field == "date" } && !@line.found.key?(:date)

        def word_matches?(index, word)
          text = @line.text(index) or return false
          text == word ||
            (word.length >= 5 && @line[index].word? && Typo.distance(word, text, 1) && !EXACT.include?(word))
        end

        def forms(back, by_day: false)
          DateForms.new(@line, today: @today, day_order: @day_order, back: back, by_day: by_day)
        end

        def named(index, words, kind)
          start = index + words.size
          start += 1 while FILLERS.include?(@line.text(start)) &&
              !(@line.text(start) == "on" && forms(false).at(start, after_kind: true))
          found, start = found_at(start, forms(BACK.include?(kind), by_day: NEAR_KINDS.include?(kind)))
          return false unless found

          taken = (index...(start + found.length)).to_a
          found.readings.empty? ? impossible(start, found, taken) : settle(kind, words, found.readings, taken)
          true
        end

        # "made in september": the little word belongs to the month, unless it counts ("in 3 weeks").
        def found_at(start, forms)
          found = forms.at(start, after_kind: true)
          return found, start if found || @line.text(start) != "in"

          [forms.at(start + 1, after_kind: true), start + 1]
        end

        def impossible(start, found, taken)
          said = (start...(start + found.length)).map { |at| @line.original(at) }.join(" ")
          @line.claim(:unread, taken.select { |at| at >= start })
          @line.claim(:date, taken.select { |at| at < start })
          @line.ask(:date, "There is no day #{said}. What is the date?", [])
        end

        # Sets the field when there is one reading, asks when there are more.
        def settle(kind, words, readings, taken)
          field = FIELDS.fetch(kind, :date)
          readings = by_the_day(kind, readings)
          readings = readings.map(&:earliest) if BACK.include?(kind)
          @line.claim(field, taken)
          return if kind == "bought" && readings == [DateReading.new(on: @today, precision: :day, year_said: true)]
          return pass_over(kind) if field == :date && printed_beside?(kind)

          note_kind(kind, words)
          @line.hints << :from_a_day if words == %w[from]
          return ask_which(field, readings) if readings.size > 1 || doubtful?(kind, readings.first)

          @line.found[field] = readings.first.on
        end

        # Of the day it was packed and the day on the pack the one on the pack counts.
        def printed_beside?(kind)
          %w[packed bought].include?(kind) && @line.found.key?(:date) &&
            PRINTED.any? { |one| one[:value] == @line.found[:date_kind] }
        end

        def pass_over(kind) = @line.notes << "The day it was #{kind} is left out: the date on the pack counts."

        # A use-by date is always printed to the day, and is near.
        def by_the_day(kind, readings)
          return readings unless NEAR_KINDS.include?(kind)

          days = readings.select { |reading| reading.precision == :day }
          if days.any? && (days.size == readings.size || days.any? { |reading| reading.on <= @today + NEAR_DAYS })
            days
          else
            readings
          end
        end

        # A use-by without a day, a day far from any that is printed, or one ahead that must lie behind.
        def doubtful?(kind, reading)
          return true if ahead?(kind, reading) || (kind == "use_by" && reading.precision != :day)

          ahead = (reading.on - @today).to_i / 365
          !ahead.between?(-YEARS_BACK, YEARS_ON.fetch(kind, MOST_YEARS))
        end

        # A day ahead cannot be the day something was opened, frozen or made.
        def ahead?(kind, reading) = BACK.include?(kind) && reading.on > @today

        def note_kind(kind, words)
          @line.found[:state] ||= kind if %w[opened frozen].include?(kind)
          @line.found[:state] = "home_made" if words.join.match?(/\Ahome-?made\z/)
          return if FIELDS.key?(kind)
          return of_either_kind if kind == "unknown"

          # What was bought was packed by then.
          @line.found[:date_kind] = kind == "bought" ? "packed" : kind
        end

        def of_either_kind
          @line.hints << :any_date
          @line.ask(:date_kind, "Is that a best-before or a use-by date?", PRINTED)
        end

        def ask_which(field, readings)
          answers = readings.map { |reading| { text: answer_text(reading), value: reading.on.iso8601 } }
          @line.ask(field, "Which date is meant?", answers)
        end

        def answer_text(reading)
          if reading.precision == :month && reading.on.day > 1
            reading.on.strftime("end of %b %Y")
          else
            Words.day(reading.on)
          end
        end

        def bare(found, index)
          taken = (index...(index + found.length)).to_a
          @line.claim(:date, taken)
          @line.hints << :bare_date
          # "yesterday" is printed on no pack.
          readings = made_at_home? ? found.readings.map(&:earliest) : found.readings
          @line.hints << :said_day if @line.tokens[index].word?
          readings.size == 1 ? @line.found[:date] = readings.first.on : ask_which(:date, readings)
          @line.hints << :month_date if found.readings.all? { |reading| reading.precision != :day }
        end
      end
    end
  end
end
