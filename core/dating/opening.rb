# frozen_string_literal: true

require_relative "../reference/keeping_row"
require_relative "words"

module NutShelf
  module Core
    # The part of Judge for what hands do to a pack before it is eaten: opening, cutting, finding ripe, storing
    # another way. A second opening or cut begins nothing anew.
    module Opening
      # States of food whose seal is broken already.
      BROKEN = %w[opened cut cooked left_over portioned].freeze

      CUT_ALREADY = %w[cut cooked left_over].freeze

      private

      def opened(on)
        @sealed = false
        return if @phase == :frozen || BROKEN.include?(@situation)

        on ||= unknown_day("opened")
        return look_first_at("opened") unless on
        return say("Opened on #{Words.day(on)}; opening does not shorten its life.") if unshortened?

        in_hand { begin_situation("opened", on, :opened) }
      end

      # A pack that the freezer spoils counts, once opened, as in the fridge: it was not frozen in time.
      def in_hand
        freezer = @place if @place.freezer?
        @place = @rules.fridge if freezer
        yield
        @place = freezer || @place
      end

      def unshortened? = @food.no_opened_limit && !@rules.row("opened", @place).nil?

      # Nobody knows the day: the first day anything is known counts, as a cautious person would.
      def unknown_day(what)
        day = @story.first_known_on or return
        say("Nobody knows when it was #{what}: #{Words.day(day)} counts, the first day it was known here.")
        day
      end

      def look_first_at(what)
        @look_first = true
        say("Nobody knows when it was #{what}: look at it first.")
      end

      def cut(on)
        @sealed = false
        return if CUT_ALREADY.include?(@situation) || @phase == :frozen

        on ||= unknown_day("cut")
        return look_first_at("cut") unless on

        @ready_on = [@ready_on, on].compact.min
        in_hand { begin_situation("cut", on, :cut) }
      end

      # The eye beats the table: found ripe today, the ripe rule runs from today.
      def ripened(on)
        return unless @situation == "ripening" && on

        unripe = @rules.row("ripening", @place)
        @clock&.passed?(on) ? end_clock : @clock = nil
        @ready_on = on
        @situation = "ripe"
        @since = on
        say("Found ripe on #{Words.day(on)}.")
        return run_rule("ripe", on, :rule) if @rules.row("ripe", @place) || unripe.nil?

        @clock = Clock.new(since: on, days: unripe.high - unripe.low, kind: unripe.kind)
        say(
          "#{@rules.reason("ripe",
            @place)} Counted the #{Words.days(unripe.high - unripe.low)} between its quick and its slow ripening."
        )
      end

      def stored(on, method)
        @rules = @rules.stored(method)
        how = KeepingRow::STORAGE.fetch(method, method)
        say("Stored #{how}#{" since #{Words.day(on)}" if on}.")
        return unless on && @clock && @phase != :frozen
        return expire if @clock.passed?(on)

        row = @rules.row(@situation, @place) or return
        used = @clock.used_by(on)
        @clock = @clock.carried(on, days(row), row.kind)
        say("#{share(used).capitalize} of its life was used by then: until #{Words.day(@clock.until_on)}.")
      end
    end
  end
end
