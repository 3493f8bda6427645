# frozen_string_literal: true

require_relative "dating"
require_relative "words"

module NutShelf
  module Core
    # What a refilled jar or a topped-up tub is worth and how long it keeps. Frozen.
    # `quality_until`, `safety_until` and `usable_until` are the earliest of the parts; `parts` are remembered
    # in the order they went in; `full` says that the tub has reached its mark, which raises a task.
    class TopUp
      # One part: its name, dating, cost in minor units, amount (Rational, base units) and the day it went in. Frozen.
      Part = Struct.new(:name, :dating, :cost_minor, :amount, :on, keyword_init: true) do
        def initialize(**facts)
          super
          freeze
        end
      end

      attr_reader :parts, :quality_until, :safety_until, :usable_until, :cost_minor, :amount, :steps

      # @param parts [Array<Part>] at least one
      # @param full_at [Rational, nil] the tub's mark in the same unit
      def initialize(parts, full_at: nil)
        raise ArgumentError, "a jar holds at least one part" if parts.empty?

        @parts = parts.dup.freeze
        @full_at = full_at
        @quality_until, @safety_until, @usable_until = %i[quality_until safety_until usable_until].map { |name| earliest(name) }
        @cost_minor = parts.sum(&:cost_minor)
        @amount = parts.sum(0r, &:amount)
        @steps = reasons.freeze
        freeze
      end

      # @return [Boolean]
      def full? = !@full_at.nil? && amount >= @full_at

      private

      # A part without a date says nothing; a jar of such parts alone has none.
      def earliest(name) = parts.filter_map { |part| part.dating.public_send(name) }.min

      def reasons
        list = parts.map { |part| "#{part.name} went in on #{Words.day(part.on)}, #{part.dating.usable_until ? "good until #{Words.day(part.dating.usable_until)}" : 'without a date'}." }
        list << "The earliest of the parts counts: #{Words.day(usable_until)}." if usable_until
        list << "It is full: time to empty or use it." if full?
        list
      end
    end
  end
end
