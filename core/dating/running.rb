# frozen_string_literal: true

require_relative "clock"
require_relative "words"

module NutShelf
  module Core
    # The part of Judge that sets a keeping rule going, and says what follows where there is none.
    module Running
      private

      # Opening, cutting and the like begin a rule of their own; what ran before stays as a cap, so nothing lengthens.
      def begin_situation(situation, on, basis)
        end_clock
        @situation = situation
        @since = on
        run_rule(situation, on, basis)
      end

      # The running clock becomes a cap of its last day.
      def end_clock
        cap(@clock.kind, :rule, @clock.until_on) if @clock
        @clock = nil
      end

      def run_rule(situation, on, basis)
        return unless on
        return say_unknown(on) if @unknown

        row = @rules.row(situation, @place)
        if row
          better_cold
          start_clock(row, on, basis, "#{Words.situation(situation).capitalize} since #{Words.day(on)}")
        else
          no_row(situation, on, basis)
        end
      end

      def say_unknown(on) = say("What happened on #{Words.day(on)} does not tell how old it is.")

      def start_clock(row, on, basis, beginning)
        days = days(row)
        @clock = Clock.new(since: on, days: days, kind: row.kind, basis: basis)
        say(
          "#{beginning}, #{Words.where(@place.kind)}: #{row.span_words} " \
          "(#{row.kind}#{borrowed(row)})#{counted(row)}, until #{Words.day(@clock.until_on)}."
        )
        say("Kept #{row.storage_words}: that is part of the figure.") if row.storage
        say("Your own time: #{row.own_reason}") if row.own_reason
        say_earlier_cap
      end

      # The figure of another place, where this one has none of its own.
      def borrowed(row) = row.place == @place.kind ? "" : ", by #{Words.whose(row.place)} figure"

      def counted(row)
        return "" if row.low == row.high
        return "; the shorter counts, for safety" if row.kind == :safety

        "; by \"#{@policy.school_words}\" the #{@policy.by_the_date? ? "shorter" : "longer"} counts"
      end

      def say_earlier_cap
        earlier = @caps.to_a.min_by(&:until_on)
        return unless earlier && earlier.until_on < @clock.until_on

        say("An earlier date comes first: #{Words.day(earlier.until_on)}.")
      end

      # No figure here: the two-hour rule sees to what germs like (see Moving); for the rest the short figure of the
      # next colder place counts from opening or cutting.
      def no_row(situation, on, basis)
        check_place
        return if @rules.two_hours?(situation, @place, sealed: @sealed) || !%i[opened cut].include?(basis)

        colder = @rules.colder_row(situation, @place) or return
        @clock = Clock.new(since: on, days: colder.low, kind: colder.kind, basis: basis)
        say(
          "#{Words.situation(situation).capitalize} since #{Words.day(on)}: counted as #{Words.where(colder.place)}, " \
          "by the " \
          "short figure, #{Words.days(colder.low)}, until #{Words.day(@clock.until_on)}."
        )
      end
    end
  end
end
