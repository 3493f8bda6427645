# frozen_string_literal: true

require_relative "words"

module NutShelf
  module Core
    # The part of Judge that freezes and thaws: freezing in time stops the old clock, freezing too late
    # mends nothing, and thawed food never has more days than it had left.
    module Freezing
      private

      def freeze_on(on)
        return refuse_refreeze(on) if @safety_thaw
        return stop("Frozen #{Words.day(on)}, after its safety date #{Words.day(@safety)}: not to eat, and freezing does not mend that.") if @safety && @safety < on

        return flag(:will_freeze, "A sealed pack of it breaks or spoils below 0 C: take it out, or decant it first.") if @sealed && @food.freezing_damage

        row = @rules.row(frozen_situation, @rules.freezer)
        return flag(:wrong_place, "#{@rules.reason(frozen_situation, @rules.freezer)} The freezer does not lengthen its life.") unless row

        @left_when_frozen = @safety && (@safety - on).to_i
        @phase = :frozen
        @quality = @safety = nil
        start_clock(row, on, :frozen, "Frozen #{Words.day(on)}, in time")
      end

      def frozen_situation
        return "cooked" if running_situation == "cooked"
        return @story.situation if %w[left_over cooked home_dried].include?(@story.situation)

        "frozen_at_home"
      end

      def refuse_refreeze(on)
        stop("Frozen again on #{Words.day(on)} after thawing: only cooked food may go back.")
      end

      def thaw(on)
        return unless @phase == :frozen

        row = @rules.row("thawed", @rules.fridge)
        @phase = :thawed
        @quality = @safety = @clock = nil
        @basis = :thawed
        thawed_date(row, on)
      end

      def thawed_date(row, on)
        kind = @rules.row(running_situation == "bought_frozen" ? "opened" : running_situation, @rules.fridge)&.kind || :safety
        days = row&.after_thaw_days || (row ? @rules.days(row) : 0)
        text = row ? "#{Words.days(days)} in the fridge after thawing" : "no figure for it once thawed, so that day only"
        if @left_when_frozen && @left_when_frozen < days
          days = @left_when_frozen
          text = "only #{Words.days(days)} were left of its safety date when it was frozen"
        end
        @safety_thaw = kind == :safety
        set(kind, on + days)
        say("Thawed #{Words.day(on)}: #{text}, until #{Words.day(on + days)} (#{kind}).")
      end
    end
  end
end
