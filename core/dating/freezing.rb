# frozen_string_literal: true

require_relative "breaking"
require_relative "chronicle"
require_relative "words"

module NutShelf
  module Core
    # The part of Judge that freezes and thaws. Freezing in time turns a safety date into days left and stops the
    # quality dates; freezing too late mends nothing; what thawed never has more days than it had left.
    module Freezing
      # States that the freezer has figures of their own for.
      OWN_FROZEN = %w[left_over cooked home_dried].freeze
      # What says that it was not in the cold before, or is not after.
      OF_THE_COLD = %i[frozen thawed].freeze
      # What the same food is in the fridge, fresh: how it counts once thawed.
      AS_FRESH = { "bought_frozen" => "opened", "thawed" => "bought_sealed" }.freeze

      private

      # What begins in a freezer is frozen that day, or on the day somebody noted; until then it kept as in the fridge.
      def began_in_freezer
        @situation = "bought_sealed" if @situation == "frozen_at_home"
        from_the_fridge { freezing_noted? ? begin_keeping : begin_quietly }
        return unless @clock && @phase == :fresh && !freezing_noted?

        say("It keeps as if it had not been frozen: until #{Words.day(@clock.until_on)}.")
      end

      # Only the first change of cold is the day it went in: a freezing after it left the freezer is another one.
      def freezing_noted? = Chronicle.of(@story).find { |event| of_the_cold?(event) }&.kind == :frozen

      def of_the_cold?(event) = OF_THE_COLD.include?(event.kind) || (event.kind == :moved && !event.place.freezer?)

      # What stands in the freezer from the first was in the fridge before it froze.
      def from_the_fridge
        freezer = @place.freezer? ? @place : @rules.freezer
        @place = @rules.fridge
        yield
        @journal.left_the_place
        moved(begun_on, freezer) unless freezing_noted?
      end

      # A rule that began and ended on the same day needs no sentence.
      def begin_quietly
        @since = begun_on
        return if printed_pack?
        return begin_unknown unless @since
        return untested if untested?

        row = @rules.row(@situation, @place) or return
        @clock = Clock.new(since: @since, days: days(row), kind: row.kind)
      end

      def came_frozen
        @since = begun_on
        return thaw_on_arrival unless @place.freezer?

        @phase = :frozen
        @situation = "bought_frozen"
        return if @story.printed_on
        return say("Neither a printed date nor the day it came is known, so it has no date.") unless @since

        run_rule("bought_frozen", @since, :frozen)
      end

      def thaw_on_arrival
        @phase = :frozen
        thaw_or_unknown
      end

      def came_thawed
        @phase = :frozen
        @sealed = false
        @since = begun_on
        @place.freezer? ? from_the_fridge { thaw_or_unknown } : thaw_or_unknown
      end

      def thaw_or_unknown = @since ? thaw(@since) : thaw_unknown

      def thaw_unknown
        @phase = :thawed
        @thawed_for_good = true
        age_unknown
      end

      def freeze_on(on)
        if @thawed_for_good
          return stop("Frozen again#{" on #{Words.day(on)}" if on} after thawing: only cooked food may go back.")
        end

        back_in_cold(on)
        return if frozen_too_late(on) || !freezable?

        end_clock
        @phase = :frozen
        return say("In the freezer, but its age is not known: it has no date.") if @unknown
        return say("The day of freezing is not known, so its dates from before count.") unless on

        keep_days_left(on)
        start_freezer_clock(on)
      end

      def frozen_too_late(on)
        limit = safety_until
        return false unless on && limit && limit < on

        stop(
          "Frozen on #{Words.day(on)}, after its safety date #{Words.day(limit)}: not to eat, and freezing does not " \
          "mend that."
        )
        true
      end

      def freezable?
        if @sealed && @food.freezing_damage
          @journal.flag(:will_freeze, "#{breaks} below 0 C: take it out, or #{whole? ? "prepare" : "decant"} it first.")
          return false
        end
        return true if @rules.row(frozen_situation, @rules.freezer)

        @journal.flag(
          :wrong_place,
          "#{@rules.reason(frozen_situation, @rules.freezer)} The freezer does not lengthen its life."
        )
        false
      end

      def whole? = Breaking::PRODUCE.include?(@food.aisle)

      def breaks = whole? ? "Whole, it spoils" : "A sealed pack of it breaks or spoils"

      def frozen_situation = OWN_FROZEN.include?(@situation) ? @situation : "frozen_at_home"

      def keep_days_left(on)
        limit = @caps.safety_until
        @days_left_frozen = (limit - on).to_i if limit
        passed = @caps.look_first?(on, @looks)
        @caps = @caps.lift(:frozen, on, @looks)
        say("It was past its date when it was frozen and nobody had looked: look first.") if passed
      end

      def start_freezer_clock(on)
        row = @rules.row(frozen_situation, @rules.freezer)
        start_clock(row, on, :frozen, "Frozen on #{Words.day(on)}, in time")
      end

      def thawed_out(on, place)
        return unless @phase == :frozen || @place.freezer?

        moved(on, place || @rules.fridge)
      end

      def thaw(on)
        end_freezer_clock(on)
        @phase = :thawed
        return say("It is thawed; its age is not known.") if @unknown

        on ||= unknown_day("thawed")
        return thaw_unknown unless on

        @since = on
        thawed_date(on)
        thawed_warm(on) if @place.warm? && (@food.high_risk || chilled_kind == :safety)
      end

      # A freezer date that has passed stays; one that has not makes way for the days after thawing.
      def end_freezer_clock(on)
        end_clock if @clock && (on.nil? || @clock.passed?(on))
        @clock = nil
      end

      # Thawing is safe in the fridge only; bread and berries may thaw on the counter.
      def thawed_warm(on)
        cap(:safety, :out_of_cold, on)
        @journal.flag(
          :two_hours,
          "It thawed out of the cold: good for two hours of that day only. Thaw it in the fridge."
        )
      end

      def thawed_date(on)
        days = days_after_thaw
        kind = chilled_kind || :safety
        @thawed_for_good = true if kind == :safety || @food.high_risk
        cap(kind, :thawed, on + days)
        say("Thawed on #{Words.day(on)}: #{thaw_words(days)}, until #{Words.day(on + days)} (#{kind}).")
        days_left_after(on, days)
      end

      # Dry goods carry on as opened ones do; without a figure, that day only.
      def days_after_thaw
        row = thawed_row or return 0
        row.after_thaw_days || days(row)
      end

      def thawed_row = @rules.row("thawed", @rules.fridge)

      def thaw_words(days)
        if thawed_row
          "#{Words.time(days)} in the fridge after thawing"
        else
          "no figure for it once thawed, so that day only"
        end
      end

      def days_left_after(on, days)
        left = @days_left_frozen or return
        cap(:safety, :days_left, on + left)
        return unless left < days

        say(
          "#{Words.only_days_were(left)} left of its safety date when it was frozen: until #{Words.day(on + left)}."
        )
      end

      # What the fridge makes of it: safety or quality, nil where the tables have no figure.
      def chilled_kind = @rules.row(AS_FRESH.fetch(@situation, @situation), @rules.fridge)&.kind
    end
  end
end
