# frozen_string_literal: true

require_relative "dating"
require_relative "look_cover"
require_relative "state"
require_relative "words"

module NutShelf
  module Core
    # The part of Judge that sums up: looks, care and the dates in force become one last good day.
    module Answering
      # What was found turning is eaten within these days: the two-day habit of household guidance for food
      # that is still sound but past its best, one day for the fridge.
      TURNING = 2
      TURNING_FRIDGE = 1

      private

      def turning(on)
        @looked_on = @turning_on = on
        say("Looked at on #{Words.day(on)} and found turning: still sound, so eat it next.")
      end

      def answer(today)
        will_freeze if @place.low_c&.negative? && !@place.freezer? && !flagged?(:will_freeze)
        stop("Set apart as not to eat until somebody clears it#{": #{@story.quarantine_reason}" if @story.quarantine_reason}.") if @story.quarantined
        care_holds
        cover = looked_cover
        usable = [@safety, [*@quality, *cover].max, *turning_until].compact.min
        dates = { quality_until: @quality, safety_until: @safety, ready_on: @ready_on, usable_until: usable, stopped: stopped? }
        Dating.new(**dates, state: State.of(today: today, policy: @policy, dates: dates), days_left: usable && (usable - today).to_i,
                            basis: cover ? :look : @basis, steps: steps.freeze, flags: flags.freeze)
      end

      # Care that keeps food good (fresh water every other day) is part of its time: without it the date ends there.
      def care_holds
        held = @story.care_until or return
        return if @quality && @quality <= held

        @quality = held
        say("#{@story.care_words} is part of its keeping: without it, good until #{Words.day(held)}.")
      end

      def looked_cover
        return unless @looked_on && @quality && !@policy.by_the_date?

        days = @turning_on ? turning_days : LookCover.days(frozen: @phase == :frozen, sealed: @sealed, place: @place)
        cover = LookCover.until_on(quality_until: @quality, looked_on: @looked_on, tolerance: @food.past_date_tolerance_days, days: days)
        say("A look covers #{Words.days(days)}, within #{Words.days(@food.past_date_tolerance_days)} past its date: until #{Words.day(cover)}.") if cover
        cover
      end

      def turning_days = @place.kind == "fridge" ? TURNING_FRIDGE : TURNING

      def turning_until
        return unless @turning_on

        say("What is turning is eaten within #{Words.days(turning_days)}: until #{Words.day(@turning_on + turning_days)}.")
        @turning_on + turning_days
      end
    end
  end
end
