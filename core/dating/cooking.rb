# frozen_string_literal: true

require_relative "words"

module NutShelf
  module Core
    # The part of Judge for what becomes of food together with other food: cooking, and pouring more into a jar.
    # Cooking within safety starts a new food; heating again does not. A jar keeps the dates of all its parts.
    module Cooking
      COOKED = %w[cooked left_over].freeze

      private

      def cooked(on, parts)
        on ||= unknown_day("cooked")
        return take_in_parts(on, parts) if making?(on)
        return cook_too_late(on) if on && safety_until && safety_until < on
        if COOKED.include?(@situation) && parts.empty?
          return say("Heated again#{" on #{Words.day(on)}" if on}: its days do not begin anew.")
        end

        COOKED.include?(@situation) ? take_in_parts(on, parts) : start_new_food(on, parts)
      end

      # The event by which leftovers came to be.
      def making?(on) = COOKED.include?(@story.situation) && @situation == @story.situation && on == @story.started_on

      def cook_too_late(on)
        stop(
          "Cooked on #{Words.day(on)}, after its safety date #{Words.day(safety_until)}: not to eat, and cooking " \
          "does not mend that."
        )
      end

      def start_new_food(on, parts)
        return cook_unknown(on, parts) if @unknown || on.nil?
        return cook_without_figure(on, parts) unless @rules.row("cooked", @rules.fridge)

        back_in_cold(on)
        end_clock
        passed = @caps.look_first?(on, @looks)
        @caps = @caps.lift(:cooked, on, @looks)
        say("It was past its date when it was cooked and nobody had looked: look first.") if passed
        forget_the_raw
        run_rule("cooked", on, :cooked)
        take_in_parts(on, parts)
        @place.freezer? ? freeze_on(on) : nil
      end

      def cook_unknown(on, parts)
        say("Cooked, but nobody knows how old it was: cooking does not mend that.")
        take_in_parts(on, parts)
      end

      # Without a figure for it cooked, no new food begins.
      def cook_without_figure(on, parts)
        say(@rules.reason("cooked", @rules.fridge))
        take_in_parts(on, parts)
      end

      def forget_the_raw
        @phase = :fresh
        @sealed = @thawed_for_good = @look_first = false
        @days_left_frozen = @ready_on = nil
        @situation = "cooked"
      end

      # Whole, fit parts of known age bring nothing along when they are cooked; what was cooked before brings its date.
      def take_in_parts(on, parts)
        @since ||= on
        parts.each do |part|
          next refuse_part(part, on, "went in") if part.unfit?(on) || part.unknown

          keep_dates(part, on, "was cooked before and went in") if part.cooked
          look_at_part(part, on) unless part.cooked
        end
      end

      def look_at_part(part, on)
        return unless part.quality_until && part.quality_until < on

        cap(:quality, :part, part.quality_until)
        say("#{part.name} was past its date, #{Words.day(part.quality_until)}: look first.")
      end

      def refuse_part(part, on, did)
        why = part.unknown ? "nobody knows how old it was" : "it was not to eat any more"
        stop("#{part.name} #{did}#{" on #{Words.day(on)}" if on}, and #{why}: not to eat.")
      end

      # The earliest date of the parts counts, and what is not to eat spoils the whole jar.
      def topped_up(on, parts)
        parts.each do |part|
          if part.unfit?(on || @story.first_known_on || part.safety_until) || part.unknown
            next refuse_part(part, on, "was poured in")
          end

          @phase == :frozen ? freeze_part(part, on) : keep_dates(part, on, "was poured in")
          @thawed_for_good ||= part.thawed
        end
      end

      def keep_dates(part, on, did)
        cap(:safety, :part, part.safety_until) if part.safety_until
        cap(:quality, :part, part.quality_until) if part.quality_until
        until_on = [part.safety_until, part.quality_until].compact.min
        dates = until_on ? "good until #{Words.day(until_on)}" : "without a date"
        say("#{part.name} #{did}#{" on #{Words.day(on)}" if on}, #{dates}; the earliest of the parts counts.")
        thaw_part(part, on) if part.frozen
      end

      # Poured into a frozen tub it is frozen that day; what was frozen before keeps its date.
      def freeze_part(part, on)
        return keep_dates_frozen(part) if part.frozen || on.nil?

        @days_left_frozen = [@days_left_frozen, part.safety_until && (part.safety_until - on).to_i].compact.min
        cap(:quality, :part, part.quality_until) if part.quality_until && part.quality_until < on
        say("#{part.name} was poured in on #{Words.day(on)} and freezes with the rest.")
      end

      def keep_dates_frozen(part)
        @days_left_frozen = [@days_left_frozen, part.days_left].compact.min
        cap(:quality, :part, part.quality_until) if part.quality_until
        cap(:safety, :part, part.safety_until) if part.safety_until
        say(
          "#{part.name} was poured in, frozen#{", good until #{Words.day(part.quality_until)}" if part.quality_until}."
        )
      end

      # Frozen food poured into a jar that is not frozen thaws there.
      def thaw_part(part, on)
        kind = chilled_kind || :safety
        @thawed_for_good ||= kind == :safety || @food.high_risk
        return unless on

        cap(kind, :part, on + days_after_thaw)
        cap(:safety, :part, on + part.days_left) if part.days_left
      end
    end
  end
end
