# frozen_string_literal: true

module NutShelf
  module Core
    # Notes the reasons of a judgement as they arise: sentences in order, warnings, and the final stop.
    class Journal
      # Warnings that speak of where a stack stands, and end when it is moved.
      OF_THE_PLACE = %i[wrong_place two_hours will_freeze better_cold].freeze

      attr_reader :steps, :flags

      def initialize
        @steps = []
        @flags = []
        @stopped = false
      end

      # @return [Boolean] whether it is not to eat, for good
      def stopped? = @stopped

      # @param sentence [String]
      def say(sentence)
        @steps << sentence.dup.freeze unless @steps.include?(sentence)
        nil
      end

      # A warning stands beside the reasons, not among them: said once.
      # @param code [Symbol]
      # @param text [String] a sentence
      def flag(code, text)
        @flags << { code: code, text: text }.freeze unless flagged?(code)
      end

      # @return [Boolean] whether that warning stands
      def flagged?(code) = @flags.any? { |flag| flag[:code] == code }

      # The stack stands elsewhere now: what was wrong with the old place is over.
      def left_the_place = clear(OF_THE_PLACE)

      # @param codes [Array<Symbol>] warnings that no longer hold
      def clear(codes) = @flags.reject! { |flag| codes.include?(flag[:code]) }

      # Not to eat, and no later event mends that.
      def stop(sentence)
        @stopped = true
        say(sentence)
      end
    end
  end
end
