# frozen_string_literal: true

module NutShelf
  module Core
    # Notes the reasons of a judgement as they arise: sentences in order, warnings, and the final stop.
    module Journal
      private

      def steps = @steps ||= []

      def flags = @flags ||= []

      def stopped? = @stopped == true

      def say(sentence) = steps << sentence.dup.freeze

      def flag(code, text)
        say(text)
        flags << { code: code, text: text }.freeze
      end

      def flagged?(code) = flags.any? { |flag| flag[:code] == code }

      def stop(sentence)
        @stopped = true
        say(sentence)
      end
    end
  end
end
