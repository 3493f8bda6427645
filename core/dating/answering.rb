# frozen_string_literal: true

require_relative "dating"
require_relative "state"
require_relative "words"

module NutShelf
  module Core
    # The part of Judge that sums up: the clock and the caps in force become one last good day.
    module Answering
      private

      def answer(today)
        still_warm
        set_apart
        care_holds
        if @journal.steps.empty?
          say("The tables have no figure for it #{Words.where(@place.kind)}, so no date follows from them.")
        end
        Dating.new(
          **dates(today),
          days_left: @usable && (@usable - today).to_i,
          basis: basis,
          steps: @journal.steps.freeze,
          flags: @journal.flags.freeze,
          unknown: @unknown == true,
          by_school: @by_school || @looks.taken?,
          **whereabouts
        )
      end

      # What still stands out of the cold was good on the day it came out.
      def still_warm
        since = @warm_since
        return if since.nil?
        return warm_since_ever if since == :unknown

        cap(:safety, :out_of_cold, since)
        say("Out of the cold since #{Words.day(since)}: good for two hours of that day only.")
      end

      def set_apart
        return unless @story.quarantined

        why = @story.quarantine_reason.to_s
        stop("Set apart as not to eat until somebody clears it#{": #{why}" unless why.empty?}.")
      end

      # Care that keeps food good (fresh water every other day) is part of its time: without it the date ends there.
      def care_holds
        held = @story.care_until or return
        return if quality_until && quality_until <= held

        cap(:quality, :care, held)
        say("#{@story.care_words} is part of its keeping: without it, good until #{Words.day(held)}.")
      end

      def in_force = @in_force ||= [*@caps.to_a, *clock_as_cap]

      # The running rule, with what set it going as its cause.
      def clock_as_cap = @clock ? [Cap.new(kind: @clock.kind, cause: @clock.basis, until_on: @clock.until_on)] : []

      def quality_until = [*@caps.to_a, *clock_as_cap].select(&:quality?).map(&:until_on).min

      def dates(today)
        binding_cap
        dates = {
          quality_until: quality_until,
          safety_until: in_force.select(&:safety?).map(&:until_on).min,
          ready_on: @ready_on,
          usable_until: @usable,
          stopped: @journal.stopped?,
          look_first: look_first?
        }
        state = State::Dates.new(**dates)
        { **dates, state: State.of(today: today, policy: @policy, dates: state) }
      end

      # @return the earliest of all, each quality date as far as a look covers it; of two on one day the one of safety
      def binding_cap
        return if @unknown

        found = in_force.partition(&:safety?).flatten.min_by { |one| @looks.until_on(one) } or return
        @usable = @looks.until_on(found)
        @basis = @usable > found.until_on ? :look : found.cause
        say_covered(found) if @basis == :look
      end

      def say_covered(found)
        say(
          "A look covers that date, #{Words.day(found.until_on)}, within " \
          "#{Words.days(@food.past_date_tolerance_days)} past it: until #{Words.day(@usable)}."
        )
      end

      def basis = Caps::PRINTED.include?(@basis) ? :printed : { bag: :part }.fetch(@basis, @basis) || :none

      def look_first? = @suspected == true || (@look_first == true && @usable.nil?)

      def whereabouts
        {
          cooked: Cooking::COOKED.include?(@situation),
          frozen: @phase == :frozen,
          thawed: @thawed_for_good == true,
          days_left_frozen: @days_left_frozen
        }
      end
    end
  end
end
