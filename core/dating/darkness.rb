# frozen_string_literal: true

require_relative "words"

module NutShelf
  module Core
    # The part of Judge for what a power cut did (docs/kits.md, power cut). A verdict only ever shortens: what is eaten
    # or cooked today is over tomorrow, and nothing but cooking it lifts that.
    module Darkness
      # What thawed and is no danger is eaten within a day.
      SOON = 1

      private

      def dark(on, verdict)
        case verdict
        when :eat_today, :cook_now then over_today(on, verdict)
        when :eat_soon then soon(on)
        when :refreeze, :refreeze_poorer then frozen_again(on)
        end
      end

      def over_today(on, verdict)
        cap(:safety, :power_cut, on)
        say("It was warm in the power cut of #{Words.day(on)}: #{verdict == :cook_now ? "cook" : "eat"} it that day.")
      end

      def soon(on)
        cap(:quality, :power_cut, on + SOON)
        say("It thawed in the power cut of #{Words.day(on)}: eat it soon, until #{Words.day(on + SOON)}.")
      end

      def frozen_again(on)
        say("It was still icy or fridge-cold after the power cut of #{Words.day(on)}, and froze again.")
        @journal.flag(:froze_again, "It thawed in part in a power cut and froze again: eat it before the rest.")
      end
    end
  end
end
