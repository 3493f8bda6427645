# frozen_string_literal: true

require_relative "words"

module NutShelf
  module Core
    # The part of Judge for places: each stretch is judged in its own place, the used-up share of a running rule is
    # carried along, and what stands out of the cold over a night is capped for good.
    module Moving
      private

      def moved(on, place)
        from = @place
        @place = place
        @journal.left_the_place
        return freeze_on(on) if place.freezer? && @phase != :frozen
        return thaw(on) if @phase == :frozen && !place.freezer?
        return if place.freezer?

        came_out_frozen if from.freezer? && @sealed && @food.freezing_damage
        ripe_by(on)
        carry(on) unless from.kind == place.kind
        check_place
      end

      def came_out_frozen
        @journal.flag(
          :was_frozen,
          "It stood in the freezer. #{breaks} there: look #{whole? ? "at it closely" : "for bulges and leaks"}."
        )
      end

      # What was to be ripe by that day is ripe: it does not mind the cold any more.
      def ripe_by(on)
        @situation = "ripe" if ripening? && on && @ready_on && @ready_on <= on
      end

      # The same share of life is used up under the rule of the new place: fruit that was to ripen is ripe in the cold.
      def carry(on)
        row = @rules.row(ripening? ? "ripe" : @situation, @place) or return
        return begin_late(row) unless @clock
        return carry_some_day(row) unless on
        return expire if @clock.passed?(on)

        used = @clock.used_by(on)
        @clock = @clock.carried(on, days(row), row.kind)
        say(
          "Moved #{Words.into(@place.kind)} on #{Words.day(on)} with #{share(used)} of its life used; #{rest(row,
            on)}: until #{Words.day(@clock.until_on)}."
        )
      end

      # It may have stood in either place nearly all the time: both count, so the shorter does.
      def carry_some_day(row)
        there = @clock.elsewhere(days(row), row.kind)
        until_on = [there, @clock].map(&:until_on).min
        say(
          "Moved #{Words.into(@place.kind)} on a day nobody knows: the place where it keeps less long counts, until " \
          "#{Words.day(until_on)}."
        )
        end_clock
        @clock = there
      end

      def ripening? = @situation == "ripening"

      # Years are not told in days.
      def rest(row, on)
        days = days(row)
        if days < 60 && !ripening?
          "of #{Words.days(days)} there, #{Words.days_are((@clock.until_on - on).to_i)} left"
        else
          "the rest counts there"
        end
      end

      # A rule that had no figure in the old place counts from the day it should have begun.
      def begin_late(row)
        return unless @since && !ripening? && !(printed_pack? && @sealed) && @phase != :thawed && !@unknown

        start_clock(
          row,
          @since,
          @situation == "opened" ? :opened : :rule,
          "#{Words.situation(@situation).capitalize} since #{Words.day(@since)}"
        )
      end

      # A clock that has run out stays as a cap; another place does not wind it up again.
      def expire
        say("Its time had run out on #{Words.day(@clock.until_on)}, before it was moved.")
        end_clock
      end

      def share(used) = "#{(used * 100).round} %"

      # What this place does to the food as it is now.
      def check_place
        @journal.clear(%i[wrong_place two_hours better_cold])
        warn_of_frost
        return @journal.flag(:two_hours, two_hours_words) if out_of_cold?
        return if %i[frozen thawed].include?(@phase)
        return better_cold if @rules.row(@situation, @place)

        @journal.flag(:wrong_place, @rules.reason(@situation, @place))
      end

      # Where there is a fridge, what lasts longer there is said so, although it keeps a while without.
      def better_cold
        cold = @rules.longer_in_the_fridge(@situation, @place) if @policy.fridge
        @journal.flag(:better_cold, "Better in the fridge: it keeps #{cold.span_words} there.") if cold
      end

      def two_hours_words
        reason = @rules.reason(states_here.find { |state| exposed?(state) }, @place)
        reason += " Out of the cold it is safe for two hours, one above 32 C." unless reason.include?("two hours")
        reason
      end

      # Thawed food is no sealed pack any more, whatever it came in.
      def states_here = [@situation, *("thawed" if @phase == :thawed)]

      def warn_of_frost
        return unless @food.freezing_damage && @place.frosty?

        @journal.flag(
          :will_freeze,
          "It can fall to #{@place.low_c} C in #{@place.name}: it will freeze there and be damaged."
        )
      end

      # After each event: did it come out of the cold, or go back in time? The same day is in time, a night is not.
      def watch_warmth(on)
        return if bag?
        return @warm_since ||= on || @since || :unknown if out_of_cold?

        back_in_cold(on)
      end

      def warm_since_ever
        @unknown = true
        say("Nobody knows how long it stood out of the cold: it is not planned with.")
      end

      def out_of_cold? = @phase != :frozen && states_here.any? { |state| exposed?(state) }

      def exposed?(state)
        @rules.row(state, @place).nil? && @rules.two_hours?(state, @place, sealed: @sealed && @phase == :fresh)
      end

      def back_in_cold(on)
        since = @warm_since or return
        @warm_since = nil
        return if since == on
        return warm_since_ever if since == :unknown

        cap(:safety, :out_of_cold, since)
        say(
          "It stood out of the cold from #{Words.day(since)}, over a night: good for two hours of that day only, and " \
          "the cold does not mend that."
        )
      end
    end
  end
end
