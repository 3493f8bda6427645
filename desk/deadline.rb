# frozen_string_literal: true

require_relative "refusal"

module NutShelf
  module Desk
    # How long something may keep a worker busy.
    class Deadline
      # @param seconds [Numeric]
      def initialize(seconds)
        @ends = now + seconds
      end

      # @raise [Invalid] once the time is over
      def check
        return if now < @ends

        raise Refusal.of(:reading_too_long)
      end

      private

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
