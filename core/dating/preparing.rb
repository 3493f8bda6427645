# frozen_string_literal: true

require_relative "../reference/keeping_row"
require_relative "words"

module NutShelf
  module Core
    # The part of Judge for what hands do to food besides opening and moving it: finding it ripe, cutting, cooking,
    # another way of storing it, and pouring more into a jar.
    module Preparing
      private

      def prepare(event)
        case event.kind
        when :ripened then ripened(event.on)
        when :cut then cut(event.on)
        when :cooked then cooked(event.on)
        when :stored then stored(event.on, event.method)
        when :topped_up then topped_up(event)
        end
      end

      # The eye beats the table: found ripe today, the ripe rule runs from today.
      def ripened(on)
        return unless @story.situation == "ripening" && running_situation == "ripening"

        @ready_on = on
        @situation = "ripe"
        @quality = @safety = @clock = nil
        say("Found ripe on #{Words.day(on)}.")
        unripe = @rules.row("ripening", @place)
        return run_rule("ripe", on, :rule) if @rules.row("ripe", @place) || unripe.nil?

        set(unripe.kind, on + (unripe.high - unripe.low))
        say("#{@rules.reason('ripe', @place)} Counted the #{Words.days(unripe.high - unripe.low)} between its quick and its slow ripening.")
      end

      def cut(on)
        before = [@quality, @safety, @clock]
        @sealed = false
        @clock = nil
        @situation = "cut"
        @ready_on = [@ready_on, on].compact.min
        run_rule("cut", on, :cut, before)
      end

      # Cooking in time starts a new life; it mends nothing that is past its safety date.
      def cooked(on)
        return stop("Cooked on #{Words.day(on)}, after its safety date #{Words.day(@safety)}: not to eat, and cooking does not mend that.") if @safety && @safety < on

        @phase = :fresh
        @sealed = @safety_thaw = false
        @quality = @safety = @clock = @cap_quality = @cap_safety = @left_when_frozen = @ready_on = nil
        @situation = "cooked"
        run_rule("cooked", on, :cooked)
      end

      def stored(on, method)
        @rules = @rules.stored(method)
        return say("Stored #{KeepingRow::STORAGE.fetch(method, method)} since #{Words.day(on)}.") unless @clock && @phase != :frozen

        row = @rules.row(running_situation, @place)
        used = @clock.used_by(on)
        return unless row

        @clock = @clock.carried(on, @rules.days(row), row.kind)
        reset_rule_date
        say("Stored #{KeepingRow::STORAGE.fetch(method, method)} since #{Words.day(on)}, with #{share(used)} of its life used: #{Words.day(@clock.until_on)}.")
      end

      # The earliest date of the parts counts. What was poured in without a date says nothing.
      def topped_up(event)
        @quality = [@quality, event.quality_until].compact.min
        @safety = [@safety, event.safety_until].compact.min
        part = [event.quality_until, event.safety_until].compact.min
        say("#{event.name} went in on #{Words.day(event.on)}, #{part ? "good until #{Words.day(part)}" : 'without a date'}; the earliest of the parts counts.")
      end
    end
  end
end
