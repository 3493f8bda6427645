# frozen_string_literal: true

require_relative "look_cover"
require_relative "words"

module NutShelf
  module Core
    # The part of Judge for inspections. A good look covers a passed quality date within tolerance; it never touches a
    # safety date. What is turning is to be eaten next, whatever a later look says. Where pests were found beside it,
    # somebody looks first, whatever its date; a look on a known day answers that, and nothing else does.
    module Looking
      # What was found turning is eaten within these days: the two-day habit of household guidance for food
      # that is still sound but past its best, one day for the fridge.
      TURNING = 2
      TURNING_FRIDGE = 1

      private

      def looked(on, result)
        case result
        when :bad
          stop(bad_words(on))
        when :turning
          turning(on)
        else
          found_good(on)
        end
      end

      def bad_words(on) = "Looked at#{" on #{Words.day(on)}" if on} and found bad: not to eat."

      # Insects and mice do not stay with what was found first.
      def suspected(on)
        @suspected = true
        @journal.flag(
          :pests_near,
          "Pests were found beside it#{" on #{Words.day(on)}" if on}. Look, then say whether it is good."
        )
        say("Pests were found beside it#{" on #{Words.day(on)}" if on}: look at it first, whatever its date.")
      end

      def suspicion_answered
        @suspected = false
        @journal.clear(%i[pests_near])
      end

      def found_good(on)
        return say("Looked at on an unknown day: that says nothing.") unless on

        suspicion_answered
        @looks = @looks.add(on, LookCover.days(frozen: @phase == :frozen, sealed: @sealed, place: @place))
        say("Looked at on #{Words.day(on)} and found good.")
      end

      def turning(known)
        on = known || @story.first_known_on
        return look_again unless on

        days = @place.kind == "fridge" ? TURNING_FRIDGE : TURNING
        cap(:quality, :turning, on + days)
        sound_so_far(on, days) if known
        say(
          "Looked at on #{Words.day(on)} and found turning: still sound, to be eaten within #{Words.days(days)}, " \
          "until #{Words.day(on + days)}."
        )
      end

      # It was looked at, and found sound for these days: a date that passed before is covered as far.
      def sound_so_far(on, days)
        suspicion_answered
        @looks = @looks.add(on, days)
      end

      def look_again
        @look_first = true
        say("Found turning on a day nobody knows: look at it again.")
      end
    end
  end
end
